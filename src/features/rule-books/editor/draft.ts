import {
  checkRuleBook,
  familyOf,
  faultSteps,
  prepareRules,
  RULE_BOOK_VERSION,
  type RuleBook,
  type Rules,
  scoreSheet,
} from '@/core/rulebooks';
import type { Failure } from '@/core/shared';
import { wordsOf } from '@/words';
import { tell } from '../words';

/**
 * A rule book while it is being written: the file's own shape, but anything may still be wrong in
 * it.
 */
export type Draft = { readonly [key: string]: Json };
export type Json = string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json };
type Path = readonly (string | number)[];

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
  return found === undefined || found === null ? '' : String(found);
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

/** Adds at the end of a list, or takes one out. */
export const append = (draft: Draft, path: Path, item: Json): Draft =>
  put(draft, path, [...listAt(draft, path), item]);
export const remove = (draft: Draft, path: Path, index: number): Draft =>
  put(
    draft,
    path,
    listAt(draft, path).filter((_, i) => i !== index),
  );

/** An exercise stands in two lists, what is run and how it is scored; both move together. */
export function moveExercise(draft: Draft, from: number, to: number): Draft {
  const moved = (path: Path): readonly Json[] => {
    const items = [...listAt(draft, path)];
    const [item] = items.splice(from, 1);
    if (item !== undefined) items.splice(to, 0, item);
    return items;
  };
  return put(
    put(draft, ['exercises'], moved(['exercises'])),
    ['rules', 'exercises'],
    moved(['rules', 'exercises']),
  );
}

export function removeExercise(draft: Draft, index: number): Draft {
  return remove(remove(draft, ['exercises'], index), ['rules', 'exercises'], index);
}

export function addExercise(draft: Draft): Draft {
  const taken = listAt(draft, ['exercises']).map((exercise) => textAt(exercise, ['id']));
  const id = freeId('exercise', taken);
  const family = textAt(draft, ['rules', 'family']) as Rules['family'];
  const abilities = listAt(draft, ['rules', 'abilities']).map((ability) => textAt(ability, ['id']));
  const groups = listAt(draft, ['rules', 'groups']).map((group) => textAt(group, ['id']));
  const part = freeId('work', partIds(draft));
  const scored = {
    exercise: id,
    ...EXERCISE_STARTS[family](abilities, groups),
    faults: [missFault(family, part, abilities[0])],
  };
  const outline = {
    id,
    title: tell('draft.new-exercise'),
    text: tell('draft.what-the-dog-is-asked'),
    parts: [{ id: part, title: tell('draft.the-work'), text: tell('draft.what-is-judged'), demands: [] }],
  };
  return append(append(draft, ['exercises'], outline), ['rules', 'exercises'], scored);
}

const EXERCISE_STARTS: Readonly<
  Record<
    Rules['family'],
    (abilities: readonly string[], groups: readonly string[]) => { readonly [key: string]: Json }
  >
> = {
  'points-off': () => ({ maximum: 40 }),
  'weighted-marks': () => ({ coefficient: 1 }),
  abilities: (abilities) => ({ judges: abilities }),
  retrieves: () => ({}),
  checklist: (_, groups) => ({ group: groups[0] ?? 'all', attempts: 2, extraCues: 0 }),
  'time-and-faults': () => ({ most: 20 }),
  measured: () => ({ tries: 1, counts: 'all', most: 50 }),
};

function missFault(family: Rules['family'], part: string, ability: string | undefined): Json {
  const cost: Json = family === 'checklist' ? { kind: 'attempt' } : { kind: 'zero' };
  return {
    id: 'not-done',
    title: tell('draft.not-done'),
    part,
    by: 'dog',
    miss: true,
    stops: false,
    cost,
    ...(ability === undefined ? {} : { ability }),
  };
}

