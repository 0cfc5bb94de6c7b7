import type { ExerciseKey, Failure, FaultKey, PartKey, Result, Sentence } from '@/core/shared';
import type { Cost, Fault } from './fault-schema';

export type Outline = readonly {
  readonly id: ExerciseKey;
  readonly title: string;
  readonly parts: readonly { readonly id: PartKey }[];
}[];

/**
 * One thing the judge writes down. `amount` is a count, a measured value in base units (s, m, °),
 * or 0–2 for low, usual, high.
 */
export type Mark = { readonly fault: FaultKey; readonly amount: number };
/**
 * One exercise on a judge's sheet. `given` holds marks that judges gave outright, where the family
 * knows such; they replace the faults.
 */
export type SheetLine = {
  readonly exercise: ExerciseKey;
  readonly marks: readonly Mark[];
  readonly given?: readonly number[];
};
/**
 * The exercises in running order. One that is not on the sheet has not been run yet; one without
 * marks was faultless.
 */
export type ScoreSheet = readonly SheetLine[];

/**
 * A pool of units that marks are charged to. Most exercises have one; a series of the abilities
 * family has one for each ability.
 */
export type Cell = { readonly key: string; readonly title: string; readonly maximum: number };

/** A fault ready for charging, in whole units. */
export type PreparedFault = {
  readonly fault: Fault;
  /** Index of its cell within the exercise. */
  readonly cell: number;
  /** Units of one point of the file. */
  readonly unit: number;
  /** Faults of one slot share cap and allowance; usually each is its own. */
  readonly slot: string;
  readonly cap: number;
  /** Units of the slot that cost nothing yet: attempts and cues that are allowed. */
  readonly free: number;
  /** The most that the cell keeps once it has happened; null where it only costs its price. */
  readonly ceiling: number | null;
  readonly ends: boolean;
  readonly major: boolean;
};
export type PreparedExercise = {
  readonly exercise: ExerciseKey;
  readonly cells: readonly Cell[];
  readonly faults: readonly PreparedFault[];
};

/** One reason for which a run may fail, named once; `judge` says by their places which of them hold. */
export type Condition = {
  readonly code: string;
  readonly exercise: ExerciseKey | null;
  readonly message: Sentence;
};

/** Rules of any family in one flat shape: what both the readable and the compiled scorer run on. */
export type PreparedRules = {
  readonly exercises: readonly PreparedExercise[];
  /** Points (marks, faults, items) of one unit, for people. */
  readonly pointsPerUnit: number;
  readonly conditions: readonly Condition[];
  /**
   * The places (in `conditions`) of those that fail, in order; none is a pass. `kept` has one
   * number for each cell, in order; `majors` counts major faults.
   */
  readonly judge: (kept: ArrayLike<number>, ended: boolean, majors: number) => readonly number[];
  /** Units of the whole run that passing needs, where the family has such a line. */
  readonly line: number | null;
  /** The best award that this run earns; asked only when it passed. */
  readonly award: (kept: ArrayLike<number>) => string | null;
  /** Marks that judges gave outright → units for each cell of the exercise. Fails with `given`. */
  readonly given: (exercise: number, marks: readonly number[]) => Result<readonly number[]>;
};

type RulesShape = {
  readonly family: string;
  readonly exercises: readonly {
    readonly exercise: ExerciseKey;
    readonly faults: readonly (Fault & { readonly cost: Cost })[];
  }[];
};

/**
 * A scoring family: a schema, its own checks, and one function that lays its rules out for scoring.
 */
export type Family<R extends RulesShape = RulesShape> = {
  readonly id: R['family'];
  readonly title: Sentence;
  /** What one point is called: "point", "mark", "fault", "item". */
  readonly word: string;
  /** Everything wrong with well-formed rules; paths relative to `rules`. */
  readonly check: (rules: R, outline: Outline) => Failure[];
  readonly prepare: (rules: R, outline: Outline) => PreparedRules;
  /** What passing asks, as sentences. */
  readonly passing: (rules: R, outline: Outline) => Sentence[];
  /** Awards and what each asks. */
  readonly awards: (rules: R) => { readonly title: string; readonly asks: Sentence }[];
  /** A score as people of this family say it: "62.5 of 80 points", "3.5 faults". */
  readonly say: (prepared: PreparedRules, units: number) => Sentence;
};

/** The places of the tests that fail. `failing([true, false, true])` → [0, 2]. */
export function failing(fails: readonly boolean[]): number[] {
  const places: number[] = [];
  for (let i = 0; i < fails.length; i++) if (fails[i]) places.push(i);
  return places;
}

/** The most an exercise can give, in units: its cells' maxima added. Cells of 20 and 20 → 40. */
export function cellTotal(exercise: PreparedExercise): number {
  return exercise.cells.reduce((sum, cell) => sum + cell.maximum, 0);
}

/** The most a whole class can give, in units. Two exercises of 40 → 80. */
export function rulesTotal(prepared: PreparedRules): number {
  return prepared.exercises.reduce((sum, exercise) => sum + cellTotal(exercise), 0);
}

/** Units → the number that people see: 77 units of half a point → 38.5. */
export function pointsOf(prepared: Pick<PreparedRules, 'pointsPerUnit'>, units: number): number {
  return Number((units * prepared.pointsPerUnit).toFixed(4));
}
