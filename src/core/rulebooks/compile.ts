import type { Name, PartKey } from '@/core/shared';
import { isCounted, priceOf, startedPast } from './families/cost';
import {
  type Condition,
  cellTotal,
  type PreparedExercise,
  type PreparedFault,
  type PreparedRules,
  rulesTotal,
} from './families/family';
import type { Acting } from './families/fault-schema';
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
 * took away (below 0: gave). `amount` is a count or a measure in base units, as on a sheet; the
 * step's usual one where none is said.
 */
export type Tally = {
  readonly start: () => void;
  readonly open: (exercise: number) => void;
  readonly charge: (step: number, amount?: number) => number;
  /** True when nothing more can be earned in the open exercise, and when in the whole run. */
  readonly zeroed: () => boolean;
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
  /** The part is tried again after it; or the whole item is, while it has tries. */
  readonly again: 'part' | 'item' | null;
  /** It gives points: never drawn, since no rep says that a judge would give them. */
  readonly gives: boolean;
  /** It is charged for each cue beyond the first, or uses one up. */
  readonly cues: boolean;
  /**
   * What of a rep its price is worked out from, past what it begins, in base units, and whether each
   * second or metre begun costs; else null.
   */
  readonly measured: {
    readonly what: 'latency' | 'angle' | 'offset';
    readonly beyond: number;
    readonly begun: boolean;
  } | null;
  readonly amount: number;
  /** What of a rep it is charged for where that is measured, and its band in base units; null elsewhere. */
  readonly charges: {
    readonly for: 'latency' | 'angle' | 'offset' | 'cues';
    readonly from: number | null;
    readonly upTo: number | null;
  } | null;
};

const NO_LIMIT = 0x7fffffff;
/** How the amount of a step becomes its price: it does not, as often, or by started seconds or metres. */
const [FIXED, COUNTED, STARTED] = [0, 1, 2];
/** What something does besides costing, the graver the higher. */
const [NOTHING, ZEROES, ENDS] = [0, 1, 2];
const gravity = (does: Acting | null | undefined): number =>
  does === 'end-run' ? ENDS : does === 'zero' ? ZEROES : NOTHING;

