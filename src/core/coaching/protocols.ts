import * as v from 'valibot';
import { daysBetween, say } from '@/core/shared';
import { type Advice, type Happening, hold, type PolicyStep, type Standing } from './events';
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
            ? say('coaching.protocols.run-it-as-it-is-meant')
            : say('coaching.protocols.the-easier-repeat-help-it-to'),
        ),
      ],
    };
  }
  if (event.kind !== 'rep' || !event.counts)
    return { state, advice: [hold(say('coaching.protocols.run-it-as-it-is-meant'))] };
  if (event.outcome === 'clean') return afterClean(rule, state, at);
  const fixing = { ...state, fixingFor: state.fixingFor ?? at.rung, rows: NO_ROWS };
  if (at.rung === 0)
    return {
      state: fixing,
      advice: [
        {
          kind: 'help',
          reason: say('coaching.protocols.stop-and-name-it-this-is-the'),
        },
      ],
    };
  return {
    state: fixing,
    advice: [
      {
        kind: 'drop-back',
        to: at.rung - 1,
        reason: say('coaching.protocols.stop-and-name-it-repeat-it-easier'),
      },
    ],
  };
}

function afterClean(rule: ScenarioRule, state: ScenarioState, at: Standing): PolicyStep<ScenarioState> {
  if (state.fixingFor !== null && at.rung < state.fixingFor)
    return {
      state,
      advice: [
        {
          kind: 'advance',
          to: state.fixingFor,
          reason: say('coaching.protocols.fixed-go-on-where-the-run-stopped'),
        },
      ],
    };
  const rows = { ...state.rows, clean: state.rows.clean + 1 };
  const now = { fixingFor: null, rows };
  const grounds = say('coaching.protocols.clean-in-a-row-your-rule-is', {
    clean: rows.clean,
    advanceAfter: rule.advanceAfter,
  });
  if (rows.clean < rule.advanceAfter) return { state: now, advice: [hold(grounds)] };
  if (at.rung >= at.top)
    return {
      state: now,
      advice: [
        { kind: 'done', reason: say('coaching.protocols.this-is-the-whole-scenario-change', { grounds }) },
      ],
    };
  return { state: now, advice: [{ kind: 'advance', to: at.rung + 1, reason: grounds }] };
}

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
      reason: say('coaching.protocols.broken-times-today-stop-and-rest', { breaks }),
    };
  if (reps >= rule.repsPerDay) return atDayEnd(rule, state, at);
  const done = say('coaching.protocols.of-rep', { reps, repsPerDay: rule.repsPerDay });
  const rested = at.lastDay !== null && at.today !== null ? daysBetween(at.lastDay, at.today) - 1 : null;
  if (rested !== null && rested >= 0 && rested < rule.restDays)
    return {
      kind: 'end',
      reason: say('coaching.protocols.it-worked-your-rule-leaves-rest', {
        rested: rested === 0 ? 'yesterday' : say('coaching.protocols.days-ago', { rested: rested + 1 }),
        restDays: rule.restDays,
      }),
    };
  if (breaks === 1) return hold(say('coaching.protocols.broken-once-no-longer-holds-today', { done }));
  return hold(done);
}

function atDayEnd(rule: StrengthRule, state: StrengthState, at: Standing): Advice {
  const { reps, clean, breaks } = state;
  const full = say('coaching.protocols.of-for-today-enough-and-a-rest-day', {
    reps,
    repsPerDay: rule.repsPerDay,
  });
  if (breaks > 0 || clean < rule.cleanToAdvance)
    return { kind: 'end', reason: say('coaching.protocols.clean-longer-comes-another-day', { full, clean }) };
  if (at.rung >= at.top)
    return { kind: 'done', reason: say('coaching.protocols.all-of-the-demand-clean', { full }) };
  const days = at.since !== null && at.today !== null ? daysBetween(at.since, at.today) : 0;
  const due = dueOn(rule, at.rung + 1, at.top);
  if (days < due)
    return {
      kind: 'end',
      reason: say('coaching.protocols.day-of-the-exercise-the-next-step', {
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
    reason: say('coaching.protocols.clean-and-no-break-next-time', {
      full,
      clean,
      to:
        to > at.rung + 1
          ? say('coaching.protocols.held-each-time', { seconds: Number(shortest(state).toPrecision(2)) })
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
      advice: [hold(say('coaching.protocols.a-new-rung-everything-is-paid'))],
    };
  const fresh = event.kind === 'rep' && event.counts ? [event.grade ?? GRADE_OF[event.outcome]] : [];
  const grades = [...state.grades, ...fresh].slice(-rule.window);
  return { state: { grades }, advice: [distributionAdvice(rule, grades, at)] };
}

function distributionAdvice(rule: DistributionRule, grades: readonly number[], at: Standing): Advice {
  const level = criterionOf(rule.paidShare, grades);
  const share = say('coaching.protocols.about-in-100', { round: Math.round(rule.paidShare * 100) });
  if (grades.length < FEW_GRADES)
    return hold(say('coaching.protocols.response', { gradesCount: grades.length }));
  const asked = at.grades?.[at.rung] ?? null;
  if (asked === null) return ungraded(rule, grades, level, at);
  const good = grades.filter((grade) => grade >= asked).length;
  const words = say('coaching.protocols.of-the-last-were-as-far-as-asked', {
    good,
    gradesCount: grades.length,
  });
  if (grades.length < rule.window || level < asked)
    return hold(say('coaching.protocols.pay-those', { words, level: level >= asked, share }));
  if (at.rung >= at.top) return { kind: 'done', reason: say('coaching.protocols.all-of-it', { words }) };
  // The ladder goes on from the grade shown, not from the one asked.
  const shown = at.grades?.findLastIndex((grade) => grade <= level) ?? at.rung;
  const to = Math.max(at.rung + 1, shown);
  return { kind: 'advance', to, reason: say('coaching.protocols.ask-for-more', { words }) };
}

const FEW_GRADES = 4;

/** Without a list of responses the grades are clean, flawed and missed. */
function ungraded(rule: DistributionRule, grades: readonly number[], level: number, at: Standing): Advice {
  const best = Math.max(...grades);
  const good = grades.filter((grade) => grade >= level).length;
  if (grades.length < rule.window || best === 0 || level < best)
    return hold(
      say('coaching.protocols.pay-the-better-ones-of-the-last', { good, gradesCount: grades.length }),
    );
  const words = say('coaching.protocols.the-last-are-all-but-alike', { gradesCount: grades.length });
  if (at.rung >= at.top)
    return { kind: 'done', reason: say('coaching.protocols.on-the-top-step', { words }) };
  return {
    kind: 'advance',
    to: at.rung + 1,
    reason: say('coaching.protocols.nothing-is-left-to-choose-from', { words }),
  };
}
