import { at, type Draft, type Json, listAt, put, textAt } from './draft';

type Row = { readonly [key: string]: Json };
const isRow = (node: Json): node is Row => typeof node === 'object' && node !== null && !Array.isArray(node);

/**
 * The draft without what names things that were taken out: values of a size that is gone, a phase’s exercise, a
 * category, a count over the run. The draft itself keeps them, so that undo brings them back as they were.
 */
export function withoutStale(draft: Draft): Draft {
  const ids = (path: readonly string[]): Set<string> =>
    new Set(listAt(draft, path).map((one) => textAt(one, ['id'])));
  const [sizes, across, exercises] = [ids(['sizes']), ids(['across']), ids(['exercises'])];
  const [categories, abilities] = [ids(['rules', 'categories']), ids(['rules', 'abilities'])];
  const kept = (list: Json | undefined, known: ReadonlySet<string>): Json[] =>
    Array.isArray(list) ? list.filter((one) => known.has(String(one))) : [];
  const cleaned = (node: Json): Json => {
    if (Array.isArray(node)) return node.map(cleaned);
    if (!isRow(node)) return node;
    const entries = Object.entries(node).flatMap(([key, value]): [string, Json][] => {
      if (key === 'bySize' && isRow(value)) {
        const own = Object.entries(value).filter(([size]) => sizes.has(size));
        return own.length === 0 ? [] : [[key, Object.fromEntries(own)]];
      }
      if (key === 'across' && typeof value === 'string' && !across.has(value)) return [];
      if (key === 'category' && typeof value === 'string' && !categories.has(value)) return [];
      return [[key, cleaned(value)]];
    });
    return Object.fromEntries(entries);
  };
  let next = cleaned(draft) as Draft;
  for (const [i] of listAt(next, ['phases']).entries())
    next = put(next, ['phases', i, 'exercises'], kept(at(next, ['phases', i, 'exercises']), exercises));
  for (const [i, condition] of listAt(next, ['rules', 'pass']).entries())
    if (at(condition, ['of']) !== undefined)
      next = put(next, ['rules', 'pass', i, 'of'], kept(at(condition, ['of']), exercises));
  for (const [e, scored] of listAt(next, ['rules', 'exercises']).entries())
    if (at(scored, ['judges']) !== undefined)
      next = put(next, ['rules', 'exercises', e, 'judges'], kept(at(scored, ['judges']), abilities));
  const ties = at(next, ['ties']);
  return Array.isArray(ties)
    ? put(
        next,
        ['ties'],
        ties.filter((tie) => textAt(tie, ['by']) !== 'exercise' || exercises.has(textAt(tie, ['exercise']))),
      )
    : next;
}
