import type { Criteria } from '@/core/breakdown';
import type { Kennel } from '@/data/kennel';
import type { Dog, ElementRecord } from '@/data/records';
import { standsAt } from './evidence';
import { listDogs } from './work';

/**
 * A dog and its own element of the same piece of work, where it has one, and where it stands in it
 * (null before its first bout).
 */
export type SameWork = {
  readonly dog: Dog;
  readonly element: ElementRecord | null;
  readonly stands: Criteria | null;
};

/**
 * Every dog of the kennel beside an element: the one that has it first, then the others in the order
 * of the kennel.
 */
export async function sameWorkOf(kennel: Kennel, element: ElementRecord): Promise<SameWork[]> {
  const dogs = await listDogs(kennel);
  const all = await Promise.all(
    dogs.map(async (dog): Promise<SameWork> => {
      const elements = await kennel.database.of('elements').where('dogId').equals(dog.id).toArray();
      const own =
        elements.find((one) => one.id === element.id) ??
        elements.find((one) => one.retired === null && !one.putAway && isSameWork(one, element)) ??
        null;
      return { dog, element: own, stands: own ? await standsAt(kennel, own.id) : null };
    }),
  );
  const isIt = (one: SameWork): boolean => one.element?.id === element.id;
  return [...all.filter(isIt), ...all.filter((one) => !isIt(one))];
}

/** The same piece of the same method, or the same name. */
export function isSameWork(one: ElementRecord, other: ElementRecord): boolean {
  if (one.method && other.method)
    return one.method.id === other.method.id && one.method.element === other.method.element;
  return one.title.toLowerCase() === other.title.toLowerCase();
}
