import type { Axis } from '@/core/breakdown';
import { type Day, fail, ok, type Random, type Result, say } from '@/core/shared';
import { cholesky, drawGamma, inverseFromCholesky, type Matrix, solveCholesky } from '@/core/statistics';
import { columnsOf, type Design, designOf, FIXED } from './design';
import { type Bench, benchFor, marginalCurvature, marginalLog, type Swing, swingOf } from './marginal';
import { type Beliefs, EVIDENCE, type Shift, USUAL_BELIEFS } from './settings';
import type { Summary } from './summary';

type Peak = {
  readonly swing: Swing;
  readonly mode: readonly number[];
  readonly factor: Matrix;
  readonly evidence: number;
};

/**
 * A fitted element before drawing: the peak of the marginal posterior for each swing, with its
 * curvature.
 */
export type Fit = {
  readonly design: Design;
  readonly prior: readonly Shift[];
  readonly peaks: readonly Peak[];
  readonly iterations: number;
};

const NEWTON = { most: 60, tolerance: 1e-7, shortest: 1e-6 } as const;

/**
 * The marginal modes of η = α₀ + G·s + δ·away + κ·cold − Σ exp(b_a)·x_a + u_s with u_s ~ N(0, τ²)
 * integrated out session by session, for each τ of `swings`; s counts sessions from 0, x_a is the
 * difficulty of axis a (a signed axis has a slope for each side). Priors of `EVIDENCE`; `beliefs`
 * replace those of place and first try. Each session's log likelihood weighs 2^(−age/half-life).
 * Never a joint mode over u and τ: it would take all swing for nothing.
 *
 * `axes` are the element's, `today` a calendar day. Without reps the result is the prior. Fails
 * with `future`, as `axisScale` does, or with `no-mode` (no finite peak; not seen).
 */
export function fitElement(
  axes: readonly Axis[],
  summary: Summary,
  today: Day,
  beliefs: Beliefs = USUAL_BELIEFS,
  swings: readonly number[] = EVIDENCE.swing.values,
): Result<Fit> {
  const design = designOf(axes, summary, today);
  if (!design.ok) return design;
  const columns = columnsOf(axes);
  const slope: Shift = {
    mean: Math.log(EVIDENCE.slope.total / Math.max(1, axes.length)),
    sd: EVIDENCE.slope.sd,
  };
  const prior = [
    beliefs.away,
    beliefs.cold,
    EVIDENCE.level,
    EVIDENCE.gain,
    ...Array.from({ length: columns }, () => slope),
  ];
  const peaks: Peak[] = [];
  let [start, iterations] = [prior.map((part) => part.mean), 0];
  // From the middle outwards: each peak is near the last, and few steps are left.
  for (const tau of [...swings].sort(
    (a, b) => Math.abs(a - EVIDENCE.swing.middle) - Math.abs(b - EVIDENCE.swing.middle),
  )) {
    const found = climb(design.value, prior, swingOf(tau), start);
    if (!found) return fail('no-mode', '', say('evidence.fit.the-evidence-could-not-be-weighed'));
    peaks.push(found.peak);
    iterations += found.iterations;
    start = [...found.peak.mode];
  }
  return ok({ design: design.value, prior, peaks, iterations });
}

function logPosterior(
  design: Design,
  prior: readonly Shift[],
  swing: Swing,
  theta: ArrayLike<number>,
  bench: Bench,
): number {
  return marginalLog(design, swing, theta, bench) + logPriorAt(prior, theta);
}

function logPriorAt(prior: readonly Shift[], theta: ArrayLike<number>): number {
  let value = 0;
  for (let i = 0; i < prior.length; i++) {
    const { mean, sd } = prior[i] as Shift;
    value -= 0.5 * (((theta[i] as number) - mean) / sd) ** 2;
  }
  return value;
}

/**
 * Newton's method with halving. The value comes with the curvature, so that a full step that is
 * taken costs one evaluation.
 */
function climb(
  design: Design,
  prior: readonly Shift[],
  swing: Swing,
  start: readonly number[],
): { peak: Peak; iterations: number } | null {
  const bench = benchFor(design, swing);
  let here = slopeAt(design, prior, swing, start, bench);
  let iterations = 0;
  for (; iterations < NEWTON.most; iterations++) {
    const factor = cholesky(here.exact) ?? cholesky(here.safe);
    if (!factor) return null;
    const step = solveCholesky(factor, here.gradient);
    let next: Slope | null = null;
    for (let length = 1; length > NEWTON.shortest; length /= 2) {
      const tried = slopeAt(
        design,
        prior,
        swing,
        here.theta.map((one, i) => one + length * (step[i] as number)),
        bench,
      );
      if (tried.value >= here.value) {
        next = tried;
        break;
      }
    }
    if (!next) break;
    const gain = next.value - here.value;
    here = next;
    if (gain < NEWTON.tolerance) break;
  }
  const factor = covarianceFactor(here.exact, prior) ?? covarianceFactor(here.safe, prior);
  if (!factor) return null;
  const halfLogDet = factor.reduce((sum, row, i) => sum + Math.log(row[i] as number), 0);
  return { peak: { swing, mode: here.theta, factor, evidence: here.value + halfLogDet }, iterations };
}

