/** Arithmetic mean of a non-empty list; throws on an empty one. */
export function mean(values: ArrayLike<number>): number {
  if (values.length === 0) throw new Error('mean of nothing');
  let sum = 0;
  for (let i = 0; i < values.length; i++) sum += values[i] as number;
  return sum / values.length;
}

/**
 * Sample variance (n − 1 below the line) of at least two values; throws on fewer. `variance([1,
 * 3])` → 2.
 */
export function variance(values: ArrayLike<number>): number {
  if (values.length < 2) throw new Error('variance needs two values');
  const centre = mean(values);
  let sum = 0;
  for (let i = 0; i < values.length; i++) sum += ((values[i] as number) - centre) ** 2;
  return sum / (values.length - 1);
}

/**
 * Quantile of a non-empty list by linear interpolation between order statistics (type 7 of Hyndman
 * & Fan 1996). `quantile([1, 2, 3, 4], 0.5)` → 2.5. Throws on an empty list or p outside [0, 1].
 */
export function quantile(values: ArrayLike<number>, p: number): number {
  if (values.length === 0 || !(p >= 0 && p <= 1)) throw new Error('quantile needs values and 0 ≤ p ≤ 1');
  const sorted = Float64Array.from(values).sort();
  const position = p * (sorted.length - 1);
  const below = Math.floor(position);
  const low = sorted[below] as number;
  const high = sorted[Math.min(below + 1, sorted.length - 1)] as number;
  return low + (high - low) * (position - below);
}
