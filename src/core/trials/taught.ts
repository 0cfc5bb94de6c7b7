import {
  type FaultRef,
  type FaultStep,
  faultSteps,
  type PreparedRules,
  type RuleBook,
  type RuleExercise,
} from '@/core/rulebooks';
import type { ExerciseKey, MarkId, PartKey } from '@/core/shared';
import type { ExerciseSheet, JudgeSheet } from './fold-sheet';
import type { Mark } from './mark';
import type { Joined } from './score-sheets';
import { slotsOf } from './slots';

/** One go of one part in a run: `time` from 0; a further try of the same part comes after all times asked. */
export type PartPlace = { readonly exercise: ExerciseKey; readonly part: PartKey; readonly time: number };

/** What a judged part says as a rep. */
export type TaughtPart = PartPlace & {
  readonly outcome: 'clean' | 'flawed' | 'miss';
  /** The dog’s faults, each as often as it was written. */
  readonly faults: readonly FaultRef[];
  /** The handler’s own faults but for extra cues. */
  readonly handler: readonly FaultRef[];
  /** Extra cues, by whose they are under the rule book. */
  readonly cues: { readonly needed: number; readonly slip: number };
};

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

type Fault = Extract<Mark, { kind: 'fault' }>;

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
    else if (given !== undefined && mine.length === 0) parts.push({ ...place, ...PLAIN, outcome: given });
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

const PLAIN = { faults: [], handler: [], cues: { needed: 0, slip: 0 } } as const;

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

type Charge = { readonly mark: Fault; readonly step: FaultStep; readonly part: PartKey | null };

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

/**
 * Faults that at least half of the judges wrote: the n-th of a kind counts where so many have an n-th. One
 * judge → all that is on the sheet.
 */
function agreed(sheets: readonly ExerciseSheet[], judges: number): Fault[] {
  const seen = new Map<string, Fault[]>();
  for (const { faults } of sheets) {
    const here = new Map<string, number>();
    for (const mark of faults) {
      const n = (here.get(mark.fault) ?? 0) + 1;
      here.set(mark.fault, n);
      const key = JSON.stringify([mark.fault, n]);
      seen.set(key, [...(seen.get(key) ?? []), mark]);
    }
  }
  return [...seen.values()].filter((marks) => marks.length * 2 >= judges).flatMap(([first]) => first ?? []);
}

/** The step of a fault that a mark charges: the band that was measured, the judge’s price, or the fault. */
function stepOf(steps: readonly FaultStep[], { fault, amount }: Fault): FaultStep | null {
  const mine = steps.filter((step) => step.ref.key === fault);
  const [first] = mine;
  if (!first || mine.length === 1) return first ?? null;
  const banded = first.measured !== null || first.charges !== null;
  if (!banded) return mine.find((step) => step.amount === amount) ?? first;
  return (
    mine.findLast((step) => Math.abs(amount) > (step.measured?.beyond ?? step.charges?.from ?? 0)) ?? null
  );
}

const keyOf = ({ part, time }: Pick<PartPlace, 'part' | 'time'>): string => JSON.stringify([part, time]);

/**
 * Each charge to the go it was of: the time that was said, else the first of its part that no other charge of
 * the same fault has; of counts so many in one go, unless the part is asked several times.
 */
function spread(places: readonly PartPlace[], charges: readonly Charge[]): Map<string, Charge[]> {
  const found = new Map<string, Charge[]>();
  for (const charge of charges) {
    const { mark, part, step } = charge;
    if (part === null) continue;
    const goes = places.filter((place) => place.part === part);
    const often = goes.length > 1 && !step.cues && step.again === null ? countOf(mark, step) : 1;
    for (let k = 0; k < often; k++) {
      const free = goes.find(
        (place) => !(found.get(keyOf(place)) ?? []).some((one) => one.step.ref.key === step.ref.key),
      );
      const place = goes.find((one) => mark.time !== null && one.time === mark.time) ?? free ?? goes.at(-1);
      if (place) found.set(keyOf(place), [...(found.get(keyOf(place)) ?? []), charge]);
    }
  }
  return found;
}

/** So many times a mark says that it happened: a measure happened once. */
const countOf = ({ amount }: Fault, step: FaultStep): number =>
  step.measured === null && step.ref.step === null ? Math.max(1, Math.round(amount)) : 1;

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

type How = {
  readonly times: number;
  readonly failed: boolean;
  /** It is all that the exercise asks. */
  readonly one: boolean;
  /** Of its points, by a plain number that a judge gave. */
  readonly lost: 'all' | 'some' | 'none';
};

/** One go, with a miss before it for each time that it was refused and tried again. */
function triesOf(place: PartPlace, charges: readonly Charge[], how: How): TaughtPart[] {
  const again = charges.filter(({ step }) => step.again !== null && step.by === 'dog');
  const refused = again.flatMap(({ mark, step }) => Array.from({ length: countOf(mark, step) }, () => step));
  const misses = refused.map(
    (step, k): TaughtPart => ({
      ...place,
      ...PLAIN,
      time: how.times + place.time * MOST_TRIES + k,
      outcome: 'miss',
      faults: [step.ref],
    }),
  );
  const others = charges.filter((one) => !again.includes(one));
  // The last try of an item that was never done is among those that failed.
  if (how.failed && others.length === 0 && refused.some((step) => step.again === 'item')) return misses;
  return [...misses, lastTry(place, others, misses.length > 0, how)];
}

function lastTry(
  place: PartPlace,
  charges: readonly Charge[],
  tried: boolean,
  { times, failed, one, lost }: How,
): TaughtPart {
  const dog = charges.filter(({ step }) => step.by === 'dog');
  const handler = charges.filter(({ step }) => step.by === 'handler');
  // A plain number below the full one, of an exercise with one part: not clean, and nobody named why.
  const unnamed = one && !tried && charges.length === 0 && lost !== 'none';
  const missed =
    dog.some(({ step }) => step.miss) || (one && failed && dog.length === 0) || (unnamed && lost === 'all');
  return {
    ...place,
    outcome: missed ? 'miss' : dog.length > 0 || unnamed ? 'flawed' : 'clean',
    faults: dog.flatMap(({ mark, step }) =>
      Array.from({ length: step.cues || times > 1 ? 1 : countOf(mark, step) }, () => step.ref),
    ),
    handler: handler.flatMap(({ step }) => (step.cues ? [] : [step.ref])),
    cues: { needed: cuesOf(dog), slip: cuesOf(handler) },
  };
}

/** More tries than any book gives: further tries of one go and of the next never meet. */
const MOST_TRIES = 64;

const cuesOf = (charges: readonly Charge[]): number =>
  charges.reduce((sum, { mark, step }) => sum + (step.cues ? countOf(mark, step) : 0), 0);
