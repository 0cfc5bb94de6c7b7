import { isCounted, priceOf } from './families/cost';
import type { PreparedExercise, PreparedFault } from './families/family';
import type { Acting } from './families/fault-schema';
import type { FaultStep } from './fault-steps';

export const NO_LIMIT = 0x7fffffff;
/** How the amount of a step becomes its price: it does not, as often, or by started seconds or metres. */
export const FIXED = 0;
export const COUNTED = 1;
const STARTED = 2;
/** What something does besides costing, the graver the higher. */
export const NOTHING = 0;
const ZEROES = 1;
export const ENDS = 2;
export const gravity = (does: Acting | null | undefined): number =>
  does === 'end-run' ? ENDS : does === 'zero' ? ZEROES : NOTHING;

/** One row for each step of an exercise. */
export type StepTable = {
  readonly first: number;
  readonly cells: number;
  readonly slots: number;
  readonly faults: number;
  readonly amount: Float64Array;
  readonly kind: Uint8Array;
  /** Price of the usual amount where it is fixed, else of one time, second or metre. */
  readonly price: Int32Array;
  readonly beyond: Float64Array;
  readonly slot: Int32Array;
  readonly cell: Int32Array;
  readonly cap: Int32Array;
  readonly free: Int32Array;
  readonly ceiling: Int32Array;
  readonly acts: Uint8Array;
  readonly major: Uint8Array;
  readonly gives: Uint8Array;
  /** What is counted of its fault: its place in the exercise, warnings, the n-th time, and the whole run. */
  readonly fault: Int32Array;
  readonly warnings: Int32Array;
  readonly nth: Int32Array;
  readonly nthActs: Uint8Array;
  readonly across: Int32Array;
  readonly limit: Float64Array;
  readonly limitActs: Uint8Array;
  /** Nothing of a fault is counted: most faults of most books, charged on a shorter way. */
  readonly plain: Uint8Array;
};

/** Lays the steps of an exercise out, its cells from `first` on among those of the class. */
export function stepTable(exercise: PreparedExercise, steps: readonly FaultStep[], first: number): StepTable {
  const slots = [...new Set(exercise.faults.map((fault) => `${fault.slot}/${fault.cell}`))];
  const ids = exercise.faults.map((fault) => fault.fault.id);
  const faults = steps.map((step) => exercise.faults[ids.indexOf(step.ref.key)] as PreparedFault);
  const ints = (of: (fault: PreparedFault) => number): Int32Array => Int32Array.from(faults, of);
  const bytes = (of: (fault: PreparedFault) => number): Uint8Array => Uint8Array.from(faults, of);
  const floats = (of: (fault: PreparedFault) => number): Float64Array => Float64Array.from(faults, of);
  return {
    first,
    cells: exercise.cells.length,
    slots: slots.length,
    faults: ids.length,
    amount: Float64Array.from(steps, (step) => step.amount),
    kind: bytes(kindOf),
    price: Int32Array.from(faults, (fault, o) => unitPrice(fault, steps[o]?.amount ?? 0)),
    beyond: floats(({ fault: { cost } }) => ('beyond' in cost ? cost.beyond : 0)),
    slot: ints((fault) => slots.indexOf(`${fault.slot}/${fault.cell}`)),
    cell: ints((fault) => fault.cell),
    cap: ints((fault) => fault.cap),
    free: ints((fault) => fault.free),
    ceiling: ints((fault) => fault.ceiling ?? NO_LIMIT),
    acts: bytes(({ fault: { cost } }) =>
      gravity(cost.kind === 'zero' || cost.kind === 'end-run' ? cost.kind : null),
    ),
    major: bytes((fault) => (fault.major ? 1 : 0)),
    gives: bytes((fault) => (fault.gives ? 1 : 0)),
    fault: ints((fault) => ids.indexOf(fault.fault.id)),
    warnings: ints((fault) => fault.warnings),
    nth: ints((fault) => fault.nth?.at ?? NO_LIMIT),
    nthActs: bytes((fault) => gravity(fault.nth?.does)),
    across: ints((fault) => fault.across),
    limit: floats((fault) => fault.acts?.over ?? Number.POSITIVE_INFINITY),
    limitActs: bytes((fault) => gravity(fault.acts?.does)),
    plain: bytes((fault) =>
      fault.warnings === 0 && fault.nth === null && fault.across < 0 && fault.acts === null ? 1 : 0,
    ),
  };
}

const kindOf = ({ fault: { cost } }: PreparedFault): number =>
  cost.kind === 'per-second' || cost.kind === 'per-metre' ? STARTED : isCounted(cost) ? COUNTED : FIXED;

function unitPrice({ fault: { cost }, unit }: PreparedFault, usual: number): number {
  if (cost.kind === 'per-second' || cost.kind === 'per-metre') return Math.round(cost.points * unit);
  return priceOf(cost, isCounted(cost) ? 1 : usual, unit);
}
