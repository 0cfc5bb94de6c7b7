import { shrinkage, softplus } from '@/core/statistics';

/** Goes of one element in one run that were asked alike. */
export type RunGoes = {
  readonly element: string;
  /** Its logit of a clean go at that, at home, from all reps but those of runs; and the variance of what is not known. */
  readonly mean: number;
  readonly variance: number;
  /** SD of its swing from day to day. */
  readonly swing: number;
  readonly clean: number;
  readonly notClean: number;
};

/** One run: whether it was in a strange place, and its goes. */
export type RunDay = { readonly away: boolean; readonly goes: readonly RunGoes[] };

type Normal = { readonly mean: number; readonly sd: number };

/** What is thought of a dog’s trial days: what a strange place does, middle and SD, and the SD of nerves. */
export type DayBelief = {
  readonly place: Normal;
  /** The SD that gives the same variance as all that is thought of it. */
  readonly nerves: number;
};

/** The same after runs; `besides`: how much more or less than thought the other conditions of a run cost. */
export type DayLearned = DayBelief & {
  readonly besides: Normal;
  readonly runs: number;
  readonly goes: number;
};

/** Before any run, ln of the nerves’ SD is spread by so much. */
const NERVES_SPREAD = 0.6;

/**
 * Nerves so many spreads off their middle, which is laid so that their mean square is what is assumed.
 * @internal
 */
export const nervesAt = ({ nerves }: Pick<DayBelief, 'nerves'>, w: number): number =>
  nerves * Math.exp(NERVES_SPREAD * w - NERVES_SPREAD ** 2);

/** Points of the grid, and how many SDs it reaches: the ends hold less than .001. */
const POINTS = { place: 13, besides: 9, nerves: 9, day: 15 } as const;
const REACH = 3.3;

/**
 * Place and nerves of a dog from its runs. A go of element e in run r is clean with chance
 * σ((η_e + δ·away + ν + b_r) / √(1 + πv/8)), v what is not known of η_e and its own part of the day’s swing,
 * (1 − ρ)τ²; all goes of a run share b_r ~ N(0, s² + ρτ²), s the nerves, so that ten goes of one bad day are
 * one bad day. ν ~ N(0, `besides`²) is common to all runs: what else a run asks (no pay, the first go) costs
 * every element alike more or less than thought. Left out, all of that would be laid to the place: over 200
 * simulated seasons that was worse than learning nothing (docs/decisions/0026). Exact posterior on a grid of
 * δ, ν and ln s, b_r by the trapezoid rule (a random effect per cluster, Stiratelli, Laird & Ware 1984). η_e
 * must not come from the same reps, and a score is not asked at all: nothing is learned twice. Logits. No run →
 * the prior. One run of twenty goes that an 80 % dog half missed → place from −.5 to about −.8.
 */
export function learnDay(
  runs: readonly RunDay[],
  prior: DayBelief,
  sharedDay: number,
  besides = 0,
): DayLearned {
  const heard = runs.filter(({ goes }) => goes.length > 0);
  const count = heard.flatMap((run) => run.goes).reduce((sum, one) => sum + one.clean + one.notClean, 0);
  if (heard.length === 0) return { ...prior, besides: { mean: 0, sd: besides }, runs: 0, goes: 0 };
  const laid = heard.map((run) => layOut(run, sharedDay));
  const points: Point[] = [];
  for (const u of steps(POINTS.place))
    for (const w of besides > 0 ? steps(POINTS.besides) : [0])
      for (const n of prior.nerves > 0 ? steps(POINTS.nerves) : [0]) {
        const [place, more] = [prior.place.mean + prior.place.sd * u, besides * w];
        const nerves = nervesAt(prior, n);
        let log = -(u * u + w * w + n * n) / 2;
        for (const run of laid) log += logOf(run, (run.away ? place : 0) + more, nerves);
        points.push({ place, besides: more, squared: nerves * nerves, log });
      }
  const most = points.reduce((top, { log }) => Math.max(top, log), Number.NEGATIVE_INFINITY);
  const weights = points.map(({ log }) => Math.exp(log - most));
  const total = weights.reduce((sum, one) => sum + one, 0);
  const mean = (of: (point: Point) => number): number =>
    points.reduce((sum, point, i) => sum + (weights[i] as number) * of(point), 0) / total;
  // Points that lie apart know nothing finer than what is between them: without that many runs would leave a
  // spread of 0, by which no fit could be done.
  const normal = (of: (point: Point) => number, prior: number, points: number): Normal => {
    const middle = mean(of);
    const apart = (prior * 2 * REACH) / (points - 1);
    return { mean: middle, sd: Math.sqrt(mean((point) => (of(point) - middle) ** 2) + apart ** 2 / 12) };
  };
  return {
    place: normal((point) => point.place, prior.place.sd, POINTS.place),
    besides: normal((point) => point.besides, besides, POINTS.besides),
    nerves: Math.sqrt(mean((point) => point.squared)),
    runs: heard.length,
    goes: count,
  };
}

type Point = {
  readonly place: number;
  readonly besides: number;
  readonly squared: number;
  readonly log: number;
};

const steps = (count: number): number[] =>
  Array.from({ length: count }, (_, i) => (i / (count - 1)) * 2 * REACH - REACH);

/** A run with what its goes say at each shift of the day, so that the grid looks it up. */
type Laid = {
  readonly away: boolean;
  /** ρτ², of its elements together. */
  readonly swing: number;
  /** ln of the chance of all its goes, at shifts from −`SPAN` on by `STEP`. */
  readonly logs: Float64Array;
};
const SPAN = 12;
const STEP = 0.02;

function layOut({ away, goes }: RunDay, sharedDay: number): Laid {
  const swing = goes.reduce((sum, one) => sum + one.swing, 0) / goes.length;
  const logs = new Float64Array(Math.round((2 * SPAN) / STEP) + 1);
  for (const { mean, variance, swing: own, clean, notClean } of goes) {
    const shrink = shrinkage(variance + (1 - sharedDay) * own * own);
    for (let i = 0; i < logs.length; i++) {
      const eta = (mean + i * STEP - SPAN) * shrink;
      // ln σ(x) = −ln(1 + e^−x), which is finite where σ is rounded to 0 or 1.
      logs[i] = (logs[i] as number) - clean * softplus(-eta) - notClean * softplus(eta);
    }
  }
  return { away, swing: sharedDay * swing * swing, logs };
}

/** ln of the chance of what a run showed at a shift, averaged over its day. */
function logOf({ swing, logs }: Laid, shift: number, nerves: number): number {
  const sd = Math.sqrt(nerves * nerves + swing);
  let [top, sum] = [Number.NEGATIVE_INFINITY, 0];
  for (let k = 0; k < POINTS.day; k++) {
    const z = (k / (POINTS.day - 1)) * 8 - 4;
    const at = Math.min(logs.length - 1.000001, Math.max(0, (shift + sd * z + SPAN) / STEP));
    const i = Math.floor(at);
    const log =
      (logs[i] as number) + (at - i) * ((logs[i + 1] as number) - (logs[i] as number)) - (z * z) / 2;
    // A sum of powers, each against the greatest so far.
    sum = log > top ? sum * Math.exp(top - log) + 1 : sum + Math.exp(log - top);
    top = Math.max(top, log);
  }
  return top + Math.log(sum);
}
