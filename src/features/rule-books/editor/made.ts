import { type Failure, fail, say } from '@/core/shared';
import { costOptions } from './cost-specs';
import { at, type Draft, drop, isTyped, type Json, listAt, type Path, put, textAt } from './draft';
import { settled } from './ids';
import { withoutStale } from './stale';
import { demandsOf, familyIn, numbersIn, readTypedCost, smallestOf, unfolded } from './typed-values';
import { tell } from './words';

/**
 * What a draft makes: the file, with the places of its rows in the draft, and what of the typed values is not
 * understood, by its place in the draft.
 */
export type Made = {
  readonly file: Draft;
  readonly problems: readonly Failure[];
  /** The place in the draft of something in the file: rows that are still empty are left out of it. */
  readonly placeOf: (path: Path) => Path;
};

const isBlank = (node: Json, keys: readonly string[]): boolean =>
  keys.every((key) => textAt(node, [key]).trim() === '');

/** A fault's row without a name and a price is none yet. */
export const isEmptyFault = (fault: Json): boolean => {
  const cost = at(fault, ['cost']);
  return isBlank(fault, ['title']) && isTyped(cost) && cost.typed.trim() === '';
};

/** An exercise's row in which nothing was written. */
export function isEmptyExercise(draft: Draft, e: number): boolean {
  const outline = at(draft, ['exercises', e]) ?? null;
  const scored = at(draft, ['rules', 'exercises', e]) ?? null;
  const parts = listAt(outline, ['parts']);
  return (
    isBlank(outline, ['title', 'text']) &&
    isBlank(scored, ['maximum', 'coefficient', 'most']) &&
    parts.every(
      (part) => isBlank(part, ['title', 'text', 'demands']) && listAt(part, ['demands']).length === 0,
    ) &&
    listAt(scored, ['faults']).every((fault) => at(fault, ['miss']) === true || isEmptyFault(fault))
  );
}

/** The file that a draft stands for. `books`: ids of the books that are there already. */
export function made(asWritten: Draft, books: readonly string[]): Made {
  const draft = withoutStale(asWritten);
  const exercises = listAt(draft, ['exercises']).flatMap((_, e) => (isEmptyExercise(draft, e) ? [] : [e]));
  const kept = exercises.length > 0 ? exercises : [0];
  const faults = kept.map((e) =>
    listAt(draft, ['rules', 'exercises', e, 'faults']).flatMap((fault, f) =>
      isEmptyFault(fault) ? [] : [f],
    ),
  );
  const problems: Failure[] = [];
  const outline = kept.map((e) => exerciseIn(draft, e, problems));
  const scored = kept.map((e, i) => scoredIn(draft, e, faults[i] ?? [], problems));
  const whole = put(put(draft, ['exercises'], outline), ['rules', 'exercises'], scored);
  const file = numbersIn(settled(whole, books)) as Draft;
  return {
    file,
    problems: [...problems, ...untyped(draft, [])],
    placeOf: (path) => placed(path, kept, faults),
  };
}

function exerciseIn(draft: Draft, e: number, problems: Failure[]): Json {
  const exercise = at(draft, ['exercises', e]) as Draft;
  const parts = listAt(exercise, ['parts']);
  return {
    ...exercise,
    text: textAt(exercise, ['text']).trim() || tell('book-made.not-described'),
    parts: parts.map((part, p) => {
      const { demands, wrong } = demandsOf(part, draft);
      if (wrong && !wrong.ok) problems.push({ ...wrong, path: `exercises[${e}].parts[${p}].demands` });
      return {
        ...(part as Draft),
        // The only part of an exercise is its work, and has its name.
        title: textAt(part, ['title']).trim() || (parts.length === 1 ? textAt(exercise, ['title']) : ''),
        text: textAt(part, ['text']).trim() || tell('book-made.not-described'),
        demands,
      };
    }),
  };
}

function scoredIn(draft: Draft, e: number, kept: readonly number[], problems: Failure[]): Json {
  const scored = at(draft, ['rules', 'exercises', e]) as Draft;
  const all = listAt(scored, ['faults']);
  const smallest = smallestOf(draft);
  return {
    ...scored,
    faults: kept.map((f) => {
      const fault = all[f] as Json;
      const read = readTypedCost(at(fault, ['cost']), smallest);
      if (read && !read.ok) {
        const empty = textAt(fault, ['cost']).trim() === '';
        problems.push({
          ...read,
          path: `rules.exercises[${e}].faults[${f}].cost`,
          message: empty ? say('book-made.what-does-it-cost') : read.message,
        });
        return drop(fault as Draft, ['cost']);
      }
      const whole = unfolded(fault, smallest) ?? fault;
      const kinds = costOptions(familyIn(draft));
      if (kinds.some(([kind]) => kind === textAt(whole, ['cost', 'kind']))) return whole;
      problems.push(
        fail(
          'kind',
          `rules.exercises[${e}].faults[${f}].cost`,
          say('book-made.no-such-price', { kinds: kinds.map(([, words]) => words).join(', ') }),
        ),
      );
      return whole;
    }),
  };
}

/** Every number that was typed and is none; prices and demands have said so themselves. */
function untyped(node: Json, path: Path): Failure[] {
  if (isTyped(node)) {
    if (path.at(-1) === 'cost' || path.at(-1) === 'demands') return [];
    if (typeof numbersIn(node) === 'number') return [];
    const empty = node.typed.trim() === '';
    return [
      fail(
        empty ? 'missing' : 'number',
        written(path),
        empty ? say('book-made.missing') : say('book-made.not-a-number', { typed: node.typed }),
      ),
    ];
  }
  if (Array.isArray(node)) return node.flatMap((one, i) => untyped(one, [...path, i]));
  if (typeof node !== 'object' || node === null) return [];
  return Object.entries(node).flatMap(([key, value]) => untyped(value, [...path, key]));
}

/** `written(['rules', 'exercises', 0, 'maximum'])` → "rules.exercises[0].maximum". */
export const written = (path: Path): string =>
  path
    .map((key) => (typeof key === 'number' ? `[${key}]` : `.${key}`))
    .join('')
    .replace(/^\./, '');

/** `parsed('rules.exercises[0].maximum')` → its keys. */
export const parsed = (path: string): Path =>
  [...path.matchAll(/\[(\d+)\]|([^.[\]]+)/g)].map(([, index, key]) =>
    index === undefined ? (key ?? '') : Number(index),
  );

/** From a place in the file to the place in the draft. */
function placed(path: Path, exercises: readonly number[], faults: readonly (readonly number[])[]): Path {
  const i = path[0] === 'exercises' ? 1 : path[0] === 'rules' && path[1] === 'exercises' ? 2 : -1;
  const e = i < 0 ? undefined : path[i];
  if (typeof e !== 'number') return path;
  const moved = [...path];
  moved[i] = exercises[e] ?? e;
  const f = path[i + 2];
  if (i === 2 && path[i + 1] === 'faults' && typeof f === 'number') moved[i + 2] = faults[e]?.[f] ?? f;
  return moved;
}
