import type { ExerciseKey, Failure, FaultKey, PartKey, Result, Sentence } from '@/core/shared';
import type { Acting, Cost, Fault } from './fault-schema';

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
 * One exercise on a judge's sheet. `given` holds what judges gave outright, where the family knows
 * such: that counts, and faults beside it only explain it (one that ends the run still ends it).
 */
export type SheetLine = {
  readonly exercise: ExerciseKey;
  readonly marks: readonly Mark[];
  readonly given?: readonly number[];
  /** The judge wrote no fault but that it was not done: it keeps nothing; the last two end the run too. */
  readonly closes?: 'failed' | 'not-attempted' | 'stopped' | 'excused';
};
/**
 * The exercises in the order in which they are run. One that is not on the sheet has not been run yet; one without
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
  /** Units that it gives instead of taking, on top of what the cell keeps. */
  readonly gives: boolean;
  /** So many times it is only a warning; then it costs, or does what it does. */
  readonly warnings: number;
  /** The so-manieth in the exercise acts. */
  readonly nth: { readonly at: number; readonly does: Acting } | null;
  /** The place, among what is counted over the whole run, of what counts it; −1 where nothing does. */
  readonly across: number;
  /** Past this amount (base units) it acts; null where it only costs. */
  readonly acts: { readonly over: number; readonly does: Acting } | null;
};
export type PreparedExercise = {
  readonly exercise: ExerciseKey;
  readonly cells: readonly Cell[];
  readonly faults: readonly PreparedFault[];
};

/** What is counted over the whole run: together at most `cap` units, so many warnings, the n-th acts. */
export type PreparedAcross = {
  readonly cap: number;
  readonly warnings: number;
  readonly nth: { readonly at: number; readonly does: Acting } | null;
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
  /** What one point is called, for sentences about costs. */
  readonly word: Word;
  readonly across: readonly PreparedAcross[];
  /** How often the class is run, and which run counts: the best, or the weakest where every one must pass. */
  readonly runs: { readonly count: number; readonly counts: 'best' | 'every' };
  /** On which day each exercise is, from 0. */
  readonly days: readonly number[];
  /** Whether the order of the exercises is drawn on the day. */
  readonly drawsOrder: boolean;
  /** How often each exercise may be tried as a whole, and a part of it that may be tried again. */
  readonly tries: readonly { readonly whole: number; readonly part: number }[];
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
  /** The best award or rating that this run earns; not passed, only those that are given below the line. */
  readonly award: (kept: ArrayLike<number>, passed: boolean) => string | null;
  /** Marks that judges gave outright → units for each cell of the exercise. Fails with `given`. */
  readonly given: (exercise: number, marks: readonly number[]) => Result<readonly number[]>;
};

/** What a family lays out by itself; `prepareRules` adds what all rule books have in common. */
export type FamilyRules = Omit<PreparedRules, 'word' | 'across' | 'runs' | 'days' | 'drawsOrder' | 'tries'>;

/** What rule books have in common and not every family can score. */
export type Structure = 'phases' | 'atLeast' | 'across' | 'cap' | 'warnings' | 'nth';

/** What one point is called. */
export type Word = 'point' | 'mark' | 'fault' | 'item' | 'second' | 'metre';

type RulesShape = {
  readonly family: string;
  readonly exercises: readonly {
    readonly exercise: ExerciseKey;
    readonly atLeast?: number | undefined;
    readonly faults: readonly (Fault & { readonly cost: Cost })[];
  }[];
};

/**
 * A scoring family: a schema, its own checks, and one function that lays its rules out for scoring.
 */
export type Family<R extends RulesShape = RulesShape> = {
  readonly id: R['family'];
  readonly title: Sentence;
  readonly word: (rules: R) => Word;
  /** What a faultless exercise earns, in the measure in which its costs are written. */
  readonly full: (rules: R, exercise: number) => number;
  /** What all rule books can have and this way of scoring has no place for. */
  readonly cannot: readonly Structure[];
  /** Everything wrong with well-formed rules; paths relative to `rules`. */
  readonly check: (rules: R, outline: Outline) => Failure[];
  readonly prepare: (rules: R, outline: Outline) => FamilyRules;
  /** What passing asks, as sentences. */
  readonly passing: (rules: R, outline: Outline) => Sentence[];
  /** Awards and what each asks. */
  readonly awards: (rules: R) => {
    readonly title: string;
    readonly asks: Sentence;
    readonly alsoBelow?: boolean | undefined;
  }[];
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
export function cellTotal(exercise: Pick<PreparedExercise, 'cells'>): number {
  return exercise.cells.reduce((sum, cell) => sum + cell.maximum, 0);
}

/** The most a whole class can give, in units. Two exercises of 40 → 80. */
export function rulesTotal(prepared: Pick<PreparedRules, 'exercises'>): number {
  return prepared.exercises.reduce((sum, exercise) => sum + cellTotal(exercise), 0);
}

/** Units → the number that people see: 77 units of half a point → 38.5. */
export function pointsOf(prepared: Pick<PreparedRules, 'pointsPerUnit'>, units: number): number {
  return Number((units * prepared.pointsPerUnit).toFixed(4));
}
