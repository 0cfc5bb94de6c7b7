import * as v from 'valibot';
import { faultSteps, type PreparedRules, pointsOf, prepareRules, type RuleBook } from '@/core/rulebooks';
import { asId, type ExerciseKey, type FaultKey, must, type Result, type RuleBookId } from '@/core/shared';
import { emptyExercise, type JudgeSheet } from './fold-sheet';
import { scoreOne } from './score-sheets';

const text = v.pipe(v.string(), v.trim(), v.minLength(1));
const exercise = v.pipe(text, v.transform(asId<ExerciseKey>));

/**
 * A run that is written out to learn judging: what could be seen, with its seconds from the start, and what a
 * judge would have written of it, each with why. Invented, like the rule book that it is judged by.
 */
export const practiceRunSchema = v.strictObject({
  format: v.literal('regulon-practice-run'),
  version: v.literal(1),
  id: text,
  title: text,
  book: v.pipe(text, v.transform(asId<RuleBookId>)),
  dog: text,
  sample: v.literal(true),
  events: v.pipe(
    v.array(v.strictObject({ exercise, at: v.pipe(v.number(), v.minValue(0)), text })),
    v.minLength(1),
  ),
  key: v.array(
    v.strictObject({
      exercise,
      fault: v.pipe(text, v.transform(asId<FaultKey>)),
      amount: v.pipe(v.number(), v.finite()),
      why: text,
    }),
  ),
});
export type PracticeRun = v.InferOutput<typeof practiceRunSchema>;

/** The exercises that a practice run shows, in their order. */
export const shownIn = ({ events }: Pick<PracticeRun, 'events'>): ExerciseKey[] => [
  ...new Set(events.map((one) => one.exercise)),
];

/** One fault as the key has it and as it was written: how often, and what it cost there. */
export type PracticeFault = {
  readonly exercise: ExerciseKey;
  readonly fault: FaultKey;
  readonly title: string;
  /** Times in the key, and times written. */
  readonly key: number;
  readonly written: number;
  readonly how: 'same' | 'missed' | 'extra' | 'otherwise';
  /** What it takes by the key, and as it was written, in points; where it was measured otherwise they differ. */
  readonly keyPoints: number;
  readonly writtenPoints: number;
  readonly why: string | null;
};
export type PracticeExercise = {
  readonly exercise: ExerciseKey;
  readonly title: string;
  readonly faults: readonly PracticeFault[];
  /** Points kept by the key, and as it was judged. */
  readonly key: number;
  readonly judged: number;
};
export type PracticeResult = {
  readonly exercises: readonly PracticeExercise[];
  readonly key: number;
  readonly judged: number;
  /** Faults of the key that were written as they are, of all that it has; and those that it has not. */
  readonly same: number;
  readonly of: number;
  readonly extra: number;
};

/**
 * A judged practice run beside its key: the same rules score both, exercise by exercise and fault by fault. A
 * fault that was measured is the same where it costs the same. Fails as `scoreSheet` does, and where the key
 * does not fit its book. A crooked front that nobody wrote → missed, and more points than the key gives.
 */
export function comparePractice(
  run: PracticeRun,
  book: RuleBook,
  sheet: Pick<JudgeSheet, 'exercises'>,
): Result<PracticeResult> {
  const rules = prepareRules(book);
  const keyed = keySheet(run);
  const [key, judged] = [scoreOne(book, null, keyed), scoreOne(book, null, sheet)];
  if (!key.ok) return key;
  if (!judged.ok) return judged;
  const exercises = shownIn(run).map((id): PracticeExercise => {
    const kept = (score: typeof key.value.score): number =>
      pointsOf(rules, score.exercises.find((one) => one.exercise === id)?.units ?? 0);
    return {
      exercise: id,
      title: book.exercises.find((one) => one.id === id)?.title ?? id,
      faults: faultsOf(run, rules, book, sheet, id),
      key: kept(key.value.score),
      judged: kept(judged.value.score),
    };
  });
  const all = exercises.flatMap((one) => one.faults);
  const sum = (of: (one: PracticeExercise) => number): number =>
    Number(exercises.reduce((total, one) => total + of(one), 0).toFixed(4));
  return {
    ok: true,
    value: {
      exercises,
      key: sum((one) => one.key),
      judged: sum((one) => one.judged),
      same: all.filter(({ how }) => how === 'same').length,
      of: all.filter((one) => one.key > 0).length,
      extra: all.filter(({ how }) => how === 'extra').length,
    },
  };
}

