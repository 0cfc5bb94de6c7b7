import { addDays, type Day, type DogId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Trial } from '@/data/records';

/** So many days a trial that has been is asked for; who has not said by then how it went will not any more. */
const ASKED = 60;

/** Trials of a dog that have been and of which nobody said how they went, the last one first. A mock trial is no result of one. */
export async function trialsUnsaid(kennel: Kennel, dogId: DogId, today: Day): Promise<Trial[]> {
  const { database } = kennel;
  const [trials, results] = await Promise.all([
    database.of('trials').where('dogId').equals(dogId).toArray(),
    database.of('results').where('dogId').equals(dogId).toArray(),
  ]);
  const said = new Set(results.filter((one) => one.kind === 'trial').map((one) => one.trialId));
  return trials
    .filter((one) => one.status !== 'withdrawn' && one.day < today && one.day >= addDays(today, -ASKED))
    .filter((one) => !said.has(one.id))
    .toSorted((a, b) => (a.day < b.day ? 1 : -1));
}
