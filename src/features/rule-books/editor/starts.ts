import { RULE_BOOK_VERSION, type RuleBook, type Rules, upgraded } from '@/core/rulebooks';
import { at, type Draft, insert, type Json, listAt, put, remove, shift, textAt, typed } from './draft';
import { freshId } from './ids';
import { familyIn } from './typed-values';
import { tell } from './words';

export const FAMILIES = [
  'points-off',
  'weighted-marks',
  'abilities',
  'retrieves',
  'checklist',
  'time-and-faults',
  'measured',
] as const satisfies readonly Rules['family'][];

const RULES_STARTS: Readonly<Record<Rules['family'], { readonly [key: string]: Json }>> = {
  'points-off': { smallestPoint: 0.5, pass: [{ kind: 'total', atLeast: typed('') }], awards: [] },
  'weighted-marks': {
    smallestMark: 0.5,
    judges: 1,
    dropExtremes: false,
    pass: { percent: typed(''), eachMark: null },
    awards: [],
  },
  abilities: {
    smallestMark: 0.5,
    abilities: [{ id: '~1', title: tell('book-starts.work'), atLeast: typed('') }],
    overall: typed(''),
    awards: [],
  },
  retrieves: {
    smallestPoint: 1,
    maximum: typed(''),
    majorLeaves: typed(''),
    majorsAllowed: 0,
    letters: [],
    pass: { atLeast: typed('') },
    awards: [],
  },
  checklist: {
    groups: [{ id: '~1', title: tell('book-starts.all-items') }],
    levels: [{ title: tell('book-starts.title'), needs: [{ group: '~1', atLeast: 1 }] }],
  },
  'time-and-faults': { smallestFault: 1, pass: { atMost: typed('') }, awards: [] },
  measured: { measure: 'metres', smallest: 0.1, pass: { line: typed('') }, awards: [] },
};

/** A rule book from nothing, with one empty row. */
export function blankDraft(family: Rules['family']): Draft {
  const empty: Draft = {
    format: 'regulon-rule-book',
    version: RULE_BOOK_VERSION,
    id: '~9',
    title: '',
    edition: tell('book-starts.first-edition'),
    sample: false,
    note: tell('book-starts.note'),
    exercises: [],
    rules: { family, ...RULES_STARTS[family], exercises: [] },
  };
  return addExercise(empty, 0);
}

/** A copy to change: an id of its own and another edition, so that the one it came from stays. */
export const copyDraft = (book: RuleBook): Draft => ({
  ...plain(book),
  id: '~1',
  sample: false,
  edition: tell('book-starts.changed', { edition: book.edition }),
});

/** The saved book itself, to be corrected. */
export const correctDraft = (book: RuleBook): Draft => plain(book);

const plain = (book: RuleBook): Draft => JSON.parse(JSON.stringify(book)) as Draft;

/** A file as a draft, sound or not: what is wrong in it is mended here. Null for one that is no rule book at all. */
export function draftFrom(text: string): Draft | null {
  try {
    const parsed: unknown = JSON.parse(text);
    const draft = upgraded(parsed) as Draft;
    if (typeof draft !== 'object' || draft === null) return null;
    return FAMILIES.some((known) => known === familyIn(draft)) ? withMisses(draft) : null;
  } catch {
    return null;
  }
}

/** Every part with what is charged when it is not done: that is a cell of its row, never a fault that is missing. */
function withMisses(draft: Draft): Draft {
  return listAt(draft, ['exercises']).reduce<Draft>((now, exercise, e) => {
    const faults = ['rules', 'exercises', e, 'faults'];
    return listAt(exercise, ['parts']).reduce<Draft>((next, part) => {
      const id = textAt(part, ['id']);
      return missOf(next, e, id) >= 0 ? next : insert(next, faults, missFault(next, id, e));
    }, now);
  }, draft);
}

/** The place of the fault that says what is charged when a part is not done; −1 where there is none. */
export const missOf = (draft: Draft, exercise: number, part: string): number =>
  listAt(draft, ['rules', 'exercises', exercise, 'faults']).findIndex(
    (fault) =>
      at(fault, ['miss']) === true && at(fault, ['part']) === part && textAt(fault, ['by']) === 'dog',
  );

