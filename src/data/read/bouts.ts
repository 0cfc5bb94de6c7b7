import { type Entry, type Folded, foldLog, inOrder } from '@/core/log';
import type { BoutId, Day, ElementId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Bout, Outing } from '@/data/records';
import { addressOf, breakdownIn } from './whole';

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

export async function withDays(kennel: Kennel, bouts: readonly Bout[]): Promise<DatedBout[]> {
  const ids = [...new Set(bouts.map((bout) => bout.outingId))];
  const outings = await kennel.database.of('outings').bulkGet(ids);
  const byId = new Map(outings.flatMap((outing) => (outing ? [[outing.id, outing] as const] : [])));
  return bouts.flatMap((bout) => dated(bout, byId.get(bout.outingId)));
}

/** All bouts on an element, or on an exercise that was run whole, oldest first. */
export async function boutsOn(kennel: Kennel, id: ElementId): Promise<DatedBout[]> {
  const exercise = breakdownIn(id);
  const bouts = kennel.database.of('bouts');
  const whole = exercise ? await bouts.where('on.breakdown').equals(exercise).toArray() : [];
  const found = [...(await bouts.where('on.element').equals(id).toArray()), ...whole];
  return withDays(kennel, found.sort(byStart));
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

/** The lines that were written for next time after these bouts, in their order, with what each was on. */
export async function linesOf(
  kennel: Kennel,
  bouts: readonly BoutId[],
): Promise<{ readonly bout: BoutId; readonly on: ElementId; readonly line: string }[]> {
  const found = await kennel.database.of('bouts').bulkGet([...bouts]);
  return found.flatMap((bout) =>
    bout?.debrief?.next ? [{ bout: bout.id, on: addressOf(bout), line: bout.debrief.next }] : [],
  );
}