/** One row for each step of an exercise. */
type Table = {
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

function createTally(tables: readonly Table[], maxima: Int32Array, rules: PreparedRules): Tally {
  const kept = new Int32Array(maxima.length);
  const raw = new Int32Array(maxima.length);
  const bonus = new Int32Array(maxima.length);
  const ceilings = new Int32Array(maxima.length);
  const asked = tables.map((table) => new Int32Array(table.slots));
  const times = tables.map((table) => new Int32Array(table.faults));
  const runAsked = new Float64Array(rules.across.length);
  const runTimes = new Int32Array(rules.across.length);
  const run = {
    cap: Float64Array.from(rules.across, (one) => one.cap),
    warnings: Int32Array.from(rules.across, (one) => one.warnings),
    nth: Int32Array.from(rules.across, (one) => one.nth?.at ?? NO_LIMIT),
    acts: Uint8Array.from(rules.across, (one) => gravity(one.nth?.does)),
  };
  let table = tables[0] as Table;
  let used = asked[0] as Int32Array;
  let seen = times[0] as Int32Array;
  let over = false;
  let zeroed = false;
  let majors = 0;

  const settle = (cell: number): number => {
    const limit = Math.min(raw[cell] as number, ceilings[cell] as number);
    const on = (ceilings[cell] as number) > 0 ? (bonus[cell] as number) : 0;
    const now = (limit > 0 ? limit : 0) + on;
    const lost = (kept[cell] as number) - now;
    kept[cell] = now;
    return lost;
  };
  /** What a price comes to after the allowance and the cap of its slot. */
  const slotted = (step: number, price: number): number => {
    const slot = table.slot[step] as number;
    const [free, cap] = [table.free[step] as number, table.cap[step] as number];
    const before = used[slot] as number;
    used[slot] = before + price;
    return Math.min(cap, Math.max(0, before + price - free)) - Math.min(cap, Math.max(0, before - free));
  };
  const zero = (): number => {
    let lost = 0;
    zeroed = true;
    for (let one = table.first; one < table.first + table.cells; one++) {
      ceilings[one] = 0;
      lost += settle(one);
    }
    return lost;
  };
  const priceFor = (step: number, amount: number): number => {
    const price = table.price[step] as number;
    const kind = table.kind[step];
    if (kind === FIXED) return price;
    return price * (kind === COUNTED ? amount : startedPast(amount, table.beyond[step] as number));
  };

  const chargePlain = (step: number, amount: number): number => {
    const cell = table.first + (table.cell[step] as number);
    const taken = slotted(step, priceFor(step, amount));
    majors += table.major[step] as number;
    if (table.gives[step]) bonus[cell] = (bonus[cell] as number) + taken;
    else raw[cell] = (raw[cell] as number) - taken;
    const acts = table.acts[step] as number;
    if (acts === NOTHING) {
      ceilings[cell] = Math.min(ceilings[cell] as number, table.ceiling[step] as number);
      return settle(cell);
    }
    over ||= acts === ENDS;
    return zero();
  };

  const chargeCounted = (step: number, amount: number): number => {
    const cell = table.first + (table.cell[step] as number);
    const across = table.across[step] as number;
    const fault = table.fault[step] as number;
    const more = table.kind[step] === COUNTED ? amount : 1;
    const before = seen[fault] as number;
    seen[fault] = before + more;
    let charged = pastWarnings(before, more, table.warnings[step] as number);
    let acts = before + more >= (table.nth[step] as number) ? (table.nthActs[step] as number) : NOTHING;
    if (across >= 0) {
      const sofar = runTimes[across] as number;
      runTimes[across] = sofar + more;
      charged = Math.min(charged, pastWarnings(sofar, more, run.warnings[across] as number));
      if (sofar + more >= (run.nth[across] as number)) acts = Math.max(acts, run.acts[across] as number);
    }
    if (charged > 0) {
      const price = slotted(step, priceFor(step, charged < more ? charged : amount));
      const taken = across >= 0 ? capped(across, price) : price;
      majors += table.major[step] as number;
      if (table.gives[step]) bonus[cell] = (bonus[cell] as number) + taken;
      else raw[cell] = (raw[cell] as number) - taken;
      const ceiling = table.ceiling[step] as number;
      if (ceiling > 0) ceilings[cell] = Math.min(ceilings[cell] as number, ceiling);
      acts = Math.max(acts, table.acts[step] as number);
    }
    if (Math.abs(amount) > (table.limit[step] as number))
      acts = Math.max(acts, table.limitActs[step] as number);
    if (acts === NOTHING) return settle(cell);
    over ||= acts === ENDS;
    return zero();
  };
  const capped = (across: number, price: number): number => {
    const cap = run.cap[across] as number;
    const before = runAsked[across] as number;
    runAsked[across] = before + price;
    return Math.min(cap, before + price) - Math.min(cap, before);
  };

  return {
    start: () => {
      // What is never opened, because the run ended before it, keeps nothing.
      kept.fill(0);
      runAsked.fill(0);
      runTimes.fill(0);
      over = false;
      majors = 0;
    },
    open: (exercise) => {
      table = tables[exercise] as Table;
      used = asked[exercise] as Int32Array;
      seen = times[exercise] as Int32Array;
      used.fill(0);
      seen.fill(0);
      zeroed = false;
      for (let cell = table.first; cell < table.first + table.cells; cell++) {
        const maximum = maxima[cell] as number;
        raw[cell] = maximum;
        ceilings[cell] = maximum;
        kept[cell] = maximum;
        bonus[cell] = 0;
      }
    },
    charge: (step, amount = table.amount[step] as number) =>
      table.plain[step] ? chargePlain(step, amount) : chargeCounted(step, amount),
    zeroed: () => zeroed,
    ended: () => over,
    finish: () => {
      let total = 0;
      for (let cell = 0; cell < kept.length; cell++) total += kept[cell] as number;
      return total;
    },
    failures: () => rules.judge(kept, over, majors),
  };
}

/** Of so many more times, how many lie past the warnings. */
const pastWarnings = (before: number, more: number, warnings: number): number =>
  Math.max(0, before + more - warnings) - Math.max(0, before - warnings);
