import type { Axis } from '@/core/breakdown';
import { type Day, fail, ok, type Result, say } from '@/core/shared';
import { cholesky, inverseFromCholesky, type Matrix, solveCholesky } from '@/core/statistics';
import { marginalCurvature } from './curvature';
import { columnsOf, type Design, designOf } from './design';
import { type Bench, benchFor, marginalLog, type Swing, swingOf } from './marginal';
import { priorLog, priorsFor } from './priors';
import { type Beliefs, EVIDENCE, type Shift, USUAL_BELIEFS } from './settings';
import type { Summary } from './summary';

/** The peak of the marginal posterior for one swing; `mode` and `factor` in the places of the design's θ. */
export type Peak = {
  readonly swing: Swing;
  readonly mode: readonly number[];
  readonly factor: Matrix;
  readonly evidence: number;
};

/**
 * A fitted element before drawing: the peak of the marginal posterior for each swing, with its
 * curvature. `priors` of all parameters, in the order of `DRAW`; `said` of those of which some rep says
 * something, in the places of θ.
 */
export type Fit = {
  readonly design: Design;
  readonly priors: readonly Shift[];
  readonly said: readonly Shift[];
  readonly peaks: readonly Peak[];
  readonly iterations: number;
};

const NEWTON = { most: 60, tolerance: 1e-7, shortest: 1e-6 } as const;

/**
 * The marginal modes of η = α₀ + G·s + δ·away + κ·cold + other handler + no pay + other kit − w (goes
 * since the last rest + c · goes before it) − F (1 − e^(−gap/h)) − Σ exp(b_a)·x_a + u_s with u_s ~ N(0,
 * τ²) integrated out session by session, for each τ of `swings`; s counts sessions from 0, the gap is
 * the days since the session before, x_a is the difficulty of axis a (a signed axis has a slope for each
 * side). Priors of `EVIDENCE`; `beliefs` replace those of place and first try. Each session's log
 * likelihood weighs 2^(−age/half-life). Never a joint mode over u and τ: it would take all swing for
 * nothing. A parameter of which no rep says anything keeps its prior exactly and is left out of the climb.
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
  const priors = priorsFor(axes.length, columnsOf(axes), beliefs);
  const said = design.value.params.map((place) => priors[place] as Shift);
  const peaks: Peak[] = [];
  let [start, iterations] = [said.map((prior) => prior.mean), 0];
  // From the middle outwards: each peak is near the last, and few steps are left.
  for (const tau of [...swings].sort(
    (a, b) => Math.abs(a - EVIDENCE.swing.middle) - Math.abs(b - EVIDENCE.swing.middle),
  )) {
    const found = climb(design.value, said, swingOf(tau), start);
    if (!found) return fail('no-mode', '', say('evidence.fit.the-evidence-could-not-be-weighed'));
    peaks.push(found.peak);
    iterations += found.iterations;
    start = [...found.peak.mode];
  }
  return ok({ design: design.value, priors, said, peaks, iterations });
}

/** The log of likelihood × prior at θ; may be −∞, and NaN where odds overflow. */
export function logPosterior(
  design: Design,
  said: readonly Shift[],
  swing: Swing,
  theta: ArrayLike<number>,
  bench: Bench,
): number {
  return marginalLog(design, swing, theta, bench) + logPriorAt(said, theta);
}

function logPriorAt(said: readonly Shift[], theta: ArrayLike<number>): number {
  let value = 0;
  for (let i = 0; i < said.length; i++) value += priorLog(said[i] as Shift, theta[i] as number);
  return value;
}

/**
 * Newton's method with halving. The value comes with the curvature, so that a full step that is
 * taken costs one evaluation.
 */
function climb(
  design: Design,
  said: readonly Shift[],
  swing: Swing,
  start: readonly number[],
): { peak: Peak; iterations: number } | null {
  const bench = benchFor(design, swing);
  let here = slopeAt(design, said, swing, start, bench);
  let iterations = 0;
  for (; iterations < NEWTON.most; iterations++) {
    const factor = cholesky(here.exact) ?? cholesky(here.safe);
    if (!factor) return null;
    const step = solveCholesky(factor, here.gradient);
    let next: Slope | null = null;
    for (let length = 1; length > NEWTON.shortest; length /= 2) {
      const tried = slopeAt(
        design,
        said,
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
  const factor = covarianceFactor(here.exact, said) ?? covarianceFactor(here.safe, said);
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
  said: readonly Shift[],
  swing: Swing,
  theta: readonly number[],
  bench: Bench,
): Slope {
  const { value, gradient, exact, safe } = marginalCurvature(design, swing, theta, bench);
  const n = said.length;
  const square = (flat: Float64Array): number[][] =>
    said.map(({ sd }, i) =>
      Array.from({ length: n }, (_, j) => (flat[i * n + j] as number) + (i === j ? 1 / sd ** 2 : 0)),
    );
  return {
    theta,
    value: value + logPriorAt(said, theta),
    gradient: said.map(
      ({ mean, sd }, i) => (gradient[i] as number) - ((theta[i] as number) - mean) / sd ** 2,
    ),
    exact: square(exact),
    safe: square(safe),
  };
}

/**
 * Where the exact curvature is nearly flat its inverse is wider than the prior, and proposals from
 * it would all be far off; then null.
 */
const WIDEST = 1.5;

function covarianceFactor(curvature: number[][], said: readonly Shift[]): number[][] | null {
  const curved = cholesky(curvature);
  if (!curved) return null;
  const covariance = inverseFromCholesky(curved);
  const wide = said.some(({ sd }, i) => (covariance[i]?.[i] as number) > WIDEST * sd ** 2);
  return wide ? null : cholesky(covariance);
}
