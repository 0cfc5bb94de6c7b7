import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ownFault } from '@/core/rulebooks';
import { type AxisKey, asId, asLevel, must } from '@/core/shared';
import { NO_BREAK, wordsOf } from '@/words';
import {
  type Axis,
  axisScale,
  buildLadder,
  checkKit,
  checkLadder,
  describeRung,
  difficulties,
  parseValue,
  proofValue,
  stepSize,
  writeValue,
} from '.';
import { HEIGHT as height, LATENCY as latency, testAxis } from './axis.test-helper';
import { axisSeries } from './series';

const key = (text: string): AxisKey => asId<AxisKey>(text);
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
const codes = (...axes: Axis[]): string[] =>
  checkLadder(buildLadder({ axes })).map((problem) => problem.code);

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
    [{ ...distance, quantity: 'count', demand: 6 }, 8],
    [{ ...distance, quantity: 'count', demand: 5 }, 6],
    [{ ...distance, quantity: 'count', harder: 'less', demand: 5 }, 4],
  ] as const)('ends the proof margin a fifth beyond the demand', (axis, value) =>
    expect(proofValue(axis)).toBeCloseTo(value, 12));
});

describe('building', () => {
  it('takes round values that can be paced out', () => {
    expect(axisSeries(distance)).toEqual([5, 6, 7, 8, 10, 12, 14, 16, 20]);
    expect(axisSeries(height)).toEqual([0.1, 0.2, 0.3, 0.4]);
    expect(axisSeries({ ...distance, start: 5, demand: 20, step: 1 })).toHaveLength(3);
  });

  it('raises one axis at a time, eases what it names once, and brings that back', () => {
    const ladder = buildLadder({
      axes: [
        { ...distance, step: 1 },
        { ...latency, step: 0.5, limit: 0.5, eases: [distance.key] },
      ],
    });
    expect(ladder.rungs.map((rung) => [rung.criteria[distance.key], rung.criteria[latency.key]])).toEqual([
      [5, 4],
      [10, 4],
      [20, 4],
      [10, 3],
      [20, 3],
      [20, 2],
    ]);
    expect(ladder.rungs[3]).toMatchObject({ raises: 'latency', eases: ['distance'] });
    // Doubling is over the limit of 40 %, but only where the dog has not been: the returns to 20 m
    // are not flagged.
    expect(checkLadder(ladder).map((problem) => problem.path)).toEqual([
      'rungs[1].distance',
      'rungs[2].distance',
    ]);
  });

  it('says a step in words', () => {
    const ladder = buildLadder({ axes: [{ ...distance, start: 20, demand: 25 }] });
    expect(wordsOf(describeRung(ladder, 1)).replaceAll(NO_BREAK, ' ')).toBe(
      '2 of 2: distance 20 → 25 m, +25 %',
    );
    expect(wordsOf(describeRung(ladder, 0))).toBe('1 of 2: the start');
  });
});

describe('checks', () => {
  const rungs = { distance: axisSeries(distance).length, latency: axisSeries(latency).length };
  const planned = buildLadder({ axes: [distance, latency] });
  const edited = (...cells: [number, Axis, number][]): string[] =>
    checkLadder(
      buildLadder({
        axes: [distance, latency],
        edits: cells.map(([rung, axis, value]) => ({
          on: planned.rungs[rung]?.criteria ?? {},
          axis: axis.key,
          value,
        })),
      }),
    ).map((problem) => problem.code);

  it('finds nothing wrong with what it builds itself', () =>
    expect(codes(distance, { ...latency, step: 0.2, eases: [distance.key] })).toEqual([]));
  it('two axes raised at once', () =>
    expect(
      edited(
        ...planned.rungs.map((_, i): [number, Axis, number] => [i, latency, 3.6]).slice(2, rungs.distance),
      ),
    ).toEqual(['two-raised']));
  it('a step too large', () => expect(edited([1, distance, 8])).toContain('step-too-large'));
  it('easier without a plan', () => expect(edited([4, distance, 7])).toContain('easier-unplanned'));
  it('a demand that is never reached', () =>
    expect(edited([planned.rungs.length - 1, latency, 2.1])).toEqual(['demand-never-reached']));
  it('a step so small that the ladder never ends', () =>
    expect(codes({ ...distance, step: 0.001 })).toContain('too-many-steps'));
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
        expect(checkLadder(buildLadder({ axes }))).toEqual([]);
        expect(checkLadder(buildLadder({ axes, ladderRule: 'round-robin' }))).toEqual([]);
      }),
    );
  });
});

