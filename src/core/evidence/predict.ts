import { logistic, quantile, shrinkage, variance } from '@/core/statistics';
import type { Target } from './design';
import type { Posterior } from './draw';
import { DRAW } from './priors';

/** A figure with what is not known about it: the middle and the ends of an 80 % interval. */
export type Interval = { readonly low: number; readonly mid: number; readonly high: number };

/**
 * Under what a chance is asked for: 0 or 1 each, as in `DRAW`; sessions from the next one on; and days
 * since the session before it.
 */
export type When = {
  readonly away: number;
  readonly cold: number;
  readonly handler: number;
  readonly unpaid: number;
  readonly worn: number;
  readonly sessions: number;
  readonly gap: number;
};

/** A session of today, as it is usually trained: at home, warm, paid. */
export const asTrained = ({ idle }: Pick<Posterior, 'idle'>): When => ({
  away: 0,
  cold: 0,
  handler: 0,
  unpaid: 0,
  worn: 0,
  sessions: 0,
  gap: idle,
});

/** A trial of today by the usual handler: a strange place, the first try of the day, no pay. */
export const asAtTrial = (posterior: Pick<Posterior, 'idle'>): When => ({
  ...asTrained(posterior),
  away: 1,
  cold: 1,
  unpaid: 1,
});

/** Read in every draw of every element: not through another file’s door each time. */
const AT = { ...DRAW };

/** The linear predictor of draw `i` at a target, at the first go of a session. */
export function predictorOf(
  { draws, width }: Posterior,
  i: number,
  { columns, either }: Target,
  when: When,
): number {
  const at = i * width;
  let eta = draws[at + AT.level] as number;
  if (when.sessions !== 0) eta += when.sessions * (draws[at + AT.gain] as number);
  if (when.away !== 0) eta += when.away * (draws[at + AT.away] as number);
  if (when.cold !== 0) eta += when.cold * (draws[at + AT.cold] as number);
  if (when.handler !== 0) eta += when.handler * (draws[at + AT.handler] as number);
  if (when.unpaid !== 0) eta += when.unpaid * (draws[at + AT.unpaid] as number);
  if (when.worn !== 0) eta += when.worn * (draws[at + AT.worn] as number);
  if (when.gap > 0)
    eta +=
      (draws[at + AT.loss] as number) * Math.expm1(-when.gap * Math.exp(-(draws[at + AT.lasting] as number)));
  for (let a = 0; a < columns.length; a++) {
    const x = columns[a] as number;
    if (x !== 0) eta -= Math.exp(draws[at + AT.slopes + a] as number) * x;
  }
  for (const { left, x } of either) {
    const first = at + AT.slopes + left;
    eta -= Math.max(Math.exp(draws[first] as number), Math.exp(draws[first + 1] as number)) * x;
  }
  return eta;
}

/** Logits that draw `i` loses in so many days without a session: F (1 − e^(−days/h)). */
export function lossAfter({ draws, width }: Posterior, i: number, days: number): number {
  if (days <= 0) return 0;
  const at = i * width;
  return (draws[at + AT.loss] as number) * -Math.expm1(-days * Math.exp(-(draws[at + AT.lasting] as number)));
}

/** SD of the swing in draw `i`. */
export const swingAt = ({ draws, width }: Posterior, i: number): number =>
  draws[i * width + width - 1] as number;

/**
 * Chances of a clean rep, one for each draw, averaged over the session's swing: σ(η/√(1 + πτ²/8)).
 */
export function chancesAt(
  posterior: Posterior,
  target: Target,
  when: When = asTrained(posterior),
): Float64Array {
  return Float64Array.from({ length: posterior.count }, (_, i) =>
    logistic(predictorOf(posterior, i, target, when) * shrinkage(swingAt(posterior, i) ** 2)),
  );
}

/** Of the spread that was assumed so much is left before anything is said to be found. */
const STILL_ASSUMED = 0.8;

/**
 * Whether draws are nearly as spread as they were assumed to be before a rep: then they tell what was
 * assumed.
 */
export const isAssumed = (values: ArrayLike<number>, priorSd: number): boolean =>
  Math.sqrt(variance(values)) > STILL_ASSUMED * priorSd;

/** The 80 % interval and the middle of draws. */
export function interval(values: ArrayLike<number>): Interval {
  return { low: quantile(values, 0.1), mid: quantile(values, 0.5), high: quantile(values, 0.9) };
}
