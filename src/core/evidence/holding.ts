import { gridMean, gridPosterior, gridQuantiles } from '@/core/statistics';
import type { Interval } from './estimate';

/**
 * One hold: how long, and who ended it. One that the handler ended would have lasted longer: it is
 * censored.
 */
export type Hold = { readonly seconds: number; readonly endedBy: 'dog' | 'handler' };

/**
 * One step of a survival curve: from `at` seconds on this share still holds; `atRisk` holds had
 * lasted so long.
 */
export type SurvivalStep = { readonly at: number; readonly share: number; readonly atRisk: number };

/**
 * The share of holds that last at least so long, holds that the handler ended counted for as long
 * as they were watched (Kaplan & Meier 1958). Steps at each time at which the dog ended one, after
 * (0, 1). Holds of 2, 3+, 5 s → (0, 1), (2, 2/3), (5, 0).
 * @internal
 */
export function survivalOf(holds: readonly Hold[]): SurvivalStep[] {
  const steps: SurvivalStep[] = [{ at: 0, share: 1, atRisk: holds.length }];
  let share = 1;
  for (const at of [
    ...new Set(holds.filter((hold) => hold.endedBy === 'dog').map((hold) => hold.seconds)),
  ].sort((a, b) => a - b)) {
    const atRisk = holds.filter((hold) => hold.seconds >= at).length;
    const ended = holds.filter((hold) => hold.seconds === at && hold.endedBy === 'dog').length;
    share *= 1 - ended / atRisk;
    steps.push({ at, share, atRisk });
  }
  return steps;
}

export type Lasting = {
  readonly holds: number;
  readonly broken: number;
  readonly survival: readonly SurvivalStep[];
  /** Chance that a hold lasts as long as is demanded. */
  readonly lasts: Interval;
};

/**
 * Priors of the Weibull fit: the scale is some way around the demand, the shape around 1.2 (it gets
 * harder as it goes on).
 */
const PRIOR = { scaleSd: 1.2, shape: Math.log(1.2), shapeSd: 0.5 } as const;

/**
 * The chance that a hold lasts `demand` seconds (> 0) by a Weibull fit: S(t) = exp(−(t/λ)^k), holds
 * ended by the handler censored, log λ ~ N(log demand, 1.2²), log k ~ N(log 1.2, .5²), on a grid.
 * With no holds that is the prior. Null where the demand is not above 0.
 */
export function lastingOf(holds: readonly Hold[], demand: number): Lasting | null {
  if (!(demand > 0)) return null;
  const usable = holds.filter((hold) => hold.seconds > 0);
  const centre = Math.log(demand);
  const log = (scale: number, shape: number): number => {
    const k = Math.exp(shape);
    let sum =
      -0.5 * ((scale - centre) / PRIOR.scaleSd) ** 2 - 0.5 * ((shape - PRIOR.shape) / PRIOR.shapeSd) ** 2;
    for (const { seconds, endedBy } of usable) {
      const t = Math.log(seconds) - scale;
      sum -= Math.exp(k * t);
      if (endedBy === 'dog') sum += shape + (k - 1) * t - scale;
    }
    return sum;
  };
  const grid = gridPosterior(log, [centre - 4, centre + 4], [PRIOR.shape - 1.8, PRIOR.shape + 1.8]);
  const lasts = (scale: number, shape: number): number =>
    Math.exp(-Math.exp(Math.exp(shape) * (centre - scale)));
  const [low = 0, high = 1] = gridQuantiles(grid, lasts, [0.1, 0.9]);
  return {
    holds: holds.length,
    broken: holds.filter((hold) => hold.endedBy === 'dog').length,
    survival: survivalOf(holds),
    lasts: { low, mid: gridMean(grid, lasts), high },
  };
}
