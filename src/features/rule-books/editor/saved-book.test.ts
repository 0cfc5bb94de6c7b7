import { describe, expect, it } from 'vitest';
import { checkRuleBook, compareBooks, type RuleBook, readRuleBook } from '@/core/rulebooks';
import { BOOK_NAMES, bookNamed } from '@/core/rulebooks/sample-books.test-helper';
import { STRUCTURED_BOOKS } from '@/core/rulebooks/structured-books.test-helper';
import { checkDraft } from './check';
import { classMore } from './class-more-specs';
import { CLASS_FIELDS } from './class-specs';
import { COST_FIELDS } from './cost-specs';
import { at, type Draft, drop, type Json, listAt, type Path, put, textAt, typed } from './draft';
import { made } from './made';
import { faultFields, MAIN_NUMBER, OUTLINE_FIELDS, PART_FIELDS, SCORED_FIELDS } from './row-specs';
import type { FieldSpec } from './specs';
import { copyDraft, correctDraft, removeExercise } from './starts';
import { putCost, shownCost, shownDemands } from './typed-values';
import { faultsOf, leaves } from './typing.test-helper';

const books: readonly RuleBook[] = [
  ...BOOK_NAMES.map(bookNamed),
  ...Object.values(STRUCTURED_BOOKS).map((book) => {
    const read = readRuleBook(JSON.stringify(book));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    return read.value;
  }),
];
describe('a saved book in the table', () => {
  it('is the same book when nothing is changed, whatever it has', () => {
    for (const book of books) {
      const again = checkDraft(correctDraft(book)).book;
      expect([book.id, again && compareBooks(book, again), again]).toEqual([book.id, [], book]);
    }
  });

  it('is the same book when every price and every demand is typed again as it stands', () => {
    for (const book of books) {
      let now = correctDraft(book);
      for (const [e, scored] of listAt(now, ['rules', 'exercises']).entries())
        for (const [f, fault] of listAt(scored, ['faults']).entries())
          now = putCost(now, [...faultsOf(e), f], shownCost(fault));
      for (const [e, exercise] of listAt(now, ['exercises']).entries())
        for (const [p, part] of listAt(exercise, ['parts']).entries()) {
          const path = ['exercises', e, 'parts', p, 'demands'];
          now = put(now, path, typed(shownDemands(part), at(part, ['demands']) ?? []));
        }
      expect(checkDraft(now).book).toEqual(book);
    }
  });

  it('keeps its ids when everything is called otherwise: dogs’ work is laid on them', () => {
    for (const book of books) {
      const titled = (node: Json): Json => {
        if (Array.isArray(node)) return node.map(titled);
        if (typeof node !== 'object' || node === null) return node;
        return Object.fromEntries(
          Object.entries(node).map(([key, value]) => [
            key,
            key === 'title' ? `${String(value)} anew` : titled(value),
          ]),
        );
      };
      const { phase: _p, ...rest } = { phase: null, ...(titled(correctDraft(book)) as Draft) };
      const ids = (one: unknown) => JSON.stringify(one).match(/"(?:id|exercise|part|axis)":"[^"]*"/g);
      const changed = made({ ...rest, ties: listAt(correctDraft(book), ['ties']) }, []).file;
      expect(ids(changed.rules)).toEqual(ids(JSON.parse(JSON.stringify(book.rules))));
      expect(ids(changed.exercises)).toEqual(ids(JSON.parse(JSON.stringify(book.exercises))));
    }
  });

  it('as a copy has an id of its own that no other book has, and is invented no more', () => {
    const book = bookNamed('vellmoor-obedience-two');
    const copied = checkDraft(copyDraft(book), ['vellmoor-obedience-class-two']).book;
    expect([copied?.id, copied?.sample]).toEqual(['vellmoor-obedience-class-two-2', false]);
  });

  it('is sound without a size, an exercise, a count or an ability that others name; with it again it is as it was', () => {
    const lists: readonly Path[] = [['sizes'], ['across'], ['rules', 'categories'], ['exercises']];
    let tried = 0;
    for (const book of books)
      for (const path of lists) {
        const whole = correctDraft(book);
        const n = listAt(whole, path).length;
        if (n < (path[0] === 'exercises' ? 2 : 1)) continue;
        const last = n - 1;
        const less = path[0] === 'exercises' ? removeExercise(whole, last) : drop(whole, path);
        const named = new Set([
          'unknown-size',
          'unknown-across',
          'unknown-exercise',
          'unknown-category',
          'unscored',
        ]);
        const read = checkRuleBook(JSON.parse(JSON.stringify(made(less, []).file)));
        expect([book.id, path, read.ok ? [] : read.problems.filter((one) => named.has(one.code))]).toEqual([
          book.id,
          path,
          [],
        ]);
        tried += 1;
      }
    expect(tried).toBeGreaterThan(8);
  });

  it('every structure of the format has a field here', () => {
    for (const book of books) {
      const missing = untold(book);
      expect([book.id, missing]).toEqual([book.id, []]);
    }
  });
});

