import type { RuleBook } from './schema';

/** Classes of the same row, by their place: those before a class, the nearest first, and those after it. */
export type Around = { readonly below: readonly RuleBook[]; readonly above: readonly RuleBook[] };

/**
 * The classes around one in its row. A book without a row has none; another edition of the same place is
 * neither. Class 2 of three → below [1], above [3].
 */
export function classesAround(book: RuleBook, books: readonly RuleBook[]): Around {
  const { series } = book;
  if (!series) return { below: [], above: [] };
  const row = books.filter((one) => one.series?.of === series.of && one.id !== book.id);
  const place = (one: RuleBook): number => one.series?.place ?? 0;
  return {
    below: row.filter((one) => place(one) < series.place).toSorted((a, b) => place(b) - place(a)),
    above: row.filter((one) => place(one) > series.place).toSorted((a, b) => place(a) - place(b)),
  };
}
