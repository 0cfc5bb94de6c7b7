import type { Interval } from '@/core/evidence';
import type { FaultRef, FaultStep } from '@/core/rulebooks';
import {
  type ElementId,
  type ExerciseKey,
  type Name,
  type PartKey,
  type Sentence,
  type Steps,
  seeded,
} from '@/core/shared';
import { drawBeta, mean, quantile, variance } from '@/core/statistics';
import type { Assumptions } from './assumptions';
import { simulateTrials } from './simulate';
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

/** Values drawn for each group, for quantiles. */
const DRAWS_PER_GROUP = 5;

/**
 * The chance of passing over draws, the dice of a group's few runs taken out: passes are binomial
 * in a chance that is Beta over the draws, its two numbers by moments (V_between = V_total −
 * V_within), and each group's chance is drawn from its own Beta after its runs. Shrinking shares to
 * their mean by √(1 − V_within/V_total) keeps the same variance and loses the skew: near 0 and 1
 * its intervals missed (docs/decisions/0009).
 */
function passInterval(shares: readonly number[], runs: number): Interval {
  const centre = mean(shares);
  const within = mean(shares.map((p) => (p * (1 - p)) / (runs - 1)));
  const between = Math.max(0, variance(shares) - within);
  const all = shares.length * runs;
  const random = seeded(DICE);
  if (between === 0 || centre === 0 || centre === 1) {
    // Nothing tells the draws apart: what is left is the dice of all runs together.
    const values = Array.from({ length: 1000 }, () =>
      drawBeta(random, centre * all + 0.5, (1 - centre) * all + 0.5),
    );
    return {
      low: Math.min(centre, quantile(values, 0.1)),
      mid: centre,
      high: Math.max(centre, quantile(values, 0.9)),
    };
  }
  const weight = Math.max(0.05, (centre * (1 - centre)) / between - 1);
  const values = shares.flatMap((p) =>
    Array.from({ length: DRAWS_PER_GROUP }, () =>
      drawBeta(random, centre * weight + p * runs, (1 - centre) * weight + (1 - p) * runs),
    ),
  );
  return { low: quantile(values, 0.1), mid: centre, high: quantile(values, 0.9) };
}

/** Always the same dice: two forecasts that differ only a little must not differ by them. */
const DICE = 0xbe7a;

/** Minutes of a session on one element where the log has not said. */
const USUAL_MINUTES = 10;

export type Help = {
  readonly element: ElementId;
  /**
   * Gain in the chance of passing and in points (units) from the stated number of sessions, with
   * the standard error of the gain.
   */
  readonly gain: number;
  readonly error: number;
  readonly units: number;
  /** Gain in the chance of passing for an hour of training on it. */
  readonly gainPerHour: number;
  /** True when its gain cannot be told from the best one's at two standard errors. */
  readonly tooClose: boolean;
};

/**
 * What would help most: each element in turn is lifted by sessions × gain per session (never past
 * the ceiling), with the random numbers of `runs` in their slots, so that the difference is paired.
 * An element that serves two exercises is lifted in both. `minutes` are those of a session on each
 * element; unknown ones count `USUAL_MINUTES`. Sorted by gain, largest first.
 */
export function* helpRanking(
  input: TrialClass,
  runs: Runs,
  assumptions: Assumptions,
  seed: number,
  minutes: ReadonlyMap<ElementId, number> = new Map(),
): Steps<Help[]> {
  const elements = input.exercises.flatMap((exercise) => exercise.elements);
  const ids = [...new Set(elements.map((element) => element.id))];
  const found: ({ readonly id: ElementId } & ReturnType<typeof pairedGain>)[] = [];
  for (const [i, id] of ids.entries()) {
    const sessionsOf = elements.map((element) => (element.id === id ? assumptions.sessions : 0));
    const helped = simulateTrials(input, assumptions, seed, runs.size, { sessionsOf, noLoss: true });
    found.push({ id, ...pairedGain(runs, helped) });
    yield (i + 1) / ids.length;
  }
  const sorted = found.sort((a, b) => b.gains.mean - a.gains.mean);
  const best = sorted[0];
  return sorted.map(({ id, gains, units }) => ({
    element: id,
    gain: gains.mean,
    error: gains.error,
    units,
    gainPerHour: gains.mean / ((assumptions.sessions * (minutes.get(id) ?? USUAL_MINUTES)) / 60),
    tooClose:
      best !== undefined &&
      id !== best.id &&
      best.gains.mean - gains.mean < 2 * Math.hypot(best.gains.error, gains.error),
  }));
}

function pairedGain(before: Runs, after: Runs): { gains: { mean: number; error: number }; units: number } {
  const { groups, runs } = before.size;
  const gains = Array.from(
    after.passesByGroup,
    (passes, g) => (passes - (before.passesByGroup[g] as number)) / runs,
  );
  return {
    gains: { mean: mean(gains), error: Math.sqrt(variance(gains) / groups) },
    units: (sum(after.unitsByGroup) - sum(before.unitsByGroup)) / (groups * runs),
  };
}

function sum(values: ArrayLike<number>): number {
  let total = 0;
  for (let i = 0; i < values.length; i++) total += values[i] as number;
  return total;
}
