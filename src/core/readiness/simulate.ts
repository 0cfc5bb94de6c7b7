import { EVIDENCE } from '@/core/evidence';
import { type CompiledRules, compileRules, type PreparedRules, type Tally } from '@/core/rulebooks';
import { type ExerciseKey, mixSeed, seeded } from '@/core/shared';
import { logit, shrinkage } from '@/core/statistics';
import type { Assumptions } from './assumptions';
import { choose, type DrawnElement, drawElement, planDraws, type TrialElement } from './posterior';

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

const SLOTS_PER_RUN = 2;
const SLOTS_PER_ELEMENT = 3;

/**
 * Simulates trials: for each of `groups` posterior draws, `runs` days. A day moves all elements
 * together: an element of swing τ by τ√ρ·Z + nerves·Y, Z and Y shared; what is left of its own
 * swing, (1 − ρ)τ², is averaged out analytically. Elements run as a chain: a fault that stops makes
 * the rest of the exercise impossible. Every run scores by the compiled rules.
 *
 * Random numbers sit in fixed slots per group, run and element, so that two simulations with the
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
  const compiled = compileRules(input.rules);
  const plans = input.exercises.flatMap((exercise, e) =>
    exercise.elements.map((element) =>
      planDraws(element, compiled.steps[e] ?? [], assumptions, size.groups, seed),
    ),
  );
  const runs = emptyRuns(compiled, plans.length, size);
  const slots = SLOTS_PER_RUN + SLOTS_PER_ELEMENT * plans.length;
  const desk: Desk = {
    counts: Int32Array.from(input.exercises, (exercise) => exercise.elements.length),
    compiled,
    tally: compiled.tally(),
    nerves: assumptions.nervesSd,
    runs,
    uniforms: new Float64Array(slots * size.runs),
    drawn: [],
    against: new Float64Array(plans.length),
    swing: new Int32Array(plans.length),
    swings: {
      taus: [],
      ownDay: new Float64Array(plans.length),
      shrink: new Float64Array(plans.length),
      worse: new Float64Array(plans.length),
    },
    rates: new Float64Array(plans.length),
  };
  for (let group = 0; group < size.groups; group++) {
    desk.drawn = plans.map((plan, i) =>
      changed(drawElement(plan, group, mixSeed(seed, group, i + 1)), i, change, assumptions.ceiling),
    );
    desk.swings.taus.length = 0;
    desk.drawn.forEach((element, i) => {
      const swing = swingOf(desk, element.tau, assumptions.sharedDay);
      desk.swing[i] = swing;
      desk.against[i] = Math.exp(-element.eta * (desk.swings.shrink[swing] as number));
      desk.rates[i] = element.handlerRate;
    });
    seeded(mixSeed(seed, group, 0)).fill(desk.uniforms);
    for (let run = 0; run < size.runs; run++) runOne(desk, run * slots, group);
  }
  return runs;
}

/** What the runs of a group work with, laid out once. */
type Desk = {
  readonly counts: Int32Array;
  readonly compiled: CompiledRules;
  readonly tally: Tally;
  readonly nerves: number;
  readonly runs: Runs;
  readonly uniforms: Float64Array;
  drawn: readonly DrawnElement[];
  /**
   * e^−η·shrink of each element: the odds against a clean rep on an average day; and which swing it
   * has.
   */
  readonly against: Float64Array;
  readonly swing: Int32Array;
  /**
   * The few different swings of a group's elements: how far a shared day moves one, the factor that
   * averages its own part, and e^−day·shrink of the run.
   */
  readonly swings: {
    readonly taus: number[];
    readonly ownDay: Float64Array;
    readonly shrink: Float64Array;
    readonly worse: Float64Array;
  };
  readonly rates: Float64Array;
};

/** The place of a swing among those of the group; a new one is worked out once. */
function swingOf({ swings }: Desk, tau: number, sharedDay: number): number {
  const known = swings.taus.indexOf(tau);
  if (known >= 0) return known;
  const next = swings.taus.push(tau) - 1;
  swings.ownDay[next] = Math.sqrt(sharedDay) * tau;
  swings.shrink[next] = shrinkage((1 - sharedDay) * tau ** 2);
  return next;
}

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

