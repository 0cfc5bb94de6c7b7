import { useLiveQuery } from 'dexie-react-hooks';
import { addDays, type Day } from '@/core/shared';
import { useKennel } from '@/data/live';
import { type Clip, diaryOf, type JudgedBout, judgedBout } from '@/data/read';

/** The bout that a clip shows, its reps, and how they are judged. */
export type ClipLog = JudgedBout;

/** Null where the clip shows no bout that is known; undefined while it is read. */
export function useClipLog(clip: Pick<Clip, 'boutId' | 'dogId'> | null): ClipLog | null | undefined {
  const { kennel } = useKennel();
  const [boutId, dogId] = [clip?.boutId ?? null, clip?.dogId ?? null];
  // An async function, by which Dexie knows that native promises are awaited inside: else no change of the log is seen.
  return useLiveQuery(async () => judgedBout(kennel, boutId, dogId), [kennel, boutId, dogId]);
}

/** Days back from which a bout is offered. */
const BACK = 90;

export type Choice = {
  readonly id: string;
  readonly title: string;
  readonly day: Day;
  readonly startedAt: number;
  readonly endedAt: number | null;
  readonly reps: number;
};

/** The bouts of a dog that a clip may show, the newest first. */
export function useBoutsToShow(dogId: string | null, today: Day): readonly Choice[] | undefined {
  const { kennel } = useKennel();
  return useLiveQuery(async () => {
    const bouts = await diaryOf(kennel, addDays(today, -BACK), today);
    return bouts
      .filter((one) => one.dog.id === dogId)
      .map(({ bout, outing, title, kept }) => ({
        id: bout.id as string,
        title,
        day: outing.day,
        startedAt: bout.startedAt,
        endedAt: bout.endedAt,
        reps: kept.reps,
      }))
      .sort((a, b) => b.startedAt - a.startedAt);
  }, [kennel, dogId, today]);
}

/** The bout that was worked while a file was written: it ends with the last time it was changed. */
export function boutOfFile(file: File, seconds: number, bouts: readonly Choice[]): Choice | null {
  const [from, to] = [file.lastModified - seconds * 1000, file.lastModified];
  const overlap = (one: Choice): number => Math.min(to, one.endedAt ?? to) - Math.max(from, one.startedAt);
  const best = [...bouts].sort((a, b) => overlap(b) - overlap(a))[0];
  return best && overlap(best) > 0 ? best : null;
}
