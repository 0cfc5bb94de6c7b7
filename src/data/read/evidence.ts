import { type Criteria, measuredAs } from '@/core/breakdown';
import type { ArticleEvent } from '@/core/coaching';
import { type Before, type BoutEvidence, FALLING_OFF, type FaultCount, tallyAt } from '@/core/evidence';
import { faultText } from '@/core/rulebooks';
import type { BoutId, DogId, ElementId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { ElementRecord } from '@/data/records';
import { DELAY_KEY, type KeptEvidence, type KeptLog } from '@/data/records/kept-evidence';
import type { DatedBout } from './bouts';

/** What each element's bouts say, oldest first. */
export type EvidenceByElement = ReadonlyMap<ElementId, readonly KeptEvidence[]>;
export type StandsByElement = ReadonlyMap<ElementId, Criteria>;

const byStart = (a: KeptEvidence, b: KeptEvidence): number =>
  a.startedAt - b.startedAt || (a.id < b.id ? -1 : 1);

/** What is kept of all bouts of a dog, oldest first; no entry is read. */
export async function keptOfDog(kennel: Kennel, dog: DogId): Promise<KeptEvidence[]> {
  return (await kennel.database.kept.where('dogId').equals(dog).toArray()).sort(byStart);
}

/** What is kept of the bouts on an element that began before `until`, oldest first. */
export async function keptOn(
  kennel: Kennel,
  element: ElementId,
  until: number = Number.POSITIVE_INFINITY,
): Promise<KeptEvidence[]> {
  const range = kennel.database.kept.where('[element+startedAt]').between([element, 0], [element, until]);
  return (await range.toArray()).sort(byStart);
}

/**
 * What is kept of the last bout on an element, whatever the length of its history; null before any. A
 * whole run leaves it where it stands.
 */
export async function lastKept(kennel: Kennel, element: ElementId): Promise<KeptEvidence | null> {
  const range = kennel.database.kept
    .where('[element+startedAt]')
    .between([element, 0], [element, Number.POSITIVE_INFINITY]);
  return (
    (await range
      .reverse()
      .filter((one) => !one.link)
      .first()) ?? null
  );
}

/** Where the dog stands: where its last bout left it; null before any. */
export async function standsAt(kennel: Kennel, element: ElementId): Promise<Criteria | null> {
  return (await lastKept(kennel, element))?.stands ?? null;
}

/** What is kept of these bouts rep by rep, by their ids. */
export async function keptLogs(kennel: Kennel, bouts: readonly BoutId[]): Promise<Map<BoutId, KeptLog>> {
  const found = await kennel.database.keptLogs.bulkGet([...bouts]);
  return new Map(found.flatMap((one) => (one ? [[one.id, one] as const] : [])));
}

/** How many reps are logged on an element. */
export const repsOn = (evidence: EvidenceByElement, element: ElementId): number =>
  (evidence.get(element) ?? []).reduce((sum, bout) => sum + bout.reps, 0);

/**
 * By element: the bouts of one that was split or merged stay with it, and count for what came of it
 * only where the person has assigned them. Reps in which the dog was gone back to count for the element
 * that is named as its wait.
 */
export function evidenceByElement(
  kept: readonly KeptEvidence[],
  elements: readonly Pick<ElementRecord, 'id' | 'assigned' | 'wait' | 'axes'>[],
): Map<ElementId, KeptEvidence[]> {
  const waits = new Map(
    elements.flatMap(({ id, wait }) => {
      const at = elements.find((one) => one.id === wait);
      return at ? [[id, at] as const] : [];
    }),
  );
  const assigned = new Map(
    elements.flatMap((element) => element.assigned.map((one) => [one.bout as string, one.to] as const)),
  );
  const found = new Map<ElementId, KeptEvidence[]>();
  for (const bout of kept)
    for (const id of [...(bout.element ? [bout.element] : []), ...(assigned.get(bout.id) ?? [])]) {
      const list = found.get(id);
      if (list) list.push(bout);
      else found.set(id, [bout]);
    }
  for (const bout of kept) {
    const wait = bout.element && waits.get(bout.element);
    if (wait && bout.returns)
      found.set(wait.id, [...(found.get(wait.id) ?? []), asWait(bout, bout.returns, wait)].sort(byStart));
  }
  return found;
}

/** What a bout says of its wait: the seconds that were waited are asked of the axis that asks for them. */
function asWait(
  bout: KeptEvidence,
  returns: BoutEvidence,
  { id, axes }: Pick<ElementRecord, 'id' | 'axes'>,
): KeptEvidence {
  const held = axes.find((axis) => measuredAs(axis) === 'held');
  const criteria = ({ [DELAY_KEY]: delay, ...rest }: Criteria): Criteria =>
    held && delay !== undefined ? { ...rest, [held.key]: delay } : rest;
  return {
    ...bout,
    ...returns,
    id: bout.id,
    element: id,
    cells: returns.cells.map((cell) => ({ ...cell, criteria: criteria(cell.criteria) })),
    returns: null,
  };
}

/** Where the dog stands on each element that was ever worked: an open bout's place, else the last's. */
export function standsOf(kept: readonly KeptEvidence[]): Map<ElementId, Criteria> {
  const stands = new Map<ElementId, Criteria>();
  const open = new Set<ElementId>();
  for (const one of kept) {
    if (!one.element || one.link || (open.has(one.element) && !one.open)) continue;
    if (one.open) open.add(one.element);
    stands.set(one.element, one.stands);
  }
  return stands;
}

/**
 * What the dog was known to do before this bout: clean and all counted reps at one set of criteria, extra
 * cues, and its answers, session by session.
 */
export async function beforeBout(
  kennel: Kennel,
  element: ElementRecord,
  bout: DatedBout,
  criteria: Criteria,
): Promise<Before> {
  const kept = await keptOn(kennel, element.id, bout.startedAt);
  const { clean, reps } = tallyAt(kept, element.axes, criteria);
  const extra = (counts: readonly number[]): number => counts.reduce((sum, count, n) => sum + n * count, 0);
  return {
    clean,
    total: reps,
    cues: {
      reps: kept.reduce((sum, one) => sum + one.habits.cued, 0),
      extra: kept.reduce((sum, one) => sum + extra(one.priced.cues), 0),
    },
    times: kept.flatMap(({ times }) => {
      const logs = times.filter((one) => one >= FALLING_OFF.leastLatency).map(Math.log);
      return logs.length === 0 ? [] : [logs];
    }),
  };
}

/** How often each fault was seen in the bouts before this one. */
export async function faultsBefore(
  kennel: Kennel,
  element: ElementId,
  bout: DatedBout,
): Promise<FaultCount[]> {
  const counts = new Map<string, FaultCount>();
  for (const { faults } of await keptOn(kennel, element, bout.startedAt)) {
    for (const { fault, count } of faults) {
      const key = fault ? faultText(fault) : '';
      counts.set(key, { fault, count: count + (counts.get(key)?.count ?? 0) });
    }
  }
  return [...counts.values()];
}

/** What happened to an element's articles in the bouts before this one, oldest first. */
export async function articlesBefore(
  kennel: Kennel,
  element: ElementId,
  bout: DatedBout,
): Promise<ArticleEvent[]> {
  const range = kennel.database.keptLogs
    .where('[element+startedAt]')
    .between([element, 0], [element, bout.startedAt]);
  return (await range.toArray()).flatMap((one) => one.articles);
}