describe('round robin and by hand', () => {
  it('takes a step on each axis in turn', () => {
    const ladder = buildLadder({
      axes: [
        { ...distance, step: 1 },
        { ...latency, step: 0.5 },
      ],
      ladderRule: 'round-robin',
    });
    expect(ladder.rungs.map((rung) => rung.raises)).toEqual([
      null,
      'distance',
      'latency',
      'distance',
      'latency',
    ]);
    expect(ladder.rungs.at(-1)?.criteria).toEqual({ distance: 20, latency: 2 });
  });

  it('lays rungs by hand, with easing that was meant', () => {
    const byHand = [
      { criteria: { distance: 5, latency: 2.5 } as never, eases: [] },
      { criteria: { distance: 6.5, latency: 2.5 } as never, eases: [] },
      { criteria: { distance: 5, latency: 2 } as never, eases: [distance.key] },
      { criteria: { distance: 20, latency: 2 } as never, eases: [] },
    ];
    const ladder = buildLadder({ axes: [distance, latency], ladderRule: 'by-hand', byHand });
    expect(ladder.rungs.map((rung) => rung.raises)).toEqual([null, 'distance', 'latency', 'distance']);
    expect(checkLadder(ladder).map((problem) => problem.code)).toEqual(['step-too-large']);
    expect(checkLadder(buildLadder({ axes: [distance], ladderRule: 'by-hand' }))).toMatchObject([
      { code: 'demand-never-reached' },
    ]);
  });
});

describe('ordered lists and signed axes', () => {
  const thing = testAxis({
    key: 'thing',
    title: 'Object',
    quantity: 'level',
    unit: '',
    levels: ['fingers', 'dowel', 'dumbbell'].map((name, place) => ({ id: asLevel(place), name, anchor: '' })),
    start: 0,
    demand: 2,
    step: 1,
    limit: 1,
  });
  const angle = testAxis({
    key: 'angle',
    title: 'Angle',
    quantity: 'angle',
    unit: '°',
    harder: 'both',
    start: 0,
    demand: 60,
    step: 30,
    limit: 30,
  });

  it('climb a list by its names, and end with it', () => {
    const ladder = buildLadder({ axes: [thing] });
    expect(ladder.rungs.map((rung) => writeValue(thing, rung.criteria[thing.key] ?? 0))).toEqual([
      'fingers',
      'dowel',
      'dumbbell',
    ]);
    expect(checkLadder(ladder)).toEqual([]);
    expect(wordsOf(describeRung(ladder, 1)).replaceAll(NO_BREAK, ' ')).toBe(
      '2 of 3: object fingers → dowel, 1 step',
    );
    expect([proofValue(thing), must(parseValue(thing, 'Dowel')), must(parseValue(thing, '3'))]).toEqual([
      2, 1, 2,
    ]);
    expect(parseValue(thing, 'ball')).toMatchObject({ ok: false, code: 'level' });
    expect(codes({ ...thing, demand: 3 })).toEqual(['level']);
    expect(checkLadder(buildLadder({ axes: [{ ...thing, limit: 0.5 }] }))).toMatchObject([
      { code: 'step-too-large' },
      { code: 'step-too-large' },
    ]);
  });

  it('climb a signed axis on both sides, and keep the side', () => {
    const ladder = buildLadder({ axes: [angle] });
    expect(axisSeries(angle)).toEqual([0, 30, -30, 60, -60]);
    expect(checkLadder(ladder)).toEqual([]);
    expect(
      ladder.rungs.map((rung) =>
        wordsOf(writeValue(angle, rung.criteria[angle.key] ?? 0)).replaceAll(NO_BREAK, ' '),
      ),
    ).toEqual(['0°', '30° right', '30° left', '60° right', '60° left']);
    expect(
      ['30° left', '15 r', '20° links', '10 deg', '10° droite'].map((text) => must(parseValue(angle, text))),
    ).toEqual([-30, 15, -20, 10, 10]);
    expect(must(axisScale(angle)).difficulty(-30)).toBe(0.5);
    const oneSided = buildLadder({
      axes: [angle],
      edits: [{ on: { [angle.key]: -60 }, axis: angle.key, value: 60 }],
    });
    expect(checkLadder(oneSided)).toMatchObject([
      { code: 'demand-never-reached', message: expect.saying('one side only') },
    ]);
  });

  it('eases a signed axis to a narrower angle, not to the other side', () => {
    const ladder = buildLadder({
      axes: [angle, { ...distance, start: 10, step: 1, limit: 1, eases: [angle.key] }],
    });
    expect(
      ladder.rungs.slice(4).map((rung) => [rung.criteria[angle.key], rung.criteria[distance.key]]),
    ).toEqual([
      [-60, 10],
      [-30, 20],
      [-60, 20],
    ]);
    expect(checkLadder(ladder)).toEqual([]);
  });
});

describe('limits, kit and faults that count', () => {
  it('flags what the vet or the rules forbid', () => {
    const safe = { ...height, safety: { value: 0.3, source: 'your vet' } };
    expect(checkLadder(buildLadder({ axes: [safe] }))).toMatchObject([
      {
        code: 'safety-limit',
        path: 'rungs[3].height',
        message: expect.saying(/40\scm goes beyond 30\scm.*your vet/),
      },
    ]);
  });
  it('names what is missing in the kit', () => {
    expect(checkKit(['Tongs', 'dummies'], [' dummies '])).toMatchObject([
      { code: 'kit-missing', path: 'Tongs' },
    ]);
  });
  it('notes a fault below the rung from which it counts', () => {
    const ladder = buildLadder({
      axes: [{ ...distance, step: 1 }],
      countsFrom: [{ fault: ownFault('crooked'), from: { [distance.key]: 20 } }],
    });
    expect(ladder.rungs.map((rung) => rung.noted)).toEqual([
      [ownFault('crooked')],
      [ownFault('crooked')],
      [],
    ]);
  });
});
