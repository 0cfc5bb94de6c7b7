import { describe, expect, it } from 'vitest';
import { wordsOf } from '@/words';
import { checkRuleBook, compareBooks, type RuleBook } from '.';
import { BOOK_NAMES, bookNamed, bookText } from './sample-books.test-helper';
import { STRUCTURED_BOOKS } from './structured-books.test-helper';

const [one, two] = [bookNamed('vellmoor-obedience-two'), bookNamed('vellmoor-obedience-two-e2')];
const words = (before: RuleBook, after: RuleBook): string[] =>
  compareBooks(before, after).map((change) => `${change.kind} ${change.area}: ${wordsOf(change.words)}`);

describe('comparing editions', () => {
  it.each(BOOK_NAMES)('%s has not changed from itself', (name) =>
    expect(compareBooks(bookNamed(name), bookNamed(name))).toEqual([]));

  it('says every change in words and numbers', () => {
    expect(words(one, two)).toEqual([
      'added pass: to pass: at least 64 of 80 points',
      'removed pass: to pass: at least 60 of 80 points',
      'added award: award: Passed from 64',
      'removed award: award: Passed from 60',
      expect.stringContaining('changed text: Send-away to the square, description:'),
      'changed demand: Send-away to the square, run out straight: distance to the square 25 m → 30 m',
      'changed demand: Send-away to the square, stop and lie down in the square: distance from you 25 m → 30 m',
      'changed demand: Send-away to the square, wait for the steward: distance from you 25 m → 30 m',
      'changed demand: Send-away to the square, come back to heel: distance from you 25 m → 30 m',
      'changed fault: Send-away to the square: “Does not stop in the square”: 22 points each, stops the exercise → 18 points each, stops the exercise',
      'changed fault: Send-away to the square: “Gets up before the steward speaks”: 10 points each → 12 points each',
      'removed fault: Send-away to the square: “Lies over the tape”, 3 points each',
      'added fault: Retrieve over the hurdle: “Knocks the bar off”, 5 points each',
    ]);
  });

  it('read backwards, turns every addition into a removal and keeps the rest', () => {
    const kinds = (before: RuleBook, after: RuleBook, kind: string) =>
      compareBooks(before, after).filter((change) => change.kind === kind).length;
    expect([kinds(two, one, 'added'), kinds(two, one, 'removed'), kinds(two, one, 'changed')]).toEqual([
      kinds(one, two, 'removed'),
      kinds(one, two, 'added'),
      kinds(one, two, 'changed'),
    ]);
  });

  it('sees exercises come, go, change their maximum and their order', () => {
    const turned: RuleBook = { ...one, exercises: one.exercises.toReversed() };
    expect(words(one, turned)).toEqual([
      'changed exercise: running order: Retrieve over the hurdle, Send-away to the square',
    ]);
    const single: RuleBook = { ...one, exercises: one.exercises.slice(0, 1) };
    expect(words(one, single)).toContain('removed exercise: exercise “Retrieve over the hurdle”');
    expect(words(single, one)).toContain('added exercise: exercise “Retrieve over the hurdle”');
    const rules = {
      ...one.rules,
      exercises: one.rules.exercises.map((exercise) => ({ ...exercise, maximum: 50 })),
    } as RuleBook['rules'];
    expect(words(one, { ...one, rules })).toContain(
      'changed exercise: Send-away to the square: maximum 40 → 50',
    );
    expect(words(one, bookNamed('ravenholt-course'))[0]).toBe(
      'changed pass: scored by “Points off” → “Time and faults”',
    );
  });
});

/** Every value of a book, by its place; ids are names for the program and say nothing of the rules. */
type Tree = Record<string, unknown>;
const OF_THE_FILE = new Set([
  'format',
  'version',
  'id',
  'exercise',
  'axis',
  'sample',
  'family',
  'title',
  'edition',
]);
const valuesOf = (node: unknown, path: readonly string[] = []): (readonly string[])[] =>
  typeof node !== 'object' || node === null
    ? path.length === 1 && OF_THE_FILE.has(path[0] ?? '')
      ? []
      : ['id', 'exercise', 'axis', 'family', 'kind'].includes(path.at(-1) ?? '')
        ? []
        : [path]
    : Object.entries(node).flatMap(([key, value]) => valuesOf(value, [...path, key]));

/** Of a long book some hundred, spread over it; a study asks for all. */
const VALUES = Number(process.env.VALUES ?? 100);
const some = <T>(list: readonly T[]): T[] => {
  const step = Math.max(1, list.length / VALUES);
  return Array.from({ length: Math.min(VALUES, list.length) }, (_, i) => list[Math.floor(i * step)] as T);
};

function changedAt(book: Tree, path: readonly string[]): Tree {
  const copy = structuredClone(book);
  const holder = path.slice(0, -1).reduce<Tree>((node, key) => node[key] as Tree, copy);
  const key = path.at(-1) ?? '';
  const value = holder[key];
  holder[key] =
    typeof value === 'number'
      ? value + 1
      : typeof value === 'boolean'
        ? !value
        : value === null
          ? 4
          : `${String(value)}x`;
  return copy;
}

describe('no difference goes unsaid', () => {
  const all: (readonly [string, Tree])[] = [
    ...BOOK_NAMES.map((name) => [name, JSON.parse(bookText(name)) as Tree] as const),
    ...Object.entries(STRUCTURED_BOOKS).map(([name, book]) => [name, structuredClone(book) as Tree] as const),
  ];
  it.each(all)('%s: every value that a sound book can have otherwise', (_, book) => {
    const before = checkRuleBook(book);
    if (!before.ok) throw new Error(JSON.stringify(before.problems));
    let [tried, unsaid] = [0, [] as string[]];
    for (const path of some(valuesOf(book))) {
      const after = checkRuleBook(changedAt(book, path));
      if (!after.ok) continue;
      tried += 1;
      if (compareBooks(before.value, after.value).length === 0) unsaid.push(path.join('.'));
    }
    expect(tried).toBeGreaterThan(15);
    expect(unsaid).toEqual([]);
  });

  it.each(all)('%s: every key that may be left out', (_, book) => {
    const before = checkRuleBook(book);
    if (!before.ok) throw new Error('unsound');
    const unsaid = some(valuesOf(book)).flatMap((path) => {
      const copy = structuredClone(book);
      delete path.slice(0, -1).reduce<Tree>((node, key) => node[key] as Tree, copy)[path.at(-1) ?? ''];
      const after = checkRuleBook(copy);
      return after.ok && compareBooks(before.value, after.value).length === 0 ? [path.join('.')] : [];
    });
    expect(unsaid).toEqual([]);
  });

  it('says a new order of parts, a title, a size and a count over the run in words', () => {
    const book = bookNamed('vellmoor-obedience-two');
    const [square, hurdle] = book.exercises;
    if (!square || !hurdle) throw new Error('two exercises');
    const after: RuleBook = {
      ...book,
      exercises: [{ ...square, parts: [...square.parts].reverse() }, hurdle],
      earns: { title: 'Vellmoor Two', passes: 3, judges: 2, months: 24 },
    };
    expect(words(book, after)).toEqual([
      'added class: Vellmoor Two: 3 passes under 2 judges within 24 months',
      'changed part: Send-away to the square, in this order: Come back to heel, Wait for the steward, Stop and lie down in the square, Run out straight, Set up at heel',
    ]);
  });
});
