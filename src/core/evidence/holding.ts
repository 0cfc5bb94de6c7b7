import { gridMean, gridPosterior } from '@/core/statistics';
import type { Interval } from './predict';
import { intervalOver, type Measured } from './swaying';

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
 * harder as it goes on), a session’s sway around a factor of e^.3.
 */
const PRIOR = {
  scaleSd: 1.2,
  shape: Math.log(1.2),
  shapeSd: 0.5,
  sway: Math.log(0.3),
  swaySd: 0.7,
} as const;

/**
 * The chance that a hold lasts `demand` seconds (> 0) by a Weibull fit: S(t) = exp(−(t/λ)^k), holds
 * ended by the handler censored, log λ of a session log λ + v with v ~ N(0, sway²) integrated out, sessions
 * weighed by age; log λ ~ N(log demand, 1.2²), log k ~ N(log 1.2, .5²), on a grid. The chance is that of
 * the next session, its sway averaged over. With no holds that is the prior. Null where the demand is not
 * above 0.
 */
export function lastingOf(sessions: readonly Measured<Hold>[], demand: number): Lasting | null {
  if (!(demand > 0)) return null;
  const centre = Math.log(demand);
  const told = sessions.map(({ weight, values }) => ({
    weight,
    logs: values.flatMap(({ seconds }) => (seconds > 0 ? [Math.log(seconds)] : [])),
    ends: values.flatMap(({ seconds, endedBy }) =>
      seconds > 0 && endedBy === 'dog' ? [Math.log(seconds)] : [],
    ),
  }));
  const log = (scale: number, logShape: number, logSway: number): number => {
    const k = Math.exp(logShape);
    const sway = Math.exp(logSway);
    let sum =
      -0.5 * ((scale - centre) / PRIOR.scaleSd) ** 2 -
      0.5 * ((logShape - PRIOR.shape) / PRIOR.shapeSd) ** 2 -
      0.5 * ((logSway - PRIOR.sway) / PRIOR.swaySd) ** 2;
    for (const { weight, logs, ends } of told) {
      // All that hangs on v: −d k v − e^(−k v) Σ (t/λ)^k, d holds that the dog ended.
      let [lasted, ended] = [0, 0];
      for (const t of logs) lasted += Math.exp(k * (t - scale));
      for (const t of ends) ended += logShape + (k - 1) * (t - scale) - scale;
      sum += weight * (ended + swayLog(ends.length * k, lasted, k, sway));
    }
    return sum;
  };
  const grid = gridPosterior(log, [
    [centre - 4, centre + 4],
    [PRIOR.shape - 1.6, PRIOR.shape + 1.6],
    [PRIOR.sway - 2, PRIOR.sway + 2],
  ]);
  const lasts = (scale: number, logShape: number, logSway: number): number => {
    const k = Math.exp(logShape);
    const sway = Math.exp(logSway);
    let sum = 0;
    for (let q = 0; q < SWAYS.length; q++)
      sum += (SHARES[q] as number) * Math.exp(-Math.exp(k * (centre - scale - sway * (SWAYS[q] as number))));
    return sum / SHARE;
  };
  const holds = sessions.flatMap((one) => one.values);
  return {
    holds: holds.length,
    broken: holds.filter((hold) => hold.endedBy === 'dog').length,
    survival: survivalOf(holds),
    lasts: { ...intervalOver(grid, lasts), mid: gridMean(grid, lasts) },
  };
}

/** Places over a session’s sway, in SDs, and the share of each. */
const SWAYS = Array.from({ length: 13 }, (_, i) => (i - 6) * 0.6);
const SHARES = SWAYS.map((z) => Math.exp(-0.5 * z * z));
const SHARE = SHARES.reduce((sum, one) => sum + one, 0);

/** log of the mean of exp(−d k v − lasted e^(−k v)) over v ~ N(0, sway²). */
function swayLog(ended: number, lasted: number, k: number, sway: number): number {
  let highest = -Infinity;
  const logs = SWAYS.map((z, q) => {
    const v = sway * z;
    const value = Math.log((SHARES[q] as number) / SHARE) - ended * v - lasted * Math.exp(-k * v);
    if (value > highest) highest = value;
    return value;
  });
  return highest + Math.log(logs.reduce((sum, one) => sum + Math.exp(one - highest), 0));
}
