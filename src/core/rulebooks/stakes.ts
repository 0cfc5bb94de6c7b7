import type { ElementKey } from '@/core/shared';
import { priceOf } from './families/cost';
import { cellTotal, type PreparedExercise, type PreparedRules } from './families/family';
import { faultOptions } from './fault-options';
import type { RuleExercise } from './schema';

/** What one element can cost over the whole class: the sum over the exercises that it serves. */
export type ElementStake = { readonly element: ElementKey; readonly title: string; readonly exercises: number; readonly units: number };

/** Points at stake by element, largest first: an element that serves several exercises (the same id in each) adds up. */
export function stakesOfClass(rules: PreparedRules, outline: readonly RuleExercise[]): ElementStake[] {
  const found = new Map<ElementKey, ElementStake>();
  for (const exercise of outline) {
    const scored = rules.exercises.find((candidate) => candidate.exercise === exercise.id);
    if (!scored) continue;
    for (const { id, title } of exercise.elements) {
      const before = found.get(id) ?? { element: id, title, exercises: 0, units: 0 };
      found.set(id, { ...before, exercises: before.exercises + 1, units: before.units + elementStakes(scored, id) });
    }
  }
  return [...found.values()].sort((a, b) => b.units - a.units);
}

/** The most that one mark at this element can cost, in units: the whole exercise where a fault zeroes it or ends the run. */
export function elementStakes(exercise: PreparedExercise, element: ElementKey): number {
  const maximum = cellTotal(exercise);
  const prices = faultOptions(exercise)
    .filter((option) => option.element === element)
    .map((option) => {
      const fault = exercise.faults.find((candidate) => candidate.fault.id === option.fault);
      if (!fault) return 0;
      const cell = exercise.cells[fault.cell]?.maximum ?? 0;
      if (fault.ceiling === 0) return maximum;
      return Math.min(Math.max(priceOf(fault.fault.cost, option.amount, fault.unit), fault.ceiling === null ? 0 : cell - fault.ceiling), cell);
    });
  return Math.max(0, ...prices);
}
