import type { Advice } from '@/core/coaching';
import { type Coached, replaySteps } from './as-coach';
import type { Entry } from './entry';
import { foldLog, type StandingRep } from './fold';

/** What became of an entry: it stands, was said otherwise later, or was taken back. */
export type Fate = 'stands' | 'amended' | 'undone';

/** One moment of a bout: what was entered, its fate, the rep as it stands, the advice after it. */
export type Moment = {
  readonly entry: Entry;
  readonly fate: Fate;
  readonly rep: StandingRep | null;
  /**
   * What today's ladder and rule advise after it, given what stands now; empty for what no coach is
   * told.
   */
  readonly advice: readonly Advice[];
};

/** Every entry of a log in its order. Undo and amendments show as the fate of what they name. */
export function timelineOf(coached: Coached, entries: readonly Entry[]): Moment[] {
  const folded = foldLog(coached.start, entries);
  const amended = new Set(
    entries.flatMap((entry) =>
      (entry.kind === 'amend' || entry.kind === 'restate') && !folded.undone.has(entry.id) ? [entry.of] : [],
    ),
  );
  const reps = new Map(folded.reps.map((rep) => [rep.id, rep]));
  const advice = new Map(
    replaySteps(coached, entries, folded).map(({ entry, step }) => [entry, step.advice] as const),
  );
  return entries
    .filter((entry) => entry.kind !== 'undo' && entry.kind !== 'amend' && entry.kind !== 'restate')
    .map((entry) => ({
      entry,
      fate: folded.undone.has(entry.id) ? 'undone' : amended.has(entry.id) ? 'amended' : 'stands',
      rep: reps.get(entry.id) ?? null,
      advice: advice.get(entry.id) ?? [],
    }));
}
