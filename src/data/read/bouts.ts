import { type Entry, type Folded, foldLog, inOrder } from '@/core/log';
import type { BoutId, Day, ElementId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Bout, Outing } from '@/data/records';

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

/**
 * A bout runs on the day it was begun and until it is ended; one forgotten yesterday is over, so that
 * its reps keep their day.
 */
export const isRunning = (bout: DatedBout, today: Day): boolean =>
  bout.endedAt === null && bout.day === today;

/** Whether an outing of today is under way: somebody has not ended it yet. */
export async function isOuting(kennel: Kennel, today: Day): Promise<boolean> {
  const outings = await kennel.database.of('outings').where('day').equals(today).toArray();
  return outings.some((one) => one.endedAt === null);
}

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
