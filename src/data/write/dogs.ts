import type { Axis, Method, MethodElement } from '@/core/breakdown';
import { type DogId, type ElementId, type Result, say } from '@/core/shared';
import { type Kennel, newId } from '@/data/kennel';
import { elementFromMethod } from '@/data/make-element';
import { type Dog, type ElementRecord, UNKNOWN_DOG } from '@/data/records';
import { refuse, transact, type Undo } from './transact';

/** A dog's first element: one from a method, with what the person answered. */
export type FirstElement = {
  readonly dogName: string;
  readonly method: Method;
  readonly element: MethodElement;
  readonly axes: readonly Axis[];
};

/**
 * A person's own dog with its first element, from a built-in method; no rule book is needed. Gives the
 * element.
 */
export function addDogWithElement(kennel: Kennel, first: FirstElement): Promise<Result<Undo<ElementRecord>>> {
  return transact(kennel, ['dogs', 'elements'], async (write) => {
    const order = (await write.all('dogs')).reduce((most, dog) => Math.max(most, dog.order + 1), 0);
    const dog = await write.put('dogs', { ...UNKNOWN_DOG, id: newId<DogId>(), name: first.dogName, order });
    return write.put(
      'elements',
      elementFromMethod(newId<ElementId>(), dog.id, first.method, first.element, first.axes),
    );
  });
}

type Change = Partial<Omit<Dog, 'id' | 'changed'>>;

/** Changes what is written of a dog. Fails with `gone` where there is none. */
export function changeDog(kennel: Kennel, id: DogId, change: Change): Promise<Result<Undo<Dog>>> {
  return transact(kennel, ['dogs'], async (write) => {
    const stored =
      (await write.get('dogs', id)) ?? refuse('gone', id, say('data.dogs.this-dog-is-not-in-the-kennel-any'));
    return write.put('dogs', { ...stored, ...change });
  });
}
