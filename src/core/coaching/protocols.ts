import * as v from 'valibot';
import { daysBetween } from '@/core/shared';
import { type Advice, type Happening, hold, type PolicyStep, plural, type Standing } from './events';
import { NO_ROWS, type Rows } from './runs';

const few = v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(20));

/**
 * *By feel*: no advice. What the person does is logged, and can be compared with the rules later.
 */
export const feelRule = v.strictObject({ kind: v.literal('feel') });
export type FeelRule = v.InferOutput<typeof feelRule>;

/** One event by feel: no advice, whatever happens. */
export const stepFeel = (_: FeelRule, state: null): PolicyStep<null> => ({ state, advice: [] });

/**
 * *Scenario*: a fault stops the run; it is named, fixed by an easier repeat, ended well, and the
 * run goes on.
 */
export const scenarioRule = v.strictObject({ kind: v.literal('scenario'), advanceAfter: few });
export type ScenarioRule = v.InferOutput<typeof scenarioRule>;
export type ScenarioState = { readonly fixingFor: number | null; readonly rows: Rows };

/** The state before the first run: nothing is being fixed, no row. */
export const startScenario = (): ScenarioState => ({ fixingFor: null, rows: NO_ROWS });

/**
 * One event of a scenario: a fault on rung 3 → drop back to rung 2 with rung 3 kept as the one to
 * return to; clean there → go on; `advanceAfter` clean in a row → advance.
 */
export function stepScenario(
  rule: ScenarioRule,
  state: ScenarioState,
  event: Happening,
  at: Standing,
): PolicyStep<ScenarioState> {
  if (event.kind === 'moved') {
    const arrived = state.fixingFor !== null && event.rung >= state.fixingFor;
    const now = arrived || state.fixingFor === null ? startScenario() : state;
    return {
      state: now,
      advice: [
        hold(
          now.fixingFor === null
            ? 'Run it as it is meant.'
            : 'The easier repeat: help it to succeed, then go on.',
        ),
      ],
    };
  }
  if (event.kind !== 'rep' || !event.counts) return { state, advice: [hold('Run it as it is meant.')] };
  if (event.outcome === 'clean') return afterClean(rule, state, at);
  const fixing = { ...state, fixingFor: state.fixingFor ?? at.rung, rows: NO_ROWS };
  if (at.rung === 0)
    return {
      state: fixing,
      advice: [
        {
          kind: 'help',
          reason: 'Stop and name it. This is the lowest rung: help it through once, then go on.',
        },
      ],
    };
  return {
    state: fixing,
    advice: [
      {
        kind: 'drop-back',
        to: at.rung - 1,
        reason: 'Stop and name it. Repeat it easier, succeed, then go on.',
      },
    ],
  };
}

function afterClean(rule: ScenarioRule, state: ScenarioState, at: Standing): PolicyStep<ScenarioState> {
  if (state.fixingFor !== null && at.rung < state.fixingFor)
    return {
      state,
      advice: [{ kind: 'advance', to: state.fixingFor, reason: 'Fixed. Go on where the run stopped.' }],
    };
  const rows = { ...state.rows, clean: state.rows.clean + 1 };
  const now = { fixingFor: null, rows };
  const grounds = `${rows.clean} clean in a row; your rule is ${rule.advanceAfter}.`;
  if (rows.clean < rule.advanceAfter) return { state: now, advice: [hold(grounds)] };
  if (at.rung >= at.top)
    return {
      state: now,
      advice: [{ kind: 'done', reason: `${grounds} This is the whole scenario: change the place next.` }],
    };
  return { state: now, advice: [{ kind: 'advance', to: at.rung + 1, reason: grounds }] };
}

/**
 * *Strength*: seconds are muscle. Few reps a day, days between steps, and a break lengthens nothing
 * that day.
 */
export const strengthRule = v.strictObject({
  kind: v.literal('strength'),
  minDays: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(60)),
  repsPerDay: few,
  cleanToAdvance: few,
});
export type StrengthRule = v.InferOutput<typeof strengthRule>;
export type StrengthState = { readonly reps: number; readonly clean: number; readonly breaks: number };

/** The state before the day's first rep: no reps, none clean, no break. */
export const startStrength = (): StrengthState => ({ reps: 0, clean: 0, breaks: 0 });

/**
 * One event of strength work: reps of the day and holds that were broken. The second break → stop;
 * the day's number of reps → end, or a step longer after `minDays` on the rung with
 * `cleanToAdvance` clean.
 */
export function stepStrength(
  rule: StrengthRule,
  state: StrengthState,
  event: Happening,
  at: Standing,
): PolicyStep<StrengthState> {
  const more = event.kind === 'unlogged' ? event.count : event.kind === 'rep' ? 1 : 0;
  const fair = event.kind === 'rep' && event.counts;
  const now: StrengthState = {
    reps: state.reps + more,
    clean: state.clean + (fair && event.outcome === 'clean' ? 1 : 0),
    breaks: state.breaks + (fair && event.outcome !== 'clean' ? 1 : 0),
  };
  return { state: now, advice: [strengthAdvice(rule, now, at)] };
}

