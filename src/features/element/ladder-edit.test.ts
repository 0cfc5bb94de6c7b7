import { describe, expect, it } from 'vitest';
import type { Axis, CellEdit } from '@/core/breakdown';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { asLevel, must } from '@/core/shared';
import { fieldText, readCell, valueAt, withCell, withField } from './ladder-edit';

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
    ['step', 'a bit', 'step'],
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
