import { type Day, daysBetween } from '@/core/shared';
import { type Grid, gridPosterior, gridQuantiles, normalBelow } from '@/core/statistics';
import type { Interval } from './predict';
import { EVIDENCE } from './settings';

/** What was measured in one session, and what that still weighs. */
export type Measured<T> = { readonly weight: number; readonly values: readonly T[] };

/** Measures session by session, weighed by age as the reps are; what has lost its say is left out. */
export function bySession<T, B extends { readonly day: Day }>(
  bouts: readonly B[],
  today: Day,
  of: (bout: B) => readonly T[],
): Measured<T>[] {
  return bouts.flatMap((bout) => {
    const values = of(bout);
    const weight = 2 ** (-daysBetween(bout.day, today) / EVIDENCE.halfLifeDays);
    return values.length === 0 || weight < EVIDENCE.leastWeight ? [] : [{ weight, values }];
  });
}

/** Known exactly (both ends alike), or only to lie between two ends. */
export type Within = { readonly from: number; readonly to: number };

/** What was measured is normal: its middle, the log of its SD in a session, and that of its session’s sway. */
export type Normal = {
  readonly middle: { readonly mean: number; readonly sd: number };
  readonly spread: { readonly log: number; readonly sd: number };
  readonly sway: { readonly log: number; readonly sd: number };
};

/** SDs on either side of a prior that are looked at. */
const OUT = 4;
const OUT_LOG = 3;

/**
 * Posterior of (middle, log SD in a session, log SD of the session’s sway) where a value of session k is
 * middle + v_k + SD·z, v_k ~ N(0, sway²) is integrated out in each, and the logarithm of that weighs by
 * age (as in `marginalLog`). Exact values leave v normal, in closed form; over those known between ends
 * only it is summed at `NODES` places. Priors normal; with no values it is the prior.
 */
export function normalPosterior(sessions: readonly Measured<Within>[], prior: Normal): Grid {
  const told = sessions.map(({ weight, values }) => ({ weight, ...told_(values) }));
  const log = (middle: number, logSd: number, logSway: number): number => {
    const sd = Math.exp(logSd);
    const sway = Math.exp(logSway);
    let sum =
      -0.5 * ((middle - prior.middle.mean) / prior.middle.sd) ** 2 -
      0.5 * ((logSd - prior.spread.log) / prior.spread.sd) ** 2 -
      0.5 * ((logSway - prior.sway.log) / prior.sway.sd) ** 2;
    for (const one of told) sum += one.weight * sessionLog(one, middle, sd, sway);
    return sum;
  };
  return gridPosterior(log, [
    [prior.middle.mean - OUT * prior.middle.sd, prior.middle.mean + OUT * prior.middle.sd],
    [prior.spread.log - OUT_LOG * prior.spread.sd, prior.spread.log + OUT_LOG * prior.spread.sd],
    [prior.sway.log - OUT_LOG * prior.sway.sd, prior.sway.log + OUT_LOG * prior.sway.sd],
  ]);
}

type Told = {
  /** Of exact values their number, mean and sum of squares about it: all that a normal asks for. */
  readonly count: number;
  readonly mean: number;
  readonly squares: number;
  readonly between: readonly (Within & { readonly times: number })[];
};

function told_(values: readonly Within[]): Told {
  const exact = values.flatMap(({ from, to }) => (from === to ? [from] : []));
  const mean = exact.reduce((sum, one) => sum + one, 0) / Math.max(1, exact.length);
  const between = new Map<string, Within & { readonly times: number }>();
  for (const { from, to } of values) {
    if (from === to) continue;
    const key = `${from} ${to}`;
    between.set(key, { from, to, times: (between.get(key)?.times ?? 0) + 1 });
  }
  return {
    count: exact.length,
    mean,
    squares: exact.reduce((sum, one) => sum + (one - mean) ** 2, 0),
    between: [...between.values()],
  };
}

/** Places over the session’s sway, in SDs, and the log of the share of each. */
const NODES = Array.from({ length: 9 }, (_, i) => (i - 4) * 0.85);
const SHARES = NODES.map((z) => Math.exp(-0.5 * z * z));
const SHARE = SHARES.reduce((sum, one) => sum + one, 0);

function sessionLog(
  { count, mean, squares, between }: Told,
  middle: number,
  sd: number,
  sway: number,
): number {
  // Exact values: normal of the mean about the middle, and the rest about the mean.
  const of = sd ** 2 + count * sway ** 2;
  let log = 0;
  if (count > 0)
    log -=
      (count - 1) * Math.log(sd) +
      0.5 * Math.log(of) +
      squares / (2 * sd ** 2) +
      (count * (mean - middle) ** 2) / (2 * of);
  if (between.length === 0) return log;
  // The sway after them.
  const centre = (count * sway ** 2 * (mean - middle)) / of;
  const left = (sway * sd) / Math.sqrt(of);
  let sum = 0;
  for (let q = 0; q < NODES.length; q++) {
    const at = middle + centre + left * (NODES[q] as number);
    let product = (SHARES[q] as number) / SHARE;
    for (const { from, to, times } of between)
      product *= Math.max(1e-12, normalBelow((to - at) / sd) - normalBelow((from - at) / sd)) ** times;
    sum += product;
  }
  return log + Math.log(Math.max(sum, 1e-300));
}

/** The ends of an 80 % interval and the middle of something over a posterior. */
export function intervalOver(grid: Grid, f: (a: number, b: number, c: number) => number): Interval {
  const [low = 0, mid = 0, high = 0] = gridQuantiles(grid, f, [0.1, 0.5, 0.9]);
  return { low, mid, high };
}
