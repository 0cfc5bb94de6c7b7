import { type AnyTables, eachRow, isRow, type Loose, type Migration } from './migration';

/**
 * Version 8: rule books in version 3 of their file, whose structures may all be left out; and a dog’s
 * height at the withers, which nobody has said yet. Two demands of one part that were kept under one
 * name are told apart: the first keeps it, since dogs’ work may be laid on it.
 */
export const ruleBooksHoldRealRules: Migration = {
  to: 8,
  name: 'rule books hold real rules',
  migrate: (tables: AnyTables): AnyTables => ({
    ...tables,
    dogs: eachRow(tables.dogs, withHeight),
    ruleBooks: eachRow(tables.ruleBooks, withNewBook),
    apart: eachRow(tables.apart, (one) => {
      const change = CHANGES[String(one.id).split('/')[0] ?? ''];
      return change ? { ...one, versions: eachVersion(one.versions, change) } : one;
    }),
  }),
};

/** A version is `{ changed, record }`; of a removed one the record is null. */
const eachVersion = (versions: unknown, change: (row: Loose) => Loose): readonly unknown[] =>
  eachRow(versions, (one) => (isRow(one.record) ? { ...one, record: change(one.record) } : one));

const withHeight = (dog: Loose): Loose => ({ ...dog, height: null });
const withNewBook = (record: Loose): Loose => ({
  ...record,
  book: isRow(record.book) ? bookOf(record.book) : record.book,
});
const CHANGES: Readonly<Partial<Record<string, (row: Loose) => Loose>>> = {
  dogs: withHeight,
  ruleBooks: withNewBook,
};

const bookOf = (book: Loose): Loose => ({
  ...book,
  version: 3,
  exercises: eachRow(book.exercises, (exercise) => ({
    ...exercise,
    parts: eachRow(exercise.parts, (part) => ({ ...part, demands: toldApart(part.demands) })),
  })),
});

function toldApart(demands: unknown): readonly unknown[] {
  const taken = new Set<unknown>();
  return eachRow(demands, (demand) => {
    let axis = demand.axis;
    for (let n = 2; taken.has(axis); n++) axis = `${String(demand.axis)}-${n}`;
    taken.add(axis);
    return { ...demand, axis };
  });
}
