import { quantile } from './describe';

/** A posterior over two parameters on a grid: every pair with its share, which sum to 1. */
export type Grid = { readonly a: Float64Array; readonly b: Float64Array; readonly share: Float64Array };

/** Points on each side of the grid: fine enough that no shown digit hangs on it. */
const SIDE = 81;

/**
 * A posterior of two parameters by brute force: `log(a, b)` is the log likelihood and prior up to a
 * constant, looked at on an even grid over both ranges. For small problems it needs no peak, no
 * curvature and no luck. Throws if the log is nowhere finite.
 */
export function gridPosterior(
  log: (a: number, b: number) => number,
  a: readonly [number, number],
  b: readonly [number, number],
): Grid {
  const at = ([from, to]: readonly [number, number], i: number): number =>
    from + ((to - from) * i) / (SIDE - 1);
  const as = Float64Array.from({ length: SIDE * SIDE }, (_, k) => at(a, Math.floor(k / SIDE)));
  const bs = Float64Array.from({ length: SIDE * SIDE }, (_, k) => at(b, k % SIDE));
  const logs = as.map((one, k) => log(one, bs[k] as number));
  const highest = logs.reduce((most, one) => (one > most ? one : most), -Infinity);
  if (!Number.isFinite(highest)) throw new Error('the posterior is nowhere finite');
  const share = logs.map((one) => Math.exp(one - highest));
  const sum = share.reduce((total, one) => total + one, 0);
  return { a: as, b: bs, share: share.map((one) => one / sum) };
}

/** The mean of f over a grid. */
export function gridMean({ a, b, share }: Grid, f: (a: number, b: number) => number): number {
  let sum = 0;
  for (let k = 0; k < share.length; k++)
    if ((share[k] as number) > 0) sum += (share[k] as number) * f(a[k] as number, b[k] as number);
  return sum;
}

/**
 * Draws for quantiles: f at 2,000 places of the grid, each as often as it deserves (systematic, so
 * that it is exact to 1 in 2,000).
 */
export function gridQuantiles(
  { a, b, share }: Grid,
  f: (a: number, b: number) => number,
  at: readonly number[],
): number[] {
  const count = 2000;
  const values: number[] = [];
  let [k, upTo] = [0, share[0] as number];
  for (let i = 0; i < count; i++) {
    const wanted = (i + 0.5) / count;
    while (upTo < wanted && k < share.length - 1) upTo += share[++k] as number;
    values.push(f(a[k] as number, b[k] as number));
  }
  return at.map((p) => quantile(values, p));
}
