import { type Design, FIXED } from './design';

/** The session effect's grid: values u, e^u, and the log of their share of N(0, τ²). */
export type Swing = {
  readonly tau: number;
  readonly u: Float64Array;
  readonly f: Float64Array;
  readonly logShare: Float64Array;
};

/**
 * How far out and how fine: with a step of .7 τ and at most .35 logits the trapezoid rule is exact
 * to about 1e-5 for sessions of up to 60 reps.
 */
const GRID = { out: 4, step: 0.7, finest: 0.35 } as const;

/**
 * The trapezoid rule over u ~ N(0, τ²). It beats Gauss–Hermite nodes here: a session of many reps
 * makes a peak much narrower than the prior, between whose nodes it would fall; on a smooth
 * integrand that dies out at both ends an even grid converges exponentially (Trefethen & Weideman
 * 2014).
 */
export function swingOf(tau: number): Swing {
  const half = Math.ceil((GRID.out * tau) / Math.min(GRID.step * tau, GRID.finest));
  const step = (GRID.out * tau) / half;
  const u = Float64Array.from({ length: 2 * half + 1 }, (_, i) => (i - half) * step);
  const density = u.map((value) => Math.exp(-0.5 * (value / tau) ** 2));
  const sum = density.reduce((a, b) => a + b, 0);
  return { tau, u, f: u.map(Math.exp), logShare: density.map((one) => Math.log(one / sum)) };
}

/** Beyond this a product of odds is taken to its logarithm before it overflows. */
const LARGE = 1e150;

/** Working memory of the evaluations of one design and one grid. */
export type Bench = {
  readonly slopes: Float64Array;
  readonly eta: Float64Array;
  readonly odds: Float64Array;
  readonly logs: Float64Array;
  /** For each row the largest factor whose power with the row's reps stays under `LARGE`. */
  readonly most: Float64Array;
};

/**
 * Working memory for one design and one grid: arrays of its slopes, its rows (twice) and the
 * grid's points, all 0, and the rows' largest factors. A design of 6 columns and 8 rows with 25 grid
 * points → arrays of 6 − the fixed ones, 8, 8, 25 and 8.
 */
export function benchFor(design: Design, swing: Swing): Bench {
  return {
    slopes: new Float64Array(design.width - FIXED),
    eta: new Float64Array(design.total.length),
    odds: new Float64Array(design.total.length),
    logs: new Float64Array(swing.u.length),
    most: design.total.map((n) => LARGE ** (1 / Math.max(1, n))),
  };
}

function predict(design: Design, theta: ArrayLike<number>, bench: Bench): void {
  const { width, rows } = design;
  const { slopes, eta, odds } = bench;
  for (let a = 0; a < slopes.length; a++) slopes[a] = Math.exp(theta[FIXED + a] as number);
  for (let r = 0, at = 0; r < eta.length; r++, at += width) {
    let sum = 0;
    for (let j = 0; j < FIXED; j++) sum += (rows[at + j] as number) * (theta[j] as number);
    for (let a = 0; a < slopes.length; a++) sum -= (slopes[a] as number) * (rows[at + FIXED + a] as number);
    eta[r] = sum;
    odds[r] = Math.exp(sum);
  }
}

/**
 * Places of the grid with less than this share after the reps change no derivative that is used.
 */
const NEGLIGIBLE = 1e-9;

/**
 * Fills `bench.logs` with the log of share × likelihood of session k at each u, and gives the log
 * of their sum.
 */
function sessionLog(design: Design, swing: Swing, bench: Bench, k: number): number {
  const { first, clean, total } = design;
  const { eta, odds, logs, most } = bench;
  const [from, to] = [first[k] as number, first[k + 1] as number];
  let [base, cleans] = [0, 0];
  for (let r = from; r < to; r++) {
    base += (clean[r] as number) * (eta[r] as number);
    cleans += clean[r] as number;
  }
  let highest = -Infinity;
  for (let q = 0; q < logs.length; q++) {
    const f = swing.f[q] as number;
    let value = (swing.logShare[q] as number) + base + cleans * (swing.u[q] as number);
    // ∏ (1 + odds)ⁿ by multiplying, one logarithm for many rows: it is the dear part of a fit.
    let product = 1;
    for (let r = from; r < to; r++) {
      const factor = 1 + (odds[r] as number) * f;
      let n = total[r] as number;
      if (factor <= (most[r] as number)) {
        // By squares: ten reps are four products, not ten.
        for (let square = factor; n > 0; n >>= 1, square *= square) if (n & 1) product *= square;
      } else {
        value -= n * Math.log(factor);
      }
      if (product > LARGE) {
        value -= Math.log(product);
        product = 1;
      }
    }
    value -= Math.log(product);
    logs[q] = value;
    if (value > highest) highest = value;
  }
  let sum = 0;
  for (let q = 0; q < logs.length; q++) sum += Math.exp((logs[q] as number) - highest);
  return highest + Math.log(sum);
}

