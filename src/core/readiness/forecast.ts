import type { Interval } from '@/core/evidence';
import type { FaultRef, FaultStep } from '@/core/rulebooks';
import {
  type ElementId,
  type ExerciseKey,
  type Name,
  type PartKey,
  type Sentence,
  seeded,
} from '@/core/shared';
import { drawBeta, mean, quantile, variance } from '@/core/statistics';
import type { Runs, SimulationSize, TrialClass } from './trial-class';

export type ElementLoss = {
  readonly exercise: ExerciseKey;
  readonly part: PartKey;
  readonly element: ElementId;
  readonly units: number;
};
export type FaultLoss = {
  readonly exercise: ExerciseKey;
  readonly fault: FaultRef;
  readonly label: Name;
  readonly units: number;
};
export type FailureShare = {
  readonly code: string;
  readonly exercise: ExerciseKey | null;
  readonly message: Sentence;
  readonly share: number;
};

export type Forecast = {
  readonly size: SimulationSize;
  /**
   * Chance of passing: mean over draws, and the ends of an 80 % interval for what is not known
   * about the dog.
   */
  readonly pass: Interval;
  readonly monteCarloError: number;
  readonly expectedUnits: number;
  readonly histogram: readonly number[];
  readonly losses: readonly ElementLoss[];
  readonly handlerLosses: readonly { readonly exercise: ExerciseKey; readonly units: number }[];
  readonly faults: readonly FaultLoss[];
  /** Shares of all runs; a run can fail for several reasons. */
  readonly failures: readonly FailureShare[];
};

/**
 * Sums of runs → a forecast. The interval of the chance shows what is unknown about the dog and not
 * the dice of 50 runs (`passInterval`); the Monte Carlo error is that of the mean over groups.
 */
export function forecastOf(
  input: TrialClass,
  runs: Runs,
  labels: readonly (readonly Pick<FaultStep, 'ref' | 'label'>[])[],
): Forecast {
  const count = runs.size.groups * runs.size.runs;
  const shares = Array.from(runs.passesByGroup, (passes) => passes / runs.size.runs);
  const elements = input.exercises.flatMap((exercise) =>
    exercise.elements.map((element) => ({ exercise: exercise.exercise, element })),
  );
  return {
    size: runs.size,
    pass: passInterval(shares, runs.size.runs),
    monteCarloError: Math.sqrt(variance(shares) / shares.length),
    expectedUnits: sum(runs.unitsByGroup) / count,
    histogram: Array.from(runs.histogram),
    losses: elements.map(({ exercise, element }, i) => ({
      exercise,
      part: element.part,
      element: element.id,
      units: (runs.lostByElement[i] as number) / count,
    })),
    handlerLosses: input.exercises.map((exercise, e) => ({
      exercise: exercise.exercise,
      units: (runs.lostByHandler[e] as number) / count,
    })),
    faults: input.exercises.flatMap((exercise, e) =>
      (labels[e] ?? []).map((step, o) => ({
        exercise: exercise.exercise,
        fault: step.ref,
        label: step.label,
        units: (runs.lostByStep[e]?.[o] ?? 0) / count,
      })),
    ),
    failures: input.rules.conditions.map((condition, place) => ({
      ...condition,
      share: (runs.failures[place] ?? 0) / count,
    })),
  };
}

/** Just the chance of passing. */
export const passOf = (runs: Runs): Interval =>
  passInterval(
    Array.from(runs.passesByGroup, (passes) => passes / runs.size.runs),
    runs.size.runs,
  );

/** How sure it is that the chance of passing is at least so much: the share of what is thought of it. */
export function sureOf(runs: Runs, atLeast: number): number {
  const values = chances(
    Array.from(runs.passesByGroup, (passes) => passes / runs.size.runs),
    runs.size.runs,
  );
  return values.filter((value) => value >= atLeast).length / values.length;
}

/** Values drawn for each group, for quantiles. */
const DRAWS_PER_GROUP = 5;

function passInterval(shares: readonly number[], runs: number): Interval {
  const centre = mean(shares);
  const values = chances(shares, runs);
  const [low, high] = [quantile(values, 0.1), quantile(values, 0.9)];
  return { low: Math.min(centre, low), mid: centre, high: Math.max(centre, high) };
}

/**
 * The chance of passing over draws, the dice of a group's few runs taken out: passes are binomial
 * in a chance that is Beta over the draws, its two numbers by moments (V_between = V_total −
 * V_within), and each group's chance is drawn from its own Beta after its runs. Shrinking shares to
 * their mean by √(1 − V_within/V_total) keeps the same variance and loses the skew: near 0 and 1
 * its intervals missed (docs/decisions/0009).
 */
function chances(shares: readonly number[], runs: number): number[] {
  const centre = mean(shares);
  const within = mean(shares.map((p) => (p * (1 - p)) / (runs - 1)));
  const between = Math.max(0, variance(shares) - within);
  const all = shares.length * runs;
  const random = seeded(DICE);
  // Nothing tells the draws apart: what is left is the dice of all runs together.
  if (between === 0 || centre === 0 || centre === 1)
    return Array.from({ length: 1000 }, () => drawBeta(random, centre * all + 0.5, (1 - centre) * all + 0.5));
  const weight = Math.max(0.05, (centre * (1 - centre)) / between - 1);
  return shares.flatMap((p) =>
    Array.from({ length: DRAWS_PER_GROUP }, () =>
      drawBeta(random, centre * weight + p * runs, (1 - centre) * weight + (1 - p) * runs),
    ),
  );
}

/** Always the same dice: two forecasts that differ only a little must not differ by them. */
const DICE = 0xbe7a;

/** All of a list together. */
export function sum(values: ArrayLike<number>): number {
  let total = 0;
  for (let i = 0; i < values.length; i++) total += values[i] as number;
  return total;
}
