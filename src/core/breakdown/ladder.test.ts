import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type AxisKey, asId, must, NO_BREAK } from '@/core/shared';
import { type Axis, axisScale, axisSeries, buildLadder, checkLadder, describeRung, difficulties, METHODS, proofValue, stepSize } from '.';

const key = (text: string): AxisKey => asId<AxisKey>(text);
const distance: Axis = {
  key: key('distance'),
  title: 'Distance',
  quantity: 'distance',
  unit: 'm',
  harder: 'more',
  start: 5,
  demand: 20,
  step: 0.25,
  limit: 0.4,
  zeroScale: null,
  margin: 0.2,
  eases: [],
};
const latency: Axis = { ...distance, key: key('latency'), title: 'Latency', quantity: 'latency', unit: 's', harder: 'less', start: 4, demand: 2 };
const height: Axis = {
  ...distance,
  key: key('height'),
  title: 'Height',
  quantity: 'height',
  unit: 'cm',
  start: 0.1,
  demand: 0.4,
  step: 0.1,
  limit: 0.15,
};
const wait: Axis = {
  ...distance,
  key: key('wait'),
  title: 'Wait',
  quantity: 'duration',
  unit: 's',
  start: 0,
  demand: 30,
  zeroScale: 2,
  step: 1,
  limit: 1.5,
};
const codes = (...axes: Axis[]): string[] => checkLadder(buildLadder(axes)).map((problem) => problem.code);

describe('difficulty', () => {
  it.each([
    ['distance is by ratio', distance, 10, 0.5],
    ['latency is by ratio, downwards', latency, Math.sqrt(8), 0.5],
    ['height is even', height, 0.25, 0.5],
    ['from 0 by log(1 + x/x0)', wait, 2 * (Math.sqrt(16) - 1), 0.5],
    ['past the demand is beyond 1', distance, 40, 1.5],
  ] as const)('%s', (_, axis, value, expected) => {
    const scale = must(axisScale(axis));
    expect(scale.difficulty(value)).toBeCloseTo(expected, 12);
    expect(scale.value(expected)).toBeCloseTo(value, 9);
  });

  it('is 0 everywhere on a held axis', () => {
    expect(must(difficulties([{ ...distance, start: 20 }], { [distance.key]: 7 }))).toEqual([0]);
  });

  it('refuses a value that has no ratio rather than making it no number', () => {
    expect(difficulties([distance], { [distance.key]: 0 })).toMatchObject({ ok: false, code: 'value' });
    expect(difficulties([distance], { [distance.key]: -3 })).toMatchObject({ ok: false, code: 'value' });
  });

  it.each([
    ['start beyond the demand', { ...distance, start: 25 }, 'direction'],
    ['a latency that would get easier', { ...latency, start: 1 }, 'direction'],
    ['a ratio from 0', { ...distance, start: 0 }, 'zero-scale'],
    ['a negative length', { ...distance, start: -1 }, 'negative'],
  ] as const)('refuses %s', (_, axis, code) => {
    expect(axisScale(axis)).toMatchObject({ ok: false, code, path: axis.key });
    expect(codes(axis)).toEqual([code]);
  });

  it.each([
    [distance, 24],
    [latency, 2 / 1.2],
  ])('ends the proof margin a fifth beyond the demand', (axis, value) => expect(proofValue(axis)).toBeCloseTo(value, 12));
});

describe('building', () => {
  it('takes round values that can be paced out', () => {
    expect(axisSeries(distance)).toEqual([5, 6, 7.5, 9, 11, 13.5, 16.5, 20]);
    expect(axisSeries(height)).toEqual([0.1, 0.2, 0.3, 0.4]);
    expect(axisSeries({ ...distance, start: 5, demand: 20, step: 1 })).toHaveLength(3);
  });

  it('raises one axis at a time, eases what it names, and brings that back', () => {
    const ladder = buildLadder([
      { ...distance, step: 1 },
      { ...latency, step: 0.5, limit: 0.5, eases: [distance.key] },
    ]);
    expect(ladder.rungs.map((rung) => [rung.criteria[distance.key], rung.criteria[latency.key]])).toEqual([
      [5, 4],
      [10, 4],
      [20, 4],
      [10, 2.8],
      [20, 2.8],
      [10, 2],
      [20, 2],
    ]);
    expect(ladder.rungs[3]).toMatchObject({ raises: 'latency', eases: ['distance'] });
    // Doubling is over the limit of 40 %, but only where the dog has not been: the returns to 20 m are not flagged.
    expect(checkLadder(ladder).map((problem) => problem.path)).toEqual(['rungs[1].distance', 'rungs[2].distance']);
  });

  it('says a step in words', () => {
    const ladder = buildLadder([{ ...distance, start: 20, demand: 25 }]);
    expect(describeRung(ladder, 1).replaceAll(NO_BREAK, ' ')).toBe('2 of 2: distance 20 → 25 m, +25 %');
    expect(describeRung(ladder, 0)).toBe('1 of 2: the start');
  });
});

describe('checks', () => {
  const edited = (...cells: [number, Axis, number][]): string[] =>
    checkLadder(
      buildLadder(
        [distance, latency],
        cells.map(([rung, axis, value]) => ({ rung, axis: axis.key, value })),
      ),
    ).map((problem) => problem.code);

  it('finds nothing wrong with what it builds itself', () => expect(codes(distance, { ...latency, step: 0.2, eases: [distance.key] })).toEqual([]));
  it('two axes raised at once', () =>
    expect(edited(...[2, 3, 4, 5, 6, 7].map((rung): [number, Axis, number] => [rung, latency, 3.6]))).toEqual(['two-raised']));
  it('a step too large', () => expect(edited([1, distance, 8])).toContain('step-too-large'));
  it('easier without a plan', () => expect(edited([4, distance, 8])).toContain('easier-unplanned'));
  it('a demand that is never reached', () => expect(edited([11, latency, 2.1])).toEqual(['demand-never-reached']));
  it('a step so small that the ladder never ends', () => expect(codes({ ...distance, step: 0.001 })).toContain('too-many-steps'));
});

describe('ladders, whatever the axes', () => {
  const axis = fc
    .record({
      low: fc.integer({ min: 1, max: 40 }),
      times: fc.integer({ min: 2, max: 8 }),
      step: fc.integer({ min: 10, max: 100 }),
      less: fc.boolean(),
    })
    .map(({ low, times, step, less }): Axis => {
      const [start, demand] = less ? [low * times, low] : [low, low * times];
      return { ...(less ? latency : distance), start, demand, step: step / 100, limit: step / 100 + 0.35 };
    });

  it('climb strictly, reach the demand and pass their own checks', () => {
    fc.assert(
      fc.property(axis, axis, (first, second) => {
        const axes = [
          { ...first, key: key('a') },
          { ...second, key: key('b'), eases: [key('a')] },
        ];
        for (const one of axes) {
          const series = axisSeries(one);
          expect([series[0], series.at(-1)]).toEqual([one.start, one.demand]);
          expect(series.slice(1).every((value, i) => stepSize(one, series[i] ?? 0, value) > 0)).toBe(true);
        }
        expect(checkLadder(buildLadder(axes))).toEqual([]);
      }),
    );
  });
});

it.each(METHODS.map((method) => [method.id, method] as const))('method %s makes a sound ladder from a person’s start and goal', (_, method) => {
  const ladder = buildLadder([{ ...method.axis, start: 2, demand: 20 }]);
  expect(checkLadder(ladder)).toEqual([]);
  expect(ladder.rungs.length).toBeGreaterThan(3);
});
