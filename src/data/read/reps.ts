import type { Criteria } from '@/core/breakdown';
import type { ArticleEvent } from '@/core/coaching';
import type { Before } from '@/core/evidence';
import { asEvidence, countsAsEvidence, type Entry, type EvidenceRep, foldLog, inOrder } from '@/core/log';
import type { BoutId, DogId, ElementId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { type ElementRecord, elementOf, type Tables } from '@/data/records';
import { boutLog, boutsOfDog, boutsOn, type DatedBout } from './bouts';

/**
 * All standing reps of a dog, by element: what the core's evidence is made from. The bouts of an
 * element that was split or merged stay with it, and count for what came of it only where the person
 * has assigned them.
 */
export async function repsOfDog(kennel: Kennel, dog: DogId): Promise<Map<ElementId, EvidenceRep[]>> {
  const { database } = kennel;
  const [bouts, entries, elements] = await Promise.all([
    boutsOfDog(kennel, dog),
    database.of('entries').where('dogId').equals(dog).toArray(),
    database.of('elements').where('dogId').equals(dog).toArray(),
  ]);
  return repsByElement(bouts, entries, elements);
}

function logsByBout(entries: readonly Entry[]): Map<BoutId, Entry[]> {
  const logs = new Map<BoutId, Entry[]>();
  for (const entry of entries) {
    const log = logs.get(entry.boutId);
    if (log) log.push(entry);
    else logs.set(entry.boutId, [entry]);
  }
  return logs;
}

/** How many reps stand in a kennel: what was taken back is in the log, and is no rep. */
export function standingReps({ bouts, entries }: Pick<Tables, 'bouts' | 'entries'>): number {
  const logs = logsByBout(entries);
  return bouts.reduce(
    (sum, bout) => sum + foldLog(bout.start, inOrder(logs.get(bout.id) ?? [])).reps.length,
    0,
  );
}

/**
 * The same from rows at hand.
 * @internal
 */
export function repsByElement(
  bouts: readonly DatedBout[],
  entries: readonly Entry[],
  elements: readonly ElementRecord[],
): Map<ElementId, EvidenceRep[]> {
  const assigned = new Map(
    elements.flatMap((element) => element.assigned.map((one) => [one.bout, one.to] as const)),
  );
  const logs = logsByBout(entries);
  const found = new Map<ElementId, EvidenceRep[]>();
  for (const bout of bouts) {
    const reps = asEvidence(bout, foldLog(bout.start, inOrder(logs.get(bout.id) ?? [])).reps);
    const element = elementOf(bout);
    for (const id of [...(element ? [element] : []), ...(assigned.get(bout.id) ?? [])])
      found.set(id, [...(found.get(id) ?? []), ...reps]);
  }
  for (const reps of found.values()) reps.sort((a, b) => a.at - b.at);
  return found;
}

async function boutsBefore(kennel: Kennel, bout: DatedBout): Promise<DatedBout[]> {
  const element = elementOf(bout);
  const all = element ? await boutsOn(kennel, element) : [];
  return all.filter((one) => one.startedAt < bout.startedAt);
}

/**
 * Clean and all counted reps at one set of criteria, from bouts before this one. Reads the element's
 * history: once for a bout, not for each rep.
 */
export async function beforeBout(kennel: Kennel, bout: DatedBout, criteria: Criteria): Promise<Before> {
  const bouts = await boutsBefore(kennel, bout);
  const logs = await Promise.all(bouts.map((one) => boutLog(kennel, one.id)));
  const wanted = JSON.stringify(Object.entries(criteria).sort());
  const reps = bouts
    .flatMap((one, i) => asEvidence(one, foldLog(one.start, logs[i] ?? []).reps))
    .filter((rep) => countsAsEvidence(rep) && JSON.stringify(Object.entries(rep.criteria).sort()) === wanted);
  return { clean: reps.filter((rep) => rep.outcome === 'clean').length, total: reps.length };
}

/** What happened to an element's articles in the bouts before this one, oldest first. */
export async function articlesBefore(kennel: Kennel, bout: DatedBout): Promise<ArticleEvent[]> {
  const bouts = await boutsBefore(kennel, bout);
  const logs = await Promise.all(bouts.map((one) => boutLog(kennel, one.id)));
  return bouts.flatMap((one, i) => [...foldLog(one.start, logs[i] ?? []).articles]);
}
