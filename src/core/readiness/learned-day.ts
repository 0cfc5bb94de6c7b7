import { logistic, shrinkage } from '@/core/statistics';

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

/** What is thought of a dog’s trial days: what a strange place does, middle and SD, and the SD of nerves. */
export type DayBelief = {
  readonly place: { readonly mean: number; readonly sd: number };
  /** The SD that gives the same variance as all that is thought of it. */
  readonly nerves: number;
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
const PLACES = 25;
const SPREADS = 15;
const REACH = 3.3;
/** Of the day that all elements share: the trapezoid rule, as elsewhere for days. */
const DAYS = 21;

/**
 * Place and nerves of a dog from its runs. A go of element e in run r is clean with chance
 * σ((η_e + δ·away + b_r) / √(1 + πv/8)), v what is not known of η_e and its own part of the day’s swing,
 * (1 − ρ)τ²; all goes of a run share b_r ~ N(0, s² + ρτ²), s the nerves, so that ten goes of one bad day are
 * one bad day. Exact posterior on a grid of δ and ln s, b_r by the trapezoid rule (a random effect per
 * cluster, Stiratelli, Laird & Ware 1984). η_e must not come from the same reps, and a score is not asked at
 * all: nothing is learned twice. Logits. No run → the prior. One run of twenty goes that an 80 % dog
 * half missed → place from −.5 to about −.8.
 */
export function learnDay(
  runs: readonly RunDay[],
  prior: DayBelief,
  sharedDay: number,
): DayBelief & { readonly runs: number; readonly goes: number } {
  const heard = runs.filter(({ goes }) => goes.length > 0);
  const goes = heard.flatMap((run) => run.goes).reduce((sum, one) => sum + one.clean + one.notClean, 0);
  if (heard.length === 0) return { ...prior, runs: 0, goes: 0 };
  const steps = (count: number): number[] =>
    Array.from({ length: count }, (_, i) => (i / (count - 1)) * 2 * REACH - REACH);
  const spreads = prior.nerves > 0 ? steps(SPREADS) : [0];
  let [total, first, second, squares, most] = [0, 0, 0, 0, Number.NEGATIVE_INFINITY];
  const points: { readonly place: number; readonly nerves: number; readonly log: number }[] = [];
  for (const u of steps(PLACES))
    for (const w of spreads) {
      const place = prior.place.mean + prior.place.sd * u;
      const nerves = nervesAt(prior, w);
      const log = heard.reduce(
        (sum, run) => sum + logOf(run, place, nerves, sharedDay),
        -(u * u + w * w) / 2,
      );
      points.push({ place, nerves, log });
      most = Math.max(most, log);
    }
  for (const { place, nerves, log } of points) {
    const weight = Math.exp(log - most);
    total += weight;
    first += weight * place;
    second += weight * place * place;
    squares += weight * nerves * nerves;
  }
  const mean = first / total;
  return {
    place: { mean, sd: Math.sqrt(Math.max(0, second / total - mean * mean)) },
    nerves: Math.sqrt(squares / total),
    runs: heard.length,
    goes,
  };
}

/** ln of the chance of what a run showed, averaged over its day. */
function logOf({ away, goes }: RunDay, place: number, nerves: number, sharedDay: number): number {
  const swing = goes.reduce((sum, one) => sum + one.swing, 0) / goes.length;
  const sd = Math.sqrt(nerves * nerves + sharedDay * swing * swing);
  const shift = away ? place : 0;
  let [top, sum] = [Number.NEGATIVE_INFINITY, 0];
  for (let k = 0; k < DAYS; k++) {
    const z = (k / (DAYS - 1)) * 8 - 4;
    let log = -(z * z) / 2;
    for (const { mean, variance, swing: own, clean, notClean } of goes) {
      const p = logistic((mean + shift + sd * z) * shrinkage(variance + (1 - sharedDay) * own * own));
      log += clean * Math.log(Math.max(p, TINY)) + notClean * Math.log(Math.max(1 - p, TINY));
    }
    // A sum of powers, each against the greatest so far.
    sum = log > top ? sum * Math.exp(top - log) + 1 : sum + Math.exp(log - top);
    top = Math.max(top, log);
  }
  return top + Math.log(sum);
}
const TINY = 1e-12;
