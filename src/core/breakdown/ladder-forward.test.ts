import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NO_BREAK, wordsOf } from '@/words';
import { type Axis, buildLadder, checkLadder, describeRung, heldAxes } from '.';
import { LATENCY as latency, testAxis } from './axis.test-helper';
import { axisSeries } from './series';

const distance = testAxis();
const wait = testAxis({
  key: 'wait',
  title: 'Wait',
  quantity: 'duration',
  unit: 's',
  start: 0,
  demand: 30,
  zeroScale: 2,
  step: 1,
  limit: 1.5,
});
const codes = (axis: Axis): string[] =>
  checkLadder(buildLadder({ axes: [axis] })).map((problem) => problem.code);

describe('ladders teach forward', () => {
  const YARD = 0.9144;
  const yards = (axis: Axis): number[] => axisSeries(axis).map((value) => Number((value / YARD).toFixed(9)));
  const sent = { ...distance, unit: 'yd', start: 10 * YARD, demand: 100 * YARD };

  it('equal steps stay round in the unit that was typed', () => {
    const by = (step: number): Axis => ({ ...sent, step: step * YARD, limit: step * YARD, equal: true });
    expect(yards(by(10))).toEqual([10, 20, 30, 40, 50, 60, 70, 80, 90, 100]);
    expect(yards(by(40))).toEqual([10, 50, 90, 100]);
    expect(yards({ ...by(5), demand: 22 * YARD })).toEqual([10, 15, 20, 22]);
    const ladder = buildLadder({ axes: [by(5)] });
    expect(checkLadder(ladder)).toEqual([]);
    expect(wordsOf(describeRung(ladder, 1)).replaceAll(NO_BREAK, ' ')).toBe(
      '2 of 19: distance 10 → 15 yd, +5 yd',
    );
  });

  it('no step is more than the one that was typed, in metres or in yards', () => {
    const axis = fc.record({
      start: fc.integer({ min: 1, max: 30 }),
      times: fc.integer({ min: 2, max: 30 }),
      step: fc.integer({ min: 10, max: 100 }),
      unit: fc.constantFrom('m', 'yd', 'ft', 'paces'),
      less: fc.boolean(),
    });
    fc.assert(
      fc.property(axis, ({ start, times, step, unit, less }) => {
        const [low, high] = [start * 0.3, start * times * 0.3];
        const [from, to] = less ? [high, low] : [low, high];
        const one: Axis = {
          ...distance,
          unit,
          harder: less ? 'less' : 'more',
          start: from,
          demand: to,
          step: step / 100,
          limit: step / 100,
        };
        const series = axisSeries(one);
        expect(checkLadder(buildLadder({ axes: [one] }))).toEqual([]);
        const fewest = Math.ceil(Math.log(times) / Math.log1p(step / 100) - 1e-9);
        expect(series.length - 1).toBeLessThanOrEqual(fewest + Math.max(1, Math.round(fewest / 5)));
      }),
    );
  });

  it('owned sizes are the rungs, and the size to get is named', () => {
    const tub = testAxis({
      key: 'tub',
      title: 'Tub',
      quantity: 'volume',
      unit: 'L',
      harder: 'less',
      start: 90,
      demand: 25,
      step: 0.4,
      limit: 0.7,
      sizes: [40, 120, 65, 90],
    });
    expect(axisSeries(tub)).toEqual([90, 65, 40, 25]);
    expect(checkLadder(buildLadder({ axes: [tub] }))).toMatchObject([
      { code: 'size-missing', message: expect.saying(/25\sL is what you want in the end/) },
    ]);
    expect(checkLadder(buildLadder({ axes: [{ ...tub, sizes: [90, 25] }] }))).toMatchObject([
      { code: 'size-missing', message: expect.saying(/between 90\sL and 25\sL/) },
    ]);
    expect(codes({ ...tub, sizes: [90, 65, 40, 25] })).toEqual([]);
  });

  it('what has a floor is not eased below it: four feet are never three again', () => {
    const feet = testAxis({
      key: 'feet',
      title: 'Feet',
      quantity: 'count',
      unit: '',
      start: 2,
      demand: 4,
      step: 1,
      limit: 1,
    });
    const time = { ...wait, eases: [feet.key] };
    const ladder = (floor?: number) =>
      buildLadder({ axes: [floor === undefined ? feet : { ...feet, floor }, time] }).rungs.map(
        (rung) => rung.criteria[feet.key],
      );
    expect(ladder()).toEqual([2, 3, 4, 3, 4, 4, 4, 4, 4]);
    expect(ladder(3)).toEqual(ladder());
    expect(ladder(4)).toEqual([2, 3, 4, 4, 4, 4, 4, 4]);
  });

  it('rungs are skipped, but not the first and the last, and a skip is no step too large', () => {
    const all = buildLadder({ axes: [distance] });
    const skips = all.rungs.map((rung) => rung.criteria);
    const short = buildLadder({ axes: [distance], skips });
    expect(short.rungs.map((rung) => [rung.criteria[distance.key], rung.skipped])).toEqual([
      [5, 0],
      [20, 7],
    ]);
    expect(checkLadder(short)).toEqual([]);
    expect(buildLadder({ axes: [distance], skips: [{ [distance.key]: 99 }] })).toEqual(all);
  });

  it('what starts at its demand is said to be held', () => {
    expect(heldAxes([distance, { ...latency, start: 2 }]).map((one) => one.key)).toEqual([latency.key]);
  });
});
