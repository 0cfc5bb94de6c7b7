import { type Condition, cellTotal, type PreparedRules, rulesTotal } from './families/family';
import { type FaultStep, faultSteps } from './fault-steps';
import { stepTable } from './step-table';
import { createTally, type Tally } from './tally';

/**
 * Rules as flat integer tables, for simulations that score many thousand sheets. `steps[e]` lists
 * what can be charged in exercise e; `charge(o)` of a tally charges step o of the open exercise.
 */
export type CompiledRules = {
  readonly steps: readonly (readonly FaultStep[])[];
  readonly maximum: Int32Array;
  readonly total: number;
  readonly conditions: readonly Condition[];
  readonly tally: () => Tally;
};

/** Compiles prepared rules. The tally gives the same units and verdict as `scoreSheet`. */
export function compileRules(rules: PreparedRules): CompiledRules {
  const steps = rules.exercises.map((exercise) => faultSteps(exercise));
  let first = 0;
  const tables = rules.exercises.map((exercise, e) => {
    const table = stepTable(exercise, steps[e] ?? [], first);
    first += exercise.cells.length;
    return table;
  });
  const maxima = Int32Array.from(
    rules.exercises.flatMap((exercise) => exercise.cells.map((cell) => cell.maximum)),
  );
  return {
    steps,
    maximum: Int32Array.from(rules.exercises, cellTotal),
    total: rulesTotal(rules),
    conditions: rules.conditions,
    tally: () => createTally(tables, maxima, rules),
  };
}
