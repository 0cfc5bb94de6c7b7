/**
 * The logistic function σ(x) = 1 / (1 + e^−x), in (0, 1); exact to rounding for either sign.
 * `logistic(0)` → 0.5.
 */
export function logistic(x: number): number {
  if (x >= 0) return 1 / (1 + Math.exp(-x));
  const e = Math.exp(x);
  return e / (1 + e);
}

/**
 * The inverse of `logistic`, for p in (0, 1). `logit(0.8)` → 1.386…; throws outside the open
 * interval.
 */
export function logit(p: number): number {
  if (!(p > 0 && p < 1)) throw new Error(`logit needs 0 < p < 1, got ${p}`);
  return Math.log(p / (1 - p));
}

/**
 * log(1 + e^x) without overflow. `softplus(0)` → 0.693….
 */
export function softplus(x: number): number {
  return x > 0 ? x + Math.log1p(Math.exp(-x)) : Math.log1p(Math.exp(x));
}

/**
 * The mean of σ(η + u) over u ~ N(0, variance), by MacKay's approximation (1992): σ(η / √(1 +
 * π·variance/8)). Off by less than 0.015 for variance ≤ 1. `meanLogistic(2, 0)` → 0.8807….
 */
export function meanLogistic(eta: number, variance: number): number {
  return logistic(eta * shrinkage(variance));
}

/** The factor 1 / √(1 + π·variance/8) of `meanLogistic`, for loops that use it many times. */
export function shrinkage(variance: number): number {
  return 1 / Math.sqrt(1 + (Math.PI * variance) / 8);
}
