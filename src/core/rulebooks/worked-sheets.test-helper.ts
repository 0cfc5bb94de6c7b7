import { expect, it } from 'vitest';
import { asId, type FaultKey, must, type SizeKey } from '@/core/shared';
import { checkRuleBook, pointsOf, prepareRules, type RuleBook, type ScoreSheet, scoreSheet } from '.';
import { exercise, missed, part, smallBook } from './small-book.test-helper';

/** What stands on a sheet in short: marks by exercise, or the numbers that judges gave. */
export type Short = Readonly<
  Record<
    string,
    readonly (string | readonly [string, number])[] | { given: readonly number[]; marks?: readonly string[] }
  >
>;
type Worked = readonly [work: string, sheet: Short, points: number, why: readonly string[]];

export function read(value: unknown): RuleBook {
  const found = checkRuleBook(value);
  if (!found.ok) throw new Error(JSON.stringify(found.problems, null, 1));
  return found.value;
}

export function sheetOf(book: RuleBook, short: Short): ScoreSheet {
  const mark = (one: string | readonly [string, number]) => ({
    fault: asId<FaultKey>(typeof one === 'string' ? one : one[0]),
    amount: typeof one === 'string' ? 1 : one[1],
  });
  return book.exercises.map(({ id }) => {
    const line = short[id] ?? [];
    return 'given' in line
      ? { exercise: id, marks: (line.marks ?? []).map(mark), given: line.given }
      : { exercise: id, marks: line.map(mark) };
  });
}

export function works(value: unknown, table: readonly Worked[], size: string | null = null): void {
  it.each(table)('%s', (_, short, points, why) => {
    const book = read(value);
    const rules = prepareRules(book, size as SizeKey | null);
    const score = must(scoreSheet(rules, sheetOf(book, short)));
    expect([pointsOf(rules, score.units), score.reasons.map((one) => one.code)]).toEqual([points, why]);
  });
}

export const off = (
  exercises: readonly object[],
  pass: readonly object[],
  awards: readonly object[] = [],
) => ({
  family: 'points-off',
  smallestPoint: 0.5,
  pass,
  awards,
  exercises,
});
export const LINE = [{ kind: 'total', atLeast: 12 }];
export const two = (
  a: readonly object[],
  b: readonly object[],
  more: object = {},
  pass: readonly object[] = LINE,
) =>
  smallBook(
    [exercise('a', [part('do')]), exercise('b', [part('do')])],
    off(
      [
        { exercise: 'a', maximum: 10, faults: [missed('not', 'do', { kind: 'zero' }), ...a] },
        { exercise: 'b', maximum: 10, faults: [missed('not', 'do', { kind: 'zero' }), ...b] },
      ],
      pass,
    ),
    more,
  );
