import type { PartKey } from '@/core/shared';
import { priceOf } from './families/cost';
import { cellTotal, type PreparedExercise, type PreparedRules } from './families/family';
import { faultSteps } from './fault-steps';
import type { RuleExercise } from './schema';

/** What one part can cost over the whole class: the sum over the exercises that it serves. */
export type PartStake = {
  readonly part: PartKey;
  readonly title: string;
  readonly exercises: number;
  readonly units: number;
};

/**
 * Points at stake by part, largest first: a part that serves several exercises (the same id and name
 * in each) adds up. The same id under another name is other work: ids are not written by people.
 */
export function stakesOfClass(rules: PreparedRules, outline: readonly RuleExercise[]): PartStake[] {
  const found = new Map<string, PartStake>();
  for (const exercise of outline) {
    const scored = rules.exercises.find((candidate) => candidate.exercise === exercise.id);
    if (!scored) continue;
    for (const { id, title } of exercise.parts) {
      const key = JSON.stringify([id, title.toLowerCase()]);
      const before = found.get(key) ?? { part: id, title, exercises: 0, units: 0 };
      found.set(key, {
        ...before,
        exercises: before.exercises + 1,
        units: before.units + partStakes(scored, id),
      });
    }
  }
  return [...found.values()].sort((a, b) => b.units - a.units);
}

/**
 * The most that one mark at this part can cost, in units: the whole exercise where a fault
 * zeroes it or ends the run.
 */
export function partStakes(exercise: PreparedExercise, part: PartKey): number {
  const maximum = cellTotal(exercise);
  const prices = faultSteps(exercise)
    .filter((step) => step.part === part && !step.gives)
    .map((step) => {
      const fault = exercise.faults.find((candidate) => candidate.fault.id === step.ref.key);
      if (!fault) return 0;
      const cell = exercise.cells[fault.cell]?.maximum ?? 0;
      if (fault.ceiling === 0) return maximum;
      return Math.min(
        Math.max(
          priceOf(fault.fault.cost, step.amount, fault.unit),
          fault.ceiling === null ? 0 : cell - fault.ceiling,
        ),
        cell,
      );
    });
  return Math.max(0, ...prices);
}
