import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '@/core/shared';
import { finish } from '@/core/shared/steps';
import { wrongIn } from './check-plan.test-helper';
import {
  aBout,
  aDay,
  aDog,
  aFrame,
  aPiece,
  BELIEVED,
  type Believed,
  DOG,
  day,
  modelsOfPieces,
  NONE,
  pieceId,
  TODAY,
} from './plan.test-helper';
import type { PlanFrame, PlannedBout, PlanPiece } from './plan-frame';
import { brokenIn } from './plan-limits';
import { choosePlan } from './plan-weeks';

const ON = 21;
const planOf = (
  frame: PlanFrame,
  pinned: readonly PlannedBout[] = [],
  believed: (piece: PlanPiece) => Believed = () => BELIEVED,
  rehearsed = false,
) =>
  finish(
    choosePlan(frame, modelsOfPieces(frame.pieces, believed, ON, rehearsed), pinned, { groups: 3, runs: 2 }),
  );

const daysOf = (bouts: readonly PlannedBout[], id: string): string[] =>
  bouts.filter((one) => one.piece === pieceId(id)).map((one) => one.day);

/** A handler’s weeks, their dogs and pieces, as they come. */
const frames = fc
  .record({
    minutes: fc.array(fc.constantFrom(0, 0, 10, 25, 40), { minLength: 21, maxLength: 21 }),
    hot: fc.array(fc.boolean(), { minLength: 21, maxLength: 21 }),
    helped: fc.array(fc.boolean(), { minLength: 21, maxLength: 21 }),
    daysAWeek: fc.integer({ min: 1, max: 6 }),
    jumps: fc.constantFrom(null, 8, 25),
    perDay: fc.constantFrom(null, 6, 12),
    heaviest: fc.integer({ min: 0, max: 40 }),
    done: fc.integer({ min: 0, max: 12 }),
    from: fc.constantFrom(0, 5),
    pieces: fc.array(
      fc.record({
        minutes: fc.integer({ min: 4, max: 14 }),
        jumps: fc.constantFrom(0, 0, 1, 2),
        restDays: fc.constantFrom(0, 0, 1, 2),
        helper: fc.boolean(),
        stands: fc.integer({ min: 0, max: 4 }),
        early: fc.constantFrom(null, 4, 15),
        neverLower: fc.boolean(),
        worked: fc.array(fc.integer({ min: 1, max: 9 }), { maxLength: 3 }),
        gain: fc.constantFrom(-0.05, 0.05, 0.2),
        top: fc.integer({ min: -2, max: 3 }),
      }),
      { minLength: 2, maxLength: 6 },
    ),
    pinned: fc.array(fc.tuple(fc.integer({ min: 0, max: 5 }), fc.integer({ min: 0, max: 20 })), {
      maxLength: 3,
    }),
    needs: fc.boolean(),
  })
  .map((said) => {
    const pieces: PlanPiece[] = said.pieces.map((one, i) =>
      aPiece(
        `p${i}`,
        {
          minutes: one.minutes,
          stands: one.stands,
          restDays: one.restDays,
          needsHelper: one.helper,
          neverLower: one.neverLower,
          bodily: one.jumps > 0,
          lively: i % 2 === 0,
          notBefore: one.early === null ? null : day(one.early),
          worked: [...new Set(one.worked)].sort((a, b) => b - a).map((back) => addDays(TODAY, -back)),
          needs: said.needs && i === 1 ? [{ piece: pieceId('p0'), rung: 3 }] : [],
        },
        { jumps: one.jumps },
      ),
    );
    const whole = aPiece('whole', { links: pieces.map((one) => one.id), stands: 0, goes: 1, minutes: 5 });
    const frame = aFrame([...pieces, { ...whole, rungs: whole.rungs.slice(0, 1) }], {
      days: said.minutes.map((minutes, d) =>
        aDay(d, { minutes, hot: said.hot[d] === true && d % 4 === 0, helper: said.helped[d] === true }),
      ),
      dogs: [
        aDog({
          daysAWeek: said.daysAWeek,
          heaviest: { ...NONE, jumps: said.heaviest },
          from: day(said.from),
          limits: [
            ...(said.jumps === null
              ? []
              : [{ of: 'jumps', per: 'week', most: said.jumps, source: 'me' } as const]),
            ...(said.perDay === null
              ? []
              : [{ of: 'jumps', per: 'day', most: said.perDay, source: 'vet' } as const]),
          ],
          done: [{ day: addDays(TODAY, -2), loads: { ...NONE, jumps: said.done } }],
          trialDays: [day(18)],
        }),
      ],
    });
    const believed = (piece: PlanPiece): Believed => {
      const place = pieces.findIndex((one) => one.id === piece.id);
      const one = said.pieces[place];
      return { ...BELIEVED, gain: one?.gain ?? 0, top: one?.top ?? 0, start: (one?.top ?? 0) + 2.5 };
    };
    return { frame, pieces, believed, pinned: said.pinned };
  });

