import { bookForSize, sizeOf } from '@/core/rulebooks';
import { type DogId, type ElementId, type Result, say } from '@/core/shared';
import { type Kennel, newId } from '@/data/kennel';
import { type Dog, type ElementRecord, type New, UNKNOWN_DOG } from '@/data/records';
import { redemanded } from './redemand';
import { refuse, transact, type Undo, type Write } from './transact';

/** The first element of a dog, made once it is known whose it is. */
export type FirstElement = {
  readonly element: (id: ElementId, dogId: DogId) => New<ElementRecord>;
};

/** A new dog by its name, or one of the kennel, with its first element. Gives the element. */
export function addFirstElement(
  kennel: Kennel,
  whose: { readonly name: string } | { readonly id: DogId },
  first: FirstElement,
): Promise<Result<Undo<ElementRecord>>> {
  return transact(kennel, ['dogs', 'elements'], async (write) => {
    const dog = 'id' in whose ? whose.id : (await putDog(write, whose.name)).id;
    return write.put('elements', first.element(newId<ElementId>(), dog));
  });
}

/** A dog of which only the name is known. Fails with `record` where it has none. */
export function addDog(kennel: Kennel, name: string): Promise<Result<Undo<Dog>>> {
  return transact(kennel, ['dogs'], (write) => putDog(write, name));
}

/** A new dog comes last in the person's order. */
async function putDog(write: Write, name: string): Promise<Dog> {
  const order = (await write.all('dogs')).reduce((most, dog) => Math.max(most, dog.order + 1), 0);
  return write.put('dogs', { ...UNKNOWN_DOG, id: newId<DogId>(), name: name.trim(), order });
}

/** Puts the dogs in a person's order. */
export function orderDogs(kennel: Kennel, order: readonly DogId[]): Promise<Result<Undo>> {
  return transact(kennel, ['dogs'], async (write) => {
    for (const dog of await write.all('dogs')) {
      const place = order.indexOf(dog.id);
      if (place >= 0 && place !== dog.order) await write.put('dogs', { ...dog, order: place });
    }
  });
}

type Change = Partial<Omit<Dog, 'id' | 'changed'>>;

/**
 * Changes what is written of a dog. Where its height changes, ladders that aim at what a rule book asks
 * of its size follow. Fails with `gone` where there is none.
 */
export function changeDog(kennel: Kennel, id: DogId, change: Change): Promise<Result<Undo<Dog>>> {
  return transact(kennel, ['dogs', 'ruleBooks', 'breakdowns', 'elements'], async (write) => {
    const stored =
      (await write.get('dogs', id)) ?? refuse('gone', id, say('data.dogs.this-dog-is-not-in-the-kennel-any'));
    const dog = await write.put('dogs', { ...stored, ...change });
    if (dog.height !== stored.height) await followHeight(write, stored, dog);
    return dog;
  });
}

async function followHeight(write: Write, before: Dog, after: Dog): Promise<void> {
  const breakdowns = await write.ofDog('breakdowns', after.id);
  for (const { book } of await write.all('ruleBooks')) {
    const [from, to] = [before, after].map(({ height }) => bookForSize(book, sizeOf(book, height)));
    if (!from || !to || from === to) continue;
    const laid = breakdowns.filter((one) => one.ruleBookId === book.id);
    for (const element of await write.ofDog('elements', after.id)) {
      const changed = redemanded(element, laid, from, to);
      if (changed !== element) await write.put('elements', changed);
    }
  }
}
