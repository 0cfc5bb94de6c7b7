import type { Criteria } from '@/core/breakdown';
import type { ArticleEvent } from '@/core/coaching';
import { type Before, countsAsEvidence, type EvidenceRep } from '@/core/evidence';
import type { DogId, ElementId, SessionId } from '@/core/shared';
import type { Entry, Session } from '@/data/records';
import { articleEvents, evidenceReps } from './fold';
import type { Kennel } from './kennel';
import { sessionEntries } from './log';

/**
 * All standing reps of a dog, by element: what the core's evidence is made from. The sessions of an element that was split or merged stay with it, and count for what
 * came of it only where the person has assigned them.
 */
export async function repsOfDog(kennel: Kennel, dog: DogId): Promise<Map<ElementId, EvidenceRep[]>> {
  const { database } = kennel;
  const [sessions, entries, elements] = await Promise.all([
    database.sessions.where('dogId').equals(dog).toArray(),
    database.entries.where('dogId').equals(dog).toArray(),
    database.elements.where('dogId').equals(dog).toArray(),
  ]);
  const assigned = new Map(elements.flatMap((element) => element.assigned.map((one) => [one.session, one.to] as const)));
  const bySession = new Map<SessionId, Entry[]>();
  for (const entry of entries) bySession.set(entry.sessionId, [...(bySession.get(entry.sessionId) ?? []), entry]);
  const found = new Map<ElementId, EvidenceRep[]>();
  for (const session of sessions) {
    const log = (bySession.get(session.id) ?? []).sort((a, b) => a.seq - b.seq);
    const reps = evidenceReps(session, log);
    for (const id of [session.elementId, ...(assigned.get(session.id) ?? [])]) found.set(id, [...(found.get(id) ?? []), ...reps]);
  }
  for (const reps of found.values()) reps.sort((a, b) => a.at - b.at);
  return found;
}

/** Clean and all counted reps at one set of criteria, from sessions before this one. Reads the element's history: once for a session, not for each rep. */
export async function beforeSession(kennel: Kennel, session: Session, criteria: Criteria): Promise<Before> {
  const sessions = (await kennel.database.sessions.where('elementId').equals(session.elementId).toArray()).filter(
    (one) => one.startedAt < session.startedAt,
  );
  const logs = await Promise.all(sessions.map((one) => sessionEntries(kennel, one.id)));
  const wanted = JSON.stringify(Object.entries(criteria).sort());
  const reps = sessions
    .flatMap((one, i) => evidenceReps(one, logs[i] ?? []))
    .filter((rep) => countsAsEvidence(rep) && JSON.stringify(Object.entries(rep.criteria).sort()) === wanted);
  return { clean: reps.filter((rep) => rep.outcome === 'clean').length, total: reps.length };
}

/** What happened to an element's articles in the sessions before this one, oldest first. */
export async function articlesBefore(kennel: Kennel, session: Session): Promise<ArticleEvent[]> {
  const sessions = (await kennel.database.sessions.where('elementId').equals(session.elementId).toArray())
    .filter((one) => one.startedAt < session.startedAt)
    .sort((a, b) => a.startedAt - b.startedAt);
  const logs = await Promise.all(sessions.map((one) => sessionEntries(kennel, one.id)));
  return logs.flatMap(articleEvents);
}