/** What of a book no field of the table says. */
function untold(book: RuleBook): string[] {
  const family = book.rules.family;
  const whole = JSON.parse(JSON.stringify(book)) as Draft;
  const fixed = /^(format|version|id|sample|title|edition|rules\.family)$/;
  const classKeys = flat([...CLASS_FIELDS[family], ...classMore(family)]);
  const top = leaves(whole, [])
    .filter((path) => path[0] !== 'exercises' && path[1] !== 'exercises')
    .map(keysOf)
    .filter((key) => !fixed.test(key) && !/(^|\.)id$/.test(key) && key !== 'note');
  const found = [...new Set(top)].filter((key) => !classKeys.some((one) => covers(one, key)));
  const rows = listAt(whole, ['exercises']).flatMap((exercise, e) => {
    const scored = at(whole, ['rules', 'exercises', e]) ?? null;
    const outline = leaves(exercise, [])
      .filter((path) => path[0] !== 'parts')
      .map(keysOf);
    const parts = listAt(exercise, ['parts']).flatMap((part) => leaves(part, []).map(keysOf));
    const main = MAIN_NUMBER[family];
    const scoring = leaves(scored, [])
      .filter((path) => path[0] !== 'faults')
      .map(keysOf);
    const faults = listAt(scored, ['faults']).flatMap((fault) => {
      const kind = textAt(fault, ['cost', 'kind']);
      const keys = [
        ...flat(faultFields(whole, e)),
        ...flat(COST_FIELDS[kind] ?? []).map((one) => `cost.${one}`),
        'title',
        'miss',
        'cost.kind',
        'id',
      ];
      return leaves(fault, [])
        .map(keysOf)
        .filter((key) => !keys.some((one) => covers(one, key)));
    });
    const known = (keys: readonly string[], specs: readonly FieldSpec[], more: readonly string[]) =>
      keys.filter((key) => ![...flat(specs), ...more].some((one) => covers(one, key)));
    return [
      ...known(outline, OUTLINE_FIELDS, ['id', 'title']),
      ...known(parts, PART_FIELDS, ['id', 'title', 'demands.axis']),
      ...known(scoring, [...SCORED_FIELDS[family], ...(main ? [main] : [])], ['exercise']),
      ...faults,
    ];
  });
  return [...found, ...new Set(rows)];
}
const keysOf = (path: Path): string => path.filter((key) => typeof key === 'string').join('.');
const covers = (spec: string, key: string): boolean => key === spec || key.startsWith(`${spec}.`);
/** The keys that fields write; of values by size and picks the whole list. */
function flat(specs: readonly FieldSpec[]): string[] {
  const kinds: readonly Json[] = [
    { kind: 'total', by: 'faults' },
    { kind: 'share-of-each', by: 'exercise' },
    { kind: 'share-of-some', by: 'phase' },
  ];
  return specs.flatMap((spec) => {
    const own = spec.path.join('.');
    if (spec.kind === 'rows')
      return kinds
        .flatMap((item) => [...flat(spec.fields(item)), 'kind', 'by'])
        .map((one) => `${own}.${one}`);
    if (spec.kind === 'perhaps')
      return [own === 'sizes.under' ? own : `${own}`, ...flat(spec.fields).map((one) => `${own}.${one}`)];
    return [own];
  });
}
