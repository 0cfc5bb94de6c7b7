import { describe, expect, it } from 'vitest';
import type { Axis, CellEdit } from '@/core/breakdown';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { asLevel, must } from '@/core/shared';
import { fieldText, laidOver, readCell, valueAt, withCell, withField } from './ladder-edit';

describe('lists, sides and marks that are moved', () => {
  const list = testAxis({
    key: 'l',
    title: 'Help',
    quantity: 'level',
    unit: '',
    levels: ['all', 'some', 'none'].map((name, place) => ({ id: asLevel(place), name, anchor: '' })),
    start: 0,
    demand: 2,
    step: 1,
    limit: 1,
  });
  const sides = testAxis({
    key: 's',
    title: 'Angle',
    quantity: 'angle',
    unit: '°',
    harder: 'both',
    start: 0,
    demand: 60,
    step: 15,
    limit: 20,
  });
  it('are typed and read in their own words', () => {
    expect([
      fieldText(list, 'start'),
      fieldText(list, 'demand'),
      fieldText(sides, 'demand'),
      fieldText(sides, 'limit'),
    ]).toEqual(['all', 'none', '60°', '20°']);
    expect(must(withField(list, 'demand', 'some')).demand).toBe(1);
    expect(withField(list, 'demand', 'plenty')).toMatchObject({ ok: false, code: 'level' });
    expect([must(readCell(sides, '30° left')), must(readCell(sides, '15\u00a0° right'))]).toEqual([-30, 15]);
  });
  it('give a value that can be paced out', () => {
    const axis = testAxis();
    expect([valueAt(axis, 0), valueAt(axis, 0.5), valueAt(axis, 1.2)]).toEqual([5, 10, 26]);
    expect([valueAt({ ...axis, start: 20 }, 0.5), valueAt({ ...axis, start: 0 }, 0.5)]).toEqual([null, null]);
  });
});

describe('typing in a ladder', () => {
  const axis = testAxis({ key: 'd', unit: 'yd', start: 4.572, demand: 45.72 });
  const height: Axis = { ...axis, quantity: 'height', unit: 'cm', start: 0.15, demand: 0.4, step: 0.05 };

  it.each([
    [axis, 'start', '5 yd'],
    [axis, 'demand', '50 yd'],
    [axis, 'step', '25 %'],
    [height, 'step', '5 cm'],
  ] as const)('shows and reads back %#', (one, field, text) => {
    expect(fieldText(one, field)).toBe(text);
    expect(must(withField(one, field, text))).toEqual(one);
  });

  it.each([
    ['start', 'far', 'number'],
    ['demand', '20 s', 'unit'],
    ['demand', '5–10 yd', 'range'],
    ['step', '0 %', 'step'],
    ['step', 'a bit', 'number'],
    ['step', '', 'step'],
  ] as const)('refuses %s “%s”', (field, text, code) =>
    expect(withField(axis, field, text)).toMatchObject({ ok: false, code }));

  it('sets, replaces and clears a cell', () => {
    const on = { [axis.key]: 9 };
    const cell = (edits: CellEdit[], text: string) =>
      withCell({ axes: [axis], edits }, axis, { planned: on }, text);
    const set = must(cell([], '10'));
    expect(set).toEqual([{ on, axis: 'd', value: 9.144 }]);
    expect(must(cell(set, '20 m'))).toEqual([{ on, axis: 'd', value: 20 }]);
    expect(must(cell(set, ' '))).toEqual([]);
    expect(cell(set, '0')).toMatchObject({ ok: false, code: 'cell' });
  });
});

describe('a change of an axis over what is stored', () => {
  const level = (id: number, name: string, anchor = '') => ({ id: asLevel(id), name, anchor });
  const list = testAxis({
    key: 'l',
    title: 'Response',
    quantity: 'level',
    unit: '',
    levels: [level(0, 'looks'), level(1, 'moves'), level(2, 'touches')],
    start: 0,
    demand: 2,
    step: 1,
    limit: 1,
  });
  const renamed = (axis: Axis, id: number, name: string): Axis => ({
    ...axis,
    levels: axis.levels?.map((one) => (one.id === id ? { ...one, name } : one)) ?? null,
  });
  const further = (axis: Axis, id: number, name: string, first = false): Axis => ({
    ...axis,
    levels: first ? [level(id, name), ...(axis.levels ?? [])] : [...(axis.levels ?? []), level(id, name)],
  });
  const names = (axis: Axis) => axis.levels?.map((one) => `${one.id} ${one.name}`);

  it('two quick ones from one page both stay: a step renamed, a further one added', () => {
    const once = laidOver(list, list, renamed(list, 1, 'one step'));
    const twice = laidOver(once, list, further(list, 3, 'lies on it'));
    expect(names(twice)).toEqual(['0 looks', '1 one step', '2 touches', '3 lies on it']);
    const start = laidOver(laidOver(list, list, { ...list, start: 1 }), list, { ...list, margin: 0.4 });
    expect([start.start, start.margin]).toEqual([1, 0.4]);
  });

  it('two further steps that took one number do not share it, at either end', () => {
    const once = laidOver(list, list, further(list, 3, 'lies on it'));
    const twice = laidOver(once, list, further(list, 3, 'sleeps on it'));
    expect(names(twice)).toEqual(['0 looks', '1 moves', '2 touches', '3 lies on it', '4 sleeps on it']);
    expect(names(laidOver(list, list, further(list, 3, 'sees', true)))?.[0]).toBe('3 sees');
  });

  it('a name and an anchor of one step, said apart, are both kept', () => {
    const anchored = {
      ...list,
      levels: list.levels?.map((one) => (one.id === 2 ? { ...one, anchor: 'nose on it' } : one)) ?? null,
    };
    const both = laidOver(laidOver(list, list, renamed(list, 2, 'touches it')), list, anchored);
    expect(both.levels?.[2]).toEqual(level(2, 'touches it', 'nose on it'));
  });

  it('is the new axis itself where nothing changed meanwhile', () => {
    for (const next of [renamed(list, 0, 'sees'), further(list, 7, 'more'), { ...list, demand: 1 }])
      expect(laidOver(list, list, next)).toEqual(next);
  });
});
