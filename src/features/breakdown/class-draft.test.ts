import { describe, expect, it } from 'vitest';
import { asId, type ElementId } from '@/core/shared';
import type { DogWork } from '@/data/read';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { sampleState, TODAY } from '@/demo/sample-state.test-helper';
import { askedLinks, classDraft, without, withoutDemands } from './class-draft';

const [record] = makeSampleKennel(TODAY, 2).ruleBooks;
if (!record) throw new Error('the sample has a rule book');
const { book } = record;
const none: DogWork = { elements: [], breakdowns: [], ruleBooks: [record] };
const counter = () => {
  let n = 0;
  return () => asId<ElementId>(`new-${++n}`);
};

describe('a whole class in the making', () => {
  it('asks for every piece once, and takes pieces that are called alike for one', () => {
    const twice = {
      ...book,
      exercises: book.exercises.map((exercise, i) =>
        i === 1 && book.exercises[0]
          ? { ...exercise, parts: [...exercise.parts, ...book.exercises[0].parts.slice(0, 1)] }
          : exercise,
      ),
    };
    const [plain, shared] = [classDraft(book, none, counter()), classDraft(twice, none, counter())];
    expect(plain.map((draft) => draft.exercise.id)).toEqual(book.exercises.map((one) => one.id));
    expect(askedLinks(shared)).toHaveLength(askedLinks(plain).length);
    expect(shared[1]?.links.at(-1)).toMatchObject({ existing: shared[0]?.links[0]?.id, axes: [] });
  });

  it('an exercise that is left for later gives what it began to the next that asks it', () => {
    const [first] = book.exercises;
    if (!first) throw new Error('an exercise');
    const twins = { ...book, exercises: [first, { ...first, id: asId<typeof first.id>('again') }] };
    const drafts = classDraft(twins, none, counter());
    const [left] = drafts;
    if (!left) throw new Error('a draft');
    expect(askedLinks(drafts.slice(1))).toEqual([]);
    const rest = without(drafts, left);
    expect(askedLinks(rest).map((link) => link.id)).toEqual(left.links.map((link) => link.id));
    expect(askedLinks(rest).map((link) => link.part)).toEqual(first.parts.map((part) => part.id));
  });

  it('takes what the dog has already, and leaves out what is broken down', () => {
    const { work } = sampleState();
    expect(classDraft(book, work, counter())).toEqual([]);
    const mine = classDraft(book, { ...work, breakdowns: [] }, counter());
    expect(askedLinks(mine)).toEqual([]);
    expect(mine[0]?.links[0]?.existing).toBe(
      work.elements.find((one) => one.title === mine[0]?.links[0]?.title)?.id,
    );
  });

  it('names what it cannot break down: a piece of which the rule book asks nothing', () => {
    const [first, ...rest] = book.exercises;
    if (!first) throw new Error('an exercise');
    const bare = {
      ...first,
      parts: first.parts.map((part, i) => (i === 0 ? { ...part, demands: [] } : part)),
    };
    const unclear = { ...book, exercises: [bare, ...rest] };
    expect(withoutDemands(unclear, none).map((one) => one.id)).toEqual([first.id]);
    expect(classDraft(unclear, none, counter())).toHaveLength(rest.length);
    expect(withoutDemands(book, none)).toEqual([]);
  });
});
