import { type Axis, difficulties } from '@/core/breakdown';
import { type Day, daysBetween, fail, ok, type Result } from '@/core/shared';
import { cholesky, inverseFromCholesky, logistic, type Matrix, softplus, solveCholesky } from '@/core/statistics';
import { EVIDENCE } from './settings';
import type { Summary } from './summary';

/**
 * A fitted element. Parameters in this order: δ (away), κ (cold), α (level at the start), b₁ … b_A (log slopes).
 * δ and κ come first so that the first two numbers of a draw through the lower-triangular factor are theirs: a simulation
 * can share them between elements.
 */
export type Fit = {
  readonly mode: readonly number[];
  /** Lower-triangular L with L·Lᵀ = covariance. */
  readonly factor: Matrix;
  readonly axes: number;
};

type Row = {
  readonly x: readonly number[];
  readonly away: number;
  readonly cold: number;
  readonly weight: number;
  readonly clean: number;
  readonly total: number;
};

const MAX_ITERATIONS = 60;
const TOLERANCE = 1e-10;

/**
 * Static Bayesian logistic fit of the chance of a clean rep, with a Laplace approximation (Tierney & Kadane 1986):
 * η = α + δ·away + κ·cold − Σ exp(b_a)·x_a, x_a the difficulty of axis a (0 at its start, 1 at its demand), priors of
 * `EVIDENCE`, and each session weighted by 2^(−age/half-life). No trend and no session effect: intervals are narrower than
 * a model with them would give.
 *
 * `axes` are the element's axes, `today` a calendar day. Without reps the result is the prior. Fails with `future`, the codes
 * of `axisScale`, or `no-mode` (curvature not positive at the end; not seen).
 * Example: 40 of 40 clean at the start gives P(clean at the start) near 0.95, not 1.
 */
export function fitElement(axes: readonly Axis[], summary: Summary, today: Day): Result<Fit> {
  const rows = rowsOf(axes, summary, today);
  if (!rows.ok) return rows;
  const prior = priorOf(axes.length);
  let theta = prior.map((part) => part.mean);
  let value = logPosterior(theta, rows.value, prior);
  for (let iteration = 0; iteration < MAX_ITERATIONS; iteration++) {
    const step = newtonStep(theta, rows.value, prior, 'expected');
    if (!step) return fail('no-mode', '', 'The evidence could not be weighed: its curvature is not positive.');
    const moved = lineSearch(theta, step, value, rows.value, prior);
    const gain = moved.value - value;
    theta = moved.theta;
    value = moved.value;
    if (gain < TOLERANCE) break;
  }
  const factor = covarianceFactor(theta, rows.value, prior);
  return factor ? ok({ mode: theta, factor, axes: axes.length }) : fail('no-mode', '', 'The evidence could not be weighed at its peak.');
}

function rowsOf(axes: readonly Axis[], summary: Summary, today: Day): Result<Row[]> {
  const rows: Row[] = [];
  for (const cell of summary.cells) {
    const age = daysBetween(cell.day, today);
    if (age < 0) return fail('future', cell.session, `A session is dated ${cell.day}, after today (${today}).`);
    const weight = 2 ** (-age / EVIDENCE.halfLifeDays);
    if (weight < EVIDENCE.leastWeight) continue;
    const x = difficulties(axes, cell.criteria);
    if (!x.ok) return x;
    rows.push({ x: x.value, away: cell.away ? 1 : 0, cold: cell.cold ? 1 : 0, weight, clean: cell.clean, total: cell.clean + cell.notClean });
  }
  return ok(rows);
}

type Prior = readonly { readonly mean: number; readonly sd: number }[];

function priorOf(axes: number): Prior {
  const slopes = Array.from({ length: axes }, () => ({ mean: Math.log(EVIDENCE.slope.total / axes), sd: EVIDENCE.slope.sd }));
  return [EVIDENCE.away, EVIDENCE.cold, EVIDENCE.level, ...slopes];
}

