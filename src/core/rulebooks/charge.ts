import type { FaultKey, Name, Sentence } from '@/core/shared';
import { say } from '@/core/shared';
import { describeCost, priceOf, timesIn } from './families/cost';
import type { Mark, PreparedExercise, PreparedFault, PreparedRules } from './families/family';
import type { Acting } from './families/fault-schema';

export type Deduction = {
  /** Null where it was not for a fault: not attempted, stopped, excused. */
  readonly fault: FaultKey | null;
  readonly title: Name;
  readonly rule: Sentence;
  /** What it took away where it stands; a bonus is below 0. */
  readonly units: number;
  readonly asked: number;
};

/** What has been counted over the run so far, by the places of the rules’ `across`. */
export type RunCounts = { readonly asked: number[]; readonly times: number[] };
export const noCounts = (rules: PreparedRules): RunCounts => ({
  asked: rules.across.map(() => 0),
  times: rules.across.map(() => 0),
});

export type Charged = {
  readonly kept: readonly number[];
  readonly deductions: readonly Deduction[];
  /** A fault that zeroed the exercise or ended the run; the one that ended it. */
  readonly zeroed: boolean;
  readonly endedBy: PreparedFault | null;
  readonly majors: number;
};

type Cell = { readonly maximum: number; spent: number; ceiling: number; bonus: number };
const keptOf = (cell: Cell): number =>
  cell.ceiling === 0 ? 0 : Math.max(0, Math.min(cell.maximum - cell.spent, cell.ceiling)) + cell.bonus;

/**
 * Charges the marks of one exercise, one after another, and counts on in `counts` what is counted
 * over the whole run.
 */
export function chargeMarks(
  rules: PreparedRules,
  exercise: PreparedExercise,
  marks: readonly Mark[],
  counts: RunCounts,
): Charged {
  const cells: Cell[] = exercise.cells.map(({ maximum }) => ({
    maximum,
    spent: 0,
    ceiling: maximum,
    bonus: 0,
  }));
  const asked = new Map<string, number>();
  const times = new Map<string, number>();
  let endedBy: PreparedFault | null = null;
  let majors = 0;
  const total = (): number => cells.reduce((sum, cell) => sum + keptOf(cell), 0);

  const deductions = marks.map((mark): Deduction => {
    const fault = exercise.faults.find((one) => one.fault.id === mark.fault) as PreparedFault;
    const { cost } = fault.fault;
    const cell = cells[fault.cell] as Cell;
    const before = total();
    const counted = countOn(rules, fault, timesIn(cost, mark.amount), times, counts);
    // A warning costs nothing: of a count only what goes beyond the warnings is charged.
    const price =
      counted.charged === 0
        ? 0
        : priceOf(cost, counted.charged < counted.times ? counted.charged : mark.amount, fault.unit);
    const taken = acrossCost(rules, fault, slotCost(fault, asked, price), counts);
    if (fault.gives) cell.bonus += taken;
    else cell.spent += taken;
    for (const does of actsOf(fault, mark.amount, counted)) {
      if (does === 'end-run') endedBy ??= fault;
      for (const one of cells) one.ceiling = 0;
    }
    if (fault.major && counted.charged > 0) {
      majors += 1;
      cell.ceiling = Math.min(cell.ceiling, fault.ceiling ?? cell.ceiling);
    }
    const rule = describeCost(cost, rules.word);
    return {
      fault: fault.fault.id,
      title: fault.fault.title,
      rule: counted.charged === 0 ? say('rulebooks.score.warning', { cost: rule }) : rule,
      units: before - total(),
      asked: price,
    };
  });
  return {
    kept: cells.map(keptOf),
    deductions,
    zeroed: cells.every((cell) => cell.ceiling === 0),
    endedBy,
    majors,
  };
}

type Counted = {
  /** Times of this mark, and those of them that are no warning any more. */
  readonly times: number;
  readonly charged: number;
  /** What the n-th time does, where it has come. */
  readonly nth: Acting | null;
};

function countOn(
  rules: PreparedRules,
  fault: PreparedFault,
  times: number,
  inExercise: Map<string, number>,
  counts: RunCounts,
): Counted {
  const across = rules.across[fault.across];
  const before = inExercise.get(fault.fault.id) ?? 0;
  inExercise.set(fault.fault.id, before + times);
  const own = {
    charged: pastWarnings(before, times, fault.warnings),
    nth: fault.nth && before + times >= fault.nth.at ? fault.nth.does : null,
  };
  if (!across) return { times, ...own };
  const run = counts.times[fault.across] ?? 0;
  counts.times[fault.across] = run + times;
  return {
    times,
    charged: Math.min(own.charged, pastWarnings(run, times, across.warnings)),
    nth: own.nth ?? (across.nth && run + times >= across.nth.at ? across.nth.does : null),
  };
}

/** Of so many more times, how many lie past the warnings. */
const pastWarnings = (before: number, times: number, warnings: number): number =>
  Math.max(0, before + times - warnings) - Math.max(0, before - warnings);

/** What a price comes to after the allowance and the cap of its slot, whatever the order of the marks. */
function slotCost(fault: PreparedFault, asked: Map<string, number>, price: number): number {
  const slot = `${fault.slot}/${fault.cell}`;
  const before = asked.get(slot) ?? 0;
  asked.set(slot, before + price);
  const cost = (sum: number): number => Math.min(fault.cap, Math.max(0, sum - fault.free));
  return cost(before + price) - cost(before);
}

function acrossCost(rules: PreparedRules, fault: PreparedFault, price: number, counts: RunCounts): number {
  const across = rules.across[fault.across];
  if (!across) return price;
  const before = counts.asked[fault.across] ?? 0;
  counts.asked[fault.across] = before + price;
  return Math.min(across.cap, before + price) - Math.min(across.cap, before);
}

/** What a mark does besides costing: zero and end-run by themselves, a limit that was passed, the n-th time. */
function actsOf(fault: PreparedFault, amount: number, counted: Counted): Acting[] {
  const { kind } = fault.fault.cost;
  const itself: Acting[] = counted.charged > 0 && (kind === 'zero' || kind === 'end-run') ? [kind] : [];
  const past: Acting[] = fault.acts && Math.abs(amount) > fault.acts.over ? [fault.acts.does] : [];
  return [...itself, ...past, ...(counted.nth ? [counted.nth] : [])];
}
