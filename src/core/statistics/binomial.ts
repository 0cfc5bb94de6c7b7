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

/**
 * Chance that one share is truly above another, from what was counted of each, both unknown beforehand
 * (uniform): the share of 2 of 2 is above that of 1 of 3 with .89, of 3 of 4 above 2 of 3 with .60. Exact sum
 * (Cook 2005, Exact calculation of beta inequalities). Counts are whole and not negative.
 */
export function chanceAbove(one: Counted, other: Counted): number {
  const [a, b] = [one.clean + 1, one.of - one.clean + 1];
  const [c, d] = [other.clean + 1, other.of - other.clean + 1];
  let chance = 0;
  for (let i = 0; i < a; i++)
    chance += Math.exp(logBeta(c + i, b + d) - Math.log(b + i) - logBeta(1 + i, b) - logBeta(c, d));
  return chance;
}
type Counted = { readonly clean: number; readonly of: number };

/** Of whole numbers from 1. */
const logBeta = (a: number, b: number): number =>
  logFactorial(a - 1) + logFactorial(b - 1) - logFactorial(a + b - 1);

function logFactorial(n: number): number {
  let sum = 0;
  for (let i = 2; i <= n; i++) sum += Math.log(i);
  return sum;
}