const EXERCISE_STARTS: Readonly<
  Record<
    Rules['family'],
    (abilities: readonly string[], groups: readonly string[]) => { readonly [key: string]: Json }
  >
> = {
  'points-off': () => ({ maximum: typed('') }),
  'weighted-marks': () => ({ coefficient: typed('') }),
  abilities: (abilities) => ({ judges: abilities }),
  retrieves: () => ({}),
  checklist: (_, groups) => ({ group: groups[0] ?? '', attempts: 2, extraCues: 0 }),
  'time-and-faults': () => ({ most: typed('') }),
  measured: () => ({ tries: 1, counts: 'all', most: typed('') }),
};

function missFault(draft: Draft, part: string, exercise: number): Json {
  const checklist = familyIn(draft) === 'checklist';
  return faultWith(draft, exercise, {
    title: tell('book-starts.not-done'),
    part,
    miss: true,
    cost: { kind: checklist ? 'attempt' : 'zero' },
  });
}

/** A fault with all that its family asks of one. */
function faultWith(draft: Draft, exercise: number, said: { readonly [key: string]: Json }): Json {
  const judged = listAt(draft, ['rules', 'exercises', exercise, 'judges'])[0];
  const ability = judged ?? at(listAt(draft, ['rules', 'abilities'])[0] ?? null, ['id']);
  const category = at(listAt(draft, ['rules', 'categories'])[0] ?? null, ['id']);
  return {
    id: freshId(draft),
    by: 'dog',
    miss: false,
    stops: false,
    ...(familyIn(draft) === 'abilities' && ability !== undefined ? { ability } : {}),
    ...(category === undefined ? {} : { category }),
    ...said,
  };
}

/** An empty exercise before a place, with one part that is all its work. */
export function addExercise(draft: Draft, index: number): Draft {
  const id = freshId(draft);
  const abilities = listAt(draft, ['rules', 'abilities']).map((one) => textAt(one, ['id']));
  const groups = listAt(draft, ['rules', 'groups']).map((one) => textAt(one, ['id']));
  const outline = { id, title: '', text: '', parts: [] };
  const scored = { exercise: id, ...EXERCISE_STARTS[familyIn(draft)](abilities, groups), faults: [] };
  const both = insert(insert(draft, ['exercises'], outline, index), ['rules', 'exercises'], scored, index);
  return addPart(both, index, 0);
}

/** An empty part before a place, with its "not done". */
export function addPart(draft: Draft, exercise: number, index: number): Draft {
  const id = freshId(draft);
  const part = { id, title: '', text: '', demands: [] };
  const added = insert(draft, ['exercises', exercise, 'parts'], part, index);
  return insert(added, ['rules', 'exercises', exercise, 'faults'], missFault(added, id, exercise));
}

/** A part with all that can go wrong in it taken out. */
export function removePart(draft: Draft, exercise: number, index: number): Draft {
  const id = textAt(draft, ['exercises', exercise, 'parts', index, 'id']);
  const faults = ['rules', 'exercises', exercise, 'faults'];
  const kept = listAt(draft, faults).filter((fault) => at(fault, ['part']) !== id);
  return put(remove(draft, ['exercises', exercise, 'parts'], index), faults, kept);
}

/** An empty fault before a place in the exercise's list, of a part or (null) of the handler anywhere. */
export const addFault = (draft: Draft, exercise: number, part: string | null, index?: number): Draft =>
  insert(
    draft,
    ['rules', 'exercises', exercise, 'faults'],
    faultWith(draft, exercise, {
      title: '',
      part,
      by: part === null ? 'handler' : 'dog',
      cost: typed(''),
    }),
    index,
  );

/** An exercise stands in two lists, what is run and how it is scored; both move together. */
export const moveExercise = (draft: Draft, from: number, to: number): Draft =>
  shift(shift(draft, ['exercises'], from, to), ['rules', 'exercises'], from, to);

export const removeExercise = (draft: Draft, index: number): Draft =>
  remove(remove(draft, ['exercises'], index), ['rules', 'exercises'], index);
