import { EVIDENCE } from '@/core/evidence';
import {
  type CompiledRules,
  compileRules,
  type FaultStep,
  type PreparedRules,
  type Tally,
} from '@/core/rulebooks';
import { type ExerciseKey, mixSeed, seeded } from '@/core/shared';
import { logit, shrinkage } from '@/core/statistics';
import type { Assumptions } from './assumptions';
import { type Choice, PRICED_ELSEWHERE, placeOf, restOf } from './choice';
import { type DrawnElement, type DrawPlan, drawElement, planDraws, type TrialElement } from './posterior';

export type TrialClass = {
  readonly rules: PreparedRules;
  /** In running order, each with its elements in performing order. Must match `rules.exercises`. */
  readonly exercises: readonly {
    readonly exercise: ExerciseKey;
    readonly elements: readonly TrialElement[];
  }[];
};

export type SimulationSize = { readonly groups: number; readonly runs: number };
/** 400 posterior draws × 50 runs each. */
export const FULL_SIZE: SimulationSize = { groups: 400, runs: 50 };

/**
 * Sums over all runs; every list is flat so that it travels cheaply between threads. Units are the
 * smallest point.
 */
export type Runs = {
  readonly size: SimulationSize;
  readonly total: number;
  readonly passesByGroup: Int32Array;
  readonly unitsByGroup: Float64Array;
  /** How many runs scored each number of units, 0 … total. */
  readonly histogram: Int32Array;
  /** Units lost, by element in running order. */
  readonly lostByElement: Float64Array;
  /** Units lost by the handler's slips, by exercise. */
  readonly lostByHandler: Float64Array;
  /** Units lost by step, for each exercise. */
  readonly lostByStep: readonly Float64Array[];
  /** Runs that failed each of the rules' conditions. */
  readonly failures: Int32Array;
};

/**
 * What differs from the dog as it is today, in running order of the elements: sessions more, logits
 * more, and days that pass, over which a level drifts. `noLoss`: a draw in which sessions do harm
 * counts as no gain, for asking what training would help.
 */
export type Change = {
  readonly sessionsOf?: readonly number[];
  readonly lift?: readonly number[];
  readonly days?: number;
  readonly noLoss?: boolean;
};

/** Random numbers of a go: clean or not, which faults, extra cues, a slip; then one for each measure. */
const [CLEAN, FAULT, CUES, SLIP, MEASURES] = [0, 1, 2, 3, 4];
/** And of a day: how the dog is, and its nerves. */
const SLOTS_PER_DAY = 2;

/**
 * Simulates trials: for each of `groups` posterior draws, `runs` times the trial. A day moves all
 * elements together: an element of swing τ by τ√ρ·Z + nerves·Y, Z and Y shared; what is left of its
 * own swing, (1 − ρ)τ², is one draw for all that the element does on that day, and averaged out
 * analytically where it does but one thing.
 *
 * Elements run as a chain. Each is drawn as often as the exercise asks it and as often as it is tried
 * again; a go that is not clean has one fault or several; extra cues come by their number; faults that
 * were measured come by their own measure. A fault that stops makes the rest of the exercise
 * impossible. Every run scores by the compiled rules; of a class that is run several times the run
 * that counts is kept.
 *
 * Random numbers sit in fixed slots per group, run, element and go, so that two simulations with the
 * same seed differ only by what was changed between them. `change` says what. Same seed, same bytes
 * on one engine.
 */
export function simulateTrials(
  input: TrialClass,
  assumptions: Assumptions,
  seed: number,
  size: SimulationSize = FULL_SIZE,
  change: Change = {},
): Runs {
  const desk = deskOf(input, assumptions, seed, size);
  for (let group = 0; group < size.groups; group++) {
    desk.plans.forEach((plan, k) => {
      const drawn = drawElement(plan, group, mixSeed(seed, group, k + 1));
      layOut(desk, k, changed(drawn, k, change, assumptions.ceiling), assumptions.sharedDay);
    });
    seeded(mixSeed(seed, group, 0)).fill(desk.uniforms);
    for (let run = 0; run < size.runs; run++) runTrial(desk, run * desk.slots, group);
    desk.swings.taus.length = 0;
    desk.swings.isDrawn.length = 0;
  }
  return desk.runs;
}

