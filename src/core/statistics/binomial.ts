/**
 * P(X ≥ k) for X ~ Binomial(n, p), summed from the recurrence of its terms. n a non-negative
 * integer, p in [0, 1]. `binomialTail(5, 4, 0.5)` → 0.1875: four of five right by luck between two.
 */
export function binomialTail(n: number, k: number, p: number): number {
  if (k <= 0) return 1;
  if (p >= 1) return k <= n ? 1 : 0;
  let term = (1 - p) ** n;
  let below = 0;
  for (let i = 0; i < k && i <= n; i++) {
    below += term;
    term *= ((n - i) / (i + 1)) * (p / (1 - p));
  }
  return Math.max(0, 1 - below);
}
