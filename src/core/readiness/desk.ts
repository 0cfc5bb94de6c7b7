import {
  type CompiledRules,
  compileRules,
  type FaultStep,
  type PreparedRules,
  type Tally,
} from '@/core/rulebooks';
import { shrinkage } from '@/core/statistics';
import type { Assumptions } from './assumptions';
import type { DrawnElement } from './drawn-element';
import { becameOf, MEASURES, ROW, SLOTS_PER_DAY } from './play';
import { type DrawPlan, planDraws } from './posterior';
import type { Runs, SimulationSize, TrialClass } from './trial-class';

/** What is charged in one run, in order: by which element (−1: the handler), by which step, how much. */
export type Ledger = { length: number; readonly rows: Int32Array };

/** What the runs of a group work with, laid out once. */
export type Desk = {
  readonly rules: PreparedRules;
  readonly compiled: CompiledRules;
  readonly tally: Tally;
  readonly plans: readonly DrawPlan[];
  /** Tries of each exercise as a whole and of its parts; which of its steps stop it or have it tried again. */
  readonly wholeTries: Int32Array;
  readonly partTries: Int32Array;
  readonly became: readonly Uint8Array[];
  /** Elements of each exercise: from where, how many; goes and slots of each element. */
  readonly from: Int32Array;
  readonly counts: Int32Array;
  readonly times: Int32Array;
  readonly slotOf: Int32Array;
  readonly slotsPerGo: Int32Array;
  /** Slots of one run (its order first, where that is drawn), and of a trial with its days and all its runs. */
  readonly slotsPerRun: number;
  readonly slots: number;
  readonly order: Int32Array;
  readonly days: number;
  readonly nerves: number;
  readonly uniforms: Float64Array;
  runs: Runs;
  ledger: Ledger;
  spare: Ledger;
  readonly drawn: DrawnElement[];
  /** Which faults a go has had already. */
  readonly taken: Uint8Array;
  /** e^−η·shrink of each element: the odds against a clean go on an average day; and which swing it has. */
  readonly oddsAgainst: Float64Array;
  readonly swingOf: Int32Array;
  /** Of elements that do more than one thing on a day: which of these each is (−1: none), and their own day. */
  readonly own: {
    readonly of: Int32Array;
    readonly sd: Float64Array;
    readonly factor: Float64Array;
  };
  /** The same of slips, extra cues, and whether anything is charged of a clean go. */
  readonly slipRates: Float64Array;
  readonly cueRates: Float64Array;
  readonly isQuiet: Uint8Array;
  /** Where the swings of an element’s day begin. */
  readonly dayOf: Int32Array;
  /** Chance of each measured fault, of each element. */
  readonly measuredRates: readonly Float64Array[];
  /**
   * The few different swings of a group's elements: how far a shared day moves one, the factor that
   * averages its own part (1 where that is drawn), and by what a day multiplies the odds against a
   * clean go.
   */
  readonly swings: {
    readonly taus: number[];
    readonly isDrawn: boolean[];
    readonly ownDay: Float64Array;
    readonly shrink: Float64Array;
    readonly dayFactor: Float64Array;
  };
};

export function deskOf(
  input: TrialClass,
  assumptions: Assumptions,
  seed: number,
  size: SimulationSize,
): Desk {
  const { rules } = input;
  const compiled = compileRules(rules);
  const all = new Map(rules.exercises.map(({ exercise }, e) => [exercise, compiled.steps[e] ?? []] as const));
  const plans = input.exercises.flatMap((exercise, e) =>
    exercise.elements.map((element) =>
      planDraws(element, compiled.steps[e] ?? [], all, assumptions, size.groups, seed),
    ),
  );
  const days = 1 + Math.max(0, ...rules.days);
  const counts = Int32Array.from(input.exercises, (exercise) => exercise.elements.length);
  const tries = input.exercises.flatMap((exercise, e) => exercise.elements.map(() => rules.tries[e]));
  const times = Int32Array.from(plans, (plan) => plan.element.times);
  const slotsPerGo = Int32Array.from(plans, (plan) => MEASURES + plan.element.measured.length);
  const slotOf = new Int32Array(plans.length);
  let slotsPerRun = rules.drawsOrder ? input.exercises.length : 0;
  plans.forEach((_, k) => {
    slotOf[k] = slotsPerRun;
    slotsPerRun += goesOf(times, tries, k) * (slotsPerGo[k] as number);
  });
  const own = ownDays(input, tries, times);
  const slots = SLOTS_PER_DAY * (days + own.count) + slotsPerRun * rules.runs.count;
  const most = plans.reduce((sum, _, k) => sum + goesOf(times, tries, k), 0);
  const width = plans.length;
  return {
    rules,
    compiled,
    tally: compiled.tally(),
    plans,
    wholeTries: Int32Array.from(rules.tries, ({ whole }) => whole),
    partTries: Int32Array.from(rules.tries, ({ part }) => part),
    became: compiled.steps.map((steps) => Uint8Array.from(steps, becameOf)),
    from: Int32Array.from(counts, (_, e) => counts.slice(0, e).reduce((sum, one) => sum + one, 0)),
    counts,
    times,
    slotOf,
    slotsPerGo,
    slotsPerRun,
    slots,
    order: Int32Array.from(input.exercises, (_, e) => e),
    days,
    nerves: input.nerves ?? assumptions.nervesSd,
    uniforms: new Float64Array(slots * size.runs),
    runs: emptyRuns(compiled, width, size),
    ledger: emptyLedger(compiled, most),
    spare: emptyLedger(compiled, most),
    drawn: [],
    taken: new Uint8Array(Math.max(1, ...plans.map((plan) => plan.fault.steps.length))),
    oddsAgainst: new Float64Array(width),
    swingOf: new Int32Array(width),
    own: { of: own.of, sd: new Float64Array(own.count), factor: new Float64Array(own.count) },
    slipRates: new Float64Array(width),
    cueRates: new Float64Array(width),
    isQuiet: new Uint8Array(width),
    dayOf: Int32Array.from(
      input.exercises.flatMap((exercise, e) => exercise.elements.map(() => (rules.days[e] ?? 0) * width)),
    ),
    measuredRates: plans.map((plan) => new Float64Array(plan.element.measured.length)),
    swings: {
      taus: [],
      isDrawn: [],
      ownDay: new Float64Array(width),
      shrink: new Float64Array(width),
      dayFactor: new Float64Array(width * days),
    },
  };
}

