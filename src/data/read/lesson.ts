import { addDays, type BoutId, type Day } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Dog, ElementRecord, Outing } from '@/data/records';
import type { KeptEvidence } from '@/data/records/kept-evidence';
import { type DatedBout, isRecent, isRunning, withDays } from './bouts';
import { addressOf, trainableIn } from './whole';
import { workOf } from './work';

/** One bout of a lesson: whose it is, and on what. */
export type LessonBout = {
  readonly bout: DatedBout;
  readonly dog: Dog;
  /** An element, or an exercise that is run whole. */
  readonly element: ElementRecord;
  readonly running: boolean;
};
/** A lesson is one outing: its bouts in the order in which they began. */
export type Lesson = { readonly outing: Outing; readonly bouts: readonly LessonBout[] };

/**
 * The lesson that is under way: the newest outing of today (or of the evening before, past midnight) of
 * which a bout is open. Null where there is none.
 */
export async function lessonNow(kennel: Kennel, today: Day): Promise<Lesson | null> {
  const found = await newest(kennel, today);
  return found.find((one) => one.bouts.some((bout) => bout.running)) ?? null;
}

/** The same, or the lesson of today that was ended last. */
export async function lastLesson(kennel: Kennel, today: Day): Promise<Lesson | null> {
  const found = await newest(kennel, today);
  return found.find((one) => one.bouts.some((bout) => bout.running)) ?? found[0] ?? null;
}

async function newest(kennel: Kennel, today: Day): Promise<Lesson[]> {
  const { database } = kennel;
  const days = [today, addDays(today, -1)];
  const now = kennel.now();
  const outings = (await database.of('outings').where('day').anyOf(days).toArray()).filter(
    (one) => one.day === today || isRecent(one.startedAt, now),
  );
  outings.sort((a, b) => b.startedAt - a.startedAt);
  return Promise.all(outings.map((outing) => lessonOf(kennel, outing, today)));
}

async function lessonOf(kennel: Kennel, outing: Outing, today: Day): Promise<Lesson> {
  const { database } = kennel;
  const stored = await database.of('bouts').where('outingId').equals(outing.id).toArray();
  const bouts = await withDays(
    kennel,
    stored.sort((a, b) => a.startedAt - b.startedAt || (a.id < b.id ? -1 : 1)),
  );
  const dogs = [...new Set(bouts.map((bout) => bout.dogId))];
  // Rule books and all that, only where an exercise is run whole.
  const whole = new Set(bouts.flatMap((bout) => (bout.on.kind === 'exercise' ? [bout.dogId] : [])));
  const works = new Map(
    await Promise.all([...whole].map(async (id) => [id, await workOf(kennel, id)] as const)),
  );
  const ids = bouts.map(addressOf);
  const elements = await database.of('elements').bulkGet([...new Set(ids)]);
  const byId = new Map(elements.flatMap((one) => (one ? [[one.id, one] as const] : [])));
  const records = new Map(
    (await database.of('dogs').bulkGet(dogs)).flatMap((dog) => (dog ? [[dog.id, dog] as const] : [])),
  );
  return {
    outing,
    bouts: bouts.flatMap((bout): LessonBout[] => {
      const [dog, work] = [records.get(bout.dogId), works.get(bout.dogId)];
      const element = byId.get(addressOf(bout)) ?? (work && trainableIn(work, addressOf(bout)));
      if (!dog || !element) return [];
      return [{ bout, dog, element, running: isRunning(bout, today, kennel.now()) }];
    }),
  };
}

/** All open bouts of all dogs, the newest first: those of today, and of a lesson past midnight. */
export async function openBouts(kennel: Kennel, today: Day): Promise<LessonBout[]> {
  const all = (await newest(kennel, today)).flatMap((lesson) => lesson.bouts);
  return all.filter((one) => one.running).sort((a, b) => b.bout.startedAt - a.bout.startedAt);
}

/** Whether a lesson is under way: somebody has not ended it yet. */
export const isOuting = async (kennel: Kennel, today: Day): Promise<boolean> =>
  (await openBouts(kennel, today)).length > 0;

/** What these bouts come to so far, by their ids: all that a rep of a lesson changes. */
export async function keptOfBouts(
  kennel: Kennel,
  ids: readonly BoutId[],
): Promise<ReadonlyMap<BoutId, KeptEvidence>> {
  const found = await kennel.database.kept.bulkGet([...ids]);
  return new Map(found.flatMap((one) => (one ? [[one.id, one] as const] : [])));
}
