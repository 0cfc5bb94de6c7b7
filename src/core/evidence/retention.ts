import { addDays, type Day, daysBetween } from '@/core/shared';
import type { BoutEvidence } from './bout-evidence';

/** A first try after some days without: how long the gap, and whether it was clean. */
export type ColdTry = { readonly day: Day; readonly gap: number; readonly clean: boolean };

export type Retention = {
  readonly tries: readonly ColdTry[];
  /** Days after which half would be forgotten, now. */
  readonly halfLife: number;
  /** Chance that it would still be there today. */
  readonly today: number;
  /** The day on which that falls to 80 %. */
  readonly due: Day;
};

/** What the first success is good for, days, before tries have told: five guesses, alike likely. */
const FIRST = [3, 6, 12, 24, 48] as const;
/**
 * A clean try after a gap as long as the half-life doubles it; a sooner one adds less; a miss
 * halves it.
 */
const GROWTH = 1;
const LOSS = 0.5;
const LEAST = 1;
const DUE_AT = 0.8;
/** A dog may fail for other reasons than forgetting. */
const SLIP = 0.05;

/**
 * The cold tries of an element: the first counted rep of each day, with the gap since the day
 * before that.
 * @internal
 */
export function coldTries(bouts: readonly BoutEvidence[]): ColdTry[] {
  const firsts = new Map<Day, NonNullable<BoutEvidence['first']>>();
  for (const { day, first } of bouts) {
    const known = firsts.get(day);
    if (first && (!known || first.at < known.at)) firsts.set(day, first);
  }
  const days = [...firsts].sort(([a], [b]) => (a < b ? -1 : 1));
  return days.slice(1).map(([day, { clean }], i) => ({
    day,
    gap: daysBetween(days[i]?.[0] ?? day, day),
    clean,
  }));
}

/**
 * How well it keeps: the chance after a gap is 2^(−gap/h) (Ebbinghaus 1885), the half-life h grows
 * with each success, the more the longer the gap was against it (spaced practice, Cepeda and others
 * 2006), and is halved by a miss. The first half-life is averaged over five guesses by how well
 * each foretells the tries. Null before there are two cold tries.
 */
export function retentionOf(bouts: readonly BoutEvidence[], today: Day): Retention | null {
  const tries = coldTries(bouts);
  const last = tries.at(-1);
  if (!last || tries.length < 2) return null;
  const runs = FIRST.map((start) => followed(start, tries));
  const highest = Math.max(...runs.map((run) => run.log));
  const weights = runs.map((run) => Math.exp(run.log - highest));
  const all = weights.reduce((a, b) => a + b, 0);
  const halfLife = Math.exp(
    runs.reduce((sum, run, i) => sum + ((weights[i] as number) / all) * Math.log(run.halfLife), 0),
  );
  return {
    tries,
    halfLife,
    today: 2 ** (-daysBetween(last.day, today) / halfLife),
    due: addDays(last.day, Math.max(1, Math.floor(halfLife * Math.log2(1 / DUE_AT)))),
  };
}

function followed(
  start: number,
  tries: readonly ColdTry[],
): { readonly halfLife: number; readonly log: number } {
  let [halfLife, log] = [start, 0];
  for (const { gap, clean } of tries) {
    const chance = SLIP + (1 - 2 * SLIP) * 2 ** (-gap / halfLife);
    log += Math.log(clean ? chance : 1 - chance);
    halfLife = clean
      ? halfLife * (1 + GROWTH * Math.min(1, gap / halfLife))
      : Math.max(LEAST, halfLife * LOSS);
  }
  return { halfLife, log };
}
