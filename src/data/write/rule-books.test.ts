import { beforeEach, describe, expect, it } from 'vitest';
import type { RuleBook } from '@/core/rulebooks';
import { bookNamed } from '@/core/rulebooks/sample-books.test-helper';
import { asId, type Day, type DogId, type ElementId, type FaultKey, must, type PartKey } from '@/core/shared';
import { breakDown, pieceId } from '@/data/broken-down.test-helper';
import type { Kennel } from '@/data/kennel';
import { CHANGED, DOG, kennelWithDog } from '@/data/kennel.test-helper';
import { listRuleBooks, workOf } from '@/data/read';
import {
  changeElement,
  correctRuleBook,
  makeExercises,
  putRuleBook,
  putRunAway,
  startRun,
  takeBack,
  takeMarkBack,
  writeMark,
} from '.';

const book: RuleBook = bookNamed('vellmoor-obedience-two');
const SQUARE = pieceId('square', 'run-out');
const STAY = pieceId('square', 'wait');
let kennel: Kennel;
beforeEach(async () => {
  kennel = await kennelWithDog();
  await breakDown(kennel, book, DOG);
});

/** The book with another value of one demand. */
const asking = (part: string, axis: string, value: number): RuleBook => ({
  ...book,
  exercises: book.exercises.map((exercise) => ({
    ...exercise,
    parts: exercise.parts.map((one) =>
      one.id === part
        ? {
            ...one,
            demands: one.demands.map((demand) => (demand.axis === axis ? { ...demand, value } : demand)),
          }
        : one,
    ),
  })),
});
const goal = async (id: string, axis: string, dog: DogId = DOG): Promise<number | undefined> =>
  (await workOf(kennel, dog)).elements.find((one) => one.id === id)?.axes.find((one) => one.key === axis)
    ?.demand;
const without = (fault: string): RuleBook =>
  ({
    ...book,
    rules: {
      ...book.rules,
      exercises: book.rules.exercises.map((one) => ({
        ...one,
        faults: one.faults.filter((other) => other.id !== fault),
      })),
    },
  }) as RuleBook;