/** The linear predictor η of parameters at difficulties x; `away` and `cold` are 0 or 1 (or a share). */
export function predictor(theta: readonly number[], x: readonly number[], away: number, cold: number): number {
  let eta = (theta[2] as number) + away * (theta[0] as number) + cold * (theta[1] as number);
  for (let a = 0; a < x.length; a++) eta -= Math.exp(theta[3 + a] as number) * (x[a] as number);
  return eta;
}

function logPosterior(theta: readonly number[], rows: readonly Row[], prior: Prior): number {
  let sum = 0;
  for (const row of rows) {
    const eta = predictor(theta, row.x, row.away, row.cold);
    sum += row.weight * (row.clean * eta - row.total * softplus(eta));
  }
  prior.forEach((part, i) => {
    sum -= 0.5 * (((theta[i] as number) - part.mean) / part.sd) ** 2;
  });
  return sum;
}

/** Gradient and (negative) Hessian. 'expected' drops the second derivative of exp(b), so it is positive definite everywhere. */
function curvature(
  theta: readonly number[],
  rows: readonly Row[],
  prior: Prior,
  kind: 'expected' | 'observed',
): { gradient: number[]; hessian: number[][] } {
  const n = theta.length;
  const gradient = prior.map((part, i) => -((theta[i] as number) - part.mean) / part.sd ** 2);
  const hessian = prior.map((part, i) => prior.map((_, j) => (i === j ? 1 / part.sd ** 2 : 0)));
  const design = new Array<number>(n).fill(0);
  for (const row of rows) {
    design[0] = row.away;
    design[1] = row.cold;
    design[2] = 1;
    for (let a = 3; a < n; a++) design[a] = -Math.exp(theta[a] as number) * (row.x[a - 3] as number);
    const p = logistic(predictor(theta, row.x, row.away, row.cold));
    const residual = row.weight * (row.clean - row.total * p);
    const information = row.weight * row.total * p * (1 - p);
    for (let i = 0; i < n; i++) {
      const di = design[i] as number;
      gradient[i] = (gradient[i] as number) + residual * di;
      const line = hessian[i] as number[];
      for (let j = 0; j < n; j++) line[j] = (line[j] as number) + information * di * (design[j] as number);
      // d²η/db² = dη/db for η's −exp(b)x term: the part that only the observed information has.
      if (kind === 'observed' && i >= 3) line[i] = (line[i] as number) - residual * di;
    }
  }
  return { gradient, hessian };
}

function newtonStep(theta: readonly number[], rows: readonly Row[], prior: Prior, kind: 'expected' | 'observed'): number[] | null {
  const { gradient, hessian } = curvature(theta, rows, prior, kind);
  const factor = cholesky(hessian);
  return factor ? solveCholesky(factor, gradient) : null;
}

function lineSearch(
  theta: readonly number[],
  step: readonly number[],
  from: number,
  rows: readonly Row[],
  prior: Prior,
): { theta: number[]; value: number } {
  for (let length = 1; length > 1e-6; length /= 2) {
    const candidate = theta.map((value, i) => value + length * (step[i] as number));
    const value = logPosterior(candidate, rows, prior);
    if (value >= from) return { theta: candidate, value };
  }
  return { theta: [...theta], value: from };
}

function covarianceFactor(theta: readonly number[], rows: readonly Row[], prior: Prior): number[][] | null {
  const observed = cholesky(curvature(theta, rows, prior, 'observed').hessian);
  const usable = observed ?? cholesky(curvature(theta, rows, prior, 'expected').hessian);
  return usable ? cholesky(inverseFromCholesky(usable)) : null;
}

/** Parameters of one posterior draw from standard normals `z` (as many as parameters): mode + L·z. */
export function parametersAt(fit: Fit, z: readonly number[]): number[] {
  return fit.mode.map((centre, i) => {
    let sum = centre;
    for (let j = 0; j <= i; j++) sum += (fit.factor[i]?.[j] as number) * (z[j] as number);
    return sum;
  });
}