type Slope = {
  readonly theta: readonly number[];
  readonly value: number;
  readonly gradient: number[];
  readonly exact: number[][];
  readonly safe: number[][];
};

/** The log posterior at θ with its derivatives, prior included. */
function slopeAt(
  design: Design,
  prior: readonly Shift[],
  swing: Swing,
  theta: readonly number[],
  bench: Bench,
): Slope {
  const curvature = marginalCurvature(design, swing, theta, bench);
  const gradient = prior.map(
    ({ mean, sd }, i) => (curvature.gradient[i] as number) - ((theta[i] as number) - mean) / sd ** 2,
  );
  return {
    theta,
    value: curvature.value + logPriorAt(prior, theta),
    gradient,
    ...withPrior(curvature, prior),
  };
}

/**
 * Where the exact curvature is nearly flat its inverse is wider than the prior, and proposals from
 * it would all be far off; then null.
 */
const WIDEST = 1.5;

function covarianceFactor(curvature: number[][], prior: readonly Shift[]): number[][] | null {
  const curved = cholesky(curvature);
  if (!curved) return null;
  const covariance = inverseFromCholesky(curved);
  const wide = prior.some(({ sd }, i) => (covariance[i]?.[i] as number) > WIDEST * sd ** 2);
  return wide ? null : cholesky(covariance);
}

function withPrior(
  { exact, safe }: { readonly exact: Float64Array; readonly safe: Float64Array },
  prior: readonly Shift[],
): { exact: number[][]; safe: number[][] } {
  const n = prior.length;
  const square = (flat: Float64Array): number[][] =>
    prior.map(({ sd }, i) =>
      Array.from({ length: n }, (_, j) => (flat[i * n + j] as number) + (i === j ? 1 / sd ** 2 : 0)),
    );
  return { exact: square(exact), safe: square(safe) };
}

/**
 * Posterior draws, row by row: δ, κ, level of now (α₀ + G·next session, drift added), G, log
 * slopes, τ. `effective` is the effective sample size of the importance weights before resampling
 * (Kish 1965), out of `proposed`.
 */
export type Posterior = {
  readonly width: number;
  readonly count: number;
  readonly draws: Float64Array;
  readonly effective: number;
  readonly proposed: number;
};

/**
 * Degrees of freedom of the proposal: tails heavier than the posterior's, or a few far draws would
 * carry all the weight.
 */
const TAILS = 6;

/**
 * Draws from the posterior by importance resampling (Rubin 1988): for each τ multivariate t
 * proposals at the mode with the Laplace covariance, as many as τ deserves by its evidence; weights
 * by the exact marginal posterior, τ weighed by evidence × prior. Where few of them carry the
 * weight (a skewed posterior), the next round proposes from the weighted mean and covariance of the
 * last (population Monte Carlo, Cappé and others 2004). Then systematic resampling. Same random
 * numbers, same draws.
 */
export function drawPosterior(
  fit: Fit,
  random: Random,
  count: number = EVIDENCE.draws,
  proposals: number = EVIDENCE.proposals,
): Posterior {
  let round = propose(fit, fit.peaks, random, proposals);
  for (let i = 1; i < ROUNDS && round.effective < ENOUGH * proposals; i++) {
    const next = propose(fit, recentred(fit, round), random, proposals);
    if (next.effective > round.effective) round = next;
  }
  const p = fit.design.width;
  const draws = new Float64Array(count * (p + 1));
  resampled(round.weights, round.sum, count, random).forEach((from, i) => {
    const row = round.rows[from] as number[];
    draws.set(row, i * (p + 1));
    draws[i * (p + 1) + 2] =
      (row[2] as number) + (row[3] as number) * fit.design.next + EVIDENCE.drift * random.normal();
  });
  return { width: p + 1, count, draws, effective: round.effective, proposed: round.rows.length };
}

/**
 * Rounds of proposals at most, and the share of them that must be worth something for the first to
 * do.
 */
const ROUNDS = 4;
const ENOUGH = 0.15;

