import type { Axis, Method, MethodElement } from '@/core/breakdown';
import type { DogId } from '@/core/shared';
import { type Dog, type ElementRecord, type Trial, UNKNOWN_DOG } from '@/data/records';
import { type Kennel, newId } from './kennel';
import { elementFromMethod } from './make-element';

export function listDogs(kennel: Kennel): Promise<Dog[]> {
  return kennel.database.dogs.toArray();
}

/** The dog's next trials, soonest first. */
export async function trialsOf(kennel: Kennel, dog: DogId): Promise<Trial[]> {
  const trials = await kennel.database.trials.where('dogId').equals(dog).toArray();
  return trials.sort((a, b) => (a.day < b.day ? -1 : 1));
}

/** A dog's first element: one from a method, with what the person answered. */
export type FirstElement = { readonly dogName: string; readonly method: Method; readonly element: MethodElement; readonly axes: readonly Axis[] };

/** A person's own dog with its first element, from a built-in method; no rule book is needed. */
export async function addDogWithElement(kennel: Kennel, first: FirstElement): Promise<ElementRecord> {
  const dog: Dog = { ...UNKNOWN_DOG, id: newId(), name: first.dogName };
  const element = elementFromMethod(newId(), dog.id, first.method, first.element, first.axes);
  await kennel.database.transaction('rw', kennel.database.dogs, kennel.database.elements, async () => {
    await kennel.database.dogs.add(dog);
    await kennel.database.elements.add(element);
  });
  return element;
}

/** Changes what is written of a dog, and gives back what was there, for undo. */
export async function changeDog(kennel: Kennel, dog: Dog): Promise<Dog | null> {
  return kennel.database.transaction('rw', kennel.database.dogs, async () => {
    const before = await kennel.database.dogs.get(dog.id);
    if (before) await kennel.database.dogs.put(dog);
    return before ?? null;
  });
}
