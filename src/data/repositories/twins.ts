import type { Dog, ElementRecord } from '@/data/records';
import { listDogs } from './dogs';
import { rungOf } from './elements';
import type { Kennel } from './kennel';

/** A dog and its own element of the same piece of work, where it has one, with the rung on which it stands. */
export type Twin = { readonly dog: Dog; readonly element: ElementRecord | null; readonly rung: number };

/** Every dog of the kennel beside an element: the one that has it first, then the others in the order of the kennel. */
export async function twinsOf(kennel: Kennel, element: ElementRecord): Promise<Twin[]> {
  const dogs = await listDogs(kennel);
  const twins = await Promise.all(
    dogs.map(async (dog): Promise<Twin> => {
      const elements = await kennel.database.elements.where('dogId').equals(dog.id).toArray();
      const own = elements.find((one) => one.id === element.id) ?? elements.find((one) => one.retired === null && isTwin(one, element)) ?? null;
      return { dog, element: own, rung: own ? await rungOf(kennel, own.id) : 0 };
    }),
  );
  return [...twins.filter((twin) => twin.element?.id === element.id), ...twins.filter((twin) => twin.element?.id !== element.id)];
}

/** The same piece of the same method, or the same name. */
function isTwin(one: ElementRecord, other: ElementRecord): boolean {
  if (one.method && other.method) return one.method.id === other.method.id && one.method.element === other.method.element;
  return one.title.toLowerCase() === other.title.toLowerCase();
}
