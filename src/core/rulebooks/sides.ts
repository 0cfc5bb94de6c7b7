import { familyOf } from './families';
import type { PreparedRules } from './families/family';
import { prepareRules } from './prepare';
import type { RuleBook } from './schema';

/** One edition of two that are compared, made ready. */
export type Side = {
  readonly book: RuleBook;
  readonly rules: PreparedRules;
  readonly family: ReturnType<typeof familyOf>;
};

export const sideOf = (book: RuleBook): Side => ({
  book,
  rules: prepareRules(book),
  family: familyOf(book.rules),
});
