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
