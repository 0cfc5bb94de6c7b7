import * as v from 'valibot';
import { daysBetween, say } from '@/core/shared';
import { type Advice, type Happening, hold, type PolicyStep, type Standing } from './events';
import { few } from './runs';

/**
 * *Strength*: seconds are muscle. Few reps a day, rest days between, so many days at least for the whole
 * exercise, and a break lengthens nothing that day.
 */
export const strengthRule = v.strictObject({
  kind: v.literal('strength'),
  /** Days at least from the first one to the whole demand. */
  minDays: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(180)),
  /** Days without this work between two with it. */
  restDays: v.optional(v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(7)), 1),
  repsPerDay: few,
  cleanToAdvance: few,
});
export type StrengthRule = v.InferOutput<typeof strengthRule>;
export type StrengthState = {
  readonly reps: number;
  readonly clean: number;
  readonly breaks: number;
  /** Seconds of the clean holds of today, where they were measured. */
  readonly held: readonly number[];
};

/** The state before the day's first rep: no reps, none clean, no break. */
export const startStrength = (): StrengthState => ({ reps: 0, clean: 0, breaks: 0, held: [] });

/**
 * One event of strength work: reps of the day and holds that were broken. The second break → stop; the
 * day's number of reps → end, or a step longer with `cleanToAdvance` clean and no break, where so much
 * of the whole exercise is due by its days.
 */
export function stepStrength(
  rule: StrengthRule,
  state: StrengthState,
  event: Happening,
  at: Standing,
): PolicyStep<StrengthState> {
  const more = event.kind === 'unlogged' ? event.count : event.kind === 'rep' ? 1 : 0;
  const fair = event.kind === 'rep' && event.counts;
  const clean = fair && event.outcome === 'clean';
  const now: StrengthState = {
    reps: state.reps + more,
    clean: state.clean + (clean ? 1 : 0),
    breaks: state.breaks + (fair && !clean ? 1 : 0),
    held: clean && typeof event.held === 'number' ? [...state.held, event.held] : state.held,
  };
  return { state: now, advice: [strengthAdvice(rule, now, at)] };
}

function strengthAdvice(rule: StrengthRule, state: StrengthState, at: Standing): Advice {
  const { reps, breaks } = state;
  if (breaks >= 2)
    return {
      kind: 'stop',
      reason: say('coaching.strength.broken-times-today-stop-and-rest', { breaks }),
    };
  if (reps >= rule.repsPerDay) return atDayEnd(rule, state, at);
  const done = say('coaching.strength.of-rep', { reps, repsPerDay: rule.repsPerDay });
  const rested = at.lastDay !== null && at.today !== null ? daysBetween(at.lastDay, at.today) - 1 : null;
  if (rested !== null && rested >= 0 && rested < rule.restDays)
    return {
      kind: 'end',
      reason: say('coaching.strength.it-worked-your-rule-leaves-rest', {
        rested: rested === 0 ? 'yesterday' : say('coaching.strength.days-ago', { rested: rested + 1 }),
        restDays: rule.restDays,
      }),
    };
  if (breaks === 1) return hold(say('coaching.strength.broken-once-no-longer-holds-today', { done }));
  return hold(done);
}

function atDayEnd(rule: StrengthRule, state: StrengthState, at: Standing): Advice {
  const { reps, clean, breaks } = state;
  const full = say('coaching.strength.of-for-today-enough-and-a-rest-day', {
    reps,
    repsPerDay: rule.repsPerDay,
  });
  if (breaks > 0 || clean < rule.cleanToAdvance)
    return { kind: 'end', reason: say('coaching.strength.clean-longer-comes-another-day', { full, clean }) };
  if (at.rung >= at.top)
    return { kind: 'done', reason: say('coaching.strength.all-of-the-demand-clean', { full }) };
  const days = at.since !== null && at.today !== null ? daysBetween(at.since, at.today) : 0;
  const due = dueOn(rule, at.rung + 1, at.top);
  if (days < due)
    return {
      kind: 'end',
      reason: say('coaching.strength.day-of-the-exercise-the-next-step', {
        full,
        days: days + 1,
        due: due + 1,
        minDays: rule.minDays,
      }),
    };
  const to = longerBy(rule, state, at, days);
  return {
    kind: 'advance',
    to,
    reason: say('coaching.strength.clean-and-no-break-next-time', {
      full,
      clean,
      to:
        to > at.rung + 1
          ? say('coaching.strength.held-each-time', { seconds: Number(shortest(state).toPrecision(2)) })
          : '',
    }),
  };
}

/** The days after the first on which a rung may be reached: even steps, the top not before the minimum. */
const dueOn = (rule: StrengthRule, rung: number, top: number): number =>
  Math.ceil((rule.minDays * rung) / top);

const shortest = ({ held }: StrengthState): number => Math.min(...held);

/**
 * The next rung, or a wider step by what was held: the highest that asks no more than the shortest clean
 * hold of the day, and is due.
 */
function longerBy(rule: StrengthRule, state: StrengthState, at: Standing, days: number): number {
  const { holds } = at;
  if (holds === null || state.held.length < rule.cleanToAdvance) return at.rung + 1;
  const fits = holds.findLastIndex(
    (asked, rung) => asked <= shortest(state) + 1e-9 && dueOn(rule, rung, at.top) <= days,
  );
  return Math.max(at.rung + 1, fits);
}
