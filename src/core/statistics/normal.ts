/**
 * Φ(x), the standard normal distribution function, by Φ(x) = ½ erfc(−x/√2) with the continued
 * fraction of erfc for large |x| and its series for small ones (Abramowitz & Stegun 1964, 7.1.5 and
 * 7.1.14); absolute error under 1e-12. `normalBelow(1.96)` → 0.9750021….
 */
export function normalBelow(x: number): number {
  const z = Math.abs(x) / Math.SQRT2;
  const upper = z < 2.5 ? 1 - errorFunction(z) : upperTail(z);
  return x < 0 ? upper / 2 : 1 - upper / 2;
}

function errorFunction(z: number): number {
  let [term, sum] = [z, z];
  for (let n = 1; n < 100; n++) {
    term *= (-z * z) / n;
    sum += term / (2 * n + 1);
    if (Math.abs(term) < 1e-16) break;
  }
  return (2 / Math.sqrt(Math.PI)) * sum;
}

function upperTail(z: number): number {
  let fraction = 0;
  for (let n = 60; n > 0; n--) fraction = n / 2 / (z + fraction);
  return Math.exp(-z * z) / (Math.sqrt(Math.PI) * (z + fraction));
}

/** φ(x), the standard normal density: `normalDensity(0)` → 0.3989…. */
const normalDensity = (x: number): number => Math.exp(-0.5 * x * x) / Math.sqrt(2 * Math.PI);

/**
 * The half-normal value q ≥ 0 that lies as far up among half-normal ones as z lies among normal ones:
 * 2Φ(q) − 1 = Φ(z), with dq/dz and d²q/dz². So a half-normal quantity has a normal coordinate, in which a
 * posterior is nearly normal down to a quantity of 0. By Newton's method on Φ(−q) = Φ(−z)/2 from below
 * the root, where it is convex and cannot overshoot. `halfNormal(0)` → 0.6745 (the median), slope .628.
 */
export function halfNormal(z: number): {
  readonly value: number;
  readonly slope: number;
  readonly turn: number;
} {
  const tail = normalBelow(-z) / 2;
  let q = Math.max(0, z);
  for (let i = 0; i < 30; i++) {
    const step = (normalBelow(-q) - tail) / normalDensity(q);
    q += step;
    if (Math.abs(step) < 1e-12) break;
  }
  const value = Math.max(q, 0);
  const slope = normalDensity(z) / (2 * normalDensity(value));
  return { value, slope, turn: slope * (value * slope - z) };
}
