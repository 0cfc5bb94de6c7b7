import { startedPast } from './families/cost';
import type { PreparedRules } from './families/family';
import { COUNTED, ENDS, FIXED, gravity, NO_LIMIT, NOTHING, type StepTable } from './step-table';

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

/** A tally over the tables of all exercises; `maxima` are those of all cells. */
export function createTally(tables: readonly StepTable[], maxima: Int32Array, rules: PreparedRules): Tally {
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
  let table = tables[0] as StepTable;
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
      table = tables[exercise] as StepTable;
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
