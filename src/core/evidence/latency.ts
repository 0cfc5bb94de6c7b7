import { type Grid, gridMean, normalBelow } from '@/core/statistics';
import type { Interval } from './predict';
import { intervalOver, type Measured, type Normal, normalPosterior, type Within } from './swaying';

/** A response time in seconds; where none came, only that it took longer than the limit. */
export type Timed = { readonly seconds: number; readonly came: boolean };

export type Quickness = {
  readonly timed: number;
  readonly late: number;
  /** The middle response time over sessions, seconds. */
  readonly median: Interval;
  /** Chance that the next comes within the limit. */
  readonly within: Interval;
};

/**
 * Log seconds: the middle anywhere from a tenth of a second to a minute, the spread in a session around a
 * factor of e^.35, a session’s sway around e^.15.
 */
const LOG_SECONDS: Normal = {
  middle: { mean: Math.log(2), sd: 1.2 },
  spread: { log: Math.log(0.35), sd: 0.5 },
  sway: { log: Math.log(0.15), sd: 0.7 },
};

/**
 * Response times as log-normal with a sway from session to session, those that did not come censored at
 * the limit (seconds > 0), sessions weighed by age. Null without a time. Chances are those of the next
 * session, averaged over its sway and over what is not known.
 */
export function quicknessOf(sessions: readonly Measured<Timed>[], limit: number): Quickness | null {
  const usable = sessions.flatMap(({ values }) => values.filter((one) => one.seconds > 0));
  if (usable.length === 0 || !(limit > 0)) return null;
  const grid = gridOf(sessions);
  return {
    timed: usable.length,
    late: usable.filter((one) => !one.came).length,
    median: intervalOver(grid, (mu) => Math.exp(mu)),
    within: { ...intervalOver(grid, withinOf(limit)), mid: gridMean(grid, withinOf(limit)) },
  };
}

/**
 * The chance that the next response comes later than each of `limits` (seconds > 0), by the same
 * model; null without a time. Thirty times around 1.5 s, limits 1 and 10 → about [.9, 0].
 */
export function beyondTimes(
  sessions: readonly Measured<Timed>[],
  limits: readonly number[],
): number[] | null {
  if (!sessions.some(({ values }) => values.some((one) => one.seconds > 0))) return null;
  const grid = gridOf(sessions);
  return limits.map((limit) => (limit > 0 ? 1 - gridMean(grid, withinOf(limit)) : 1));
}

const withinOf =
  (limit: number) =>
  (mu: number, logSd: number, logSway: number): number =>
    normalBelow((Math.log(limit) - mu) / Math.hypot(Math.exp(logSd), Math.exp(logSway)));

const gridOf = (sessions: readonly Measured<Timed>[]): Grid =>
  normalPosterior(
    sessions.map(({ weight, values }) => ({
      weight,
      values: values.flatMap(({ seconds, came }): Within[] => {
        const log = Math.log(seconds);
        return seconds > 0 ? [{ from: log, to: came ? log : Number.POSITIVE_INFINITY }] : [];
      }),
    })),
    LOG_SECONDS,
  );
