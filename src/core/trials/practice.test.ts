import { readdirSync, readFileSync } from 'node:fs';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { bookNamed } from '@/core/rulebooks/sample-books.test-helper';
import { asId, type ExerciseKey, type FaultKey, must } from '@/core/shared';
import { foldSheet } from './fold-sheet';
import type { MarkSaid } from './mark';
import { type Short, sheetMarks } from './marks.test-helper';
import { comparePractice, leniencyOf, type PracticeRun, practiceRunSchema, shownIn } from './practice';

const FOLDER = 'src/demo/practice';
const NAMES = readdirSync(FOLDER);
const practice = (name: string): PracticeRun =>
  v.parse(practiceRunSchema, JSON.parse(readFileSync(`${FOLDER}/${name}`, 'utf8')));

/** A sheet with these faults, and everything that is shown done. */
function sheet(
  run: PracticeRun,
  faults: readonly (readonly [exercise: string, fault: string, amount: number])[],
) {
  const marks: MarkSaid[] = [
    ...faults.map(
      ([exercise, fault, amount]): MarkSaid => ({
        kind: 'fault',
        exercise: asId<ExerciseKey>(exercise),
        part: null,
        time: null,
        fault: asId<FaultKey>(fault),
        amount,
      }),
    ),
    ...shownIn(run).map((exercise): MarkSaid => ({ kind: 'state', exercise, is: 'done' })),
  ];
  return foldSheet(sheetMarks(marks.map((said): Short => [said])), null);
}
const asKey = (run: PracticeRun) =>
  run.key.map(({ exercise, fault, amount }) => [exercise, fault, amount] as const);

describe('the runs that ship to learn judging', () => {
  it.each(NAMES)('%s fits its book; judged as its key it agrees wholly', (name) => {
    const run = practice(name);
    expect(`${run.id}.json`).toBe(name);
    const book = bookNamed(run.book);
    const found = must(comparePractice(run, book, sheet(run, asKey(run))));
    expect([found.same, found.extra, found.judged]).toEqual([found.of, 0, found.key]);
    expect(found.of).toBeGreaterThanOrEqual(4);
    // Told in the order in which it happens, and of no fault by its name.
    expect(run.events.map(({ at }) => at)).toEqual(run.events.map(({ at }) => at).toSorted((a, b) => a - b));
    for (const { exercise } of run.key) expect(shownIn(run)).toContain(exercise);
  });

  it('cover at least five families', () => {
    expect(
      new Set(NAMES.map((name) => bookNamed(practice(name).book).rules.family)).size,
    ).toBeGreaterThanOrEqual(5);
  });
});

describe('a practice run beside its key', () => {
  const run = practice('square-and-hurdle.json');
  const book = bookNamed(run.book);

  it('names what was missed, what was written without cause, and what was measured otherwise', () => {
    const found = must(
      comparePractice(
        run,
        book,
        sheet(run, [
          ['square', 'crooked-start', 34],
          ['square', 'slow-down', 3.2],
          ['square', 'creeps', 1],
          ['hurdle', 'touch-back', 1],
        ]),
      ),
    );
    const how = Object.fromEntries(
      found.exercises.flatMap((one) => one.faults.map((fault) => [fault.fault, fault.how])),
    );
    // 34° is in another band; 3.2 s begins two seconds, as 4 s do.
    expect(how).toEqual({
      'crooked-start': 'otherwise',
      'slow-down': 'same',
      restless: 'missed',
      creeps: 'extra',
      'touch-back': 'same',
      'crooked-front': 'missed',
      'mouthing-front': 'missed',
    });
    // By the key 40 − .5 − 2 − 2; as judged 40 − 2 − 2 − 2. And 40 − 2 − 1 − 1.5 against 40 − 2.
    expect(found.exercises.map((one) => [one.key, one.judged])).toEqual([
      [35.5, 34],
      [35.5, 38],
    ]);
    expect([found.same, found.of, found.extra]).toEqual([2, 6, 1]);
  });

  it('one’s own hand: what came twice, by how much was spared', () => {
    const miss = must(comparePractice(run, book, sheet(run, [])));
    const right = must(comparePractice(run, book, sheet(run, asKey(run))));
    expect(leniencyOf([miss])).toEqual([]);
    const hand = leniencyOf([miss, right]);
    expect(hand.map((one) => [one.title, one.key, one.missed, one.spared])).toContainEqual([
      'Restless, rolls or sniffs',
      2,
      1,
      1,
    ]);
    expect(hand[0]?.spared).toBe(Math.max(...hand.map((one) => one.spared)));
    const harsh = must(comparePractice(run, book, sheet(run, [...asKey(run), ['square', 'creeps', 2]])));
    expect(leniencyOf([harsh, harsh]).find((one) => one.fault === 'creeps')).toMatchObject({
      extra: 2,
      spared: -4,
    });
  });
});
