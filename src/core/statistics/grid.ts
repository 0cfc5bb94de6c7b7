import { quantile } from './describe';

/**
 * A posterior over three parameters on a grid: every triple with its share, which sum to 1, and how far
 * its places lie apart along each.
 */
export type Grid = {
  readonly places: readonly (readonly [number, number, number])[];
  readonly share: Float64Array;
  readonly apart: readonly [number, number, number];
};
type Range = readonly [number, number];
type Ranges = readonly [Range, Range, Range];

/** Places along each parameter when looking for where the posterior lies, and when it is found. */
const COARSE = [17, 9, 5] as const;
const FINE = [25, 13, 7] as const;
/** An edge with less than this share is cut off, and so often at most. */
const EDGE = 1e-4;
const ROUNDS = 4;

/**
 * A posterior of three parameters by brute force: `log(a, b, c)` is the log likelihood and prior up to a
 * constant. It is looked at coarsely over the whole ranges, then again where it lies, until what is cut
 * off has next to no share: a posterior that is narrow against its range does not fall between two
 * places. For small problems it needs no peak, no curvature and no luck. Throws if the log is nowhere
 * finite.
 */
export function gridPosterior(log: (a: number, b: number, c: number) => number, ranges: Ranges): Grid {
  let at = ranges;
  for (let round = 0; round < ROUNDS; round++) {
    const narrower = where(gridOf(log, at, COARSE), at, COARSE);
    const isDone = at.every(([low, high], i) => {
      const [from, to] = narrower[i] as Range;
      return to - from > 0.7 * (high - low);
    });
    at = narrower;
    if (isDone) break;
  }
  return gridOf(log, at, FINE);
}

function gridOf(
  log: (a: number, b: number, c: number) => number,
  ranges: Ranges,
  sides: readonly [number, number, number],
): Grid {
  const along = ranges.map(([low, high], i) =>
    Array.from(
      { length: sides[i] as number },
      (_, k) => low + ((high - low) * k) / ((sides[i] as number) - 1),
    ),
  ) as [number[], number[], number[]];
  const places = along[0].flatMap((a) => along[1].flatMap((b) => along[2].map((c) => [a, b, c] as const)));
  const logs = places.map(([a, b, c]) => log(a, b, c));
  const highest = logs.reduce((most, one) => (one > most ? one : most), -Infinity);
  if (!Number.isFinite(highest)) throw new Error('the posterior is nowhere finite');
  const share = Float64Array.from(logs, (one) => Math.exp(one - highest));
  const sum = share.reduce((total, one) => total + one, 0);
  return {
    places,
    share: share.map((one) => one / sum),
    apart: ranges.map(([low, high], i) => (high - low) / ((sides[i] as number) - 1)) as [
      number,
      number,
      number,
    ],
  };
}

/** The ranges in which nearly all of it lies, a step wider on each side. */
function where({ places, share }: Grid, ranges: Ranges, sides: readonly number[]): Ranges {
  return ranges.map(([low, high], i): Range => {
    const count = sides[i] as number;
    const step = (high - low) / (count - 1);
    const sums = new Float64Array(count);
    places.forEach((place, k) => {
      const at = Math.round(((place[i] as number) - low) / step);
      sums[at] = (sums[at] as number) + (share[k] as number);
    });
    const first = sums.findIndex((sum) => sum > EDGE);
    const last = count - 1 - [...sums].reverse().findIndex((sum) => sum > EDGE);
    return [Math.max(low, low + (first - 1) * step), Math.min(high, low + (last + 1) * step)];
  }) as unknown as Ranges;
}

/** The mean of f over a grid. */
export function gridMean({ places, share }: Grid, f: (a: number, b: number, c: number) => number): number {
  let sum = 0;
  places.forEach(([a, b, c], k) => {
    if ((share[k] as number) > 0) sum += (share[k] as number) * f(a, b, c);
  });
  return sum;
}

/**
 * Draws for quantiles: f at 2,000 places, each place of the grid as often as it deserves (systematic, so
 * that it is exact to 1 in 2,000), spread evenly over the cell around it: without that all draws of a
 * narrow posterior would be a few values.
 */
export function gridQuantiles(
  { places, share, apart }: Grid,
  f: (a: number, b: number, c: number) => number,
  at: readonly number[],
): number[] {
  const count = 2000;
  const values: number[] = [];
  let [k, upTo] = [0, share[0] as number];
  for (let i = 0; i < count; i++) {
    const wanted = (i + 0.5) / count;
    while (upTo < wanted && k < share.length - 1) upTo += share[++k] as number;
    const [a, b, c] = places[k] as readonly [number, number, number];
    const [da, db, dc] = apart;
    // Three sequences that fill a cube evenly (Kronecker, powers of the plastic number’s kin).
    values.push(
      f(a + da * spread(i, 0.8191725), b + db * spread(i, 0.6710436), c + dc * spread(i, 0.5497005)),
    );
  }
  return at.map((p) => quantile(values, p));
}

/** −.5 to .5. */
const spread = (i: number, by: number): number => ((i * by) % 1) - 0.5;