/** What is charged in one run, in order: by which element (−1: the handler), by which step, how much. */
type Ledger = { length: number; readonly rows: Int32Array };
const ROW = 4;

/** What the runs of a group work with, laid out once. */
type Desk = {
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
  readonly runs: Runs;
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

function deskOf(input: TrialClass, assumptions: Assumptions, seed: number, size: SimulationSize): Desk {
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
    nerves: assumptions.nervesSd,
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
function layOut(desk: Desk, k: number, drawn: DrawnElement, sharedDay: number): void {
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

function changed(
  element: DrawnElement,
  k: number,
  { sessionsOf, lift, days = 0, noLoss = false }: Change,
  ceiling: number,
): DrawnElement {
  const gain = noLoss ? Math.max(0, element.gain) : element.gain;
  const by =
    (sessionsOf?.[k] ?? 0) * gain + (lift?.[k] ?? 0) + Math.sqrt(EVIDENCE.driftPerDay * days) * element.drift;
  if (by === 0) return element;
  // Training does not buy certainty; what is there already is never taken away.
  const raised =
    by > 0 ? Math.max(element.eta, Math.min(element.eta + by, logit(ceiling))) : element.eta + by;
  return { ...element, eta: raised };
}

/** One trial: its days, its runs, and the one that counts. */
function runTrial(desk: Desk, base: number, group: number): void {
  const { rules, runs, tally } = desk;
  for (let day = 0; day < desk.days; day++) drawDay(desk, base + SLOTS_PER_DAY * day, day);
  const first = drawOwnDays(desk, base + SLOTS_PER_DAY * desk.days);
  let units = runOnce(desk, first);
  let failures = tally.failures();
  for (let again = 1; again < rules.runs.count; again++) {
    [desk.ledger, desk.spare] = [desk.spare, desk.ledger];
    const next = runOnce(desk, first + again * desk.slotsPerRun);
    const nextFailures = tally.failures();
    if (isBetter(next, nextFailures, units, failures) === (rules.runs.counts === 'best')) {
      units = next;
      failures = nextFailures;
    } else [desk.ledger, desk.spare] = [desk.spare, desk.ledger];
  }
  bookLosses(desk);
  runs.histogram[units] = (runs.histogram[units] as number) + 1;
  runs.unitsByGroup[group] = (runs.unitsByGroup[group] as number) + units;
  if (failures.length === 0) runs.passesByGroup[group] = (runs.passesByGroup[group] as number) + 1;
  for (const place of failures) runs.failures[place] = (runs.failures[place] as number) + 1;
}

/** Passed before not passed, then by units. */
const isBetter = (
  units: number,
  failures: readonly number[],
  before: number,
  failuresBefore: readonly number[],
): boolean => {
  const [passed, passedBefore] = [failures.length === 0, failuresBefore.length === 0];
  return passed === passedBefore ? units > before : passed;
};

function drawDay({ uniforms, swings, nerves }: Desk, slot: number, day: number): void {
  // Box & Muller (1958): a fixed number of slots, which a rejection method would not keep. The
  // cosine is the dog's day, the sine its nerves.
  const radius = Math.sqrt(-2 * Math.log(uniforms[slot] as number));
  const turn = 2 * Math.PI * (uniforms[slot + 1] as number);
  const [dog, nervous] = [radius * Math.cos(turn), nerves * radius * Math.sin(turn)];
  // Clean is u < σ((η + day)·shrink), that is u·(1 + e^−η·shrink · e^−day·shrink) < 1: one
  // exponential for each swing and day, none for an element.
  const { ownDay, shrink, dayFactor, taus } = swings;
  for (let t = 0; t < taus.length; t++)
    dayFactor[day * ownDay.length + t] = Math.exp(
      -((ownDay[t] as number) * dog + nervous) * (shrink[t] as number),
    );
}

/** The day of each element that does more than one thing on it; the first slot after them. */
function drawOwnDays({ uniforms, own }: Desk, from: number): number {
  let slot = from;
  for (let i = 0; i < own.sd.length; i++) {
    const radius = Math.sqrt(-2 * Math.log(uniforms[slot] as number));
    const normal = radius * Math.cos(2 * Math.PI * (uniforms[slot + 1] as number));
    own.factor[i] = Math.exp(-(own.sd[i] as number) * normal);
    slot += SLOTS_PER_DAY;
  }
  return slot;
}

/**
 * What became of a go: on to the next, tried again (the part, the whole), no more of this exercise; or
 * the part was not done, so that there is nothing to measure and the next part begins.
 */
const [ON, AGAIN, OVER, STOP, UNDONE] = [0, 1, 2, 3, 4];

const becameOf = ({ stops, again }: FaultStep): number =>
  stops ? STOP : again === 'item' ? OVER : again === 'part' ? AGAIN : ON;

/** Runs all exercises once; its units. */
function runOnce(desk: Desk, base: number): number {
  const { tally, order, ledger, rules, counts } = desk;
  if (rules.drawsOrder) shuffle(desk, base);
  ledger.length = 0;
  tally.start();
  for (let place = 0; place < counts.length; place++) {
    const e = order[place] as number;
    tally.open(e);
    runExercise(desk, base, e);
    if (tally.ended()) {
      chargeUnrun(desk, place);
      break;
    }
  }
  return tally.finish();
}

/** Fisher & Yates (1938), by the slots of the run. */
function shuffle({ order, uniforms }: Desk, base: number): void {
  for (let i = 0; i < order.length; i++) order[i] = i;
  for (let i = order.length - 1; i > 0; i--) {
    const other = Math.floor((uniforms[base + i] as number) * (i + 1));
    [order[i], order[other]] = [order[other] as number, order[i] as number];
  }
}

/** One exercise, tried as a whole as often as the rules allow while a try was lost. */
function runExercise(desk: Desk, base: number, e: number): void {
  const tries = desk.wholeTries[e] as number;
  for (let attempt = 0; attempt < tries; attempt++) if (!runAttempt(desk, base, e, attempt)) return;
}

/** One try of all elements in their order; true where it was lost and may be tried again. */
function runAttempt(desk: Desk, base: number, e: number, attempt: number): boolean {
  const from = desk.from[e] as number;
  for (let k = from; k < from + (desk.counts[e] as number); k++) {
    const times = desk.times[k] as number;
    for (let time = 0; time < times; time++) {
      const became = runPart(desk, base, e, k, attempt * times + time);
      if (became === OVER) return true;
      if (became === STOP) return false;
    }
  }
  return false;
}

/** One asking of an element, tried again as often as its fault allows. */
function runPart(desk: Desk, base: number, e: number, k: number, asking: number): number {
  const tries = desk.partTries[e] as number;
  const width = desk.slotsPerGo[k] as number;
  const first = base + (desk.slotOf[k] as number) + asking * tries * width;
  for (let again = 0; again < tries; again++) {
    const became = go(desk, e, k, first + again * width);
    if (became !== AGAIN) return became;
  }
  return ON;
}

/** One go of an element: the handler's part, the dog's, and what was measured of it. */
function go(desk: Desk, e: number, k: number, slot: number): number {
  const { uniforms, swings, own } = desk;
  let became = ON;
  const slip = uniforms[slot + SLIP] as number;
  if (slip < (desk.slipRates[k] as number)) became = chargeSlip(desk, e, k, slip);
  if (became !== ON) return became;
  const cue = uniforms[slot + CUES] as number;
  if (cue < (desk.cueRates[k] as number)) became = chargeCues(desk, e, k, cue);
  if (became !== ON) return became;
  const day = (desk.dayOf[k] as number) + (desk.swingOf[k] as number);
  const several = own.of[k] as number;
  const odds =
    (desk.oddsAgainst[k] as number) *
    (swings.dayFactor[day] as number) *
    (several < 0 ? 1 : (own.factor[several] as number));
  const fault = uniforms[slot + FAULT] as number;
  if ((uniforms[slot + CLEAN] as number) * (1 + odds) < 1) {
    if (desk.isQuiet[k]) return ON;
    became = chargeNoted(desk, e, k, fault);
  } else became = chargeFaults(desk, e, k, fault);
  if (became === UNDONE) return ON;
  return became === ON ? chargeMeasured(desk, e, k, slot) : became;
}

/** A slip of the handler's. Below its rate a uniform number is uniform again: no slot more is needed. */
function chargeSlip(desk: Desk, e: number, k: number, uniform: number): number {
  const { slip } = desk.drawn[k] as DrawnElement;
  const place = placeOf(slip.what, uniform / slip.rate);
  return place < 0 ? ON : charge(desk, e, HANDLER, slip.what.steps[place] as number);
}
const HANDLER = -1;

/** Extra cues by their number, all at once; whose loss they are goes by whose fault the rules call it. */
function chargeCues(desk: Desk, e: number, k: number, uniform: number): number {
  const { cues } = desk.drawn[k] as DrawnElement;
  const step = desk.plans[k]?.cueStep ?? -1;
  const place = placeOf(cues.what, uniform / cues.rate);
  if (step < 0 || place < 0) return ON;
  const whose = desk.compiled.steps[e]?.[step]?.by === 'dog' ? k : HANDLER;
  return charge(desk, e, whose, step, cues.what.steps[place]);
}

/** What clean reps only noted, each by itself; what is left of a uniform number is uniform again. */
function chargeNoted(desk: Desk, e: number, k: number, uniform: number): number {
  const { noted } = desk.drawn[k] as DrawnElement;
  let left = uniform;
  for (let i = 0; i < noted.steps.length; i++) {
    const rate = noted.rates[i] as number;
    if (left >= rate) {
      left = (left - rate) / (1 - rate);
      continue;
    }
    left /= rate;
    const became = charge(desk, e, k, noted.steps[i] as number);
    if (became !== ON) return became;
  }
  return ON;
}

/** The faults of a go that was not clean: one, and further ones as long as there is a further one. */
function chargeFaults(desk: Desk, e: number, k: number, uniform: number): number {
  const { fault, further } = desk.drawn[k] as DrawnElement;
  const misses = desk.plans[k]?.misses ?? [];
  let place = placeOf(fault, uniform);
  if (place < 0) return ON;
  let left = restOf(fault, place, uniform);
  if (misses[place]) return chargeOne(desk, e, k, fault, place, true);
  let became = chargeOne(desk, e, k, fault, place, false);
  if (left >= (further[0] as number)) return became;
  const { taken } = desk;
  taken.fill(0);
  // A try that failed failed once, and after a stop there is nothing more to see.
  for (let count = 0; became !== STOP && became !== OVER; count++) {
    const chance = further[count] ?? 0;
    if (left >= chance) break;
    taken[place] = 1;
    const [next, rest] = another(fault, taken, misses, left / chance);
    if (next < 0) break;
    [place, left] = [next, rest];
    const then = chargeOne(desk, e, k, fault, place, false);
    became = then === ON ? became : then;
  }
  return became;
}

/** A place among those not taken yet, parts not done left out; and what is left of the number. */
function another(
  { upTo }: Choice,
  taken: Uint8Array,
  misses: readonly boolean[],
  uniform: number,
): readonly [place: number, left: number] {
  let open = 0;
  for (let i = 0; i < upTo.length; i++) if (isOpen(taken, misses, i)) open += shareAt(upTo, i);
  if (open <= 0) return [-1, uniform];
  let target = uniform * open;
  for (let i = 0; i < upTo.length; i++) {
    if (!isOpen(taken, misses, i)) continue;
    const share = shareAt(upTo, i);
    if (target < share) return [i, target / share];
    target -= share;
  }
  return [-1, uniform];
}
const isOpen = (taken: Uint8Array, misses: readonly boolean[], i: number): boolean =>
  taken[i] === 0 && !misses[i];
const shareAt = (upTo: Float64Array, i: number): number =>
  (upTo[i] as number) - (i === 0 ? 0 : (upTo[i - 1] as number));

function chargeOne(desk: Desk, e: number, k: number, fault: Choice, place: number, missed: boolean): number {
  const step = fault.steps[place] as number;
  if (step === PRICED_ELSEWHERE) return ON;
  const became = charge(desk, e, k, step);
  return became === ON && missed ? UNDONE : became;
}

/** Faults by their measure: how often from its rate, by how much from its sizes. */
function chargeMeasured(desk: Desk, e: number, k: number, slot: number): number {
  const measured = desk.plans[k]?.element.measured ?? [];
  const rates = desk.measuredRates[k] as Float64Array;
  for (let m = 0; m < measured.length; m++) {
    const { sizes, amounts } = measured[m] as (typeof measured)[number];
    const uniform = desk.uniforms[slot + MEASURES + m] as number;
    const rate = rates[m] as number;
    if (uniform >= rate) continue;
    const place = placeOf(sizes, uniform / rate);
    const became = charge(desk, e, k, sizes.steps[place] as number, amounts[place]);
    if (became !== ON) return became;
  }
  return ON;
}

/** Charges a step to an element or the handler; whether the exercise goes on. */
function charge(desk: Desk, e: number, whose: number, step: number, amount?: number): number {
  const { tally } = desk;
  const units = tally.charge(step, amount);
  // What ends the run is booked also where there was nothing left to take: later exercises are its loss.
  if (units !== 0 || tally.ended()) book(desk, whose, e, step, units);
  if (tally.ended() || tally.zeroed()) return STOP;
  return desk.became[e]?.[step] ?? ON;
}

function book({ ledger }: Desk, whose: number, e: number, step: number, units: number): void {
  const { rows, length } = ledger;
  if (length + ROW > rows.length) throw new RangeError('a run charged more than it has goes');
  rows[length] = whose;
  rows[length + 1] = e;
  rows[length + 2] = step;
  rows[length + 3] = units;
  ledger.length = length + ROW;
}

/** What was not run any more is lost by what ended the run, which is the last thing booked. */
function chargeUnrun(desk: Desk, place: number): void {
  const { order, compiled, ledger, counts } = desk;
  let units = 0;
  for (let later = place + 1; later < counts.length; later++)
    units += compiled.maximum[order[later] as number] as number;
  const last = ledger.length - ROW;
  ledger.rows[last + 3] = (ledger.rows[last + 3] as number) + units;
}

/** Books the run that counts into the sums. */
function bookLosses({ ledger, runs }: Desk): void {
  const { rows, length } = ledger;
  for (let i = 0; i < length; i += ROW) {
    const [whose, e, step] = [rows[i] as number, rows[i + 1] as number, rows[i + 2] as number];
    const units = rows[i + 3] as number;
    const lost = runs.lostByStep[e] as Float64Array;
    lost[step] = (lost[step] as number) + units;
    if (whose === HANDLER) runs.lostByHandler[e] = (runs.lostByHandler[e] as number) + units;
    else runs.lostByElement[whose] = (runs.lostByElement[whose] as number) + units;
  }
}

function emptyRuns(compiled: CompiledRules, elements: number, size: SimulationSize): Runs {
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