/**
 * The weighted log likelihood: Σ over sessions of weight × log ∫ likelihood(u) N(u; 0, τ²) du. The
 * weight stands outside the log: inside it an old session's swing would no longer be integrated
 * out, and old sessions would have too much say. θ as in `Design`; may be −∞ where odds overflow.
 */
export function marginalLog(design: Design, swing: Swing, theta: ArrayLike<number>, bench: Bench): number {
  predict(design, theta, bench);
  let value = 0;
  for (let k = 0; k < design.weight.length; k++)
    value += (design.weight[k] as number) * sessionLog(design, swing, bench, k);
  return value;
}

export type Curvature = {
  readonly value: number;
  readonly gradient: Float64Array;
  /**
   * Negative second derivatives, row by row: exact, and a part of them that is positive
   * semi-definite everywhere.
   */
  readonly exact: Float64Array;
  readonly safe: Float64Array;
};

/**
 * `marginalLog` at θ with its first and second derivatives. For a session: with π_q the shares of
 * the grid after the reps, s_q = Σ (y − n p_q) d the score at u_q and d = ∂η/∂θ, gradient Σ π_q s_q
 * and negative Hessian Σ (Σ π_q n p_q (1 − p_q)) d dᵀ − Var_π(s) − Σ (Σ π_q (y − n p_q)) ∂²η/∂θ².
 */
export function marginalCurvature(
  design: Design,
  swing: Swing,
  theta: ArrayLike<number>,
  bench: Bench,
): Curvature {
  const { width, first, weight, rows, clean, total } = design;
  predict(design, theta, bench);
  const gradient = new Float64Array(width);
  const exact = new Float64Array(width * width);
  const safe = new Float64Array(width * width);
  const d = new Float64Array(width);
  const nodes = swing.u.length;
  const scores = new Float64Array(nodes * width);
  const shares = new Float64Array(nodes);
  const factors = new Float64Array(nodes);
  const centre = new Float64Array(width);
  const residuals = new Float64Array(nodes);
  let value = 0;
  for (let k = 0; k < weight.length; k++) {
    const w = weight[k] as number;
    const log = sessionLog(design, swing, bench, k);
    value += w * log;
    let kept = 0;
    for (let q = 0; q < nodes; q++) {
      const share = Math.exp((bench.logs[q] as number) - log);
      if (share < NEGLIGIBLE) continue;
      shares[kept] = share;
      factors[kept++] = swing.f[q] as number;
    }
    scores.fill(0, 0, kept * width);
    for (let r = first[k] as number; r < (first[k + 1] as number); r++) {
      for (let j = 0; j < width; j++)
        d[j] = (rows[r * width + j] as number) * (j < FIXED ? 1 : -(bench.slopes[j - FIXED] as number));
      const [n, y, odds] = [total[r] as number, clean[r] as number, bench.odds[r] as number];
      let [left, information] = [0, 0];
      for (let q = 0; q < kept; q++) {
        const share = shares[q] as number;
        const against = 1 / (1 + odds * (factors[q] as number));
        const residual = y - n * (1 - against);
        left += share * residual;
        information += share * n * (1 - against) * against;
        residuals[q] = residual;
      }
      for (let i = 0; i < width; i++) {
        const di = d[i] as number;
        if (di === 0) continue;
        for (let q = 0, at = i; q < kept; q++, at += width)
          scores[at] = (scores[at] as number) + (residuals[q] as number) * di;
        gradient[i] = (gradient[i] as number) + w * left * di;
        const wide = w * information * di;
        for (let j = 0; j < width; j++)
          safe[i * width + j] = (safe[i * width + j] as number) + wide * (d[j] as number);
        // ∂²η/∂b² = ∂η/∂b for the term −exp(b)x.
        if (i >= FIXED) exact[i * width + i] = (exact[i * width + i] as number) - w * left * di;
      }
    }
    lessVariance(exact, scores, centre, shares.subarray(0, kept), w, width);
  }
  for (let i = 0; i < exact.length; i++) exact[i] = (exact[i] as number) + (safe[i] as number);
  return { value, gradient, exact, safe };
}

/** Takes w × the variance of the scores over the grid off the negative Hessian. */
function lessVariance(
  exact: Float64Array,
  scores: Float64Array,
  centre: Float64Array,
  shares: Float64Array,
  w: number,
  width: number,
): void {
  centre.fill(0);
  for (let q = 0; q < shares.length; q++) {
    const share = shares[q] as number;
    for (let j = 0; j < width; j++)
      centre[j] = (centre[j] as number) + share * (scores[q * width + j] as number);
  }
  for (let q = 0; q < shares.length; q++) {
    const share = w * (shares[q] as number);
    for (let i = 0; i < width; i++) {
      const from = share * ((scores[q * width + i] as number) - (centre[i] as number));
      for (let j = 0; j < width; j++)
        exact[i * width + j] =
          (exact[i * width + j] as number) -
          from * ((scores[q * width + j] as number) - (centre[j] as number));
    }
  }
}