/** Faults that judges of every kind write, to choose from; a title of one's own is as good. */
export const VOCABULARY: readonly string[] = [
  tell('draft.does-not-respond'),
  tell('draft.late'),
  tell('draft.slow'),
  tell('draft.refuses'),
  tell('draft.breaks'),
  tell('draft.anticipates'),
  tell('draft.creeps'),
  tell('draft.crooked'),
  tell('draft.wide'),
  tell('draft.wrong-pick'),
  tell('draft.touches-first'),
  tell('draft.mouths'),
  tell('draft.drops'),
  tell('draft.spits-it-out'),
  tell('draft.hesitates'),
  tell('draft.leaves-the-line'),
  tell('draft.stops-late'),
  tell('draft.cast-refused'),
  tell('draft.runs-in'),
  tell('draft.vocal'),
  tell('draft.sniffs'),
  tell('draft.extra-cue'),
  tell('draft.help-by-hand-or-body'),
  tell('draft.handler-acts-early'),
];

export function addFault(draft: Draft, exercise: number, title: string): Draft {
  const path = ['rules', 'exercises', exercise, 'faults'];
  const family = textAt(draft, ['rules', 'family']) as Rules['family'];
  const id = freeId(
    slug(title),
    listAt(draft, path).map((fault) => textAt(fault, ['id'])),
  );
  const cost: Json =
    family === 'checklist'
      ? { kind: 'attempt' }
      : { kind: 'each', points: Number(textAt(draft, ['rules', SMALLEST[family] ?? ''])) || 1 };
  const part = textAt(draft, ['exercises', exercise, 'parts', 0, 'id']);
  const judged = listAt(draft, ['rules', 'exercises', exercise, 'judges'])[0];
  return append(draft, path, {
    id,
    title,
    part,
    by: 'dog',
    miss: false,
    stops: false,
    cost,
    ...(judged === undefined ? {} : { ability: judged }),
  });
}

export function addPart(draft: Draft, exercise: number, title: string): Draft {
  const path = ['exercises', exercise, 'parts'];
  // The same work in two exercises has one name and one id, and its stakes add up; other work never
  // shares an id with it.
  const same = allParts(draft).find((part) => textAt(part, ['title']).toLowerCase() === title.toLowerCase());
  const here = listAt(draft, path).map((part) => textAt(part, ['id']));
  const shared = same && textAt(same, ['id']);
  const id = shared && !here.includes(shared) ? shared : freeId(slug(title), partIds(draft));
  return append(draft, path, { id, title, text: tell('draft.what-is-judged'), demands: [] });
}

/** A demand more of a part, kept under a name that no other of the part has, also when some were removed. */
export function addDemand(draft: Draft, path: Path, demand: { readonly [key: string]: Json }): Draft {
  const taken = listAt(draft, path).map((one) => textAt(one, ['axis']));
  return append(draft, path, { ...demand, axis: freeId(String(demand.quantity), taken) });
}

const allParts = (draft: Draft): readonly Json[] =>
  listAt(draft, ['exercises']).flatMap((exercise) => listAt(exercise, ['parts']));
const partIds = (draft: Draft): string[] => allParts(draft).map((part) => textAt(part, ['id']));

/** Where each family keeps its smallest step. */
const SMALLEST: Readonly<Partial<Record<Rules['family'], string>>> = {
  'points-off': 'smallestPoint',
  'weighted-marks': 'smallestMark',
  abilities: 'smallestMark',
  retrieves: 'smallestPoint',
  'time-and-faults': 'smallestFault',
  measured: 'smallest',
};

/** What a new cost of each kind begins with; every number is there to be changed. */
export const COST_STARTS: Readonly<Record<string, Json>> = {
  each: { kind: 'each', points: 1 },
  'per-extra-cue': { kind: 'per-extra-cue', points: 1, usual: 1 },
  'per-second': { kind: 'per-second', points: 1, beyond: 2, usual: 1 },
  'per-metre': { kind: 'per-metre', points: 1, beyond: 1, usual: 1 },
  band: {
    kind: 'band',
    quantity: 'angle',
    unit: '°',
    bands: [
      { over: 10, points: 1 },
      { over: 30, points: 2 },
    ],
  },
  discretion: { kind: 'discretion', low: 1, usual: 2, high: 3 },
  zero: { kind: 'zero' },
  'end-run': { kind: 'end-run' },
  major: { kind: 'major' },
  attempt: { kind: 'attempt' },
  cue: { kind: 'cue' },
  bonus: { kind: 'bonus', points: 1 },
};

