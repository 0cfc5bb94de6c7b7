import {
  type BoutEvidence,
  beyondOffsets,
  beyondTimes,
  bySession,
  precisionOf,
  timesOf,
} from '@/core/evidence';
import { type FaultStep, faultSteps, type PreparedExercise } from '@/core/rulebooks';
import type { Day, FaultKey, PartKey } from '@/core/shared';
import { type Choice, choiceOf } from './choice';

/**
 * Below so many measured or judged reps the fault that was named says more than what was measured.
 */
const ENOUGH = 15;

/**
 * A fault that a rule book prices by what is measured, as the dog's own measures say it will be: how
 * often its limit is passed at home, and by how much then. `amounts` are what goes on the sheet, in
 * base units, one for each place of `sizes`.
 */
export type MeasuredFault = {
  readonly fault: FaultKey;
  readonly rate: number;
  readonly sizes: Choice;
  readonly amounts: Float64Array;
};

/**
 * The faults of a part that are priced by seconds, degrees or metres and of which enough was measured,
 * from the predictives of the dog's own reps, clean ones included: crooked by 20° is charged whatever
 * it was called. Only these then say how often such a fault happens; it is not counted again among what
 * makes a rep not clean. Empty where too little was measured.
 */
export function measuredFaults(
  exercise: PreparedExercise,
  part: PartKey,
  bouts: readonly BoutEvidence[],
  today: Day,
): MeasuredFault[] {
  const all = faultSteps(exercise);
  return exercise.faults.flatMap(({ fault }): MeasuredFault[] => {
    const steps = all.flatMap((step, place) =>
      step.ref.key === fault.id && step.part === part && step.measured && !step.miss && step.by === 'dog'
        ? [{ step, place }]
        : [],
    );
    const [first] = steps;
    if (!first) return [];
    const grades = gradesOf(steps);
    const beyond = beyondOf(
      first.step,
      bouts,
      today,
      grades.map((grade) => grade.over),
    );
    const rate = beyond?.[0] ?? 0;
    if (!beyond || rate <= 0) return beyond ? [never(fault.id)] : [];
    const shares = grades.map((_, i) => ((beyond[i] ?? 0) - (beyond[i + 1] ?? 0)) / rate);
    return [
      {
        fault: fault.id,
        rate,
        sizes: choiceOf(
          Int32Array.from(grades, (grade) => grade.place),
          shares,
        ),
        amounts: Float64Array.from(grades, (grade) => grade.amount),
      },
    ];
  });
}

/** Measured, and never past its limit. */
const never = (fault: FaultKey): MeasuredFault => ({
  fault,
  rate: 0,
  sizes: choiceOf(new Int32Array(0), []),
  amounts: new Float64Array(0),
});

type Placed = { readonly step: FaultStep; readonly place: number };
/** One size of the fault: past which measure it begins, which step it is, what goes on the sheet. */
type Grade = { readonly over: number; readonly place: number; readonly amount: number };

/** The bands of a banded fault; of one that is charged by seconds or metres, one for each that is begun. */
function gradesOf(steps: readonly Placed[]): Grade[] {
  return steps.flatMap(({ step, place }): Grade[] => {
    const { beyond = 0, begun = false } = step.measured ?? {};
    if (!begun) return [{ over: beyond, place, amount: step.amount }];
    return Array.from({ length: MOST_BEGUN }, (_, so) => ({
      over: beyond + so,
      place,
      amount: beyond + so + 0.5,
    }));
  });
}

/** Seconds or metres past the limit that are told apart; whatever lies further is charged as the last. */
const MOST_BEGUN = 20;

function beyondOf(
  { measured }: FaultStep,
  bouts: readonly BoutEvidence[],
  today: Day,
  limits: readonly number[],
): readonly number[] | null {
  switch (measured?.what) {
    case 'angle': {
      const turns = bySession(bouts, today, (one) => one.turns);
      return countOf(turns) < ENOUGH
        ? null
        : (precisionOf(turns, limits)?.within.map((one) => 1 - one.chance) ?? null);
    }
    case 'latency': {
      const times = timesOf(bouts, today, limits[0] ?? 0);
      return countOf(times) < ENOUGH ? null : beyondTimes(times, limits);
    }
    case 'offset': {
      const offsets = bySession(bouts, today, (one) => one.offsets);
      return countOf(offsets) < ENOUGH ? null : beyondOffsets(offsets, limits);
    }
    default:
      return null;
  }
}

const countOf = (sessions: readonly { readonly values: readonly unknown[] }[]): number =>
  sessions.reduce((sum, one) => sum + one.values.length, 0);
