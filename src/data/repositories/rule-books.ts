import type { RuleBook } from '@/core/rulebooks';
import type { RuleBookId } from '@/core/shared';
import type { RuleBookRecord } from '@/data/records';
import type { Kennel } from './kennel';

export function listRuleBooks(kennel: Kennel): Promise<RuleBookRecord[]> {
  return kennel.database.ruleBooks.toArray();
}

/** Adds or replaces a rule book and gives back the one that it replaced, for undo. */
export async function putRuleBook(kennel: Kennel, book: RuleBook, addedAt: number): Promise<RuleBookRecord | null> {
  const before = await kennel.database.ruleBooks.get(book.id);
  await kennel.database.ruleBooks.put({ id: book.id, book, addedAt });
  return before ?? null;
}

export async function restoreRuleBook(kennel: Kennel, id: RuleBookId, before: RuleBookRecord | null): Promise<void> {
  if (before) await kennel.database.ruleBooks.put(before);
  else await kennel.database.ruleBooks.delete(id);
}
