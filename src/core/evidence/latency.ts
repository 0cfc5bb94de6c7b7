import { gridMean, gridPosterior, gridQuantiles, normalBelow } from '@/core/statistics';
import type { Interval } from './estimate';

/** A response time in seconds; where none came, only that it took longer than the limit. */
export type Timed = { readonly seconds: number; readonly came: boolean };

export type Quickness = {
  readonly timed: number;
  readonly late: number;
  /** The middle response time, seconds. */
  readonly median: Interval;
  /** Chance that the next comes within the limit. */
  readonly within: Interval;
};

/** log seconds: around the logged middle, ± a factor of e² at most; the spread around .35. */
const SPREAD = { mean: Math.log(0.35), sd: 0.5 } as const;

/**
 * Response times as a log-normal, those that did not come censored at the limit (seconds > 0): log
 * t ~ N(μ, σ²), μ flat over the grid, log σ ~ N(log .35, .5²). Null without a time. Chances are
 * averaged over what is not known of μ and σ.
 */
export function quicknessOf(times: readonly Timed[], limit: number): Quickness | null {
  const usable = times.filter((one) => one.seconds > 0);
  if (usable.length === 0 || !(limit > 0)) return null;
  const grid = gridOf(usable);
  const [low = 0, mid = 0, high = 0] = gridQuantiles(grid, (mu) => Math.exp(mu), [0.1, 0.5, 0.9]);
  const within = withinOf(limit);
  const [least = 0, most = 1] = gridQuantiles(grid, within, [0.1, 0.9]);
  return {
    timed: usable.length,
    late: usable.filter((one) => !one.came).length,
    median: { low, mid, high },
    within: { low: least, mid: gridMean(grid, within), high: most },
  };
}

/**
 * The chance that the next response comes later than each of `limits` (seconds > 0), by the same
 * model; null without a time. Thirty times around 1.5 s, limits 1 and 10 → about [.9, 0].
 */
export function beyondTimes(times: readonly Timed[], limits: readonly number[]): number[] | null {
  const usable = times.filter((one) => one.seconds > 0);
  if (usable.length === 0) return null;
  const grid = gridOf(usable);
  return limits.map((limit) => (limit > 0 ? 1 - gridMean(grid, withinOf(limit)) : 1));
}

const withinOf =
  (limit: number) =>
  (mu: number, logSd: number): number =>
    normalBelow((Math.log(limit) - mu) / Math.exp(logSd));

function gridOf(usable: readonly Timed[]): ReturnType<typeof gridPosterior> {
  const logs = usable.map((one) => Math.log(one.seconds));
  const came = logs.filter((_, i) => usable[i]?.came);
  const middle = came.reduce((a, b) => a + b, 0) / Math.max(1, came.length);
  const around = came.reduce((sum, one) => sum + (one - middle) ** 2, 0);
  const waited = logs.filter((_, i) => !usable[i]?.came);
  const log = (mu: number, logSd: number): number => {
    const sd = Math.exp(logSd);
    // Of the times that came their number, middle and spread are all that the normal asks for.
    let sum =
      -0.5 * ((logSd - SPREAD.mean) / SPREAD.sd) ** 2 -
      (0.5 * (around + came.length * (middle - mu) ** 2)) / sd ** 2 -
      came.length * logSd;
    for (const one of waited) sum += Math.log(Math.max(1e-300, 1 - normalBelow((one - mu) / sd)));
    return sum;
  };
  const centre = logs.reduce((a, b) => a + b, 0) / logs.length;
  // Where most did not come the middle lies above all that was seen: the range goes further up than
  // down.
  return gridPosterior(
    log,
    [Math.min(...logs, centre - 1) - 0.5, Math.max(...logs, centre + 1) + 2],
    [SPREAD.mean - 1.6, SPREAD.mean + 1.6],
  );
}