/** Of the pinned ones those that break nothing by themselves: what somebody wanted against a limit stays too. */
function fitting(frame: PlanFrame, bouts: readonly PlannedBout[]): PlannedBout[] {
  const kept: PlannedBout[] = [];
  for (const one of bouts) if (brokenIn(frame, [...kept, one]).length === 0) kept.push(one);
  return kept;
}

describe('a plan', () => {
  it('breaks no limit, no prerequisite and no minimum, by a checker that knows nothing of the planner', () => {
    fc.assert(
      fc.property(frames, ({ frame, pieces, believed, pinned }) => {
        const set = fitting(
          frame,
          pinned.flatMap(([i, d]) => (pieces[i] ? [aBout(pieces[i], d, { pinned: true, goes: 3 })] : [])),
        );
        const { bouts } = planOf(frame, set, believed, true);
        expect(wrongIn(frame, bouts)).toEqual([]);
        // What is pinned is where it was.
        for (const one of set)
          expect(bouts).toContainEqual(
            expect.objectContaining({ piece: one.piece, day: one.day, pinned: true, goes: 3 }),
          );
      }),
      { numRuns: 100 },
    );
  });

  it('is the same for the same question, and leaves what was done as it is', () => {
    fc.assert(
      fc.property(frames, ({ frame, believed }) => {
        const first = planOf(frame, [], believed);
        expect(planOf(frame, [], believed)).toEqual(first);
      }),
      { numRuns: 10 },
    );
  });

  it('sees what a checker that looked away would miss: a broken plan is called broken', () => {
    const jumper = aPiece('a', { bodily: true, restDays: 1 }, { jumps: 1 });
    const limits = [{ of: 'jumps', per: 'week', most: 15, source: 'me' }] as const;
    const frame = aFrame([jumper], { dogs: [aDog({ limits })] });
    const bouts = [aBout(jumper, 1), aBout(jumper, 3)];
    expect(wrongIn(frame, bouts)[0]).toContain('20 jumps in a week');
    expect(brokenIn(frame, bouts).map((one) => one.code)).toEqual(['load-week', 'load-week']);
    expect(wrongIn(frame, [aBout(jumper, 1), aBout(jumper, 2)]).join()).toContain('no rest between');
  });

  it('gives its time to what gains, and none to what a session does not help', () => {
    const [weak, sure] = [aPiece('weak'), aPiece('sure')];
    const { bouts } = planOf(aFrame([weak, sure]), [], (piece) =>
      piece.id === weak.id ? BELIEVED : { ...BELIEVED, gain: 0, loss: 0 },
    );
    expect(daysOf(bouts, 'weak').length).toBeGreaterThan(5);
    expect(daysOf(bouts, 'sure')).toEqual([]);
  });

  it('rehearses the last two sessions before a trial at the demand, where that is clean every other time', () => {
    const [near, far] = [aPiece('near', { stands: 4 }), aPiece('far', { stands: 2 })];
    const believed = (piece: PlanPiece): Believed =>
      piece.id === near.id ? { ...BELIEVED, top: 1 } : { ...BELIEVED, top: -3 };
    const { bouts } = planOf(aFrame([near, far]), [], believed, true);
    const of = (id: string) => bouts.filter((one) => one.piece === pieceId(id));
    expect(of('near').slice(-2)).toMatchObject([
      { purpose: 'rehearse', rung: 4 },
      { purpose: 'rehearse', rung: 4 },
    ]);
    expect(of('far').some((one) => one.purpose === 'rehearse')).toBe(false);
  });

  it('waits with a piece until what it needs has come so far, and then plans it', () => {
    const first = aPiece('first', { stands: 1 });
    const then = aPiece('then', { needs: [{ piece: pieceId('first'), rung: 2 }] });
    const { bouts } = planOf(aFrame([first, then]), [], (piece) =>
      piece.id === first.id ? { ...BELIEVED, top: 1.2, gain: 0.3 } : BELIEVED,
    );
    const reached = bouts.find((one) => one.piece === pieceId('first') && one.rung >= 2);
    const [begun] = daysOf(bouts, 'then');
    expect(reached && begun && begun > reached.day).toBe(true);
  });

  it('leaves a dog that is off work out until its day, and for good where nobody said until when', () => {
    const piece = aPiece('a');
    const until = planOf(aFrame([piece], { dogs: [aDog({ from: day(10) })] })).bouts;
    expect(until.every((one) => one.day >= day(10))).toBe(true);
    expect(until.length).toBeGreaterThan(0);
    expect(planOf(aFrame([piece], { dogs: [aDog({ from: null })] })).bouts).toEqual([]);
  });

  it('runs an exercise whole late, once its pieces are up to it, after five bouts on them', () => {
    const [a, b] = [aPiece('a', { stands: 4 }), aPiece('b', { stands: 4 })];
    const run = { ...aPiece('run', { links: [a.id, b.id], stands: 0, goes: 1, minutes: 5 }), dog: DOG };
    const frame = aFrame([a, b, run], { dogs: [aDog({ trialDays: [day(20)] })] });
    const { bouts } = planOf(frame, [], () => ({ ...BELIEVED, top: 2 }));
    const joined = bouts.filter((one) => one.purpose === 'join');
    expect(joined).toHaveLength(1);
    expect(joined[0] && joined[0].day >= day(6)).toBe(true);
    expect(wrongIn(frame, bouts)).toEqual([]);
  });

  it('shares the handler’s minutes among dogs by what they gain', () => {
    const other = { ...aPiece('b'), dog: 'e' as typeof DOG };
    const frame = aFrame([aPiece('a'), other], { dogs: [aDog(), aDog({ id: other.dog })] });
    const half = planOf(frame).bouts;
    expect(new Set(half.map((one) => one.dog)).size).toBe(2);
    const most = planOf(frame, [], (piece) => ({ ...BELIEVED, weight: piece.dog === DOG ? 1 : 0.02 })).bouts;
    const count = (bouts: readonly PlannedBout[]) => bouts.filter((one) => one.dog === DOG).length;
    expect(count(most)).toBeGreaterThanOrEqual(count(half));
  });
});

