import { useLiveQuery } from 'dexie-react-hooks';
import type { RuleBook } from '@/core/rulebooks';
import type { PersonId, RunId } from '@/core/shared';
import { foldSheet, type JudgeSheet } from '@/core/trials';
import { useKennel } from '@/data/live';
import {
  type Kennel,
  listPeople,
  listRuleBooks,
  listRuns,
  type MarkRecord,
  type Run,
  runWithMarks,
} from '@/data/read';

/** A run, its book, who judges it, and the other dogs that are judged at the same time. */
export type RunState = {
  readonly run: Run;
  readonly marks: readonly MarkRecord[];
  readonly book: RuleBook;
  /** In the order of the run; the person alone where nobody is named. */
  readonly judges: readonly { readonly id: PersonId | null; readonly name: string | null }[];
  readonly beside: readonly Run[];
};

/** Null until read; `none` where there is no such run, or no rule book for it. */
export function useRun(id: RunId): RunState | 'none' | null {
  const { kennel } = useKennel();
  return useLiveQuery(() => runState(kennel, id), [kennel, id]) ?? null;
}

async function runState(kennel: Kennel, id: RunId): Promise<RunState | 'none'> {
  const [found, books, people, runs] = await Promise.all([
    runWithMarks(kennel, id),
    listRuleBooks(kennel),
    listPeople(kennel),
    listRuns(kennel),
  ]);
  const book = books.find((record) => record.id === found?.run.book)?.book;
  if (!found || !book) return 'none';
  const { run, marks } = found;
  const judges = run.judges.map((judge) => ({
    id: judge,
    name: people.find((one) => one.id === judge)?.name ?? null,
  }));
  const beside = runs.filter(
    (one) => one.book === run.book && one.day === run.day && one.meeting === run.meeting,
  );
  return {
    run,
    marks,
    book,
    judges: judges.length > 0 ? judges : [{ id: null, name: null }],
    beside: beside.toSorted(
      (a, b) => (a.number ?? 0) - (b.number ?? 0) || (a.name < b.name ? -1 : 1) || a.turn - b.turn,
    ),
  };
}

/** The sheets of all judges of a run, and whether each is closed. */
export function sheetsOf({ judges, marks }: Pick<RunState, 'judges' | 'marks'>): {
  readonly sheets: readonly [JudgeSheet, ...JudgeSheet[]];
  readonly allClosed: boolean;
} {
  const [first, ...more] = judges.map(({ id }) => foldSheet(marks, id));
  const sheets = [first ?? foldSheet(marks, null), ...more] as const;
  return { sheets, allClosed: sheets.every(({ is }) => is !== 'open') };
}
