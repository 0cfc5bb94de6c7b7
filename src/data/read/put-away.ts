import type { DogId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Breakdown, ElementRecord, RuleBookRecord } from '@/data/records';

/** What of a dog is put away: its elements, and its exercises. */
export type PutAway = {
  readonly elements: readonly ElementRecord[];
  readonly breakdowns: readonly Breakdown[];
};

export async function putAwayOf(kennel: Kennel, dog: DogId): Promise<PutAway> {
  const { database } = kennel;
  const [elements, breakdowns] = await Promise.all([
    database.of('elements').where('dogId').equals(dog).toArray(),
    database.of('breakdowns').where('dogId').equals(dog).toArray(),
  ]);
  return {
    elements: elements.filter((one) => one.putAway && one.retired === null),
    breakdowns: breakdowns.filter((one) => one.putAway),
  };
}

/** Rule books that are offered for new work: those that are not put away. */
export const inUse = (books: readonly RuleBookRecord[]): RuleBookRecord[] =>
  books.filter((one) => !one.putAway);
