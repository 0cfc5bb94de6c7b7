import { type Draft, type Json, listAt, textAt } from './draft';

/**
 * Things of a draft that no saved book knows yet have an id that nobody sees: `~` and a number. When the book
 * is made it becomes the name that the thing then has. A saved id stays for ever: dogs' work is laid on it.
 */
const FRESH = /^~\d+$/;
const isFresh = (id: string): boolean => FRESH.test(id);

/** An id that the draft does not have: `freshId(draft)` → "~7". */
export function freshId(draft: Draft): string {
  const taken = JSON.stringify(draft).match(/"~(\d+)"/g) ?? [];
  return `~${taken.reduce((most, one) => Math.max(most, Number.parseInt(one.slice(2), 10)), 0) + 1}`;
}

function slug(title: string): string {
  const plain = title
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  return plain === '' ? 'item' : plain;
}

function freeId(wanted: string, taken: readonly string[]): string {
  if (!taken.includes(wanted)) return wanted;
  for (let n = 2; ; n++) if (!taken.includes(`${wanted}-${n}`)) return `${wanted}-${n}`;
}

/**
 * The draft with real ids for all that is fresh, by the names of things. Exercises, sizes, abilities and the
 * like are told apart in the whole book, faults in their exercise. Parts of one name are one piece of work,
 * in whichever exercise they stand, and have one id; only within one exercise they are told apart. `books`
 * are the ids of the books that are there already.
 */
export function settled(draft: Draft, books: readonly string[]): Draft {
  const named = new Map<string, string>();
  const name = (things: readonly Json[], key = 'id', title: (thing: Json) => string = titleOf): void => {
    const taken = things.map((thing) => textAt(thing, [key])).filter((id) => !isFresh(id));
    for (const thing of things) {
      const id = textAt(thing, [key]);
      if (!isFresh(id) || named.has(id)) continue;
      const free = freeId(slug(title(thing)), taken);
      taken.push(free);
      named.set(id, free);
    }
  };
  if (isFresh(textAt(draft, ['id']))) named.set(textAt(draft, ['id']), freeId(slug(titleOf(draft)), books));
  name(listAt(draft, ['exercises']));
  for (const exercise of listAt(draft, ['exercises'])) {
    const parts = listAt(exercise, ['parts']);
    name(parts, 'id', (part) => titleOf(part) || titleOf(exercise));
    for (const part of parts) name(listAt(part, ['demands']), 'axis', (one) => textAt(one, ['quantity']));
  }
  for (const scored of listAt(draft, ['rules', 'exercises'])) name(listAt(scored, ['faults']));
  for (const path of [
    ['rules', 'abilities'],
    ['rules', 'groups'],
    ['rules', 'categories'],
    ['sizes'],
    ['across'],
  ])
    name(listAt(draft, path));
  return renamed(draft, named) as Draft;
}

const titleOf = (thing: Json): string => textAt(thing, ['title']);

/** Every id that was fresh, wherever it is named: as a value, or as a key of values by size. */
function renamed(node: Json, named: ReadonlyMap<string, string>): Json {
  if (typeof node === 'string') return named.get(node) ?? node;
  if (Array.isArray(node)) return node.map((one) => renamed(one, named));
  if (typeof node !== 'object' || node === null) return node;
  return Object.fromEntries(
    Object.entries(node).map(([key, value]) => [named.get(key) ?? key, renamed(value, named)]),
  );
}
