import { bookForSize, type RuleBook, sizeOf } from '@/core/rulebooks';
import { type Result, type RuleBookId, say } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { RuleBookRecord } from '@/data/records';
import { redemanded } from './redemand';
import { refuse, transact, type Undo, type Write } from './transact';

/** Adds or replaces a rule book. `made` tells whether one was replaced. */
export function putRuleBook(
  kennel: Kennel,
  book: RuleBook,
  addedAt: number,
): Promise<Result<Undo<{ readonly replaced: boolean }>>> {
  return transact(kennel, ['ruleBooks'], async (write) => {
    const before = await write.get('ruleBooks', book.id);
    await write.put('ruleBooks', { id: book.id, book, addedAt, putAway: before?.putAway ?? false });
    return { replaced: before !== null };
  });
}

/** What a correction of a book did to dogs' work. */
export type Corrected = {
  /** How many ladders go on to another demand. */
  readonly ladders: number;
  /** Exercises that some dog has broken down and that have a part now which nothing trains. */
  readonly open: readonly string[];
};

/**
 * Corrects a saved rule book in place: dogs keep their work, and ladders whose demand was the book's follow it;
 * one that a person set otherwise stays. Fails with `gone`, and with `judged` where a judged sheet has a mark
 * of a fault or an exercise that the corrected book does not have: such a change is another edition.
 */
export function correctRuleBook(kennel: Kennel, book: RuleBook): Promise<Result<Undo<Corrected>>> {
  const tables = ['ruleBooks', 'dogs', 'breakdowns', 'elements', 'runs', 'marks'] as const;
  return transact(kennel, [...tables], async (write) => {
    const record = await stored(write, book.id);
    const lost = lostOnSheets(record.book, book, await marksUnder(write, book.id));
    if (lost !== null) refuse('judged', book.id, say('data.rule-books.judged', { lost }));
    await write.put('ruleBooks', { ...record, book });
    let ladders = 0;
    const open = new Set<string>();
    for (const dog of await write.all('dogs')) {
      const breakdowns = (await write.ofDog('breakdowns', dog.id)).filter(
        (one) => one.ruleBookId === book.id,
      );
      if (breakdowns.length === 0) continue;
      const [old, now] = [record.book, book].map((one) => bookForSize(one, sizeOf(one, dog.height)));
      for (const element of await write.ofDog('elements', dog.id)) {
        const changed = redemanded(element, breakdowns, old as RuleBook, now as RuleBook);
        if (changed === element) continue;
        await write.put('elements', changed);
        ladders += 1;
      }
      for (const exercise of book.exercises) {
        const links = breakdowns.find((one) => one.exercise === exercise.id)?.links;
        if (links && exercise.parts.some((part) => !links.some((link) => link.part === part.id)))
          open.add(exercise.title);
      }
    }
    return { ladders, open: [...open] };
  });
}

type Written = { readonly exercise: string; readonly fault: string | null };

/** What stands on the judges' sheets of a book: in which exercise, and of which fault. */
async function marksUnder(write: Write, id: RuleBookId): Promise<Written[]> {
  // A run that is put away can come back, and has to be scored then.
  const runs = (await write.all('runs')).filter((run) => run.book === id);
  const marks = await Promise.all(runs.map((run) => write.marksOf(run.id)));
  const all = marks.flat();
  const takenBack = new Set(all.flatMap((mark) => (mark.kind === 'take-back' ? [mark.of] : [])));
  return all.flatMap((mark): Written[] => {
    if (takenBack.has(mark.id)) return [];
    if (mark.kind === 'fault') return [{ exercise: mark.exercise, fault: mark.fault }];
    return mark.kind === 'given' || mark.kind === 'state' ? [{ exercise: mark.exercise, fault: null }] : [];
  });
}

/** The first thing on a sheet that the book had and has no more; null where all is still there. */
function lostOnSheets(before: RuleBook, after: RuleBook, marks: readonly Written[]): string | null {
  const titleIn = (book: RuleBook, { exercise, fault }: Written): string | null => {
    const outline = book.exercises.find((one) => one.id === exercise);
    const scored = book.rules.exercises.find((one) => one.exercise === exercise);
    if (!outline || !scored) return null;
    return fault === null ? outline.title : (scored.faults.find((one) => one.id === fault)?.title ?? null);
  };
  const lost = marks.find((mark) => titleIn(before, mark) !== null && titleIn(after, mark) === null);
  return lost ? titleIn(before, lost) : null;
}

/**
 * Puts a rule book away, or brings it back: what was broken down by it and trials under it stay. Fails with
 * `gone` where there is none.
 */
export function putRuleBookAway(kennel: Kennel, id: RuleBookId, putAway: boolean): Promise<Result<Undo>> {
  return transact(kennel, ['ruleBooks'], async (write) =>
    write.put('ruleBooks', { ...(await stored(write, id)), putAway }),
  );
}

/** Calls a rule book otherwise; its rules stay. Fails with `empty` without a name, and with `gone`. */
export function renameRuleBook(kennel: Kennel, id: RuleBookId, title: string): Promise<Result<Undo>> {
  return transact(kennel, ['ruleBooks'], async (write) => {
    const clean = title.trim();
    if (clean === '') refuse('empty', 'title', say('data.rule-books.a-rule-book-needs-a-name'));
    const record = await stored(write, id);
    return write.put('ruleBooks', { ...record, book: { ...record.book, title: clean } });
  });
}

/** What passes of a class earn; null: nothing. Its rules, and what was scored by them, stay. Fails with `gone`. */
export function sayEarns(
  kennel: Kennel,
  id: RuleBookId,
  earns: NonNullable<RuleBook['earns']> | null,
): Promise<Result<Undo>> {
  return transact(kennel, ['ruleBooks'], async (write) => {
    const record = await stored(write, id);
    const { earns: _before, ...book } = record.book;
    return write.put('ruleBooks', { ...record, book: earns ? { ...book, earns } : book });
  });
}

/**
 * Which class comes before another one: both stand in one row then, named by the one below where it has none
 * yet. Null: none does, and the class leaves its row. Fails with `gone`.
 */
export function sayClassBefore(
  kennel: Kennel,
  id: RuleBookId,
  before: RuleBookId | null,
): Promise<Result<Undo>> {
  return transact(kennel, ['ruleBooks'], async (write) => {
    const record = await stored(write, id);
    const { series: _was, ...book } = record.book;
    if (before === null) return write.put('ruleBooks', { ...record, book });
    const below = await stored(write, before);
    const series = below.book.series ?? { of: below.book.title, place: 1 };
    if (!below.book.series) await write.put('ruleBooks', { ...below, book: { ...below.book, series } });
    return write.put('ruleBooks', {
      ...record,
      book: { ...book, series: { of: series.of, place: series.place + 1 } },
    });
  });
}

const stored = async (write: Write, id: RuleBookId): Promise<RuleBookRecord> =>
  (await write.get('ruleBooks', id)) ??
  refuse('gone', id, say('data.rule-books.this-rule-book-is-not-there-any-more'));
