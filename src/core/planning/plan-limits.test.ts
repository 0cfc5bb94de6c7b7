import { describe, expect, it } from 'vitest';
import { addDays } from '@/core/shared';
import { inLessonOrder } from './lesson-order';
import { aBout, aDay, aDog, aFrame, aPiece, day, NONE, TODAY } from './plan.test-helper';
import type { PlanDog, PlanFrame, PlannedBout } from './plan-frame';
import { type Broken, goesOn, isAboutSafety, mostOf, openBook } from './plan-limits';

const still = aPiece('still');
const jumper = aPiece('jumper', { bodily: true }, { jumps: 2 });
const every = (change: Parameters<typeof aDay>[1] = {}) =>
  Array.from({ length: 21 }, (_, d) => aDay(d, change));
const codes = (
  frame: PlanFrame,
  bout: PlannedBout,
  entered: readonly PlannedBout[] = [],
): Broken['code'][] => {
  const book = openBook(frame);
  for (const one of entered) book.enter(one);
  return book.problems(bout).map((one) => one.code);
};
const week = (most: number): PlanDog['limits'] => [{ of: 'jumps', per: 'week', most, source: 'me' }];

describe('a bout more', () => {
  const base = aFrame([still, jumper], { days: every() });
  it.each<[string, PlanFrame, PlannedBout, readonly PlannedBout[], Broken['code'][]]>([
    ['fits', base, aBout(still, 1), [], []],
    ['on a day without time', aFrame([still]), aBout(still, 2), [], ['no-day']],
    ['on a day past the plan', base, aBout(still, 40), [], ['no-day']],
    ['longer than the day', base, aBout(still, 1, { minutes: 31 }), [], ['minutes']],
    [
      'that needs its warm-up too',
      base,
      aBout(jumper, 1, { goes: 1 }),
      [aBout(still, 1, { minutes: 16 })],
      ['minutes'],
    ],
    ['twice on a day', base, aBout(still, 1), [aBout(still, 1)], ['twice']],
    [
      'past a number for a week',
      { ...base, dogs: [aDog({ limits: week(30) })] },
      aBout(jumper, 4),
      [aBout(jumper, 1)],
      ['load-week'],
    ],
    [
      'within it a week later',
      { ...base, dogs: [aDog({ limits: week(30) })] },
      aBout(jumper, 8),
      [aBout(jumper, 1)],
      [],
    ],
    [
      'past the heaviest week of the log, where nobody said a number',
      { ...base, dogs: [aDog({ heaviest: { ...NONE, jumps: 25 } })] },
      aBout(jumper, 4),
      [aBout(jumper, 1)],
      ['load-week'],
    ],
    ['on a hot day', aFrame([jumper], { days: every({ hot: true }) }), aBout(jumper, 1), [], ['hot']],
    [
      'without the helper it needs',
      aFrame([aPiece('h', { needsHelper: true })], { days: every({ helper: false }) }),
      aBout(aPiece('h'), 1),
      [],
      ['helper'],
    ],
    [
      'on the day of a trial',
      { ...base, dogs: [aDog({ trialDays: [day(1)] })] },
      aBout(still, 1),
      [],
      ['trial-day'],
    ],
    ['while off work', { ...base, dogs: [aDog({ from: day(5) })] }, aBout(still, 1), [], ['off-work']],
    [
      'on a third day of two in seven',
      { ...base, dogs: [aDog({ daysAWeek: 2 })] },
      aBout(still, 5),
      [aBout(still, 1), aBout(still, 3)],
      ['days-a-week'],
    ],
    [
      'too near the last one',
      aFrame([aPiece('m', { restDays: 1, worked: [TODAY] })], { days: every() }),
      aBout(aPiece('m'), 1),
      [],
      ['rest-days'],
    ],
    [
      'all of it before its day',
      aFrame([aPiece('m', { notBefore: day(9), stands: 4 })], { days: every() }),
      aBout(aPiece('m', { stands: 4 }), 1),
      [],
      ['not-before'],
    ],
    [
      'before what it needs',
      aFrame([still, aPiece('n', { needs: [{ piece: still.id, rung: 3 }] })], { days: every() }),
      aBout(aPiece('n'), 4),
      [aBout(still, 1)],
      ['need'],
    ],
    [
      'after what it needs',
      aFrame([still, aPiece('n', { needs: [{ piece: still.id, rung: 3 }] })], { days: every() }),
      aBout(aPiece('n'), 4),
      [aBout(still, 1, { rung: 3 })],
      [],
    ],
    [
      'whole after four bouts on its pieces',
      aFrame([still, jumper, aPiece('w', { links: [still.id, jumper.id] })], { days: every() }),
      aBout(aPiece('w'), 9),
      [1, 3, 5, 7].map((d) => aBout(still, d)),
      ['whole'],
    ],
    [
      'whole after five',
      aFrame([still, jumper, aPiece('w', { links: [still.id, jumper.id] })], { days: every() }),
      aBout(aPiece('w'), 9),
      [1, 3, 5, 7, 8].map((d) => aBout(still, d)),
      [],
    ],
  ])('%s', (_, frame, bout, entered, broken) => expect(codes(frame, bout, entered)).toEqual(broken));

  it('counts what was done this week, and today', () => {
    const done = [{ day: addDays(TODAY, -1), loads: { ...NONE, jumps: 15 } }];
    const frame = aFrame([jumper], { days: every(), dogs: [aDog({ limits: week(30), done })] });
    expect(codes(frame, aBout(jumper, 2))).toEqual(['load-week']);
    expect(codes(frame, aBout(jumper, 8))).toEqual([]);
    const [problem] = openBook(frame).problems(aBout(jumper, 2));
    expect(problem?.load).toEqual({ of: 'jumps', would: 35, most: 30 });
  });

  it('tells what is about safety from what is only about time', () => {
    const safe = (['minutes', 'helper', 'no-day', 'need', 'whole', 'twice', 'days-a-week'] as const).map(
      (code) => isAboutSafety({ code }),
    );
    const unsafe = (['load-day', 'load-week', 'off-work', 'rest-days', 'not-before', 'hot'] as const).map(
      (code) => isAboutSafety({ code }),
    );
    expect([new Set(safe), new Set(unsafe)]).toEqual([new Set([false]), new Set([true])]);
  });
});