describe('why, and when', () => {
  it('says what each bout adds: with it less without it, by what is believed', () => {
    const { bouts } = planOf(aFrame([aPiece('a')]));
    const [one] = bouts;
    expect(one?.why && one.why.low <= one.why.mid && one.why.mid <= one.why.high).toBe(true);
    expect(one?.why?.mid).toBeGreaterThan(0);
    // In chances of a clean go, whatever a piece is worth beside others.
    const small = planOf(aFrame([aPiece('a')]), [], () => ({ ...BELIEVED, weight: 0.05 })).bouts;
    expect(small[0]?.why?.mid).toBeCloseTo(one?.why?.mid ?? 0, 12);
  });

  it('says what is not ready with the day on which it could be: by its days, or by what a session adds', () => {
    const [slow, muscle] = [
      aPiece('slow', { stands: 0 }),
      aPiece('muscle', { notBefore: day(60), stands: 1 }),
    ];
    const believed = (piece: PlanPiece): Believed =>
      piece.id === slow.id ? { ...BELIEVED, top: -2, gain: 0.1 } : { ...BELIEVED, top: 2 };
    const { late } = planOf(aFrame([slow, muscle]), [], believed, true);
    const [bySlow, byDays] = [
      late.find((one) => one.piece === slow.id),
      late.find((one) => one.piece === muscle.id),
    ];
    expect(byDays).toMatchObject({ because: 'days', ready: day(60) });
    expect(bySlow?.because).toBe('learning');
    expect(bySlow?.chance).toBeLessThan(0.5);
    expect(bySlow?.ready && bySlow.ready > day(ON)).toBe(true);
  });

  it('promises no day where nothing shows that it learns', () => {
    const { late } = planOf(aFrame([aPiece('a')]), [], () => ({ ...BELIEVED, top: -3, gain: -0.02 }), true);
    expect(late).toMatchObject([{ because: 'learning', ready: null }]);
  });
});
