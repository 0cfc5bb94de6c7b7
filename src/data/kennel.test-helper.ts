import { asId, type DeviceId, type DogId, must } from '@/core/shared';
import { type Kennel, openKennel } from './kennel';
import { type Changed, UNKNOWN_DOG } from './records';

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
