import type { PreparedRules } from '@/core/rulebooks';
import type { ExerciseKey } from '@/core/shared';
import type { TrialElement } from './posterior';

export type TrialClass = {
  readonly rules: PreparedRules;
  /** SD of trial nerves as the runs have taught it; as it is assumed where none has. */
  readonly nerves?: number;
  /** In running order, each with its elements in performing order. Must match `rules.exercises`. */
  readonly exercises: readonly {
    readonly exercise: ExerciseKey;
    readonly elements: readonly TrialElement[];
  }[];
};

export type SimulationSize = { readonly groups: number; readonly runs: number };
/** 400 posterior draws × 50 runs each. */
export const FULL_SIZE: SimulationSize = { groups: 400, runs: 50 };

/**
 * Sums over all runs; every list is flat so that it travels cheaply between threads. Units are the
 * smallest point.
 */
export type Runs = {
  readonly size: SimulationSize;
  readonly total: number;
  readonly passesByGroup: Int32Array;
  readonly unitsByGroup: Float64Array;
  /** How many runs scored each number of units, 0 … total. */
  readonly histogram: Int32Array;
  /** Units lost, by element in running order. */
  readonly lostByElement: Float64Array;
  /** Units lost by the handler's slips, by exercise. */
  readonly lostByHandler: Float64Array;
  /** Units lost by step, for each exercise. */
  readonly lostByStep: readonly Float64Array[];
  /** Runs that failed each of the rules' conditions. */
  readonly failures: Int32Array;
};

/**
 * What differs from the dog as it is today, in running order of the elements: sessions more, logits
 * more, and days that pass, over which a level drifts and, with `perWeek` sessions of each a week, is kept
 * up or forgotten.
 */
export type Change = {
  readonly sessionsOf?: readonly number[];
  readonly lift?: readonly number[];
  readonly days?: number;
  readonly perWeek?: readonly number[];
  /** Days from the last session of each to that day, where a plan says them; then `perWeek` says nothing. */
  readonly gapOf?: readonly number[];
};
