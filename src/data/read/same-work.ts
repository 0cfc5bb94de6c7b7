import type { Criteria } from '@/core/breakdown';
import type { Kennel } from '@/data/kennel';
import type { Breakdown, Dog, ElementRecord } from '@/data/records';
import { standsAt } from './evidence';
import { exerciseTitle } from './whole';
import { activeElements, listDogs, workOf } from './work';

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

/** What one dog trains that another could begin too: a whole exercise, or a piece that stands in none. */
export type Shareable = { readonly dog: Dog; readonly title: string } & (
  | { readonly kind: 'exercise'; readonly exercise: Breakdown }
  | { readonly kind: 'piece'; readonly element: ElementRecord }
);

/** All of it, of every dog but one (null: of all), exercises first; what two of them train is named once. */
export async function workToShare(kennel: Kennel, except: Dog['id'] | null): Promise<Shareable[]> {
  const dogs = (await listDogs(kennel)).filter((dog) => dog.id !== except);
  const all = await Promise.all(
    dogs.map(async (dog): Promise<Shareable[]> => {
      const work = await workOf(kennel, dog.id);
      const linked = new Set(work.breakdowns.flatMap((one) => one.links.map((link) => link.element)));
      const needed = new Set(activeElements(work).flatMap((one) => one.needs.map((need) => need.element)));
      return [
        ...work.breakdowns.map((exercise) => ({
          kind: 'exercise' as const,
          dog,
          title: exerciseTitle(exercise, work),
          exercise,
        })),
        ...activeElements(work)
          .filter((element) => !linked.has(element.id) && !needed.has(element.id))
          .map((element) => ({ kind: 'piece' as const, dog, title: element.title, element })),
      ];
    }),
  );
  const flat = all.flat();
  return flat.filter((one, i) => flat.findIndex((other) => other.title === one.title) === i);
}
