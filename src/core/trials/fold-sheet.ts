import type { ExerciseKey, MarkId, PersonId } from '@/core/shared';
import { type ExerciseState, type Mark, marksInOrder } from './mark';

type Of<K extends Mark['kind']> = Extract<Mark, { kind: K }>;

/** One exercise as a judge’s sheet has it. */
export type ExerciseSheet = {
  readonly exercise: ExerciseKey;
  /** `open`: nothing is written of it; `going`: something is, and it is not said to be over. */
  readonly state: 'open' | 'going' | ExerciseState;
  /** The mark that says so; null where none does. */
  readonly said: Of<'state'> | null;
  readonly faults: readonly Of<'fault'>[];
  readonly given: readonly Of<'given'>[];
  readonly watches: readonly Of<'watch'>[];
  readonly notes: readonly Of<'note'>[];
  readonly signs: readonly Of<'sign-seen'>[];
  /** Moments that nobody has named yet. */
  readonly moments: readonly Of<'moment'>[];
  readonly warnings: readonly Of<'warned'>[];
  readonly reRuns: readonly Of<'re-run'>[];
};

/** A mark as the trace shows it: whether it stands, and by what it was struck. */
export type Traced = { readonly mark: Mark; readonly struckBy: Mark | null };

/** A judge’s sheet: the fold of the marks of one judge. */
export type JudgeSheet = {
  readonly judge: PersonId | null;
  /** In the order in which they were first written of. */
  readonly exercises: readonly ExerciseSheet[];
  readonly notes: readonly Of<'note'>[];
  readonly is: 'open' | 'closed' | 'signed';
  readonly signedBy: string | null;
  /** The last mark that undo takes back; null where there is none or the sheet is closed. */
  readonly last: Mark | null;
  readonly trace: readonly Traced[];
};

/**
 * Folds the marks of one judge. A mark is struck where a later one that stands names it: by taking its
 * place, by taking it back, or by a re-run of its exercise; a take-back that is struck itself strikes
 * nothing. So the same marks in any order of arrival give the same sheet. [fault a, take-back of a] → no
 * fault, a struck in the trace.
 */
export function foldSheet(all: readonly Mark[], judge: PersonId | null): JudgeSheet {
  const marks = marksInOrder(all.filter((mark) => mark.judge === judge));
  const struck = struckIn(marks);
  const standing = marks.filter((mark) => !struck.has(mark.id));
  const keys = [...new Set(standing.flatMap((mark) => exerciseOf(mark) ?? []))];
  const life = lifeOf(standing);
  return {
    judge,
    exercises: keys.map((key) => exerciseSheet(key, standing)),
    notes: standing.filter((mark): mark is Of<'note'> => mark.kind === 'note' && mark.exercise === null),
    ...life,
    last: life.is === 'open' ? (standing.filter(canBeTakenBack).at(-1) ?? null) : null,
    trace: marks.map((mark) => ({ mark, struckBy: struck.get(mark.id) ?? null })),
  };
}

/** The exercise that a mark is of; null for one that is of the whole sheet. */
const exerciseOf = (mark: Mark): ExerciseKey | null => ('exercise' in mark ? mark.exercise : null);

const canBeTakenBack = ({ kind }: Mark): boolean =>
  kind !== 'take-back' && kind !== 'close' && kind !== 'sign' && kind !== 'reopen';

/** What strikes each struck mark, from the last one back: what comes later is known by then. */
function struckIn(marks: readonly Mark[]): Map<MarkId, Mark> {
  const struck = new Map<MarkId, Mark>();
  for (const [i, mark] of [...marks.entries()].reverse()) {
    if (struck.has(mark.id)) continue;
    if (mark.of !== null) struck.set(mark.of, mark);
    if (mark.kind !== 're-run') continue;
    for (const earlier of marks.slice(0, i))
      if (exerciseOf(earlier) === mark.exercise && earlier.kind !== 're-run' && !struck.has(earlier.id))
        struck.set(earlier.id, mark);
  }
  return struck;
}

function lifeOf(standing: readonly Mark[]): Pick<JudgeSheet, 'is' | 'signedBy'> {
  let life: Pick<JudgeSheet, 'is' | 'signedBy'> = { is: 'open', signedBy: null };
  for (const mark of standing) {
    if (mark.kind === 'close') life = { is: 'closed', signedBy: null };
    if (mark.kind === 'sign') life = { is: 'signed', signedBy: mark.name };
    if (mark.kind === 'reopen') life = { is: 'open', signedBy: null };
  }
  return life;
}

function exerciseSheet(exercise: ExerciseKey, standing: readonly Mark[]): ExerciseSheet {
  const mine = standing.filter((mark) => exerciseOf(mark) === exercise);
  const of = <K extends Mark['kind']>(kind: K): Of<K>[] =>
    mine.filter((mark): mark is Of<K> => mark.kind === kind);
  const faults = of('fault');
  const given = latestBySlot(of('given'));
  const said = of('state').at(-1) ?? null;
  return {
    exercise,
    state: said?.is ?? (faults.length + given.length > 0 ? 'going' : 'open'),
    said,
    faults,
    given,
    watches: of('watch'),
    notes: of('note'),
    signs: of('sign-seen'),
    moments: of('moment'),
    warnings: of('warned'),
    reRuns: of('re-run'),
  };
}

/** Of two numbers for one slot the later one counts. */
const latestBySlot = (given: readonly Of<'given'>[]): Of<'given'>[] =>
  given.filter((one, i) => !given.slice(i + 1).some((later) => later.slot === one.slot));

/** An exercise of which nothing is written. */
export const emptyExercise = (exercise: ExerciseKey): ExerciseSheet => ({
  exercise,
  state: 'open',
  said: null,
  faults: [],
  given: [],
  watches: [],
  notes: [],
  signs: [],
  moments: [],
  warnings: [],
  reRuns: [],
});
