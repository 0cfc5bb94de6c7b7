import { describe, expect, it } from 'vitest';
import { METHODS, type MethodElement } from '@/core/breakdown';
import type { RulePart } from '@/core/rulebooks';
import { type AxisKey, asId, type ElementId, type PartKey } from '@/core/shared';
import type { DogWork } from '@/data/read';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { sampleState, TODAY } from '@/demo/sample-state.test-helper';
import { askedLinks, classDraft, without } from './class-draft';
import { linkByMethod } from './exercise-draft';
import { methodPieces } from './method-pieces';

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

  it('lets a piece of which the book measures nothing climb by less help', () => {
    const [first, ...rest] = book.exercises;
    if (!first) throw new Error('an exercise');
    const bare = {
      ...first,
      parts: first.parts.map((part, i) => (i === 0 ? { ...part, title: 'Ring manners', demands: [] } : part)),
    };
    const drafts = classDraft({ ...book, exercises: [bare, ...rest] }, none, counter());
    expect(drafts).toHaveLength(book.exercises.length);
    const axes = drafts[0]?.links[0]?.axes.map(({ spec }) => [spec.axis.role, spec.axis.levels?.length]);
    expect(axes).toEqual([['help', 4]]);
  });

  it('asks only for parts that a corrected book has got, and lays them onto what is there', () => {
    const { work } = sampleState();
    const [first] = book.exercises;
    const part = { id: asId<PartKey>('new'), title: 'Greets the judge', text: 'Stands.', demands: [] };
    const corrected = {
      ...book,
      exercises: book.exercises.map((one) => (one === first ? { ...one, parts: [part, ...one.parts] } : one)),
    };
    const drafts = classDraft(corrected, work, counter());
    expect(drafts.map((draft) => draft.links.map((link) => link.part))).toEqual([['new']]);
    expect(drafts[0]?.onto).toBe(
      work.breakdowns.find((one) => one.ruleBookId === book.id && one.exercise === first?.id)?.id,
    );
  });
});

describe('a part that a method trains', () => {
  const [method] = METHODS.filter((one) => one.elements.some(isFar));
  const element = method?.elements.find(isFar);
  if (!method || !element) throw new Error('a method with a distance');
  const part = (demands: RulePart['demands']): RulePart => ({
    id: asId<PartKey>('far'),
    title: 'Far away',
    text: 'It goes.',
    demands,
  });
  const asked = (title: string, quantity: 'distance' | 'angle', value: number, unit: string) => ({
    axis: asId<AxisKey>('book-axis'),
    title,
    quantity,
    harder: quantity === 'angle' ? ('less' as const) : ('more' as const),
    value,
    unit,
  });

  it('goes on to what the book asks of what it measures, whatever that is called', () => {
    const link = linkByMethod(part([asked('How far', 'distance', 50, 'm')]), method, element, asId('l'));
    const far = link.axes.find(({ spec }) => spec.axis.quantity === 'distance');
    expect([link.axes.length, far?.demand, link.title]).toEqual([element.axes.length, '50 m', 'Far away']);
  });

  it('has beside it what the method does not measure', () => {
    const link = linkByMethod(part([asked('Straightness', 'angle', 7, '°')]), method, element, asId('l'));
    const measures = element.axes.some(({ axis }) => axis.quantity === 'angle');
    expect(link.axes.length).toBe(element.axes.length + (measures ? 0 : 1));
  });

  it('is found by the words of its title, and by words that mean the same', () => {
    const found = methodPieces('Recall', METHODS).map((one) => one.method.title);
    expect(found.length).toBeGreaterThan(0);
    expect(methodPieces('Xyzzy', METHODS)).toEqual([]);
  });
});

function isFar(one: MethodElement): boolean {
  return (
    one.axes.filter(({ axis }) => axis.quantity === 'distance' && axis.role === 'criterion').length === 1
  );
}