type Tries = readonly (PreparedRules['tries'][number] | undefined)[];

/** How often an element can be done in one run: as often as it is asked, in every try. */
const goesOf = (times: Int32Array, tries: Tries, k: number): number =>
  (times[k] as number) * (tries[k]?.whole ?? 1) * (tries[k]?.part ?? 1);

/** Which elements do more than one thing on one day, by element and day. */
function ownDays(
  { rules, exercises }: TrialClass,
  tries: Tries,
  times: Int32Array,
): { readonly of: Int32Array; readonly count: number } {
  const keys = exercises.flatMap((exercise, e) =>
    exercise.elements.map((element) => `${rules.days[e]} ${element.id}`),
  );
  const goes = new Map<string, number>();
  keys.forEach((key, k) => {
    goes.set(key, (goes.get(key) ?? 0) + goesOf(times, tries, k) * rules.runs.count);
  });
  const several = [...goes].filter(([, count]) => count > 1).map(([key]) => key);
  return { of: Int32Array.from(keys, (key) => several.indexOf(key)), count: several.length };
}

/** Room for every step of every exercise in every go: no run charges more. */
function emptyLedger(compiled: CompiledRules, goes: number): Ledger {
  const widest = Math.max(1, ...compiled.steps.map((steps) => steps.length));
  return { length: 0, rows: new Int32Array(ROW * (goes + 1) * (widest + 2)) };
}

/** Lays one drawn element out for the runs of its group. */
export function layOut(desk: Desk, k: number, drawn: DrawnElement, sharedDay: number): void {
  const { swings, plans, own } = desk;
  desk.drawn[k] = drawn;
  const several = own.of[k] as number;
  if (several >= 0) own.sd[several] = Math.sqrt(1 - sharedDay) * drawn.tau;
  const swing = swingPlace(desk, drawn.tau, several >= 0, sharedDay);
  desk.swingOf[k] = swing;
  desk.oddsAgainst[k] = Math.exp(-drawn.eta * (swings.shrink[swing] as number));
  desk.slipRates[k] = drawn.slip.rate;
  desk.cueRates[k] = drawn.cues.rate;
  desk.isQuiet[k] = drawn.noted.steps.length === 0 && plans[k]?.element.measured.length === 0 ? 1 : 0;
  // What place, cold and training do to the odds of a clean go they do to those of a measured fault.
  const harder = Math.exp(drawn.home - drawn.eta);
  plans[k]?.element.measured.forEach(({ rate }, m) => {
    const odds = (rate / (1 - rate)) * harder;
    (desk.measuredRates[k] as Float64Array)[m] = rate >= 1 ? 1 : odds / (1 + odds);
  });
}

/** The place of a swing among those of the group; a new one is worked out once. */
function swingPlace({ swings }: Desk, tau: number, isDrawn: boolean, sharedDay: number): number {
  const known = swings.taus.findIndex((one, t) => one === tau && swings.isDrawn[t] === isDrawn);
  if (known >= 0) return known;
  const next = swings.taus.push(tau) - 1;
  swings.isDrawn.push(isDrawn);
  swings.ownDay[next] = Math.sqrt(sharedDay) * tau;
  swings.shrink[next] = isDrawn ? 1 : shrinkage((1 - sharedDay) * tau ** 2);
  return next;
}

/** Sums of no run yet. */
export function emptyRuns(compiled: CompiledRules, elements: number, size: SimulationSize): Runs {
  return {
    size,
    total: compiled.total,
    passesByGroup: new Int32Array(size.groups),
    unitsByGroup: new Float64Array(size.groups),
    histogram: new Int32Array(compiled.total + 1),
    lostByElement: new Float64Array(elements),
    lostByHandler: new Float64Array(compiled.maximum.length),
    lostByStep: compiled.steps.map((steps: readonly FaultStep[]) => new Float64Array(steps.length)),
    failures: new Int32Array(compiled.conditions.length),
  };
}
