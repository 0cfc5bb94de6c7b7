import type { Interval } from '@/core/evidence';
import type { ElementId, Steps } from '@/core/shared';
import { mean, quantile, variance } from '@/core/statistics';
import type { Assumptions } from './assumptions';
import { sum } from './forecast';
import { simulateTrials } from './simulate';
import type { Runs, TrialClass } from './trial-class';

export type Help = {
  readonly element: ElementId;
  /**
   * Gain in the chance of passing from the stated number of sessions, with the interval of what is not
   * known about the dog; below 0 it does harm.
   */
  readonly gain: Interval;
  /** Gain in points (units). */
  readonly units: number;
  /** In how many of ten draws of the dog this is the best. */
  readonly bestIn: number;
  /** Gain for an hour of training on it; null where no minutes tell one element from another. */
  readonly gainPerHour: number | null;
  /** The first is better than this in fewer than eight draws of ten; the first itself is never. */
  readonly tooClose: boolean;
};

/** The first must be better in so many of the draws to be called so. */
const CALLED = 0.8;
/** Sessions that differ by less than this share of the longest take the same time. */
const SAME_TIME = 0.2;

/**
 * What would help most: each element in turn is lifted by sessions × its gain per session (never past the
 * ceiling, and down where sessions do harm in a draw), with the random numbers of `runs` in their slots, so
 * that the difference is paired. An element that serves two exercises is lifted in both. `minutes` are those
 * of a session on each element. Sorted by gain, largest first.
 */
export function* helpRanking(
  input: TrialClass,
  runs: Runs,
  assumptions: Assumptions,
  seed: number,
  minutes: ReadonlyMap<ElementId, number> = new Map(),
): Steps<Help[]> {
  const elements = input.exercises.flatMap((exercise) => exercise.elements);
  const ids = [...new Set(elements.map((element) => element.id))];
  const found: Gained[] = [];
  for (const [i, id] of ids.entries()) {
    const sessionsOf = elements.map((element) => (element.id === id ? assumptions.sessions : 0));
    const helped = simulateTrials(input, assumptions, seed, runs.size, { sessionsOf });
    found.push({ id, ...gainsOf(runs, helped) });
    yield (i + 1) / ids.length;
  }
  const best = bestShares(found);
  const timed = timesDiffer(ids, minutes);
  const sorted = found
    .map((one, i) => ({ ...one, best: best[i] as number, gain: intervalOf(one.gains, runs.size.runs) }))
    .sort((a, b) => b.gain.mid - a.gain.mid);
  const [first] = sorted;
  return sorted.map(({ id, gains, gain, best: share, units }) => ({
    element: id,
    gain,
    units,
    bestIn: Math.round(share * 10),
    gainPerHour: timed ? gain.mid / ((assumptions.sessions * (minutes.get(id) as number)) / 60) : null,
    tooClose: first !== undefined && id !== first.id && beats(first.gains, gains) < CALLED,
  }));
}

type Gained = {
  readonly id: ElementId;
  /** By draw, in shares of its runs. */
  readonly gains: readonly number[];
  readonly unitsBy: readonly number[];
  readonly units: number;
};

function gainsOf(before: Runs, after: Runs): Omit<Gained, 'id'> {
  const { groups, runs } = before.size;
  return {
    gains: Array.from(after.passesByGroup, (one, g) => (one - (before.passesByGroup[g] as number)) / runs),
    unitsBy: Array.from(after.unitsByGroup, (one, g) => (one - (before.unitsByGroup[g] as number)) / runs),
    units: (sum(after.unitsByGroup) - sum(before.unitsByGroup)) / (groups * runs),
  };
}

/**
 * The interval over draws without the dice of their few runs. With the same random numbers a lift only
 * turns runs one way, so a draw’s difference is a share of runs, with a share’s variance.
 */
function intervalOf(gains: readonly number[], runs: number): Interval {
  const centre = mean(gains);
  const all = variance(gains);
  const dice = mean(gains.map((g) => (Math.abs(g) * (1 - Math.abs(g))) / (runs - 1)));
  const shrink = all > 0 ? Math.sqrt(Math.max(0, all - dice) / all) : 0;
  const values = gains.map((g) => centre + (g - centre) * shrink);
  return {
    low: Math.min(centre, quantile(values, 0.1)),
    mid: centre,
    high: Math.max(centre, quantile(values, 0.9)),
  };
}

/** In what share of the draws each gains most: in passes, then in points; a tie is shared. */
function bestShares(found: readonly Gained[]): number[] {
  const shares = found.map(() => 0);
  const draws = found[0]?.gains.length ?? 0;
  for (let g = 0; g < draws; g++) {
    const most = Math.max(...found.map((one) => one.gains[g] as number));
    const first = found.flatMap((one, i) => (one.gains[g] === most ? [i] : []));
    const points = Math.max(...first.map((i) => found[i]?.unitsBy[g] as number));
    const winners = first.filter((i) => found[i]?.unitsBy[g] === points);
    for (const i of winners) shares[i] = (shares[i] as number) + 1 / (winners.length * draws);
  }
  return shares;
}

/** In what share of the draws one gains more than another; a tie counts half. */
const beats = (a: readonly number[], b: readonly number[]): number =>
  mean(a.map((one, g) => (one > (b[g] as number) ? 1 : one === b[g] ? 0.5 : 0)));

/** Whether minutes are known of every element, and differ enough to matter. */
function timesDiffer(ids: readonly ElementId[], minutes: ReadonlyMap<ElementId, number>): boolean {
  const known = ids.flatMap((id) => minutes.get(id) ?? []);
  const longest = Math.max(...known, 0);
  return known.length === ids.length && Math.min(...known) < (1 - SAME_TIME) * longest;
}
