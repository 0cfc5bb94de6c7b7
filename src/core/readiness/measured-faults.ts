import { type BoutEvidence, precisionOf, quicknessOf, timesOf } from '@/core/evidence';
import { faultSteps, faultText, type PreparedExercise } from '@/core/rulebooks';
import { must, type PartKey, toBase } from '@/core/shared';

/**
 * Below so many measured or judged reps the fault that was named says more than what was measured.
 */
const ENOUGH = 15;

/**
 * For faults that a rule book prices by what is measured (crookedness, slowness): how often each
 * band happens, given that the first is passed, from the predictive of the dog's own deviations and
 * times. By `faultText` of the band; empty where too little was measured. How often the fault
 * happens at all stays with the chance of a clean rep, so that nothing is counted twice.
 */
export function measuredShares(
  exercise: PreparedExercise,
  part: PartKey,
  bouts: readonly BoutEvidence[],
): ReadonlyMap<string, number> {
  const shares = new Map<string, number>();
  for (const prepared of exercise.faults) {
    const { cost } = prepared.fault;
    if (prepared.fault.part !== part || cost.kind !== 'band') continue;
    const limits = cost.bands.map((band) => must(toBase(cost.quantity, band.over, cost.unit)));
    const beyond =
      cost.quantity === 'angle'
        ? beyondAngles(bouts, limits)
        : cost.quantity === 'latency'
          ? beyondTimes(bouts, limits)
          : null;
    if (!beyond || !((beyond[0] ?? 0) > 0)) continue;
    for (const [i, step] of faultSteps({ exercise: exercise.exercise, faults: [prepared] }).entries()) {
      shares.set(faultText(step.ref), ((beyond[i] ?? 0) - (beyond[i + 1] ?? 0)) / (beyond[0] as number));
    }
  }
  return shares;
}

function beyondAngles(bouts: readonly BoutEvidence[], limits: readonly number[]): number[] | null {
  const deviations = bouts.flatMap((one) => one.turns);
  const precision = deviations.length < ENOUGH ? null : precisionOf(deviations, limits);
  return precision?.within.map((one) => 1 - one.chance) ?? null;
}

function beyondTimes(bouts: readonly BoutEvidence[], limits: readonly number[]): number[] | null {
  const found = limits.map((limit) => {
    const times = timesOf(bouts, limit);
    return times.length < ENOUGH ? null : quicknessOf(times, limit);
  });
  return found.some((one) => one === null) ? null : found.map((one) => 1 - (one?.within.mid ?? 1));
}
