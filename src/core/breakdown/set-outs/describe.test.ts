import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { wordsOf } from '@/words';
import {
  groundFrom,
  type Lengths,
  layingList,
  layOut,
  lengthOf,
  lengthsBy,
  listThings,
  pathsOf,
  pictureOf,
  readLength,
  standHere,
  type Thing,
} from '.';

import { line, METRES, thing, YARD } from './set-outs.test-helper';

describe('words for whoever stands and lays', () => {
  const plan = groundFrom('hedge', 100, 80);

  it('reads a drawing as a list: the dog, what is sent for in its order, the rest', () => {
    const things = must(layOut('marks', { 'to-object': 40, 'to-second': 50, angle: 40 }));
    const list = listThings(things, 0, METRES);
    expect(
      list.map((one) => `${wordsOf(one.name)}: ${wordsOf(one.where)}`.replaceAll('\u00a0', ' ')),
    ).toEqual([
      'dog: starts here',
      'mark 1: 40 m from the dog, bearing 340°',
      'mark 2: 50 m from the dog, bearing 20°, 40° right of the one before',
      'you: 0.6 m from the dog, bearing 90°',
    ]);
  });

  it('says by the compass where north is turned', () => {
    expect(wordsOf(listThings(line(20), 30, METRES)[1]?.where)).toContain('bearing 330°');
  });

  it('says where to stand along the hedge, in one’s own paces', () => {
    const said = standHere({ x: 12, y: 24 }, plan, 0, { unit: 'paces', pace: 0.8 });
    expect(wordsOf(said).replaceAll('\u00a0', ' ')).toBe(
      '30 paces along the hedge from its south end, 5 paces out from it.',
    );
    expect(standHere({ x: 12, y: 24 }, null, 0, METRES)).toBeNull();
    expect(standHere({ x: 12, y: 24 }, groundFrom('open', 100, 80), 0, METRES)).toBeNull();
    expect(wordsOf(standHere({ x: 8, y: 70 }, plan, 180, METRES))).toContain('south end');
  });

  it('lists what to lay in order: what stands there, blinds, then what the dog watches; falls are thrown', () => {
    const things = [
      thing('dog', 10, 0),
      thing('memory', 10, 20, { order: 1 }),
      thing('blind', 10, 60, { order: 2 }),
      thing('platform', 30, 0),
      thing('mark', 50, 30, { order: 3 }),
    ];
    const list = layingList(things, plan, 0, METRES).map((one) => wordsOf(one).replaceAll('\u00a0', ' '));
    expect(list).toEqual([
      'platform: 20 m from the dog, bearing 90°.',
      'blind: 60 m from the dog along the hedge, bearing 0°.',
      'memory: the dog watches it laid, 20 m from the dog along the hedge, bearing 0°.',
      'mark: falls 50 m from the dog, bearing 53°. Thrown when the dog looks.',
    ]);
    expect(pathsOf(things).dog).toBeCloseTo(2 * (20 + 60 + 20 + 50), 9);
    expect(layingList([], plan, 0, METRES)).toEqual([]);
  });

  it('reads and writes metres, yards and paces of one’s own', () => {
    const paces: Lengths = { unit: 'paces', pace: 0.8 };
    expect(must(readLength('30 paces', METRES, { decimal: '.', group: null }))).toBeCloseTo(22.5, 9);
    expect(must(readLength('30', paces, { decimal: '.', group: null }))).toBeCloseTo(24, 9);
    expect(must(readLength('30 yd', paces, { decimal: '.', group: null }))).toBeCloseTo(30 * YARD, 9);
    expect(wordsOf(lengthOf(paces, 30))).toBe('38\u00a0paces');
    expect(wordsOf(lengthOf({ unit: 'yd', pace: 1 }, 45 * YARD))).toBe('45\u00a0yd');
    expect(wordsOf(lengthOf(METRES, 0.216))).toBe('0.22\u00a0m');
    const people = [
      { name: 'Ada', pace: 0.9 },
      { name: 'Bo', pace: null },
    ];
    expect(lengthsBy({ unit: 'paces', whose: 'Ada' }, people, 'yd')).toEqual({ unit: 'paces', pace: 0.9 });
    expect(lengthsBy({ unit: null, whose: 'Bo' }, people, 'yd')).toEqual({ unit: 'yd', pace: 0.75 });
    expect(lengthsBy({ unit: null, whose: null }, people, 'ft').unit).toBe('m');
  });
});

describe('the picture', () => {
  it('writes the angle between neighbours all round, and none that is wider than is read from an arc', () => {
    const arcs = (things: readonly Thing[]) =>
      pictureOf({
        things,
        plan: null,
        north: 0,
        wind: null,
        oldFalls: [],
        spread: null,
        lengths: METRES,
      }).arcs.map(({ degrees }) => degrees);
    expect(arcs(must(layOut('casts', { 'to-object': 20, 'to-handler': 3, cast: 0 })))).toEqual([90, 90]);
    expect(arcs(must(layOut('marks', { 'to-object': 40, 'to-second': 50, angle: 40 })))).toEqual([40]);
    expect(arcs(line(20))).toEqual([]);
  });

  it('of the whole ground holds what lies off it too, so that it can be taken back', () => {
    const plan = groundFrom('open', 40, 30);
    const { box } = pictureOf({
      things: line(60),
      plan,
      north: 0,
      wind: null,
      oldFalls: [],
      spread: null,
      lengths: METRES,
      whole: true,
    });
    expect(box.y + box.high).toBeGreaterThan(60);
    expect(box.x + box.wide).toBeGreaterThan(40);
  });

  it('holds all things in its box, with a bar of a round length', () => {
    const things = must(layOut('marks', { 'to-object': 40, 'to-second': 50, angle: 40 }));
    const given = {
      things,
      plan: null,
      north: 0,
      wind: { from: 0, speed: 3 },
      oldFalls: [],
      spread: null,
    } as const;
    const { box, scale, lines, arcs, scent } = pictureOf({ ...given, lengths: METRES });
    for (const one of things) {
      expect(one.x).toBeGreaterThan(box.x);
      expect(one.y).toBeGreaterThan(box.y);
      expect(one.x).toBeLessThan(box.x + box.wide);
      expect(one.y).toBeLessThan(box.y + box.high);
    }
    expect(scale.metres).toBe(10);
    expect(lines.filter(({ run }) => run)).toHaveLength(2);
    expect(arcs[0]?.degrees).toBe(40);
    expect(scent).toHaveLength(2);
    const yards = pictureOf({ ...given, lengths: { unit: 'yd', pace: 1 } });
    expect(wordsOf(yards.scale.words)).toBe('10\u00a0yd');
    expect(yards.scale.metres).toBeCloseTo(10 * YARD, 9);
  });
});