describe('a saved book corrected in place', () => {
  it('takes ladders along whose goal was the book’s, and leaves one that a person set', async () => {
    must(
      await changeElement(kennel, STAY, ({ axes }) => ({
        axes: axes.map((axis) => (axis.key === 'duration' ? { ...axis, demand: 45 } : axis)),
      })),
    );
    const corrected = must(await correctRuleBook(kennel, asking('run-out', 'distance', 30)));
    expect(corrected.made).toEqual({ ladders: 1, open: [] });
    expect([await goal(SQUARE, 'distance'), await goal(STAY, 'duration')]).toEqual([30, 45]);
    must(await correctRuleBook(kennel, asking('wait', 'duration', 60)));
    expect(await goal(STAY, 'duration')).toBe(45);
  });

  it('is undone whole: the book and the ladders', async () => {
    const { breakdowns } = await workOf(kennel, DOG);
    const corrected = must(await correctRuleBook(kennel, asking('run-out', 'distance', 30)));
    expect((await workOf(kennel, DOG)).breakdowns).toEqual(breakdowns);
    must(await takeBack(kennel, corrected));
    expect(await goal(SQUARE, 'distance')).toBe(25);
    expect((await listRuleBooks(kennel))[0]?.book).toEqual(book);
  });

  it('names the exercises that have a part now which nothing trains, and it can be laid onto them', async () => {
    const part = { id: asId<PartKey>('greet'), title: 'Greets the judge', text: 'Stands.', demands: [] };
    const [first] = book.exercises;
    const more: RuleBook = {
      ...book,
      exercises: book.exercises.map((one) => (one === first ? { ...one, parts: [part, ...one.parts] } : one)),
    };
    const rules = {
      ...book.rules,
      exercises: book.rules.exercises.map((one, e) =>
        e === 0
          ? {
              ...one,
              faults: [
                ...one.faults,
                {
                  id: asId<FaultKey>('no-greet'),
                  title: 'None',
                  part: part.id,
                  by: 'dog',
                  miss: true,
                  stops: false,
                  cost: { kind: 'zero' },
                },
              ],
            }
          : one,
      ),
    } as RuleBook['rules'];
    const corrected = must(await correctRuleBook(kennel, { ...more, rules }));
    expect(corrected.made.open).toEqual([first?.title]);
    const mine = (await workOf(kennel, DOG)).breakdowns.find((one) => one.exercise === first?.id);
    if (!first || !mine) throw new Error('a breakdown');
    must(
      await makeExercises(kennel, [
        {
          dogId: DOG,
          source: { ruleBookId: book.id, exercise: first.id },
          links: [{ part: part.id, element: STAY }],
          onto: { breakdown: mine.id, order: [part.id, ...first.parts.map((one) => one.id)] },
        },
      ]),
    );
    const after = (await workOf(kennel, DOG)).breakdowns.find((one) => one.id === mine.id);
    expect(after?.links.map((link) => link.part)).toEqual(['greet', ...first.parts.map((one) => one.id)]);
  });

  it('takes out nothing that stands on a judged sheet, and then changes nothing; what stands on none it may', async () => {
    const run = must(
      await startRun(
        kennel,
        {
          meeting: null,
          starter: null,
          trial: null,
          dogId: DOG,
          name: 'Wren',
          number: null,
          book: book.id,
          kind: 'mock',
          turn: 0,
          size: null,
          day: '2026-06-01' as Day,
        },
        [],
      ),
    ).made;
    must(
      await writeMark(kennel, run, null, {
        kind: 'fault',
        exercise: asId('square'),
        part: asId('run-out'),
        time: null,
        fault: asId('slow-out'),
        amount: 1,
      }),
    );
    const refused = await correctRuleBook(kennel, without('slow-out'));
    expect(refused.ok ? 'taken' : [refused.code, refused.message.with?.lost]).toEqual([
      'judged',
      'Slow on the way out',
    ]);
    expect((await listRuleBooks(kennel))[0]?.book).toEqual(book);
    expect((await correctRuleBook(kennel, without('breaks-down'))).ok).toBe(true);
    // A run that is put away can come back; a mark that was taken back stands no more.
    must(await putRunAway(kennel, run.id, true));
    expect((await correctRuleBook(kennel, without('slow-out'))).ok).toBe(false);
    must(await putRunAway(kennel, run.id, false));
    must(await takeMarkBack(kennel, run, null));
    expect((await correctRuleBook(kennel, without('slow-out'))).ok).toBe(true);
  });

  it('fails where the book is gone', async () => {
    const other = await correctRuleBook(kennel, { ...book, id: asId('nowhere') });
    expect(other.ok ? 'taken' : other.code).toBe('gone');
  });

  it('goes for every dog that trains by it', async () => {
    const second = asId<DogId>('e');
    const dog = await kennel.database.of('dogs').get(DOG);
    if (!dog) throw new Error('a dog');
    await kennel.database.of('dogs').add({ ...dog, id: second, name: 'Fern', changed: CHANGED });
    const mine = await workOf(kennel, DOG);
    const breakdown = mine.breakdowns.find((one) => one.exercise === 'square');
    const theirs = mine.elements.map((one) => ({
      ...one,
      id: asId<ElementId>(`${one.id}-e`),
      dogId: second,
    }));
    must(
      await makeExercises(kennel, [
        {
          dogId: second,
          source: { ruleBookId: book.id, exercise: asId('square') },
          links: (breakdown?.links ?? []).flatMap(({ part, element }) => {
            const own = theirs.find((one) => one.id === `${element}-e`);
            return own ? [{ part, element: own }] : [];
          }),
        },
      ]),
    );
    const corrected = must(await correctRuleBook(kennel, asking('run-out', 'distance', 30)));
    expect(corrected.made.ladders).toBe(2);
    expect(await goal(`${SQUARE}-e`, 'distance', second)).toBe(30);
  });
});

describe('a goal that a class asks further than it is', () => {
  it('goes on when an element that the dog has is linked to it', async () => {
    const kennelTwo = await kennelWithDog();
    must(await putRuleBook(kennelTwo, book, 0));
    const part = book.exercises[0]?.parts.find((one) => one.id === 'run-out');
    if (!part) throw new Error('a part');
    const element = (await workOf(kennel, DOG)).elements.find((one) => one.id === SQUARE);
    if (!element) throw new Error('an element');
    const near = {
      ...element,
      axes: element.axes.map((axis) =>
        axis.quantity === 'distance' ? { ...axis, key: asId('far') as never, demand: 15 } : axis,
      ),
    };
    await kennelTwo.database.of('elements').add(near);
    const made = must(
      await makeExercises(kennelTwo, [
        {
          dogId: DOG,
          source: { ruleBookId: book.id, exercise: asId('square') },
          links: [{ part: part.id, element: near.id, asked: part.demands }],
        },
      ]),
    );
    const goals = async () =>
      (await workOf(kennelTwo, DOG)).elements[0]?.axes.find((one) => one.quantity === 'distance')?.demand;
    expect(await goals()).toBe(25);
    must(await takeBack(kennelTwo, made));
    expect(await goals()).toBe(15);
  });
});
