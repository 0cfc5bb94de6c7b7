import { type Entry, type Folded, foldLog, inOrder } from '@/core/log';
import { addDays, type BoutId, type Day, type ElementId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { type Bout, type Dog, type ElementRecord, elementOf, type Outing } from '@/data/records';

/** A bout with what its outing says of the day. */
export type DatedBout = Bout & {
  readonly day: Day;
  readonly helpers: string;
  readonly temperature: number | null;
};

/** @internal */
export function dated(bout: Bout, outing: Outing | undefined): DatedBout[] {
  if (!outing) return [];
  const { day, helpers, weather } = outing;
  return [{ ...bout, day, helpers, temperature: weather?.temperature ?? null }];
}

async function withDays(kennel: Kennel, bouts: readonly Bout[]): Promise<DatedBout[]> {
  const ids = [...new Set(bouts.map((bout) => bout.outingId))];
  const outings = await kennel.database.of('outings').bulkGet(ids);
  const byId = new Map(outings.flatMap((outing) => (outing ? [[outing.id, outing] as const] : [])));
  return bouts.flatMap((bout) => dated(bout, byId.get(bout.outingId)));
}

/** All bouts on an element, oldest first. */
export async function boutsOn(kennel: Kennel, element: ElementId): Promise<DatedBout[]> {
  const bouts = await kennel.database.of('bouts').where('on.element').equals(element).toArray();
  return withDays(kennel, bouts.sort(byStart));
}

const byStart = (a: Bout, b: Bout): number => a.startedAt - b.startedAt || (a.id < b.id ? -1 : 1);

/** A lesson that is longer than this was not ended, but forgotten: milliseconds. */
const LONGEST_LESSON = 12 * 3_600_000;

/**
 * A bout runs until it is ended, on its own day or past midnight; one that was forgotten yesterday is
 * over, so that its reps keep their day.
 */
export const isRunning = (
  bout: Pick<DatedBout, 'endedAt' | 'day' | 'startedAt'>,
  today: Day,
  now: number,
): boolean => bout.endedAt === null && (bout.day === today || isRecent(bout.startedAt, now));

/** Whether what began then can still be the same lesson, past midnight too. */
export const isRecent = (startedAt: number, now: number): boolean =>
  startedAt <= now && now - startedAt < LONGEST_LESSON;

/** The line that was written after the last bout of each element, where there is one. */
export async function lastLines(
  kennel: Kennel,
  elements: readonly ElementId[],
): Promise<ReadonlyMap<ElementId, string>> {
  const lines = await Promise.all(
    elements.map(async (element) => {
      const last = await lastBout(kennel, element);
      return [element, last?.debrief?.next ?? ''] as const;
    }),
  );
  return new Map(lines.filter(([, line]) => line !== ''));
}

/** A bout that nobody has ended, with the dog and the element it is on. */
export type OpenBout = {
  readonly bout: DatedBout;
  readonly dog: Dog;
  readonly element: ElementRecord;
};

/** All open bouts of all dogs, the newest first: those of today, and of a lesson past midnight. */
export async function openBouts(kennel: Kennel, today: Day): Promise<OpenBout[]> {
  const { database } = kennel;
  const days = [today, addDays(today, -1)];
  const outings = await database.of('outings').where('day').anyOf(days).toArray();
  const bouts = await database
    .of('bouts')
    .where('outingId')
    .anyOf(outings.map((one) => one.id))
    .toArray();
  const open = (await withDays(kennel, bouts)).filter((bout) => isRunning(bout, today, kennel.now()));
  const found = await Promise.all(
    open.map(async (bout): Promise<OpenBout | null> => {
      const id = elementOf(bout);
      const [dog, element] = await Promise.all([
        database.of('dogs').get(bout.dogId),
        id ? database.of('elements').get(id) : undefined,
      ]);
      return dog && element ? { bout, dog, element } : null;
    }),
  );
  return found.flatMap((one) => one ?? []).sort((a, b) => b.bout.startedAt - a.bout.startedAt);
}

/** Whether a lesson is under way: somebody has not ended it yet. */
export const isOuting = async (kennel: Kennel, today: Day): Promise<boolean> =>
  (await openBouts(kennel, today)).length > 0;

/** The bout of an element that is still open, and otherwise its last one; null before the first. */
export async function lastBout(kennel: Kennel, element: ElementId): Promise<DatedBout | null> {
  return lastOf(await boutsOn(kennel, element));
}

const lastOf = (bouts: readonly DatedBout[]): DatedBout | null =>
  bouts.find((bout) => bout.endedAt === null) ?? bouts.at(-1) ?? null;

/** The log of a bout, in its order. */
export async function boutLog(kennel: Kennel, id: BoutId): Promise<Entry[]> {
  const range = kennel.database
    .of('entries')
    .where('[boutId+seq]')
    .between([id, 0], [id, Number.POSITIVE_INFINITY]);
  return inOrder(await range.toArray());
}

/** A bout with its log and what stands of it. */
export type LoggedBout = {
  readonly bout: DatedBout;
  readonly entries: readonly Entry[];
  readonly folded: Folded;
};

export async function logged(kennel: Kennel, bout: DatedBout): Promise<LoggedBout> {
  const entries = await boutLog(kennel, bout.id);
  return { bout, entries, folded: foldLog(bout.start, entries) };
}