export function costKinds(family: Rules['family']): readonly string[] {
  if (family === 'checklist') return ['attempt', 'cue', 'zero', 'end-run'];
  const usual = ['each', 'per-extra-cue', 'per-second', 'per-metre', 'band', 'discretion', 'zero', 'end-run'];
  if (family === 'retrieves') return [...usual, 'bonus', 'major'];
  return family === 'points-off' || family === 'measured' ? [...usual, 'bonus'] : usual;
}

const RULES_STARTS: Readonly<Record<Rules['family'], { readonly [key: string]: Json }>> = {
  'points-off': { smallestPoint: 0.5, pass: [{ kind: 'total', atLeast: 30 }], awards: [] },
  'weighted-marks': {
    smallestMark: 0.5,
    judges: 1,
    dropExtremes: false,
    pass: { percent: 70, eachMark: 5 },
    awards: [],
  },
  abilities: {
    smallestMark: 0.5,
    abilities: [{ id: 'work', title: tell('draft.work'), atLeast: 5 }],
    overall: 6,
    awards: [],
  },
  retrieves: {
    smallestPoint: 1,
    maximum: 20,
    majorLeaves: 8,
    majorsAllowed: 0,
    letters: [],
    pass: { atLeast: 12 },
    awards: [],
  },
  checklist: {
    groups: [{ id: 'all', title: tell('draft.all-items') }],
    levels: [{ title: tell('draft.title'), needs: [{ group: 'all', atLeast: 1 }] }],
  },
  'time-and-faults': { smallestFault: 1, pass: { atMost: 10 }, awards: [] },
  measured: { measure: 'metres', smallest: 0.1, pass: { line: 10 }, awards: [] },
};

/** A rule book from nothing: one exercise with one part, sound from the first moment. */
export function blankDraft(family: Rules['family']): Draft {
  const empty: Draft = {
    format: 'regulon-rule-book',
    version: RULE_BOOK_VERSION,
    id: 'my-rule-book',
    title: tell('draft.my-rule-book'),
    edition: tell('draft.first-edition'),
    sample: false,
    note: tell('draft.written-by-hand-the-organisers'),
    exercises: [],
    rules: { family, ...RULES_STARTS[family], exercises: [] },
  };
  return addExercise(empty);
}

/** A copy to change: another id and edition, so that the one it came from stays. */
export function copyDraft(book: RuleBook): Draft {
  const copy = JSON.parse(JSON.stringify(book)) as Draft;
  return { ...copy, id: `${book.id}-copy`, edition: tell('draft.changed', { edition: book.edition }) };
}

export type Checked = {
  readonly problems: readonly Failure[];
  readonly book: RuleBook | null;
  readonly worked: string | null;
};

/** What is wrong with the draft, and, when nothing is, what a usual run scores under it. */
export function checkDraft(draft: Draft): Checked {
  const read = checkRuleBook(JSON.parse(JSON.stringify(draft)));
  return read.ok
    ? { problems: [], book: read.value, worked: workedScore(read.value) }
    : { problems: read.problems, book: null, worked: null };
}

/**
 * A worked score: one run with the first fault of each exercise that is no miss, at its usual
 * amount.
 */
function workedScore(book: RuleBook): string | null {
  const rules = prepareRules(book);
  const family = familyOf(book.rules);
  const sheet = rules.exercises.map((exercise) => {
    const fault = faultSteps(exercise).find((step) => !step.miss && !step.stops);
    return {
      exercise: exercise.exercise,
      marks: fault ? [{ fault: fault.ref.key, amount: fault.amount }] : [],
    };
  });
  const score = scoreSheet(rules, sheet);
  if (!score.ok) return null;
  const verdict = score.value.passed
    ? tell('draft.and-passes')
    : tell('draft.and-does-not-pass', {
        reasons: score.value.reasons.map((reason) => wordsOf(reason.message)).join(', '),
      });
  return tell('draft.a-run-with-one-small-fault-in-each', {
    say: family.say(rules, score.value.units),
    say2: family.say(rules, score.value.maximum),
    verdict,
  });
}

/**
 * A number as typed, or the text itself where it is none yet: the check then says so, and nothing
 * typed is lost.
 */
export function typed(text: string): Json {
  const clean = text.trim().replace(',', '.');
  return clean !== '' && Number.isFinite(Number(clean)) ? Number(clean) : text;
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