type Round = {
  readonly rows: readonly number[][];
  readonly weights: readonly number[];
  readonly sum: number;
  readonly effective: number;
};

function propose({ design, prior }: Fit, peaks: readonly Peak[], random: Random, proposals: number): Round {
  const best = Math.max(...peaks.map((peak) => peak.evidence + logPriorOf(peak.swing.tau)));
  const deserved = peaks.map((peak) => Math.exp(peak.evidence + logPriorOf(peak.swing.tau) - best));
  const all = deserved.reduce((a, b) => a + b, 0);
  const rows: number[][] = [];
  const logs: number[] = [];
  for (const [i, peak] of peaks.entries()) {
    const n = Math.max(Math.ceil(proposals / 20), Math.round((proposals * (deserved[i] as number)) / all));
    const bench = benchFor(design, peak.swing);
    for (let draw = 0; draw < n; draw++) {
      const { theta, logDensity } = proposal(peak, random);
      const value = logPosterior(design, prior, peak.swing, theta, bench);
      // Odds that overflow leave no likelihood.
      logs.push(
        Number.isNaN(value) ? -Infinity : value - logDensity + logPriorOf(peak.swing.tau) - Math.log(n),
      );
      rows.push([...theta, peak.swing.tau]);
    }
  }
  const highest = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - highest));
  const sum = weights.reduce((a, b) => a + b, 0);
  return { rows, weights, sum, effective: sum ** 2 / weights.reduce((a, b) => a + b * b, 0) };
}

/**
 * Proposals of the next round: one centre and spread for all swings from the weighted draws, a
 * little of Laplace's left in so that no direction collapses.
 */
function recentred({ peaks, prior }: Fit, { rows, weights, sum }: Round): Peak[] {
  const mean = prior.map(
    (_, j) => rows.reduce((total, row, i) => total + (weights[i] as number) * (row[j] as number), 0) / sum,
  );
  const covariance = prior.map((_, a) =>
    prior.map((__, b) => {
      const spread = rows.reduce(
        (total, row, i) =>
          total +
          (weights[i] as number) *
            ((row[a] as number) - (mean[a] as number)) *
            ((row[b] as number) - (mean[b] as number)),
        0,
      );
      return (1.2 * spread) / sum;
    }),
  );
  return peaks.map((peak) => {
    const laplace = (a: number, b: number): number =>
      peak.factor[a]?.reduce((total, one, k) => total + one * (peak.factor[b]?.[k] ?? 0), 0) ?? 0;
    const factor = cholesky(covariance.map((row, a) => row.map((value, b) => value + 0.15 * laplace(a, b))));
    return factor ? { ...peak, mode: mean, factor } : peak;
  });
}

const logPriorOf = (tau: number): number =>
  -0.5 * (Math.log(tau / EVIDENCE.swing.middle) / EVIDENCE.swing.sd) ** 2;

/** One t draw, and the log of its density up to a constant that all peaks share. */
function proposal(
  { mode, factor }: Peak,
  random: Random,
): { readonly theta: number[]; readonly logDensity: number } {
  const z = mode.map(() => random.normal());
  const stretch = Math.sqrt(TAILS / (2 * drawGamma(random, TAILS / 2)));
  const far = stretch ** 2 * z.reduce((sum, one) => sum + one * one, 0);
  const theta = mode.map((centre, i) => {
    let sum = centre;
    for (let j = 0; j <= i; j++) sum += (factor[i]?.[j] as number) * (z[j] as number) * stretch;
    return sum;
  });
  const halfLogDet = factor.reduce((sum, row, i) => sum + Math.log(row[i] as number), 0);
  return { theta, logDensity: -0.5 * (TAILS + mode.length) * Math.log1p(far / TAILS) - halfLogDet };
}

/**
 * Systematic resampling (Kitagawa 1996), then shuffled, so that the order of draws says nothing.
 */
function resampled(weights: readonly number[], sum: number, count: number, random: Random): number[] {
  const start = random.uniform();
  const kept: number[] = [];
  let [upTo, i] = [weights[0] as number, 0];
  for (let k = 0; k < count; k++) {
    const wanted = ((start + k) / count) * sum;
    while (upTo < wanted && i < weights.length - 1) upTo += weights[++i] as number;
    kept.push(i);
  }
  for (let k = kept.length - 1; k > 0; k--) {
    const other = random.integer(k + 1);
    [kept[k], kept[other]] = [kept[other] as number, kept[k] as number];
  }
  return kept;
}

/** Columns of a posterior's rows that are not slopes. */
export const DRAW = { away: 0, cold: 1, level: 2, gain: 3, slopes: FIXED } as const;
