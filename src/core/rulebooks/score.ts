import { type ExerciseKey, type FaultKey, fail, ok, type Result, type Sentence, say } from '@/core/shared';
import { amountFits, describeCost, priceOf } from './families/cost';
import {
  cellTotal,
  type Mark,
  type PreparedExercise,
  type PreparedFault,
  type PreparedRules,
  rulesTotal,
  type ScoreSheet,
  type SheetLine,
} from './families/family';

export type Deduction = {
  readonly fault: FaultKey;
  readonly title: string;
  readonly rule: Sentence;
  readonly units: number;
  readonly asked: number;
};
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
 * Each cell starts at its maximum and never falls below 0. A fault is charged its price, less what
 * its slot allows, up to its cap; zero and major faults lower the ceiling of the cell; an ending
 * fault takes the exercise and every later one, and the run fails. Deductions are what a mark took
 * away where it stands on the sheet, so that maximum − Σ deductions = score; the score itself does
 * not depend on the order of the marks. Fails with `unknown-exercise`, `unknown-fault`,
 * `sheet-order`, `amount` or `given`.
 */
export function scoreSheet(rules: PreparedRules, sheet: ScoreSheet, word = 'point'): Result<Score> {
  const checked = checkSheet(rules, sheet);
  if (!checked.ok) return checked;
  const exercises: ExerciseScore[] = [];
  let endedBy: PreparedFault | null = null;
  let majors = 0;
  for (const [e, exercise] of rules.exercises.entries()) {
    const line = sheet.find((candidate) => candidate.exercise === exercise.exercise);
    const scored = endedBy ? notRun(exercise, endedBy, word) : scoreLine(rules, e, line, word);
    if (!('exercise' in scored)) return scored;
    exercises.push(scored);
    if (endedBy || !line || line.given) continue;
    const marked = line.marks.flatMap(
      (mark) => exercise.faults.find((fault) => fault.fault.id === mark.fault) ?? [],
    );
    majors += marked.filter((fault) => fault.major).length;
    endedBy = marked.find((fault) => fault.ends) ?? null;
  }
  return ok(verdict(rules, exercises, endedBy !== null, majors));
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
    award: failed.length === 0 ? rules.award(kept) : null,
    margin: rules.line === null ? null : units - rules.line,
    open,
  };
}

function notRun(exercise: PreparedExercise, by: PreparedFault, word: string): ExerciseScore {
  const maximum = cellTotal(exercise);
  const lost: Deduction = {
    fault: by.fault.id,
    title: by.fault.title,
    rule: say('rulebooks.score.not-run', { describeCost: describeCost(by.fault.cost, word) }),
    units: maximum,
    asked: maximum,
  };
  return {
    exercise: exercise.exercise,
    units: 0,
    maximum,
    kept: exercise.cells.map(() => 0),
    state: 'not-run',
    deductions: [lost],
  };
}

function scoreLine(
  rules: PreparedRules,
  e: number,
  line: SheetLine | undefined,
  word: string,
): ExerciseScore | ReturnType<typeof fail> {
  const exercise = rules.exercises[e] as PreparedExercise;
  const maximum = cellTotal(exercise);
  if (!line)
    return {
      exercise: exercise.exercise,
      units: maximum,
      maximum,
      kept: exercise.cells.map((cell) => cell.maximum),
      state: 'open',
      deductions: [],
    };
  if (line.given) {
    const given = rules.given(e, line.given);
    if (!given.ok) return { ...given, path: exercise.exercise };
    const units = given.value.reduce((sum, cell) => sum + cell, 0);
    return {
      exercise: exercise.exercise,
      units,
      maximum,
      kept: given.value,
      state: 'scored',
      deductions: [],
    };
  }
  return charge(exercise, line.marks, word);
}

type CellState = { readonly maximum: number; spent: number; ceiling: number };

function charge(exercise: PreparedExercise, marks: readonly Mark[], word: string): ExerciseScore {
  const cells: CellState[] = exercise.cells.map((cell) => ({
    maximum: cell.maximum,
    spent: 0,
    ceiling: cell.maximum,
  }));
  const asked = new Map<string, number>();
  const total = (): number => cells.reduce((sum, cell) => sum + keptOf(cell), 0);
  const deductions = marks.map((mark): Deduction => {
    const fault = exercise.faults.find((candidate) => candidate.fault.id === mark.fault) as PreparedFault;
    const before = total();
    const price = priceOf(fault.fault.cost, mark.amount, fault.unit);
    const cell = cells[fault.cell] as CellState;
    // A slot's cost is a function of all that was asked of it, so the allowance and the cap hold
    // whatever the order.
    const slot = `${fault.slot}/${fault.cell}`;
    const sofar = asked.get(slot) ?? 0;
    cell.spent += slotCost(fault, sofar + price) - slotCost(fault, sofar);
    asked.set(slot, sofar + price);
    if (fault.ceiling !== null)
      for (const one of fault.ceiling === 0 ? cells : [cell])
        one.ceiling = Math.min(one.ceiling, fault.ceiling);
    return {
      fault: fault.fault.id,
      title: fault.fault.title,
      rule: describeCost(fault.fault.cost, word),
      units: before - total(),
      asked: price,
    };
  });
  const zeroed = cells.every((cell) => cell.ceiling === 0);
  const kept = cells.map(keptOf);
  const units = kept.reduce((sum, cell) => sum + cell, 0);
  return {
    exercise: exercise.exercise,
    units,
    maximum: cellTotal(exercise),
    kept,
    state: zeroed ? 'zeroed' : 'scored',
    deductions,
  };
}

const keptOf = (cell: CellState): number => Math.max(0, Math.min(cell.maximum - cell.spent, cell.ceiling));
const slotCost = (fault: PreparedFault, asked: number): number =>
  Math.min(fault.cap, Math.max(0, asked - fault.free));

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
    if (index <= place)
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