function strengthAdvice(rule: StrengthRule, { reps, clean, breaks }: StrengthState, at: Standing): Advice {
  if (breaks >= 2)
    return {
      kind: 'stop',
      reason: `Broken ${breaks} times today: stop and rest. If rest days do not help, have a vet look. It is muscle, not will.`,
    };
  if (reps >= rule.repsPerDay) return atDayEnd(rule, { reps, clean, breaks }, at);
  if (breaks === 1)
    return hold(`Broken once: no longer holds today. ${reps} of ${plural(rule.repsPerDay, 'rep')} done.`);
  return hold(`${reps} of ${plural(rule.repsPerDay, 'rep')} for today.`);
}

function atDayEnd(rule: StrengthRule, { reps, clean, breaks }: StrengthState, at: Standing): Advice {
  const full = `${reps} of ${rule.repsPerDay} for today: enough, and a rest day is training too.`;
  if (breaks > 0 || clean < rule.cleanToAdvance)
    return { kind: 'end', reason: `${full} ${clean} clean; longer comes another day.` };
  if (at.rung >= at.top) return { kind: 'done', reason: `${full} All of the demand, clean.` };
  const days = at.rungSince !== null && at.today !== null ? daysBetween(at.rungSince, at.today) : 0;
  if (days < rule.minDays)
    return {
      kind: 'end',
      reason: `${full} ${plural(days, 'day')} on this rung; your rule is at least ${rule.minDays}.`,
    };
  return {
    kind: 'advance',
    to: at.rung + 1,
    reason: `${full} ${days} days on this rung, ${clean} clean and no break: next time a step longer.`,
  };
}

/** *Distribution* (shaping): pay what is better than most of what the dog has just offered. */
export const distributionRule = v.strictObject({
  kind: v.literal('distribution'),
  /** How many last responses are looked at. */
  window: v.pipe(v.number(), v.integer(), v.minValue(4), v.maxValue(50)),
  /** Share of responses that should be paid. About 4 of 5 is usual. */
  paidShare: v.pipe(v.number(), v.minValue(0.2), v.maxValue(0.95)),
});
export type DistributionRule = v.InferOutput<typeof distributionRule>;
export type DistributionState = { readonly grades: readonly number[] };

/** The state before the first response: no grades. */
export const startDistribution = (): DistributionState => ({ grades: [] });

/**
 * The lowest grade to pay now, by the percentile schedule (Galbicka 1994): of the last m grades,
 * sorted, the one of rank r = (m + 1)(1 − w) counted from the worst, w the share to pay; with r
 * under 1 everything is paid. `criterionOf(.8, [0, 1, 1, 2])` → 0.
 */
function criterionOf(paidShare: number, grades: readonly number[]): number {
  const rank = Math.floor((grades.length + 1) * (1 - paidShare) + 1e-9);
  return rank < 1 ? 0 : ([...grades].sort((a, b) => a - b)[rank - 1] as number);
}

const GRADE_OF = { clean: 2, flawed: 1, miss: 0 } as const;

/**
 * One event of shaping: the last `window` grades (0 and up, worst first) set what is paid next,
 * and moving to another rung forgets them. Paid share .8 after grades 0, 1, 1, 2 → pay from grade
 * 0 up.
 */
export function stepDistribution(
  rule: DistributionRule,
  state: DistributionState,
  event: Happening,
  at: Standing,
): PolicyStep<DistributionState> {
  if (event.kind === 'moved')
    return {
      state: startDistribution(),
      advice: [hold('A new rung: everything is paid until a few responses are seen.')],
    };
  const fresh = event.kind === 'rep' && event.counts ? [event.grade ?? GRADE_OF[event.outcome]] : [];
  const grades = [...state.grades, ...fresh].slice(-rule.window);
  return { state: { grades }, advice: [distributionAdvice(rule, grades, at)] };
}

function distributionAdvice(rule: DistributionRule, grades: readonly number[], at: Standing): Advice {
  const level = criterionOf(rule.paidShare, grades);
  const share = `about ${Math.round(rule.paidShare * 100)} in 100`;
  if (grades.length < 4)
    return hold(`${plural(grades.length, 'response')} seen: pay every one until there are four.`);
  const best = Math.max(...grades);
  const settled = grades.length >= rule.window && best > 0 && level >= best;
  if (!settled)
    return hold(`Pay grade ${level} and better: of the last ${grades.length}, ${share} were that good.`);
  const words = `The last ${grades.length} are all but alike, at grade ${best}`;
  if (at.rung >= at.top) return { kind: 'done', reason: `${words}, on the top rung.` };
  return { kind: 'advance', to: at.rung + 1, reason: `${words}: nothing is left to choose from here.` };
}
