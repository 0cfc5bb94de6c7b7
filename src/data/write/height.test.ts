import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { HEIGHT } from '@/core/breakdown/axis.test-helper';
import { type RuleBook, readRuleBook } from '@/core/rulebooks';
import { type AxisKey, asId, type BreakdownId, type ExerciseKey, must } from '@/core/shared';
import { CHANGED, DOG, kennelWithDog, testElement } from '@/data/kennel.test-helper';
import { workOf } from '@/data/read';
import { changeDog, moveToEdition, putRuleBook, takeBack } from '.';

const read = readRuleBook(readFileSync('src/demo/rule-books/ravenholt-course.json', 'utf8'));
if (!read.ok) throw new Error('the sample book is unsound');
const book = read.value;
const KEY = asId<AxisKey>('height');

/** A dog whose hurdle is laid on what the course asks, and one element with a height of its person’s own. */
async function kennelAtTheHurdle(demand: number) {
  const kennel = await kennelWithDog();
  must(await putRuleBook(kennel, book, 0));
  const { database } = kennel;
  for (const [id, aim] of [
    ['jump', demand],
    ['own', 0.6],
  ] as const)
    await database.of('elements').add({
      ...testElement(id, { axes: [{ ...HEIGHT, key: KEY, start: 0.1, demand: aim }] }),
      changed: CHANGED,
    });
  const hurdles = book.exercises.find((one) => one.id === 'hurdles');
  const part = hurdles?.parts[0]?.id;
  if (!part) throw new Error('the course has hurdles');
  await database.of('breakdowns').add({
    id: asId<BreakdownId>('b'),
    dogId: DOG,
    ruleBookId: book.id,
    exercise: asId<ExerciseKey>('hurdles'),
    own: null,
    links: ['jump', 'own'].map((id) => ({ part, element: testElement(id).id })),
    putAway: false,
    changed: CHANGED,
  });
  const demands = async () =>
    (await workOf(kennel, DOG)).elements
      .map((one) => one.axes[0]?.demand)
      .sort((a, b) => (a ?? 0) - (b ?? 0));
  return { kennel, demands };
}

describe('a dog’s height', () => {
  it('takes ladders along that aim at what its size is asked, and only these; taken back, they go back', async () => {
    const { kennel, demands } = await kennelAtTheHurdle(0.35);
    const low = must(await changeDog(kennel, DOG, { height: 0.33 }));
    expect(await demands()).toEqual([0.25, 0.6]);
    const high = must(await changeDog(kennel, DOG, { height: 0.5 }));
    expect(await demands()).toEqual([0.45, 0.6]);
    must(await takeBack(kennel, high));
    must(await takeBack(kennel, low));
    expect(await demands()).toEqual([0.35, 0.6]);
    // What is otherwise said of a dog moves no ladder.
    must(await changeDog(kennel, DOG, { breed: 'Sheltie' }));
    expect(await demands()).toEqual([0.35, 0.6]);
  });

  it('has every page read the book as it is for this dog, and the kennel keep it as it is written', async () => {
    const { kennel } = await kennelAtTheHurdle(0.35);
    must(await changeDog(kennel, DOG, { height: 0.33 }));
    const asked = (of: RuleBook) =>
      of.exercises.find((one) => one.id === 'hurdles')?.parts[0]?.demands.map((one) => one.value);
    const [mine] = (await workOf(kennel, DOG)).ruleBooks;
    const [kept] = await kennel.database.of('ruleBooks').toArray();
    expect([mine && asked(mine.book), kept && asked(kept.book)]).toEqual([[25], [35]]);
  });

  it('moves to another edition by the values of its size', async () => {
    const { kennel, demands } = await kennelAtTheHurdle(0.35);
    must(await changeDog(kennel, DOG, { height: 0.33 }));
    const next = JSON.parse(JSON.stringify(book).replace('"low":25', '"low":30')) as RuleBook;
    must(await putRuleBook(kennel, { ...next, id: asId('ravenholt-2') }, 0));
    must(await moveToEdition(kennel, DOG, book, { ...next, id: asId('ravenholt-2') }));
    expect(await demands()).toEqual([0.3, 0.6]);
  });
});
