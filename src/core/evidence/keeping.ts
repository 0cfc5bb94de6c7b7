import { quantile } from '@/core/statistics';
import type { Target } from './design';
import type { Posterior } from './draw';
import { asTrained, chancesAt, isAssumed, lossAfter, type When } from './predict';
import { DRAW } from './priors';
import { EVIDENCE } from './settings';

/** How it keeps without a session, on the step where the dog stands. */
export type Keeping = {
  /** Chance of a clean first try the day after the last session, and today. */
  readonly fresh: number;
  readonly today: number;
  /** Logits that thirty days take, in the middle of what is thought. */
  readonly loss: number;
  /**
   * Days after the last session on which a first try is clean .05 less often than on the day after it;
   * null where none within a year is.
   */
  readonly dueAfter: number | null;
  /** Days in which half of what a gap takes is gone; null while reps have not told. */
  readonly halfLife: number | null;
  /** Whether what a gap takes is only assumed: no gap, or too few, has told. */
  readonly assumed: boolean;
};

const DUE_AT = 0.05;
const YEAR = 365;
const LONG = 30;

/**
 * What the draws say of a gap: the first day on which the cold chance at `here` lies .05 under that of the
 * day after the last session, by bisection (it falls all the way). A half-life is said only once the
 * spread of its logarithm has fallen under .8 of what was assumed. Ten sessions without a gap → due by
 * what is assumed, `assumed` true, no half-life.
 */
export function keepingOf(posterior: Posterior, here: Target): Keeping {
  const cold = (gap: number): When => ({ ...asTrained(posterior), cold: 1, gap });
  const chance = (gap: number): number => middle(chancesAt(posterior, here, cold(gap)));
  const fresh = chance(1);
  const column = (j: number): Float64Array =>
    Float64Array.from(
      { length: posterior.count },
      (_, i) => posterior.draws[i * posterior.width + j] as number,
    );
  const lost = Float64Array.from({ length: posterior.count }, (_, i) => lossAfter(posterior, i, LONG));
  const days = column(DRAW.lasting);
  const isFound = !isAssumed(days, EVIDENCE.lasting.sd);
  return {
    fresh,
    today: chance(Math.max(1, posterior.idle)),
    loss: middle(lost),
    dueAfter: fresh - chance(YEAR) < DUE_AT ? null : firstDay((gap) => fresh - chance(gap) >= DUE_AT),
    halfLife: isFound ? Math.exp(middle(days)) * Math.LN2 : null,
    assumed: isAssumed(column(DRAW.loss), HALF_SD * EVIDENCE.loss.sd),
  };
}
/** SD of a half-normal of 1: √(1 − 2/π). */
const HALF_SD = Math.sqrt(1 - 2 / Math.PI);
const middle = (values: ArrayLike<number>): number => quantile(values, 0.5);

/** The first day from 1 to a year on which it holds, of something that holds from some day on. */
function firstDay(holds: (day: number) => boolean): number {
  let [low, high] = [1, YEAR];
  while (low < high) {
    const between = Math.floor((low + high) / 2);
    if (holds(between)) high = between;
    else low = between + 1;
  }
  return low;
}
