import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect } from 'react';
import { useParams } from 'react-router';
import { coachFacts, isRunning, lastSession, repsOfDog, sessionEntries, twinsOf, useKennelWithDog, workOf } from '@/data/repositories';
import { Notice } from '@/ui';
import { BeforeCard } from './before-card';
import { Pad } from './pad';
import { usePad } from './pad-store';

/** One element in the field: the card before it, and the pad while a session is open. Reads only what this session needs. */
export function SessionPage() {
  const { element: id } = useParams();
  const { kennel, dog, today } = useKennelWithDog();
  const clear = usePad((state) => state.clear);
  useEffect(() => clear, [clear]);
  const found = useLiveQuery(async () => {
    const work = await workOf(kennel, dog.id);
    const element = work.elements.find((candidate) => candidate.id === id) ?? null;
    const session = element ? await lastSession(kennel, element.id) : null;
    const entries = session ? await sessionEntries(kennel, session.id) : [];
    const running = session !== null && isRunning(session, today);
    // The whole history is read for the card before a session, never while reps are being logged.
    const reps = element && !running ? await repsOfDog(kennel, dog.id) : new Map();
    const twins = element && !running ? (await twinsOf(kennel, element)).filter((twin) => twin.element !== null).length : 0;
    const facts = element && running ? await coachFacts(kennel, element, session) : null;
    return { work, element, session, entries, reps, twins, facts };
  }, [kennel, dog, id, today]);
  if (!found) return <p className="text-lg">Reading the log …</p>;
  const { work, element, session, entries, reps, twins, facts } = found;
  if (!element) return <Notice tone="alert">There is no such element for this dog.</Notice>;
  if (session && facts) return <Pad element={element} work={work} session={session} entries={entries} facts={facts} />;
  return <BeforeCard element={element} last={session} entries={entries} work={work} reps={reps} twins={twins} />;
}
