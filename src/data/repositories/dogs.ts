import { METHODS, type Method } from '@/core/breakdown';
import type { DogId, ElementId } from '@/core/shared';
import { DEFAULT_POLICY, type Dog, type ElementRecord, type Trial } from '@/data/records';
import { type Kennel, newId } from './kennel';

export function listDogs(kennel: Kennel): Promise<Dog[]> {
  return kennel.database.dogs.toArray();
}

/** The dog's next trials, soonest first. */
export async function trialsOf(kennel: Kennel, dog: DogId): Promise<Trial[]> {
  const trials = await kennel.database.trials.where('dogId').equals(dog).toArray();
  return trials.sort((a, b) => (a.day < b.day ? -1 : 1));
}

/** Values in base units: what works now, and what is wanted. */
export type FirstElement = { readonly dogName: string; readonly method: Method; readonly start: number; readonly goal: number };

/** A person's own dog with its first element, from a built-in method; no rule book is needed. */
export async function addDogWithElement(kennel: Kennel, first: FirstElement): Promise<ElementRecord> {
  const dog: Dog = { id: newId(), name: first.dogName, breed: '', born: null };
  const element = elementFromMethod(dog.id, first);
  await kennel.database.transaction('rw', kennel.database.dogs, kennel.database.elements, async () => {
    await kennel.database.dogs.add(dog);
    await kennel.database.elements.add(element);
  });
  return element;
}

function elementFromMethod(dogId: DogId, { method, start, goal }: FirstElement): ElementRecord {
  return {
    id: newId<ElementId>(),
    dogId,
    title: method.title,
    axes: [{ ...method.axis, start, demand: goal, eases: [...method.axis.eases] }],
    edits: [],
    policy: { ...DEFAULT_POLICY, ...method.run },
    methodId: method.id,
  };
}

export function methodOf(element: Pick<ElementRecord, 'methodId'>): Method | null {
  return METHODS.find((method) => method.id === element.methodId) ?? null;
}