function changed(
  element: DrawnElement,
  i: number,
  { sessionsOf, lift, days = 0, noLoss = false }: Change,
  ceiling: number,
): DrawnElement {
  const gain = noLoss ? Math.max(0, element.gain) : element.gain;
  const by =
    (sessionsOf?.[i] ?? 0) * gain + (lift?.[i] ?? 0) + Math.sqrt(EVIDENCE.driftPerDay * days) * element.drift;
  if (by === 0) return element;
  // Training does not buy certainty; what is there already is never taken away.
  const raised =
    by > 0 ? Math.max(element.eta, Math.min(element.eta + by, logit(ceiling))) : element.eta + by;
  return { ...element, eta: raised };
}

function runOne(desk: Desk, base: number, group: number): void {
  const { counts, tally, nerves, uniforms, against, swing, swings, rates, runs } = desk;
  // Box & Muller (1958): a fixed number of slots, which a rejection method would not keep. The
  // cosine is the dog's day, the sine its nerves.
  const radius = Math.sqrt(-2 * Math.log(uniforms[base] as number));
  const turn = 2 * Math.PI * (uniforms[base + 1] as number);
  const [day, nervous] = [radius * Math.cos(turn), nerves * radius * Math.sin(turn)];
  // Clean is u < σ((η + day)·shrink), that is u·(1 + e^−η·shrink · e^−day·shrink) < 1: one
  // exponential for each swing and run, none for an element.
  const { ownDay, shrink, worse } = swings;
  for (let t = 0; t < swings.taus.length; t++)
    worse[t] = Math.exp(-((ownDay[t] as number) * day + nervous) * (shrink[t] as number));
  let at = 0;
  tally.start();
  for (let e = 0; e < counts.length; e++) {
    const count = counts[e] as number;
    tally.open(e);
    for (let k = at; k < at + count; k++) {
      const slot = base + SLOTS_PER_RUN + SLOTS_PER_ELEMENT * k;
      if (
        (uniforms[slot + 2] as number) < (rates[k] as number) &&
        slipped(desk, e, k, uniforms[slot + 2] as number)
      )
        break;
      if (
        (uniforms[slot] as number) * (1 + (against[k] as number) * (worse[swing[k] as number] as number)) <
        1
      )
        continue;
      if (failed(desk, e, k, uniforms[slot + 1] as number)) break;
    }
    at += count;
    if (tally.ended()) break;
  }
  record(runs, group, tally.finish(), tally.failures());
}

/**
 * A slip of the handler's at element k; true when the exercise cannot go on. Below the rate, slip /
 * rate is uniform again: no fourth slot is needed.
 */
function slipped(desk: Desk, e: number, k: number, slip: number): boolean {
  const step = choose((desk.drawn[k] as DrawnElement).handler, slip / (desk.rates[k] as number));
  if (step < 0) return false;
  const taken = charged(desk, e, step);
  desk.runs.lostByHandler[e] = (desk.runs.lostByHandler[e] as number) + taken;
  return desk.compiled.steps[e]?.[step]?.stops ?? false;
}

/** The dog's fault at element k; true when the exercise cannot go on. */
function failed(desk: Desk, e: number, k: number, uniform: number): boolean {
  const step = choose((desk.drawn[k] as DrawnElement).dog, uniform);
  if (step < 0) return false;
  const taken = charged(desk, e, step);
  desk.runs.lostByElement[k] = (desk.runs.lostByElement[k] as number) + taken;
  return desk.compiled.steps[e]?.[step]?.stops ?? false;
}

function charged({ tally, compiled, runs }: Desk, e: number, step: number): number {
  const taken = tally.charge(step) + (tally.ended() ? unrun(compiled, e) : 0);
  const lost = runs.lostByStep[e] as Float64Array;
  lost[step] = (lost[step] as number) + taken;
  return taken;
}

function unrun(compiled: CompiledRules, after: number): number {
  let sum = 0;
  for (let e = after + 1; e < compiled.maximum.length; e++) sum += compiled.maximum[e] as number;
  return sum;
}

function record(runs: Runs, group: number, units: number, failures: readonly number[]): void {
  runs.histogram[units] = (runs.histogram[units] as number) + 1;
  runs.unitsByGroup[group] = (runs.unitsByGroup[group] as number) + units;
  if (failures.length === 0) runs.passesByGroup[group] = (runs.passesByGroup[group] as number) + 1;
  for (const place of failures) runs.failures[place] = (runs.failures[place] as number) + 1;
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
    lostByStep: compiled.steps.map((steps) => new Float64Array(steps.length)),
    failures: new Int32Array(compiled.conditions.length),
  };
}
