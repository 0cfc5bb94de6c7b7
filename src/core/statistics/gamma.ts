import type { Random } from '@/core/shared';

/**
 * One draw of Gamma(shape, 1), shape > 0 (Marsaglia & Tsang 2000; below shape 1 by their boost).
 * Throws otherwise. Mean and variance are both `shape`.
 */
export function drawGamma(random: Random, shape: number): number {
  if (!(shape > 0)) throw new Error(`gamma needs a positive shape, got ${shape}`);
  if (shape < 1) return drawGamma(random, shape + 1) * random.uniform() ** (1 / shape);
  const d = shape - 1 / 3;
  const c = 1 / Math.sqrt(9 * d);
  for (;;) {
    const x = random.normal();
    const v = (1 + c * x) ** 3;
    if (v > 0 && Math.log(random.uniform()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v;
  }
}

/** One draw of a Dirichlet distribution with these positive weights: shares that sum to 1. */
export function drawDirichlet(random: Random, weights: readonly number[]): number[] {
  const parts = weights.map((weight) => drawGamma(random, weight));
  const sum = parts.reduce((a, b) => a + b, 0);
  return parts.map((part) => part / sum);
}

/** One draw of Beta(a, b), both positive: a share in (0, 1). */
export function drawBeta(random: Random, a: number, b: number): number {
  return drawDirichlet(random, [a, b])[0] as number;
}
