import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect } from 'react';
import { useParams } from 'react-router';
import { useKennelWithDog } from '@/data/live';
import { boutLog, coachFacts, isRunning, lastBout, repsOfDog, sameWorkOf, workOf } from '@/data/read';
import { Notice } from '@/ui';
import { BeforeCard } from './before-card';
import { Pad } from './pad';
import { usePad } from './pad-store';

/**
 * One element in the field: the card before it, and the pad while a session is open. Reads only
 * what this session needs.
 */
export function SessionPage() {
  const { element: id } = useParams();
  const { kennel, dog, today } = useKennelWithDog();
  const clear = usePad((state) => state.clear);
  useEffect(() => clear, [clear]);
  const found = useLiveQuery(async () => {
    const work = await workOf(kennel, dog.id);
    const element = work.elements.find((candidate) => candidate.id === id) ?? null;
    const bout = element ? await lastBout(kennel, element.id) : null;
    const entries = bout ? await boutLog(kennel, bout.id) : [];
    const running = bout !== null && isRunning(bout, today);
    // The whole history is read for the card before a session, never while reps are being logged.
    const reps = element && !running ? await repsOfDog(kennel, dog.id) : new Map();
    const same = element && !running ? await sameWorkOf(kennel, element) : [];
    const dogs = same.filter((one) => one.element !== null).length;
    const facts = element && running ? await coachFacts(kennel, element, bout) : null;
    return { work, element, bout, entries, reps, dogs, facts };
  }, [kennel, dog, id, today]);
  if (!found) return <p className="text-lg">Reading the log …</p>;
  const { work, element, bout, entries, reps, dogs, facts } = found;
  if (!element) return <Notice tone="alert">There is no such element for this dog.</Notice>;
  if (bout && facts) return <Pad element={element} work={work} bout={bout} entries={entries} facts={facts} />;
  return <BeforeCard element={element} last={bout} entries={entries} work={work} reps={reps} dogs={dogs} />;
}
