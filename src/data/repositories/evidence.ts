import type { EvidenceRep } from '@/core/evidence';
import type { DogId, ElementId, SessionId } from '@/core/shared';
import type { Entry } from '@/data/records';
import { evidenceReps } from './fold';
import type { Kennel } from './kennel';

/** All standing reps of a dog, by element: what the core's evidence is made from. */
export async function repsOfDog(kennel: Kennel, dog: DogId): Promise<Map<ElementId, EvidenceRep[]>> {
  const { database } = kennel;
  const [sessions, entries] = await Promise.all([
    database.sessions.where('dogId').equals(dog).toArray(),
    database.entries.where('dogId').equals(dog).toArray(),
  ]);
  const bySession = new Map<SessionId, Entry[]>();
  for (const entry of entries) bySession.set(entry.sessionId, [...(bySession.get(entry.sessionId) ?? []), entry]);
  const found = new Map<ElementId, EvidenceRep[]>();
  for (const session of sessions) {
    const log = (bySession.get(session.id) ?? []).sort((a, b) => a.seq - b.seq);
    found.set(session.elementId, [...(found.get(session.elementId) ?? []), ...evidenceReps(session, log)]);
  }
  for (const reps of found.values()) reps.sort((a, b) => a.at - b.at);
  return found;
}