/** The key as a sheet on which everything that was shown is done. */
function keySheet(run: PracticeRun): Pick<JudgeSheet, 'exercises'> {
  return {
    exercises: shownIn(run).map((id) => ({
      ...emptyExercise(id),
      state: 'done',
      faults: run.key
        .filter((one) => one.exercise === id)
        .map((one) => ({ kind: 'fault', ...one, part: null, time: null }) as never),
    })),
  };
}

type Written = { readonly fault: FaultKey; readonly amount: number };

function faultsOf(
  run: PracticeRun,
  rules: PreparedRules,
  book: RuleBook,
  sheet: Pick<JudgeSheet, 'exercises'>,
  id: ExerciseKey,
): PracticeFault[] {
  const prepared = rules.exercises.find((one) => one.exercise === id);
  if (!prepared) return [];
  const steps = faultSteps(prepared);
  const keyed = run.key.filter((one) => one.exercise === id);
  const written = sheet.exercises.find((one) => one.exercise === id)?.faults ?? [];
  const names = [...new Set([...keyed, ...written].map(({ fault }) => fault))];
  return names.map((fault): PracticeFault => {
    const [key, mine] = [keyed, written].map((list: readonly Written[]) =>
      list.filter((one) => one.fault === fault),
    ) as [Written[], Written[]];
    const cost = (marks: readonly Written[]): number => costOf(book, id, marks);
    const [keyPoints, writtenPoints] = [cost(key), cost(mine)];
    return {
      exercise: id,
      fault,
      title: prepared.faults.find((one) => one.fault.id === fault)?.fault.title ?? fault,
      key: key.length,
      written: mine.length,
      how:
        mine.length === 0
          ? 'missed'
          : key.length === 0
            ? 'extra'
            : sameMarks(steps, key, mine, keyPoints === writtenPoints)
              ? 'same'
              : 'otherwise',
      keyPoints,
      writtenPoints,
      why: keyed.find((one) => one.fault === fault)?.why ?? null,
    };
  });
}

/** Counted as often, or, where it is measured or left to the judge, at the same price. */
const sameMarks = (
  steps: ReturnType<typeof faultSteps>,
  key: readonly Written[],
  mine: readonly Written[],
  costsTheSame: boolean,
): boolean => {
  const measured = steps.some(
    (step) => step.ref.key === key[0]?.fault && (step.measured || step.ref.step !== null),
  );
  const times = (marks: readonly Written[]): number => marks.reduce((sum, one) => sum + one.amount, 0);
  return measured ? costsTheSame && key.length === mine.length : times(key) === times(mine);
};

/** What these marks by themselves take from the exercise, in the book’s points. */
function costOf(book: RuleBook, exercise: ExerciseKey, marks: readonly Written[]): number {
  if (marks.length === 0) return 0;
  const run = {
    events: [{ exercise, at: 0, text: '-' }],
    key: marks.map((one) => ({ exercise, why: '-', ...one })),
  };
  const one = must(scoreOne(book, null, keySheet(run as unknown as PracticeRun)));
  const found = one.score.exercises.find((each) => each.exercise === exercise);
  return found ? pointsOf(one.rules, found.maximum - found.units) : 0;
}

/** One’s own hand with a fault over practice runs. */
export type Leniency = {
  readonly fault: string;
  readonly title: string;
  readonly key: number;
  readonly missed: number;
  readonly extra: number;
  /** Points that were left standing on average where it was there or written; below 0: too much was taken. */
  readonly spared: number;
};

/** So often a fault must have come before anything is said of one’s hand with it. */
const ENOUGH_TIMES = 2;

/**
 * What one tends to with each fault: missed, written without cause, priced low or high, over practice runs of
 * whatever books. Sorted by how much it matters. A fault that came less than twice is left out.
 */
export function leniencyOf(results: readonly PracticeResult[]): Leniency[] {
  const found = new Map<string, PracticeFault[]>();
  for (const one of results.flatMap((result) => result.exercises.flatMap(({ faults }) => faults))) {
    const list = found.get(one.title) ?? [];
    list.push(one);
    found.set(one.title, list);
  }
  return [...found.entries()]
    .filter(([, list]) => list.length >= ENOUGH_TIMES)
    .map(
      ([title, list]): Leniency => ({
        fault: list[0]?.fault ?? title,
        title,
        key: list.filter((one) => one.key > 0).length,
        missed: list.filter(({ how }) => how === 'missed').length,
        extra: list.filter(({ how }) => how === 'extra').length,
        spared: list.reduce((sum, one) => sum + one.keyPoints - one.writtenPoints, 0) / list.length,
      }),
    )
    .sort((a, b) => Math.abs(b.spared) - Math.abs(a.spared) || (a.title < b.title ? -1 : 1));
}
