import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { prepareRules, type RuleBook, scoreSheet } from '@/core/rulebooks';
import { bookNamed } from '@/core/rulebooks/sample-books.test-helper';
import { asId, type ExerciseKey, type FaultKey, must, type SizeKey } from '@/core/shared';
import { placings, type ToPlace } from './placings';

const field = bookNamed('brackwater-working-test');
const course = bookNamed('ravenholt-course');

type Marks = Readonly<Record<string, readonly (readonly [fault: string, amount?: number])[]>>;

/** A dog on a sheet of the whole class, with these faults. */
function dog(book: RuleBook, key: string, marks: Marks, more: Partial<ToPlace> = {}): ToPlace {
  const rules = prepareRules(book);
  const sheet = book.exercises.map(({ id }) => ({
    exercise: asId<ExerciseKey>(id),
    marks: (marks[id] ?? []).map(([fault, amount = 1]) => ({ fault: asId<FaultKey>(fault), amount })),
  }));
  return { key, size: null, rules, score: must(scoreSheet(rules, sheet)), seconds: null, ...more };
}
const placed = (book: RuleBook, dogs: readonly ToPlace[]) =>
  placings(book, dogs).map(({ key, place, toldBy, shares }) => [key, place, toldBy?.by ?? '', shares ?? '']);

describe('placings', () => {
  it('are by points; who did not pass has none', () => {
    const dogs = [
      dog(field, 'b', { memory: [['drops']] }),
      dog(field, 'a', {}),
      dog(field, 'out', { memory: [['refuses']] }),
    ];
    expect(placed(field, dogs)).toEqual([
      ['a', 1, '', ''],
      ['b', 2, '', ''],
      ['out', null, '', ''],
    ]);
  });

  it('equal points are told apart by the exercises that the book names, in their order; then a run-off', () => {
    // Each lost one drop: in the diversion, in the open blind, elsewhere twice.
    const dogs = [
      dog(field, 'diversion', { diversion: [['drops']] }),
      dog(field, 'blind', { 'open-blind': [['drops']] }),
      dog(field, 'memory', { memory: [['drops']] }),
      dog(field, 'long', { 'long-mark': [['drops']] }),
    ];
    expect(placed(field, dogs)).toEqual([
      ['long', 1, '', 'run-off'],
      ['memory', 1, 'exercise', 'run-off'],
      ['blind', 3, 'exercise', ''],
      ['diversion', 4, '', ''],
    ]);
    expect(placed(field, dogs.toReversed())).toEqual(placed(field, dogs));
  });

  it('without a tie-break they share the place, and the next one is left out', () => {
    const book = bookNamed('vellmoor-obedience-two');
    const dogs = ['x', 'y', 'z'].map((key) =>
      dog(book, key, key === 'z' ? { square: [['slow-out'], ['slow-out']] } : { square: [['slow-out']] }),
    );
    expect(placed(book, dogs)).toEqual([
      ['x', 1, '', 'place'],
      ['y', 1, '', 'place'],
      ['z', 3, '', ''],
    ]);
  });

  it('each class of size by itself; faults before time; without a time behind', () => {
    const low = asId<SizeKey>('low');
    const high = asId<SizeKey>('high');
    const dogs = [
      dog(course, 'slow', { hurdles: [['fault']] }, { size: low, seconds: 41 }),
      dog(course, 'fast', { hurdles: [['fault']] }, { size: low, seconds: 39.5 }),
      dog(course, 'untimed', { hurdles: [['fault']] }, { size: low }),
      dog(course, 'clean', {}, { size: high, seconds: 60 }),
    ];
    expect(placed(course, dogs)).toEqual([
      ['fast', 1, 'time', ''],
      ['slow', 2, 'time', ''],
      ['untimed', 3, '', ''],
      ['clean', 1, '', ''],
    ]);
  });

  it('equal a plain count of who is better, whatever the points', () => {
    const rules = prepareRules(field);
    const full = dog(field, 'x', {}).score;
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(5), fc.boolean()), { maxLength: 9 }), (list) => {
        const dogs = list.map(
          ([units, passed], i): ToPlace => ({
            key: `k${i}`,
            size: null,
            rules,
            // No exercise tells anything apart.
            score: { ...full, units, passed, exercises: [] },
            seconds: null,
          }),
        );
        for (const { key, place } of placings(field, dogs)) {
          const me = dogs.find((one) => one.key === key);
          const better = dogs.filter(
            (one) => one.score.passed && one.score.units > (me?.score.units ?? 0),
          ).length;
          expect(place).toBe(me?.score.passed ? better + 1 : null);
        }
      }),
      { numRuns: 200 },
    );
  });
});
