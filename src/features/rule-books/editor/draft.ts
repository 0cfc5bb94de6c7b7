/**
 * A rule book while it is being written: the file's own shape, but anything may still be wrong in it. A number
 * stands in it as it was typed, and so do prices and demands: what is half typed ("2.") is not what is meant.
 */
export type Draft = { readonly [key: string]: Json };
export type Json = string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json };
export type Path = readonly (string | number)[];

/** What was typed where a number, a price or demands are wanted. */
export type Typed = { readonly typed: string; readonly was?: Json };
export const typed = (text: string, was?: Json): Typed =>
  was === undefined ? { typed: text } : { typed: text, was };
export const isTyped = (node: Json | undefined): node is Typed =>
  typeof node === 'object' && node !== null && !Array.isArray(node) && 'typed' in node;

/** The value at a place of the draft; undefined where there is none. */
export function at(draft: Json, path: Path): Json | undefined {
  return path.reduce<Json | undefined>(
    (node, key) =>
      typeof node === 'object' && node !== null ? (node as Record<string, Json>)[key] : undefined,
    draft,
  );
}

export function listAt(draft: Json, path: Path): readonly Json[] {
  const found = at(draft, path);
  return Array.isArray(found) ? found : [];
}

export function textAt(draft: Json, path: Path): string {
  const found = at(draft, path);
  if (isTyped(found)) return found.typed;
  return found === undefined || found === null || typeof found === 'object' ? '' : String(found);
}

/**
 * The draft with another value at a place; everything else is shared with the one before, so that
 * undo is keeping the old one.
 */
export function put<T extends Json>(draft: T, path: Path, value: Json): T {
  const [key, ...rest] = path;
  if (key === undefined) return value as T;
  if (Array.isArray(draft))
    return draft.map((item, i) => (i === key ? put(item, rest, value) : item)) as unknown as T;
  const node = (draft ?? {}) as Record<string, Json>;
  return { ...node, [key]: put(node[key] ?? null, rest, value) } as unknown as T;
}

/** The draft without what is said at a place. */
export function drop<T extends Json>(draft: T, path: Path): T {
  const holder = path.slice(0, -1);
  const { [String(path.at(-1))]: _, ...rest } = (at(draft, holder) ?? {}) as Record<string, Json>;
  return put(draft, holder, rest);
}

/** An item put into a list before a place, or at its end. */
export function insert(draft: Draft, path: Path, item: Json, index = listAt(draft, path).length): Draft {
  const list = listAt(draft, path);
  return put(draft, path, [...list.slice(0, index), item, ...list.slice(index)]);
}

export const remove = (draft: Draft, path: Path, index: number): Draft =>
  put(
    draft,
    path,
    listAt(draft, path).filter((_, i) => i !== index),
  );

/** A list in another order. */
export function shift(draft: Draft, path: Path, from: number, to: number): Draft {
  const items = [...listAt(draft, path)];
  const [item] = items.splice(from, 1);
  if (item !== undefined) items.splice(to, 0, item);
  return put(draft, path, items);
}
