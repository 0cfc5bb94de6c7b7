import type { Random } from '@/core/shared';
import { cholesky, drawGamma, halfNormal } from '@/core/statistics';
import { type Fit, logPosterior, type Peak } from './fit';
import { benchFor } from './marginal';
import { DRAW } from './priors';
import { EVIDENCE } from './settings';

/**
 * Posterior draws, row by row in the order of `DRAW`, τ at the end; the level is that of now (α₀ + G·next
 * session, drift added). `idle` are the days from the last session to today. `effective` is the effective
 * sample size of the importance weights before resampling (Kish 1965), out of `proposed`.
 */
export type Posterior = {
  readonly width: number;
  readonly count: number;
  readonly draws: Float64Array;
  readonly effective: number;
  readonly proposed: number;
  readonly idle: number;
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
 * weight (a skewed posterior), small rounds before propose from the weighted mean and covariance of the
 * last (population Monte Carlo, Cappé and others 2004). Then systematic resampling. Same random
 * numbers, same draws.
 */
export function drawPosterior(
  fit: Fit,
  random: Random,
  count: number = EVIDENCE.draws,
  proposals: number = EVIDENCE.proposals,
): Posterior {
  let round = propose(fit, fitting(fit, random, Math.min(PILOT, proposals)), random, proposals);
  for (let i = 0; i < AGAIN && round.effective < POOR * proposals; i++) {
    const next = propose(fit, recentred(fit, round), random, proposals);
    if (next.effective > round.effective) round = next;
  }
  const { design, priors } = fit;
  const width = priors.length + 1;
  const draws = new Float64Array(count * width);
  resampled(round.weights, round.sum, count, random).forEach((from, i) => {
    const row = round.rows[from] as number[];
    const at = i * width;
    priors.forEach((prior, j) => {
      const place = design.params.indexOf(j);
      draws[at + j] = place < 0 ? prior.mean + prior.sd * random.normal() : (row[place] as number);
    });
    draws[at + DRAW.tiring] = EVIDENCE.tiring.sd * halfNormal(draws[at + DRAW.tiring] as number).value;
    draws[at + DRAW.loss] = EVIDENCE.loss.sd * halfNormal(draws[at + DRAW.loss] as number).value;
    draws[at + width - 1] = row.at(-1) as number;
    draws[at + DRAW.level] =
      (draws[at + DRAW.level] as number) +
      (draws[at + DRAW.gain] as number) * design.next +
      EVIDENCE.drift * random.normal();
  });
  return {
    width,
    count,
    draws,
    effective: round.effective,
    proposed: round.rows.length,
    idle: design.idle,
  };
}

/** Small rounds that look whether the proposals fit, at most so many, each of so many proposals. */
const PILOTS = 5;
const PILOT = 500;
/** The share of them that must be worth something for them to do. */
const ENOUGH = 0.3;
/** A whole round that is worth less than this share is done again from what it found, so often at most. */
const POOR = 0.12;
const AGAIN = 2;

/** The proposals of which most are worth something: Laplace’s, or those that rounds of them lead to. */
function fitting(fit: Fit, random: Random, size: number): readonly Peak[] {
  // A coarse look has no time for it.
  if (size < PILOT) return fit.peaks;
  let peaks = fit.peaks;
  let best = { peaks, share: 0 };
  for (let i = 0; i < PILOTS; i++) {
    const pilot = propose(fit, peaks, random, size);
    const share = pilot.effective / pilot.rows.length;
    if (share > best.share) best = { peaks, share };
    if (share > ENOUGH) break;
    peaks = recentred(fit, pilot);
  }
  return best.peaks;
}

type Round = {
  readonly rows: readonly number[][];
  readonly weights: readonly number[];
  readonly sum: number;
  readonly effective: number;
};

function propose({ design, said }: Fit, peaks: readonly Peak[], random: Random, proposals: number): Round {
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
      const value = logPosterior(design, said, peak.swing, theta, bench);
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
function recentred({ peaks, said }: Fit, { rows, weights, sum }: Round): Peak[] {
  const mean = said.map(
    (_, j) => rows.reduce((total, row, i) => total + (weights[i] as number) * (row[j] as number), 0) / sum,
  );
  const covariance = said.map((_, a) =>
    said.map((__, b) => {
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
