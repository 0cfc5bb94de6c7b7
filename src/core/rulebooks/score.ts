import {
  type ExerciseKey,
  type FaultKey,
  fail,
  type Name,
  ok,
  type Result,
  type Sentence,
  say,
} from '@/core/shared';
import { chargeMarks, type Deduction, noCounts, type RunCounts } from './charge';
import { amountFits, describeCost } from './families/cost';
import {
  cellTotal,
  type PreparedExercise,
  type PreparedFault,
  type PreparedRules,
  rulesTotal,
  type ScoreSheet,
  type SheetLine,
} from './families/family';

export type { Deduction } from './charge';
export type ExerciseScore = {
  readonly exercise: ExerciseKey;
  readonly units: number;
  readonly maximum: number;
  /** Units for each cell; one for most families, one for each ability of a series. */
  readonly kept: readonly number[];
  readonly state: 'open' | 'scored' | 'zeroed' | 'not-run';
  readonly deductions: readonly Deduction[];
};
export type Reason = {
  readonly code: string;
  readonly exercise: ExerciseKey | null;
  readonly message: Sentence;
};
export type Score = {
  /**
   * Exact integers of the rules' smallest unit. Exercises that are not on the sheet yet count as
   * kept.
   */
  readonly units: number;
  readonly maximum: number;
  readonly exercises: readonly ExerciseScore[];
  readonly passed: boolean;
  readonly reasons: readonly Reason[];
  readonly award: string | null;
  /**
   * Units above (negative: below) the line that passing needs; null where the family has no such
   * line.
   */
  readonly margin: number | null;
  /**
   * Units of exercises that are still to come: what can at most be added to what is already sure.
   */
  readonly open: number;
};

/**
 * Scores a sheet under any family's rules, in exact integers.
 *
 * Each cell starts at its maximum and never falls below 0. A fault is charged its price past the
 * warnings, less what its slot allows, up to its cap and up to the cap of what is counted over the
 * whole run; zero and major faults lower the ceiling of the cell; the n-th time and a limit that acts
 * do what the rules say; an ending fault takes the exercise and every later one, and the run fails. What
 * was not attempted keeps nothing; stopping and being excused end the run as an ending fault does. A
 * bonus comes on top. Where judges gave a number, that counts, and faults explain it. Deductions are
 * what a mark took away where it stands on the sheet, so that maximum − Σ deductions = score; the
 * score itself does not depend on the order of the marks of an exercise. Fails with
 * `unknown-exercise`, `unknown-fault`, `sheet-order`, `amount` or `given`.
 */
export function scoreSheet(rules: PreparedRules, sheet: ScoreSheet): Result<Score> {
  const checked = checkSheet(rules, sheet);
  if (!checked.ok) return checked;
  const exercises: ExerciseScore[] = [];
  const counts = noCounts(rules);
  let endedBy: Ending | null = null;
  let majors = 0;
  for (const e of runningOrder(rules, sheet)) {
    const exercise = rules.exercises[e] as PreparedExercise;
    if (endedBy) {
      exercises[e] = taken(exercise, endedBy, 'not-run');
      continue;
    }
    const line = sheet.find((candidate) => candidate.exercise === exercise.exercise);
    const scored = scoreLine(rules, e, line, counts);
    if (!scored.ok) return scored;
    exercises[e] = scored.value.score;
    endedBy = scored.value.endedBy;
    majors += scored.value.majors;
  }
  return ok(verdict(rules, exercises, endedBy !== null, majors));
}

/**
 * The places of the exercises as they are run: in the order of the rules, or, where that is drawn, in
 * the order of the sheet, and what is not on it yet after that.
 */
function runningOrder(rules: PreparedRules, sheet: ScoreSheet): number[] {
  const all = rules.exercises.map((_, e) => e);
  if (!rules.drawsOrder) return all;
  const run = sheet.map((line) => rules.exercises.findIndex((one) => one.exercise === line.exercise));
  return [...run, ...all.filter((e) => !run.includes(e))];
}

/**
 * The score of a class that is run several times, from its runs: the best one (passed before not
 * passed, then by units), or the weakest where every one has to pass. Fails as `scoreSheet` does,
 * with the number of the run before the path, and with `runs` where there is none. Runs of 70 and 76
 * points of which the best counts → 76.
 */
export function scoreRuns(rules: PreparedRules, sheets: readonly ScoreSheet[]): Result<Score> {
  const scores: Score[] = [];
  for (const [i, sheet] of sheets.entries()) {
    const score = scoreSheet(rules, sheet);
    if (!score.ok) return { ...score, path: `[${i}].${score.path}` };
    scores.push(score.value);
  }
  const better = (a: Score, b: Score): number => Number(b.passed) - Number(a.passed) || b.units - a.units;
  const counting = scores.sort(better).at(rules.runs.counts === 'best' ? 0 : -1);
  return counting ? ok(counting) : fail('runs', '', say('rulebooks.score.no-run'));
}

function verdict(
  rules: PreparedRules,
  exercises: readonly ExerciseScore[],
  ended: boolean,
  majors: number,
): Score {
  const kept = exercises.flatMap((exercise) => exercise.kept);
  const failed = rules.judge(kept, ended, majors);
  const units = exercises.reduce((sum, exercise) => sum + exercise.units, 0);
  const open = exercises.reduce(
    (sum, exercise) => sum + (exercise.state === 'open' ? exercise.maximum : 0),
    0,
  );
  return {
    units,
    maximum: rulesTotal(rules),
    exercises,
    passed: failed.length === 0,
    reasons: failed.map((place) => rules.conditions[place] as Reason),
    award: rules.award(kept, failed.length === 0),
    margin: rules.line === null ? null : units - rules.line,
    open,
  };
}

