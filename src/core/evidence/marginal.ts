import { halfNormal } from '@/core/statistics';
import type { Design } from './design';
import { EVIDENCE } from './settings';

/** The session effect's grid: values u, e^u, and the log of their share of N(0, τ²). */
export type Swing = {
  readonly tau: number;
  readonly u: Float64Array;
  readonly f: Float64Array;
  readonly logShare: Float64Array;
};

/**
 * How far out and how fine: with a step of .85 τ and at most .35 logits the trapezoid rule is exact
 * to about 1e-4 for sessions of up to 60 reps; what lies further out has a share of 2 in 10,000.
 */
const GRID = { out: 3.7, step: 0.85, finest: 0.35 } as const;

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

/** Working memory of the evaluations of one design and one grid. */
export type Bench = {
  /** exp of each slope. */
  readonly slopes: Float64Array;
  readonly odds: Float64Array;
  readonly eta: Float64Array;
  /** Share of each u after the reps of a session, in proportion. */
  readonly shares: Float64Array;
  /** Share of u before the reps × e^(u · clean ones), session by session. */
  readonly before: Float64Array;
};

/**
 * Working memory for one design and one grid: arrays of its slopes, its rows (twice) and the grid's
 * points, all 0, and a number for every session and point. A design of 2 slopes, 3 sessions and 8 rows
 * with 25 grid points → arrays of 2, 8, 8, 25 and 75.
 */
export function benchFor(design: Design, swing: Swing): Bench {
  const sessions = design.weight.length;
  const nodes = swing.u.length;
  const before = new Float64Array(sessions * nodes);
  for (let k = 0; k < sessions; k++) {
    let clean = 0;
    for (let r = design.first[k] as number; r < (design.first[k + 1] as number); r++)
      clean += design.clean[r] as number;
    for (let q = 0; q < nodes; q++)
      before[k * nodes + q] = Math.exp((swing.logShare[q] as number) + clean * (swing.u[q] as number));
  }
  return {
    slopes: new Float64Array(design.slopes),
    eta: new Float64Array(design.total.length),
    odds: new Float64Array(design.total.length),
    shares: new Float64Array(nodes),
    before,
  };
}

/** Tiring and forgetting as θ has them, with how the two half-normal ones turn. */
type Curves = {
  /** Logits a go takes off. */
  readonly tiring: number;
  readonly tiringBy: Half;
  /** Share of that which a rest leaves. */
  readonly kept: number;
  /** Logits that a gap takes off at most, and its days. */
  readonly loss: number;
  readonly lossBy: Half;
  readonly days: number;
};
/** d log / dz and the second derivative over the value: both relative, since they multiply what is taken off. */
type Half = { readonly slope: number; readonly turn: number };
const STILL: Half = { slope: 0, turn: 0 };

export function curvesOf(design: Design, theta: ArrayLike<number>): Curves {
  const from = design.linear + design.slopes;
  const gaps = from + design.tiring;
  const tiring = design.tiring > 0 ? halfOf(theta[from] as number, EVIDENCE.tiring.sd) : null;
  const loss = design.forgets ? halfOf(theta[gaps] as number, EVIDENCE.loss.sd) : null;
  return {
    tiring: tiring?.value ?? 0,
    tiringBy: tiring?.by ?? STILL,
    kept: design.tiring === 2 ? 1 / (1 + Math.exp(-(theta[from + 1] as number))) : 0,
    loss: loss?.value ?? 0,
    lossBy: loss?.by ?? STILL,
    days: design.forgets ? Math.exp(theta[gaps + 1] as number) : 1,
  };
}

function halfOf(z: number, sd: number): { readonly value: number; readonly by: Half } {
  const { value, slope, turn } = halfNormal(z);
  // Where it is 0 as far as a number can say, so is what it takes off.
  const by = value > 0 ? { slope: slope / value, turn: turn / value } : STILL;
  return { value: sd * value, by };
}

/** Fills `bench` with η of every row, without the swing, and its odds. */
export function predict(design: Design, theta: ArrayLike<number>, bench: Bench): void {
  const { width, rows, first, gap, linear, slopes: columns } = design;
  const { slopes, eta, odds } = bench;
  const { tiring, kept, loss, days } = curvesOf(design, theta);
  for (let a = 0; a < columns; a++) slopes[a] = Math.exp(theta[linear + a] as number);
  const late = linear + columns;
  for (let k = 0; k < gap.length; k++) {
    const forgotten = loss * -Math.expm1(-(gap[k] as number) / days);
    for (let r = first[k] as number; r < (first[k + 1] as number); r++) {
      const at = r * width;
      let sum = -forgotten;
      for (let j = 0; j < linear; j++) sum += (rows[at + j] as number) * (theta[j] as number);
      for (let a = 0; a < columns; a++) sum -= (slopes[a] as number) * (rows[at + linear + a] as number);
      if (tiring > 0) sum -= tiring * (rows[at + late] as number);
      if (kept > 0) sum -= tiring * kept * (rows[at + late + 1] as number);
      eta[r] = sum;
      odds[r] = Math.exp(sum);
    }
  }
}

/** Between these a sum of products of odds has neither overflowed nor vanished. */
const [LEAST, MOST] = [1e-280, 1e280];

/**
 * The log of Σ share × likelihood of session k over u, and in `bench.shares` what each u has of it. By
 * multiplying, ∏ (1 + odds)ⁿ, with one logarithm for the whole session: they are the dear part of a fit.
 */
export function sessionLog(design: Design, swing: Swing, bench: Bench, k: number): number {
  const { first, clean, total } = design;
  const { eta, odds, shares, before } = bench;
  const from = first[k] as number;
  const to = first[k + 1] as number;
  let base = 0;
  for (let r = from; r < to; r++) base += (clean[r] as number) * (eta[r] as number);
  const nodes = shares.length;
  let sum = 0;
  for (let q = 0; q < nodes; q++) {
    const f = swing.f[q] as number;
    let product = 1;
    for (let r = from; r < to; r++) {
      const factor = 1 + (odds[r] as number) * f;
      for (let n = total[r] as number; n > 0; n--) product *= factor;
    }
    const share = (before[k * nodes + q] as number) / product;
    shares[q] = share;
    sum += share;
  }
  return sum > LEAST && sum < MOST ? base + Math.log(sum) : sessionByLogs(design, swing, bench, k, base);
}

/** The same where products of odds leave what a number can hold: hundreds of reps, or odds far out. */
function sessionByLogs(
  { first, clean, total }: Design,
  swing: Swing,
  { odds, shares }: Bench,
  k: number,
  base: number,
): number {
  let highest = -Infinity;
  for (let q = 0; q < shares.length; q++) {
    let value = (swing.logShare[q] as number) + base;
    for (let r = first[k] as number; r < (first[k + 1] as number); r++)
      value +=
        (clean[r] as number) * (swing.u[q] as number) -
        (total[r] as number) * Math.log1p((odds[r] as number) * (swing.f[q] as number));
    shares[q] = value;
    if (value > highest) highest = value;
  }
  let sum = 0;
  for (let q = 0; q < shares.length; q++) {
    shares[q] = Math.exp((shares[q] as number) - highest);
    sum += shares[q] as number;
  }
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
  for (const { session, slope, apart, reps } of design.graded)
    value +=
      (design.weight[session] as number) *
      reps *
      Math.log(-Math.expm1(-Math.exp(theta[slope] as number) * apart));
  return value;
}
