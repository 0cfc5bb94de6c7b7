import type { FaultCount, FaultCounts } from '@/core/evidence';
import { type FaultRef, type FaultStep, isChargedAs } from '@/core/rulebooks';
import type { ExerciseKey } from '@/core/shared';

/** The steps of every exercise of a class, by its key. */
export type StepsByExercise = ReadonlyMap<ExerciseKey, readonly FaultStep[]>;

/**
 * How often a fault was logged that this step charges. What was logged under another exercise of the
 * class, which the same element serves, counts here as what it is called at this part: the same key, else
 * the part not done for a part not done, else the same name, else what is measured alike. What has no
 * counterpart here counts nowhere.
 */
export function timesLogged(
  counts: FaultCounts,
  step: FaultStep,
  here: readonly FaultStep[],
  all: StepsByExercise,
): number {
  let times = 0;
  for (const { fault, count } of Object.values(counts))
    if (fault !== null && isHere(fault, step, here, all)) times += count;
  return times;
}

/** A list of counts as a record of them. */
export const byPlace = (counts: readonly FaultCount[]): FaultCounts =>
  Object.fromEntries(counts.map((one, i) => [String(i), one]));

function isHere(fault: FaultRef, step: FaultStep, here: readonly FaultStep[], all: StepsByExercise): boolean {
  if (fault.exercise === null || fault.exercise === step.ref.exercise) return isChargedAs(fault, step.ref);
  const there = all
    .get(fault.exercise)
    ?.find((one) => one.ref.key === fault.key && one.ref.step === fault.step);
  const ofPart = here.filter((one) => one.part === step.part);
  return there !== undefined && counterpart(there, ofPart) === step;
}

/** What a fault of another exercise is called among the steps of one part. */
function counterpart(there: FaultStep, here: readonly FaultStep[]): FaultStep | undefined {
  const { key, step } = there.ref;
  const samePlace = here.filter((one) => one.by === there.by && one.ref.step === step);
  return (
    here.find((one) => one.ref.key === key && one.ref.step === step) ??
    (there.miss ? here.find((one) => one.miss) : undefined) ??
    samePlace.find((one) => JSON.stringify(one.label) === JSON.stringify(there.label)) ??
    samePlace.find((one) => !one.miss && one.measured && one.measured.what === there.measured?.what)
  );
}
