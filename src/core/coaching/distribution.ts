import * as v from 'valibot';
import { say } from '@/core/shared';
import { type Advice, type Happening, hold, type PolicyStep, type Standing } from './events';

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
      advice: [hold(say('coaching.distribution.a-new-rung-everything-is-paid'))],
    };
  const fresh = event.kind === 'rep' && event.counts ? [event.grade ?? GRADE_OF[event.outcome]] : [];
  const grades = [...state.grades, ...fresh].slice(-rule.window);
  return { state: { grades }, advice: [distributionAdvice(rule, grades, at)] };
}

function distributionAdvice(rule: DistributionRule, grades: readonly number[], at: Standing): Advice {
  const level = criterionOf(rule.paidShare, grades);
  const share = say('coaching.distribution.about-in-100', { round: Math.round(rule.paidShare * 100) });
  if (grades.length < FEW_GRADES)
    return hold(say('coaching.distribution.response', { gradesCount: grades.length }));
  const asked = at.grades?.[at.rung] ?? null;
  if (asked === null) return ungraded(rule, grades, level, at);
  const good = grades.filter((grade) => grade >= asked).length;
  const words = say('coaching.distribution.of-the-last-were-as-far-as-asked', {
    good,
    gradesCount: grades.length,
  });
  if (grades.length < rule.window || level < asked)
    return hold(say('coaching.distribution.pay-those', { words, level: level >= asked, share }));
  if (at.rung >= at.top) return { kind: 'done', reason: say('coaching.distribution.all-of-it', { words }) };
  // The ladder goes on from the grade shown, not from the one asked.
  const shown = at.grades?.findLastIndex((grade) => grade <= level) ?? at.rung;
  const to = Math.max(at.rung + 1, shown);
  return { kind: 'advance', to, reason: say('coaching.distribution.ask-for-more', { words }) };
}

const FEW_GRADES = 4;

/** Without a list of responses the grades are clean, flawed and missed. */
function ungraded(rule: DistributionRule, grades: readonly number[], level: number, at: Standing): Advice {
  const best = Math.max(...grades);
  const good = grades.filter((grade) => grade >= level).length;
  if (grades.length < rule.window || best === 0 || level < best)
    return hold(
      say('coaching.distribution.pay-the-better-ones-of-the-last', { good, gradesCount: grades.length }),
    );
  const words = say('coaching.distribution.the-last-are-all-but-alike', { gradesCount: grades.length });
  if (at.rung >= at.top)
    return { kind: 'done', reason: say('coaching.distribution.on-the-top-step', { words }) };
  return {
    kind: 'advance',
    to: at.rung + 1,
    reason: say('coaching.distribution.nothing-is-left-to-choose-from', { words }),
  };
}
