import { fail, ok, type Result, say } from '@/core/shared';

/**
 * One run of a discrimination: among `choices` articles the dog picked right or not. A corrected
 * wrong pick is wrong.
 */
export type PickRun = { readonly choices: number; readonly right: boolean };

/**
 * Chance of at least as many right picks by luck alone, for runs with different numbers of choices:
 * the upper tail of the Poisson-binomial distribution with pᵢ = 1/kᵢ, exact by convolution (Hong
 * 2013). Only for a number of runs that was fixed beforehand. Fails with `choices` where a run has
 * fewer than two. `luckOf` of 4 right among 5 runs with two choices → 6/32 = 0.1875.
 */
export function luckOf(runs: readonly PickRun[]): Result<number> {
  const bad = badRun(runs);
  if (bad) return bad;
  let chances = [1];
  for (const { choices } of runs) {
    const p = 1 / choices;
    const next = new Array<number>(chances.length + 1).fill(0);
    for (const [right, chance] of chances.entries()) {
      next[right] = (next[right] as number) + chance * (1 - p);
      next[right + 1] = (next[right + 1] as number) + chance * p;
    }
    chances = next;
  }
  const right = runs.filter((run) => run.right).length;
  return ok(
    Math.min(
      1,
      chances.slice(right).reduce((sum, chance) => sum + chance, 0),
    ),
  );
}

/**
 * At this much evidence against luck a running series is settled: looking after every run, luck
 * gets there in fewer than 1 of 20 series.
 */
export const SETTLED = 20;
/**
 * Parts of the grid over d; the integrand is a polynomial, so that this many leave no error that is
 * shown.
 */
const GRID = 400;

/**
 * Evidence that the dog knows, for a series that is looked at after every run: E = ∫₀¹ ∏ (1 + (kᵢ −
 * 1)d)^yᵢ (1 − d)^(1 − yᵢ) dd, the mixture over d of the likelihood ratio of "knows with chance d,
 * guesses otherwise" against luck (an e-value: Ville 1939; Shafer and others 2011). By luck it
 * passes 20 in at most 1 of 20 series, however often one looks. Fails as `luckOf`. Five of five
 * right among two → 63/6 = 10.5.
 */
export function evidenceAgainstLuck(runs: readonly PickRun[]): Result<number> {
  const bad = badRun(runs);
  if (bad) return bad;
  const at = (d: number): number =>
    runs.reduce((product, { choices, right }) => product * (right ? 1 + (choices - 1) * d : 1 - d), 1);
  // Simpson's rule: exact for cubics, and smooth polynomials of a few dozen runs are near enough.
  let sum = at(0) + at(1);
  for (let i = 1; i < GRID; i++) sum += at(i / GRID) * (i % 2 === 1 ? 4 : 2);
  return ok(sum / (3 * GRID));
}

/**
 * Where the wrong picks went: how often each place, and how likely so uneven a spread is if no
 * place is favoured.
 */
export type PositionBias = { readonly counts: readonly number[]; readonly chance: number };

/**
 * Wrong picks beyond which all spreads are not enumerated; a series that long is a different
 * question.
 */
const MOST_WRONG = 12;

/**
 * Position bias on wrong picks, exact: the chance that the fullest place gets at least as many of n
 * wrong picks, all places alike (multinomial, by enumeration of compositions). `picks` are places
 * from 0, `places` how many there are. Fails with `places`, or `many` past 12 wrong picks. Four
 * wrong picks of four on one of three places → 3/81 = 0.037.
 */
export function positionBias(picks: readonly number[], places: number): Result<PositionBias> {
  if (
    !Number.isInteger(places) ||
    places < 2 ||
    picks.some((pick) => !Number.isInteger(pick) || pick < 0 || pick >= places)
  )
    return fail('places', 'picks', say('evidence.discrimination.each-wrong-pick-needs-a-place-and'));
  if (picks.length > MOST_WRONG)
    return fail(
      'many',
      'picks',
      say('evidence.discrimination.with-more-than-wrong-picks-the-dog', { MOSTWRONG: MOST_WRONG }),
    );
  const counts = Array.from({ length: places }, (_, place) => picks.filter((pick) => pick === place).length);
  return ok({
    counts,
    chance: picks.length === 0 ? 1 : 1 - fullestBelow(picks.length, places, Math.max(...counts)),
  });
}

/**
 * P(every place has fewer than `limit` of n picks): n!/placesⁿ × the coefficient of xⁿ in
 * (Σ_{j<limit} xʲ/j!)^places.
 */
function fullestBelow(n: number, places: number, limit: number): number {
  let ways = [1, ...new Array<number>(n).fill(0)];
  for (let place = 0; place < places; place++) {
    const next = new Array<number>(n + 1).fill(0);
    for (const [placed, weight] of ways.entries())
      for (let j = 0; j < limit && placed + j <= n; j++)
        next[placed + j] = (next[placed + j] as number) + weight / factorial(j);
    ways = next;
  }
  return ((ways[n] as number) * factorial(n)) / places ** n;
}

function factorial(n: number): number {
  let product = 1;
  for (let i = 2; i <= n; i++) product *= i;
  return product;
}

const badRun = (runs: readonly PickRun[]) => {
  const at = runs.findIndex((run) => !Number.isInteger(run.choices) || run.choices < 2);
  return at < 0
    ? null
    : fail('choices', `runs[${at}]`, say('evidence.discrimination.a-run-needs-two-articles-at-least'));
};
