import {
  type FaultStep,
  faultSteps,
  type PreparedRules,
  type RuleBook,
  type RuleExercise,
} from '@/core/rulebooks';
import type { ExerciseKey, MarkId, PartKey } from '@/core/shared';
import { agreed, type Charge, keyOf, spread, stepOf } from './charges';
import type { ExerciseSheet, JudgeSheet } from './fold-sheet';
import { NOTHING_CHARGED, type PartPlace, type TaughtPart } from './part-taught';
import type { Joined } from './score-sheets';
import { slotsOf } from './slots';
import { type How, triesOf } from './tries';

/** A part of which the sheets do not say how it went, and why not. */
export type Untold = PartPlace & {
  readonly why: 'not-run' | 'not-attempted' | 'excused' | 'not-reached' | 'which-part' | 'number-only';
};

/** A fault of a whole exercise: of which part it was, the book does not say. */
export type LooseFault = {
  readonly exercise: ExerciseKey;
  readonly mark: MarkId;
  readonly step: FaultStep;
  readonly of: PartKey | null;
};

export type Taught = {
  readonly parts: readonly TaughtPart[];
  readonly untold: readonly Untold[];
  readonly loose: readonly LooseFault[];
};

/**
 * What a judged run says of each part as reps, in running order. A part is flawed by the dog’s faults that
 * were written of it, missed where one of them says that it was not done, and clean where nothing was written;
 * parts after a fault that stops the exercise were not reached. An exercise that lost points by a plain
 * number, or failed without a fault, says of one part alone how it went; of several it does not say which.
 * Of several judges a fault counts that at least half of them wrote. `of` says to which part a fault of the
 * whole exercise belongs; without it, it spoils none, except where there is only one. Refused and tried
 * again is a miss each time. Two parts, the second of which was crooked → one clean and one flawed.
 */
export function taughtBy(
  book: RuleBook,
  { rules, score }: Pick<Joined, 'rules' | 'score'>,
  sheets: readonly JudgeSheet[],
  of: ReadonlyMap<MarkId, PartKey> = new Map(),
): Taught {
  const found = book.exercises.map((exercise) =>
    exerciseTaught(
      book,
      exercise,
      rules,
      sheets.flatMap((sheet) => sheet.exercises.find((one) => one.exercise === exercise.id) ?? []),
      sheets.length,
      score.exercises.find((one) => one.exercise === exercise.id) ?? null,
      of,
    ),
  );
  return {
    parts: found.flatMap((one) => one.parts),
    untold: found.flatMap((one) => one.untold),
    loose: found.flatMap((one) => one.loose),
  };
}

type Scored = Joined['score']['exercises'][number];

function exerciseTaught(
  book: RuleBook,
  exercise: RuleExercise,
  rules: PreparedRules,
  sheets: readonly ExerciseSheet[],
  judges: number,
  scored: Scored | null,
  of: ReadonlyMap<MarkId, PartKey>,
): Taught {
  const places = exercise.parts.flatMap((part) =>
    Array.from({ length: part.times ?? 1 }, (_, time) => ({ exercise: exercise.id, part: part.id, time })),
  );
  const said = sheets.find((one) => one.said !== null)?.state ?? sheets[0]?.state ?? 'open';
  const none = (why: Untold['why']): Taught => ({
    parts: [],
    untold: places.map((place) => ({ ...place, why })),
    loose: [],
  });
  if (said === 'not-attempted') return none('not-attempted');
  if (said === 'open' || scored === null || scored.state === 'not-run') return none('not-run');
  const prepared = rules.exercises.find((one) => one.exercise === exercise.id);
  if (!prepared) return none('not-run');
  const steps = faultSteps(prepared);
  const [only] = exercise.parts.length === 1 ? exercise.parts : [];
  const one = places.length === 1;
  const charges = agreed(sheets, judges).flatMap((mark): Charge[] => {
    const step = stepOf(steps, mark);
    if (!step || step.gives) return [];
    return [{ mark, step, part: step.part ?? of.get(mark.id) ?? only?.id ?? null }];
  });
  const loose = charges
    .filter((one) => one.step.part === null && only === undefined)
    .map(({ mark, step, part }) => ({ exercise: exercise.id, mark: mark.id, step, of: part }));
  const lost = sheets.some((sheet) => sheet.given.length > 0) ? lostBy(scored) : 'none';
  const unsaid = whyUnsaid(said, lost, charges, one);
  const tried = rules.word === 'second' ? [] : givenTries(sheets[0], prepared.exercise, book);
  if (unsaid === 'excused') return { ...none('excused'), loose };
  const spoiled = spread(places, charges);
  const last = lastReached(places, spoiled, said);
  const parts: TaughtPart[] = [];
  const untold: Untold[] = [];
  for (const [i, place] of places.entries()) {
    const mine = spoiled.get(keyOf(place)) ?? [];
    const given = tried[i];
    if (i > last) untold.push({ ...place, why: 'not-reached' });
    else if (given !== undefined && mine.length === 0)
      parts.push({ ...place, ...NOTHING_CHARGED, outcome: given });
    else if (unsaid && mine.length === 0) untold.push({ ...place, why: unsaid });
    else
      parts.push(
        ...triesOf(place, mine, {
          times: exercise.parts.find((part) => part.id === place.part)?.times ?? 1,
          failed: said === 'failed',
          one,
          lost,
        }),
      );
  }
  return { parts, untold, loose };
}

/**
 * Tries that were given a number each, of an exercise with one part: nothing of it is a miss, the most it can
 * be is clean. Empty where numbers are given otherwise.
 */
function givenTries(
  sheet: ExerciseSheet | undefined,
  exercise: ExerciseKey,
  book: RuleBook,
): (TaughtPart['outcome'] | undefined)[] {
  if (book.rules.family !== 'measured' || !sheet) return [];
  return slotsOf(book, exercise).map(({ key, most }) => {
    const given = sheet.given.find((one) => one.slot === key);
    if (!given) return undefined;
    return given.value <= 0 ? 'miss' : given.value >= most ? 'clean' : 'flawed';
  });
}

/** Why an exercise does not say of its parts how they went; null where it does. */
function whyUnsaid(
  said: ExerciseSheet['state'],
  lost: How['lost'],
  charges: readonly Charge[],
  onePart: boolean,
): Untold['why'] | null {
  if (said === 'excused') return 'excused';
  if (onePart || charges.length > 0) return null;
  if (said === 'failed' || said === 'stopped') return 'which-part';
  return lost === 'none' ? null : 'number-only';
}

/** How much an exercise lost where a judge gave it a plain number. */
const lostBy = (scored: Scored): How['lost'] =>
  scored.units >= scored.maximum ? 'none' : scored.units <= 0 ? 'all' : 'some';

/** The place of the last go that was reached: that of the first fault that stops, else the last. */
function lastReached(
  places: readonly PartPlace[],
  spoiled: ReadonlyMap<string, readonly Charge[]>,
  said: ExerciseSheet['state'],
): number {
  const faulted = places.flatMap((place, i) => ((spoiled.get(keyOf(place)) ?? []).length > 0 ? [i] : []));
  const stop = places.findIndex((place) =>
    (spoiled.get(keyOf(place)) ?? []).some(({ step }) => step.stops && step.by === 'dog'),
  );
  if (stop >= 0) return stop;
  // Where the judge ended it, nothing is known of what would have come after the last fault.
  if ((said === 'stopped' || said === 'failed') && faulted.length > 0) return faulted.at(-1) as number;
  return places.length - 1;
}
