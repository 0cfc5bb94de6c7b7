import type { RuleBook } from '@/core/rulebooks';
import { type Result, type RuleBookId, say } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { RuleBookRecord } from '@/data/records';
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
