import { testAxis } from '@/core/breakdown/axis.test-helper';
import { asEvidence, type EvidenceRep, foldLog } from '@/core/log';
import { asId, type DeviceId, type DogId, type ElementId, must } from '@/core/shared';
import { readTables } from './database';
import { type Kennel, openKennel } from './kennel';
import { evidenceByElement, keptOfDog } from './read';
import { boutLog, boutsOn } from './read/bouts';
import {
  type Changed,
  type ElementRecord,
  type New,
  PLAIN_ELEMENT,
  type Tables,
  UNKNOWN_DOG,
} from './records';

/** A version vector for rows that a test makes by itself. */
export const CHANGED: Changed = { at: 0, by: asId<DeviceId>('test'), seen: { test: 1 } };
export const DOG = asId<DogId>('d');

let count = 0;

/** An empty kennel of its own, with a clock that goes on by a second each time it is read. */
export async function emptyKennel(start = 0): Promise<Kennel> {
  let at = start;
  return must(await openKennel('own', () => (at += 1000), `test-${count++}`));
}

/** The same with one dog in it. */
export async function kennelWithDog(): Promise<Kennel> {
  const kennel = await emptyKennel();
  await kennel.database.of('dogs').add({ ...UNKNOWN_DOG, id: DOG, name: 'Wren', changed: CHANGED });
  return kennel;
}

/** All standing reps of a dog by element, straight from the log, past what is kept. */
export async function repsStored(kennel: Kennel, dog: DogId): Promise<Map<ElementId, EvidenceRep[]>> {
  const found = new Map<ElementId, EvidenceRep[]>();
  for (const own of await kennel.database.of('elements').where('dogId').equals(dog).toArray())
    for (const bout of await boutsOn(kennel, own.id)) {
      const element = own.id;
      const reps = asEvidence(bout, foldLog(bout.start, await boutLog(kennel, bout.id)).reps);
      found.set(element, [...(found.get(element) ?? []), ...reps]);
    }
  return found;
}

/** What is kept of a dog's bouts, by the element for which they count. */
export async function evidenceStored(kennel: Kennel, dog: DogId) {
  const elements = await kennel.database.of('elements').where('dogId').equals(dog).toArray();
  return evidenceByElement(await keptOfDog(kennel, dog), elements);
}

/** All records, in one view of the database. */
export function exportTables({ database }: Kennel): Promise<Tables> {
  return database.transaction('r', database.tables, () => readTables(database));
}

/** An element of the dog with one axis of distance, under its own id as its name. */
export const testElement = (id: string, change: Partial<ElementRecord> = {}): New<ElementRecord> => ({
  ...PLAIN_ELEMENT,
  id: asId<ElementId>(id),
  dogId: DOG,
  title: id,
  axes: [testAxis()],
  ...change,
});
