import { asId, type ExerciseKey, type PartKey, type Sentence, say } from '@/core/shared';
import type { Change } from './changes';
import type { RuleBook } from './schema';

type Leaf = string | number | boolean | null;
/** Where a value stands: keys of records, ids of what has one, places of what has none. */
type Place = readonly string[];

/**
 * Every difference that no sentence of its own says: all other values of two editions, place by place,
 * as plain “was → is”. Things that only one edition has are said as added or removed already.
 */
export function otherDifferences(before: RuleBook, after: RuleBook): Change[] {
  const [old, now] = [leavesOf(before), leavesOf(after)];
  return [...new Set([...old.keys(), ...now.keys()])].flatMap((key): Change[] => {
    const place = JSON.parse(key) as Place;
    const [was, is] = [old.get(key), now.get(key)];
    if (was === is || isSaid(place) || !isInBoth(before, after, place)) return [];
    return [changeAt(after, place, was, is)];
  });
}

/** Lists whose entries have no id are said as sentences, each whole. */
const IN_SENTENCES =
  /^(?:sizes|phases|across|runs|drawn|ties|series|entry|earns)\b|^rules\.(?:pass|awards|levels|overall|family)\b/;
const SAID =
  /^(?:exercises\.[^.]+\.(?:title|text|id)|exercises\.[^.]+\.parts\.[^.]+\.(?:title|id)|exercises\.[^.]+\.parts\.[^.]+\.demands\.[^.]+\.(?:value|unit|axis)|rules\.exercises\.[^.]+\.(?:exercise|maximum|most)|rules\.exercises\.[^.]+\.faults\.[^.]+\.(?:title|part|stops|id|warnings|again|across|nth\..*)|rules\.exercises\.[^.]+\.faults\.[^.]+\.cost\.(?:kind|points|beyond|cap|low|high|unit|acts\..*|bands\..*))$/;
/** These differ from file to file and say nothing about the rules. */
const OF_THE_FILE = /^(?:format|version|id|edition|title|sample)$/;

function isSaid(place: Place): boolean {
  const path = place.map((key) => key.replaceAll('.', ' ')).join('.');
  return IN_SENTENCES.test(path) || SAID.test(path) || OF_THE_FILE.test(path);
}

/** Exercises, parts, demands and faults of only one edition are said whole. */
function isInBoth(before: RuleBook, after: RuleBook, place: Place): boolean {
  return [before, after].every((book) => {
    const [head, ...rest] = place;
    const [list, ids] =
      head === 'rules' && rest[0] === 'exercises' ? [book.rules, rest.slice(1)] : [book, rest];
    if (head !== 'exercises' && list === book) return true;
    const exercise = (list as { exercises: readonly object[] }).exercises.find((one) => idOf(one) === ids[0]);
    if (!exercise) return false;
    return holds(exercise, ids.slice(1));
  });
}

/** Whether the lists on the way to a place have what it names. */
function holds(node: object, place: Place): boolean {
  const [key, id, ...rest] = place;
  if (key === undefined) return true;
  const value = (node as Record<string, unknown>)[key];
  if (!Array.isArray(value) || !NAMED.has(key)) return true;
  const found = value.find((one: unknown) => typeof one === 'object' && one !== null && idOf(one) === id);
  return found !== undefined && holds(found as object, rest);
}
const NAMED: ReadonlySet<string> = new Set(['parts', 'demands', 'faults']);

const idOf = (item: object): string | null => {
  const { id, exercise, axis } = item as { id?: unknown; exercise?: unknown; axis?: unknown };
  const found = id ?? exercise ?? axis;
  return typeof found === 'string' ? found : null;
};

function leavesOf(book: RuleBook): Map<string, Leaf> {
  const leaves = new Map<string, Leaf>();
  const walk = (node: unknown, place: Place): void => {
    if (typeof node !== 'object' || node === null) {
      if (node !== undefined) leaves.set(JSON.stringify(place), node as Leaf);
      return;
    }
    if (Array.isArray(node)) {
      // Plain values in a list are one value; their order is part of it.
      if (node.every((one) => typeof one !== 'object')) {
        leaves.set(JSON.stringify(place), node.join(', '));
        return;
      }
      node.forEach((one: unknown, i) => {
        const id = typeof one === 'object' && one !== null ? idOf(one) : null;
        walk(one, [...place, id ?? String(i)]);
      });
      return;
    }
    for (const [key, value] of Object.entries(node)) walk(value, [...place, key]);
  };
  walk(book, []);
  return leaves;
}

function changeAt(book: RuleBook, place: Place, was: Leaf | undefined, is: Leaf | undefined): Change {
  const inRules = place[0] === 'rules' && place[1] === 'exercises';
  const exercise =
    inRules || place[0] === 'exercises' ? asId<ExerciseKey>((inRules ? place[2] : place[1]) ?? '') : null;
  const outline = book.exercises.find((one) => one.id === exercise);
  const fault = inRules && place[3] === 'faults' ? faultTitle(book, exercise, place[4]) : null;
  const partId = !inRules && place[2] === 'parts' ? asId<PartKey>(place[3] ?? '') : null;
  const part = outline?.parts.find((one) => one.id === partId);
  const field = place.findLast((key) => !/^\d+$/.test(key)) ?? '';
  return {
    kind: was === undefined ? 'added' : is === undefined ? 'removed' : 'changed',
    area: fault ? 'fault' : place.includes('demands') ? 'demand' : exercise ? 'exercise' : 'class',
    exercise,
    part: partId,
    words: say('rulebooks.compare.field', {
      where: whereOf([outline?.title, part?.title ?? fault]),
      field,
      was: written(was),
      is: written(is),
    }),
  };
}

const faultTitle = (book: RuleBook, exercise: string | null, id: string | undefined): string | null =>
  book.rules.exercises.find((one) => one.exercise === exercise)?.faults.find((one) => one.id === id)?.title ??
  null;

function whereOf(names: readonly (string | null | undefined)[]): Sentence | null {
  const list = names.flatMap((name) => name ?? []);
  return list.length === 0 ? null : say('rulebooks.compare.where', { names: { list, between: ', ' } });
}

const written = (value: Leaf | undefined): Sentence =>
  typeof value === 'boolean'
    ? say('rulebooks.compare.yes-or-no', { value })
    : value === undefined || value === null
      ? say('rulebooks.compare.none')
      : say('rulebooks.compare.value', { value });
