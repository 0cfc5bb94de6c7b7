import type { RuleBook } from '@/core/rulebooks';
import type { Result } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { transact, type Undo } from './transact';

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