describe('how many goes', () => {
  it('are as usual, or as many as a number for a day leaves', () => {
    expect(goesOn(jumper, 2, aDog())).toBe(10);
    expect(goesOn(jumper, 2, aDog({ limits: [{ of: 'jumps', per: 'day', most: 7, source: 'vet' }] }))).toBe(
      3,
    );
    expect(goesOn(jumper, 2, aDog({ limits: [{ of: 'jumps', per: 'day', most: 1, source: 'vet' }] }))).toBe(
      0,
    );
  });

  it('without any number the most is the heaviest week; with one of a day, none for the week is made up', () => {
    expect(mostOf(aDog({ heaviest: { ...NONE, jumps: 30 } }), 'jumps', 'week', 8)).toBe(30);
    expect(mostOf(aDog(), 'jumps', 'week', 8)).toBe(8);
    expect(
      mostOf(aDog({ limits: [{ of: 'jumps', per: 'day', most: 9, source: 'me' }] }), 'jumps', 'week', 8),
    ).toBe(Number.POSITIVE_INFINITY);
  });
});

describe('the order of a lesson', () => {
  it('is rehearsals first, lively and quiet work in turn, a whole run last', () => {
    const pieces = ['q1', 'q2', 'l1', 'l2', 'r', 'w'].map((id) => aPiece(id, { lively: id.startsWith('l') }));
    const bouts = pieces.map((piece) =>
      aBout(piece, 1, { purpose: piece.id === 'r' ? 'rehearse' : piece.id === 'w' ? 'join' : 'build' }),
    );
    const order = inLessonOrder(aFrame(pieces), [...bouts].reverse()).map((one) => one.piece);
    expect(order).toEqual(['r', 'q1', 'l1', 'q2', 'l2', 'w']);
  });
});
