import { describe, expect, it } from 'vitest';
import { type Axis, buildLadder } from '@/core/breakdown';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { asLevel, type Value } from '@/core/shared';
import { wordsOf } from '@/words';
import { rodOf } from '.';

const axis = testAxis({ step: 1, limit: 1.2 });
const rod = (change: Partial<Axis> = {}, rung = 0, reach: [number, number, number] | null = null) => {
  const one = { ...axis, ...change };
  const ladder = buildLadder({ axes: [one] });
  const stands = ladder.rungs[rung]?.criteria ?? { [one.key]: one.demand };
  const found = reach && { axis: one.key, sides: null, low: reach[0], mid: reach[1], high: reach[2] };
  return rodOf(one, ladder, stands, found);
};
const plain = (said: Value): string => wordsOf(said).replaceAll('\u00a0', ' ');

describe('the rod', () => {
  it('places start, rungs, demand and proof by difficulty', () => {
    expect(rod()?.rungs.map((at) => Number(at.toFixed(3)))).toEqual([0, 0.5, 1]);
    expect(rod()?.proofAt).toBeCloseTo(1 + Math.log(1.2) / Math.log(4), 9);
    expect(rod({ harder: 'less', start: 20, demand: 5 })?.proofAt).toBeCloseTo(
      1 + Math.log(1.2) / Math.log(4),
      9,
    );
    expect(plain(rod()?.proof ?? '')).toBe('24 m');
  });

  it('shows where the dog is, also between two rungs of a ladder that was built anew', () => {
    expect(rod({}, 1)?.here?.at).toBeCloseTo(0.5, 12);
    expect(rod({}, 9)?.here?.at).toBe(1);
    const between = rodOf(axis, buildLadder({ axes: [axis] }), { [axis.key]: 14 }, null);
    expect(plain(between?.here?.label)).toBe('14 m');
  });

  it.each<[[number, number, number], string]>([
    [[0.2, 0.5, 0.9], 'Clean 8 times in 10 up to about 10 m (between 6.6 m and 17.4 m).'],
    [
      [-0.4, 0.5, 3],
      'Clean 8 times in 10 up to about 10 m (between easier than the start and past what is asked).',
    ],
    [[-2, -1, -0.5], 'Not sure at the start yet, so make the start easier.'],
    [[2, 3, 4], 'Clean 8 times in 10 past what is asked.'],
  ])('says a reach of %j without inventing a value', (reach, words) => {
    expect(plain(rod({}, 0, reach)?.sentence)).toBe(`Distance: start 5 m, now 5 m, demanded 20 m. ${words}`);
  });

  it('is a plain pole where the axis is held, and none where it is broken', () => {
    expect(rod({ start: 20 })).toMatchObject({ rungs: [], proof: null, proofAt: 1, here: { at: 1 } });
    expect(rod({ start: 25 })).toBeNull();
  });

  it('names the steps of a list and the sides of an angle', () => {
    const levels = ['all', 'some', 'none'].map((name, place) => ({ id: asLevel(place), name, anchor: '' }));
    const list = rod(
      { quantity: 'level', unit: '', levels, start: 0, demand: 2, step: 1, limit: 1 },
      1,
      [0.2, 0.6, 0.9],
    );
    expect([list?.start, list?.here?.label, list?.demand, list?.proof, list?.proofAt]).toEqual([
      'all',
      'some',
      'none',
      null,
      1,
    ]);
    expect(wordsOf(list?.sentence)).toContain('up to about some (between all and none)');
    const sides = rod(
      { quantity: 'angle', unit: '°', harder: 'both', start: 0, demand: 60, step: 30, limit: 30 },
      2,
    );
    expect([plain(sides?.here?.label), sides?.here?.at]).toEqual(['30° left', 0.5]);
  });
});
