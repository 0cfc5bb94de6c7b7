import { familyOf, pointsOf, prepareRules, type RuleBook } from '@/core/rulebooks';
import type { SizeKey } from '@/core/shared';
import { foldSheet, type JudgeSheet, joinSheets, type Placing, placings, type ToPlace } from '@/core/trials';
import type { RunWithMarks } from '@/data/read';
import { wordsOf } from '@/words';
import type { ClassView, StartLine } from './meeting-view';
import { tell } from './results-words';

/** One dog in the results: its place, what it has, what told it apart, and what the judges wrote of it. */
export type ResultLine = {
  readonly key: string;
  readonly size: string | null;
  readonly place: number | null;
  readonly number: number;
  readonly name: string;
  readonly handler: string;
  readonly said: string;
  readonly points: number;
  readonly passed: boolean;
  readonly award: string | null;
  readonly why: string | null;
  readonly critique: readonly string[];
};
export type ResultsView = {
  readonly lines: readonly ResultLine[];
  /** How equal ones are told apart, by the book. */
  readonly ties: string;
  /** Dogs that have run and whose sheets are not all closed. */
  readonly open: number;
};

/** The results of a class as far as its sheets are closed; null before any is. */
export function resultsView({ book, lines }: ClassView, runs: readonly RunWithMarks[]): ResultsView | null {
  const running = lines.filter(({ place }) => place !== null);
  const dogs = running.flatMap(
    (line): (ToPlace & { readonly line: StartLine; readonly sheets: readonly JudgeSheet[] })[] => {
      const mine = runs.filter(({ run }) => run.starter === line.starter.id && run.book === book.id);
      const found = counting(book, mine);
      return found ? [{ key: line.starter.id, size: line.starter.size, ...found, line }] : [];
    },
  );
  if (dogs.length === 0) return null;
  const found = placings(book, dogs);
  return {
    lines: found.flatMap((placing) => {
      const dog = dogs.find(({ key }) => key === placing.key);
      return dog ? [resultLine(book, placing, dog)] : [];
    }),
    ties: tell('trials-results.ties', {
      n: book.ties?.length ?? 0,
      ties: { list: (book.ties ?? []).map((tie) => tieWords(book, tie)), between: ', ' },
    }),
    open: running.length - dogs.length,
  };
}

type Counting = Pick<ToPlace, 'rules' | 'score' | 'seconds'> & { readonly sheets: readonly JudgeSheet[] };

/** The run that counts of a class that may be run several times: the best, or the weakest of all. */
function counting(book: RuleBook, runs: readonly RunWithMarks[]): Counting | null {
  const joined = runs.flatMap(({ run, marks }): Counting[] => {
    const [first, ...more] = run.judges.map((judge) => foldSheet(marks, judge));
    const sheets = [first ?? foldSheet(marks, null), ...more] as const;
    if (sheets.some(({ is }) => is === 'open')) return [];
    const found = joinSheets(book, run.size, sheets);
    if (!found.ok) return [];
    const watched = sheets[0].exercises.flatMap((one) => one.watches.at(-1)?.seconds ?? []);
    const seconds = watched.length === 0 ? null : watched.reduce((sum, one) => sum + one, 0);
    return [{ rules: found.value.rules, score: found.value.score, seconds, sheets }];
  });
  const wanted = book.runs?.counts === 'every' ? book.runs.count : 1;
  if (joined.length < wanted) return null;
  const sorted = joined.toSorted(
    (a, b) => Number(b.score.passed) - Number(a.score.passed) || b.score.units - a.score.units,
  );
  return sorted.at(book.runs?.counts === 'every' ? -1 : 0) ?? null;
}

type Dog = Counting & { readonly line: StartLine; readonly size: SizeKey | null };

function resultLine(book: RuleBook, placing: Placing, { line, score, rules, sheets }: Dog): ResultLine {
  const word = prepareRules(book).word;
  const units = word === 'fault' || word === 'second' ? score.maximum - score.units : score.units;
  const { starter } = line;
  return {
    key: placing.key,
    size: book.sizes?.find(({ id }) => id === placing.size)?.title ?? null,
    place: placing.place,
    number: starter.number,
    name: starter.name,
    handler: starter.handler,
    said: wordsOf(familyOf(book.rules).say(rules, score.units)),
    points: pointsOf(rules, units),
    passed: score.passed,
    award: score.award,
    why: placing.toldBy
      ? tell('trials-results.ahead-by', { what: tieWords(book, placing.toldBy) })
      : placing.shares
        ? tell('trials-results.shares', { how: placing.shares.replace('-', '') })
        : null,
    critique: sheets.flatMap((sheet) => [
      ...sheet.notes.map((note) => note.text),
      ...sheet.exercises.flatMap((one) =>
        one.notes.map(
          (note) => `${book.exercises.find(({ id }) => id === one.exercise)?.title ?? ''}: ${note.text}`,
        ),
      ),
    ]),
  };
}

function tieWords(book: RuleBook, tie: NonNullable<RuleBook['ties']>[number]): string {
  if (tie.by === 'exercise')
    return book.exercises.find(({ id }) => id === tie.exercise)?.title ?? tie.exercise;
  if (tie.by === 'phase') return tie.phase;
  return tell('trials-results.tie', { by: tie.by.replace('-', '') });
}

/** The results as rows for a table file; numbers are numbers. */
export function resultRows(title: string, { lines }: ResultsView): (string | number)[][] {
  return [
    [
      'class',
      'size',
      'place',
      'number',
      'dog',
      'handler',
      'points',
      'passed',
      'award',
      'told apart by',
      'critique',
    ],
    ...lines.map((one) => [
      title,
      one.size ?? '',
      one.place ?? '',
      one.number,
      one.name,
      one.handler,
      one.points,
      Number(one.passed),
      one.award ?? '',
      one.why ?? '',
      one.critique.join(' | '),
    ]),
  ];
}
