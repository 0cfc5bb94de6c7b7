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

const stored = async (write: Write, id: RuleBookId): Promise<RuleBookRecord> =>
  (await write.get('ruleBooks', id)) ??
  refuse('gone', id, say('data.rule-books.this-rule-book-is-not-there-any-more'));
