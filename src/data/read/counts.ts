import type { Kennel } from '@/data/kennel';
import type { Tables } from '@/data/records';

/** What a kennel holds, in numbers, and its dogs by name. */
export type KennelCounts = {
  readonly dogs: readonly string[];
  readonly elements: number;
  readonly bouts: number;
  readonly reps: number;
  readonly ruleBooks: number;
  readonly trials: number;
};

/** Rows read at once: more would keep the page busy. */
const PAGE = 500;

/** Counts without holding the kennel: what is kept of the bouts is read a few at a time. */
export async function kennelCounts({ database }: Kennel): Promise<KennelCounts> {
  const [dogs, elements, bouts, ruleBooks, trials] = await Promise.all([
    database.of('dogs').toArray(),
    ...(['elements', 'bouts', 'ruleBooks', 'trials'] as const).map((name) => database.of(name).count()),
  ] as const);
  let [reps, last] = [0, ''];
  for (;;) {
    const page = await database.kept.where('id').above(last).limit(PAGE).toArray();
    for (const one of page) reps += one.link ? 0 : one.reps;
    last = page.at(-1)?.id ?? '';
    if (page.length < PAGE) break;
  }
  const numbers = [elements, bouts, ruleBooks, trials].map((count) => count ?? 0);
  return {
    dogs: dogs.map((dog) => dog.name),
    elements: numbers[0] as number,
    bouts: numbers[1] as number,
    reps,
    ruleBooks: numbers[2] as number,
    trials: numbers[3] as number,
  };
}

/** The same of tables at hand, given how many reps stand in them. */
export const countsOf = (tables: Tables, reps: number): KennelCounts => ({
  dogs: tables.dogs.map((dog) => dog.name),
  elements: tables.elements.length,
  bouts: tables.bouts.length,
  reps,
  ruleBooks: tables.ruleBooks.length,
  trials: tables.trials.length,
});
