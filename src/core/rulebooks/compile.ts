import type { Name, PartKey } from '@/core/shared';
import { priceOf } from './families/cost';
import {
  type Condition,
  cellTotal,
  type PreparedExercise,
  type PreparedRules,
  rulesTotal,
} from './families/family';
import type { FaultRef } from './fault-ref';
import { faultSteps } from './fault-steps';

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

/**
 * A run being scored. Exercises are opened in running order; a charge returns the units that it
 * took away.
 */
export type Tally = {
  readonly start: () => void;
  readonly open: (exercise: number) => void;
  readonly charge: (step: number) => number;
  /** True when nothing more can be done in this run. */
  readonly ended: () => boolean;
  readonly finish: () => number;
  /** The places of the conditions that fail; none is a pass. */
  readonly failures: () => readonly number[];
};

/**
 * One thing that can be tapped or drawn: a fault, and for a banded or discretionary one each of its
 * steps.
 */
export type FaultStep = {
  readonly ref: FaultRef;
  readonly label: Name;
  readonly part: PartKey | null;
  readonly by: 'dog' | 'handler';
  readonly miss: boolean;
  readonly stops: boolean;
  readonly amount: number;
  /** What of a rep it is charged for where that is measured, and its band in base units; null elsewhere. */
  readonly charges: {
    readonly for: 'latency' | 'angle' | 'offset' | 'cues';
    readonly from: number | null;
    readonly upTo: number | null;
  } | null;
};

const NO_CEILING = 0x7fffffff;

type Table = {
  readonly first: number;
  readonly cells: number;
  readonly slots: number;
  readonly price: Int32Array;
  readonly slot: Int32Array;
  readonly cell: Int32Array;
  readonly cap: Int32Array;
  readonly free: Int32Array;
  readonly ceiling: Int32Array;
  readonly ends: Uint8Array;
  readonly major: Uint8Array;
};

/** Compiles prepared rules. The tally gives the same units and verdict as `scoreSheet`. */
export function compileRules(rules: PreparedRules): CompiledRules {
  const steps = rules.exercises.map((exercise) => faultSteps(exercise));
  let first = 0;
  const tables = rules.exercises.map((exercise, e) => {
    const table = compileExercise(exercise, steps[e] ?? [], first);
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

function compileExercise(exercise: PreparedExercise, steps: readonly FaultStep[], first: number): Table {
  const slots = [...new Set(exercise.faults.map((fault) => `${fault.slot}/${fault.cell}`))];
  const faults = steps.map(
    (step) =>
      exercise.faults.find((fault) => fault.fault.id === step.ref.key) as PreparedExercise['faults'][number],
  );
  return {
    first,
    cells: exercise.cells.length,
    slots: slots.length,
    price: Int32Array.from(faults, (fault, o) =>
      priceOf(fault.fault.cost, steps[o]?.amount ?? 0, fault.unit),
    ),
    slot: Int32Array.from(faults, (fault) => slots.indexOf(`${fault.slot}/${fault.cell}`)),
    cell: Int32Array.from(faults, (fault) => fault.cell),
    cap: Int32Array.from(faults, (fault) => fault.cap),
    free: Int32Array.from(faults, (fault) => fault.free),
    ceiling: Int32Array.from(faults, (fault) => fault.ceiling ?? NO_CEILING),
    ends: Uint8Array.from(faults, (fault) => (fault.ends ? 1 : 0)),
    major: Uint8Array.from(faults, (fault) => (fault.major ? 1 : 0)),
  };
}

function createTally(tables: readonly Table[], maxima: Int32Array, rules: PreparedRules): Tally {
  const kept = new Int32Array(maxima.length);
  const raw = new Int32Array(maxima.length);
  const ceilings = new Int32Array(maxima.length);
  const asked = tables.map((table) => new Int32Array(table.slots));
  let table = tables[0] as Table;
  let used = asked[0] as Int32Array;
  let over = false;
  let majors = 0;

  const settle = (cell: number): number => {
    const limit = Math.min(raw[cell] as number, ceilings[cell] as number);
    const now = limit > 0 ? limit : 0;
    const lost = (kept[cell] as number) - now;
    kept[cell] = now;
    return lost;
  };
  const slotCost = (step: number, sum: number): number =>
    Math.min(table.cap[step] as number, Math.max(0, sum - (table.free[step] as number)));
  return {
    start: () => {
      // What is never opened, because the run ended before it, keeps nothing.
      kept.fill(0);
      over = false;
      majors = 0;
    },
    open: (exercise) => {
      table = tables[exercise] as Table;
      used = asked[exercise] as Int32Array;
      used.fill(0);
      for (let cell = table.first; cell < table.first + table.cells; cell++) {
        const maximum = maxima[cell] as number;
        raw[cell] = maximum;
        ceilings[cell] = maximum;
        kept[cell] = maximum;
      }
    },
    charge: (step) => {
      const cell = table.first + (table.cell[step] as number);
      const slot = table.slot[step] as number;
      const before = used[slot] as number;
      const after = before + (table.price[step] as number);
      used[slot] = after;
      raw[cell] = (raw[cell] as number) - slotCost(step, after) + slotCost(step, before);
      const ceiling = table.ceiling[step] as number;
      majors += table.major[step] as number;
      over ||= table.ends[step] === 1;
      if (ceiling === NO_CEILING) return settle(cell);
      if (ceiling > 0) {
        ceilings[cell] = Math.min(ceilings[cell] as number, ceiling);
        return settle(cell);
      }
      let lost = 0;
      for (let one = table.first; one < table.first + table.cells; one++) {
        ceilings[one] = 0;
        lost += settle(one);
      }
      return lost;
    },
    ended: () => over,
    finish: () => {
      let total = 0;
      for (let cell = 0; cell < kept.length; cell++) total += kept[cell] as number;
      return total;
    },
    failures: () => rules.judge(kept, over, majors),
  };
}