/** What took an exercise as a whole: a fault, or a word of the judge. */
type Ending = { readonly fault: FaultKey | null; readonly title: Name; readonly rule: Sentence };

const endingFault = ({ fault }: PreparedFault, rules: PreparedRules): Ending => ({
  fault: fault.id,
  title: fault.title,
  rule: say('rulebooks.score.not-run', { describeCost: describeCost(fault.cost, rules.word) }),
});

const NOT_DONE: Readonly<Record<NonNullable<SheetLine['closes']>, Ending>> = {
  failed: {
    fault: null,
    title: say('rulebooks.score.failed'),
    rule: say('rulebooks.score.keeps-nothing'),
  },
  'not-attempted': {
    fault: null,
    title: say('rulebooks.score.not-attempted'),
    rule: say('rulebooks.score.keeps-nothing'),
  },
  stopped: { fault: null, title: say('rulebooks.score.stopped'), rule: say('rulebooks.score.run-ends-here') },
  excused: { fault: null, title: say('rulebooks.score.excused'), rule: say('rulebooks.score.run-ends-here') },
};

const taken = (exercise: PreparedExercise, by: Ending, state: 'zeroed' | 'not-run'): ExerciseScore => {
  const maximum = cellTotal(exercise);
  return {
    exercise: exercise.exercise,
    units: 0,
    maximum,
    kept: exercise.cells.map(() => 0),
    state,
    deductions: [{ ...by, units: maximum, asked: maximum }],
  };
};

type ScoredLine = {
  readonly score: ExerciseScore;
  readonly endedBy: Ending | null;
  readonly majors: number;
};

function scoreLine(
  rules: PreparedRules,
  e: number,
  line: SheetLine | undefined,
  counts: RunCounts,
): Result<ScoredLine> {
  const exercise = rules.exercises[e] as PreparedExercise;
  const maximum = cellTotal(exercise);
  const same = { exercise: exercise.exercise, maximum };
  if (!line) {
    const kept = exercise.cells.map((cell) => cell.maximum);
    return ok({
      score: { ...same, units: maximum, kept, state: 'open', deductions: [] },
      endedBy: null,
      majors: 0,
    });
  }
  if (line.closes) {
    const by = NOT_DONE[line.closes];
    const endedBy = line.closes === 'stopped' || line.closes === 'excused' ? by : null;
    return ok({ score: taken(exercise, by, 'zeroed'), endedBy, majors: 0 });
  }
  const charged = chargeMarks(rules, exercise, line.marks, counts);
  const { majors } = charged;
  const endedBy = charged.endedBy && endingFault(charged.endedBy, rules);
  if (line.given && !charged.zeroed) {
    const given = rules.given(e, line.given);
    if (!given.ok) return { ...given, path: exercise.exercise };
    const units = given.value.reduce((sum, cell) => sum + cell, 0);
    const deductions = explained(charged.deductions);
    return ok({
      score: { ...same, units, kept: given.value, state: 'scored', deductions },
      endedBy,
      majors,
    });
  }
  const { kept, deductions } = charged;
  const units = kept.reduce((sum, cell) => sum + cell, 0);
  const state = charged.zeroed ? 'zeroed' : 'scored';
  return ok({ score: { ...same, units, kept, state, deductions }, endedBy, majors });
}

/** Beside a number that a judge gave, faults explain and take nothing. */
const explained = (deductions: readonly Deduction[]): Deduction[] =>
  deductions.map((one) => ({ ...one, units: 0 }));

function checkSheet(rules: PreparedRules, sheet: ScoreSheet): Result<null> {
  let place = -1;
  for (const [i, line] of sheet.entries()) {
    const index = rules.exercises.findIndex((exercise) => exercise.exercise === line.exercise);
    if (index < 0)
      return fail(
        'unknown-exercise',
        `[${i}]`,
        say('rulebooks.score.the-class-has-no-exercise', { exercise: line.exercise }),
      );
    const twice = sheet.findIndex((other) => other.exercise === line.exercise) < i;
    if (twice || (index <= place && !rules.drawsOrder))
      return fail(
        'sheet-order',
        `[${i}]`,
        say('rulebooks.score.is-out-of-running-order-or-written', { exercise: line.exercise }),
      );
    place = index;
    for (const [j, mark] of line.marks.entries()) {
      const fault = rules.exercises[index]?.faults.find(
        (candidate) => candidate.fault.id === mark.fault,
      )?.fault;
      if (!fault)
        return fail(
          'unknown-fault',
          `[${i}].marks[${j}]`,
          say('rulebooks.score.has-no-fault', { exercise: line.exercise, fault: mark.fault }),
        );
      if (!amountFits(fault.cost, mark.amount)) {
        return fail(
          'amount',
          `[${i}].marks[${j}]`,
          say('rulebooks.score.is-not-an-amount-for-give-a-count', {
            amount: mark.amount,
            title: fault.title,
          }),
        );
      }
    }
  }
  return ok(null);
}
