import {
  asTrained,
  DRAW,
  EVIDENCE,
  type FaultCounts,
  type Posterior,
  type Summary,
  type Target,
  type When,
} from '@/core/evidence';
import type { FaultStep } from '@/core/rulebooks';
import { type ElementId, mixSeed, type PartKey, seeded } from '@/core/shared';
import { byPlace, type StepsByExercise, timesLogged } from './alike';
import { type Assumptions, trialOf } from './assumptions';
import { PRICED_ELSEWHERE, type Weighted } from './choice';
import type { MeasuredFault } from './measured';

/**
 * One element as a class asks it: what the reps say, and where the demand lies on the axes that the
 * fit knows.
 */
export type TrialElement = {
  readonly id: ElementId;
  readonly part: PartKey;
  /** How often the exercise asks it. */
  readonly times: number;
  readonly posterior: Posterior;
  /** The rule book's demand; a signed axis at the dog's weaker side. */
  readonly target: Target;
  readonly summary: Summary;
  /** Faults that are priced by what was measured; empty where too little was. */
  readonly measured: readonly MeasuredFault[];
};

/** What does not change from draw to draw: which steps can happen, and with what weights. */
export type DrawPlan = {
  readonly element: TrialElement;
  /** What the trial asks of it besides its demand. */
  readonly when: When;
  readonly home: When;
  /** The draw that each group takes. */
  readonly order: Int32Array;
  readonly fault: Weighted;
  /** Places among `fault` of the part not done: nothing else is charged with it. */
  readonly misses: readonly boolean[];
  readonly further: readonly Rate[];
  readonly noted: readonly { readonly step: number; readonly rate: Rate }[];
  readonly slip: Happening;
  /** The step that extra cues are charged by, −1 where none is; `what` holds their numbers, from 1. */
  readonly cueStep: number;
  readonly cues: Happening;
};
/** Weights of a Beta distribution; null for what cannot happen. */
export type Rate = { readonly happened: number; readonly not: number } | null;
export type Happening = { readonly rate: Rate; readonly what: Weighted };

const NOTHING: Happening = { rate: null, what: { steps: new Int32Array(0), weights: [] } };

/**
 * Plans the draws of one element for `groups` of simulated trials: the posterior draw that each
 * takes, the faults of dog and handler by weight of the counts, extra cues by their numbers, what is
 * noted in clean reps, and the handler's rate of slips, Beta with the assumption's weight. Faults that
 * were measured, and extra cues that were counted, keep their weight among the faults of a go that is
 * not clean and are charged by their own measure only, so that nothing is counted twice. Never fails;
 * the same seed gives the same plan. A rate of .025 with weight 16 and no reps → Beta(0.4, 15.6).
 */
export function planDraws(
  element: TrialElement,
  steps: readonly FaultStep[],
  all: StepsByExercise,
  assumptions: Assumptions,
  groups: number,
  seed: number,
): DrawPlan {
  const { summary, part } = element;
  const { priced } = summary;
  const logged = (counts: FaultCounts, place: number): number => {
    const step = steps[place] as FaultStep;
    return timesLogged(counts, step, steps, all);
  };
  const own = placesOf(steps, (step) => step.by === 'dog' && step.part === part && !step.gives);
  const cueStep = cuePlace(steps, part);
  const extra = cueWeights(summary, cueStep < 0 ? 0 : logged(summary.handlerFaults, cueStep));
  const countsCues = extra.some((count) => count > 0);
  const misses = own.filter((place) => steps[place]?.miss);
  // A rep that only further cues spoiled is no other fault: they are charged by their number.
  const byCues = cueStep < 0 || own.includes(cueStep) || !countsCues ? 0 : logged(summary.faults, cueStep);
  const places = byCues > 0 ? [...own, cueStep] : own;
  const fault = weighted(places, (place) => {
    if (place === cueStep && byCues > 0) return byCues;
    const missed = steps[place]?.miss ? priced.missed / misses.length : 0;
    return EVIDENCE.faultPrior / own.length + logged(summary.faults, place) + missed;
  });
  const isElsewhere = (place: number): boolean =>
    element.measured.some((one) => one.fault === steps[place]?.ref.key) || (countsCues && place === cueStep);
  const slips = placesOf(
    steps,
    (step) => step.by === 'handler' && (step.part === null || step.part === part) && !step.gives,
  ).filter((place) => place !== cueStep);
  const when = trialOf(assumptions, element.posterior);
  return {
    element,
    when,
    home: asTrained(element.posterior),
    order: coupledOrder(element.posterior, when, groups, seed),
    fault: { ...fault, steps: fault.steps.map((place) => (isElsewhere(place) ? PRICED_ELSEWHERE : place)) },
    misses: places.map((place) => steps[place]?.miss ?? false),
    further: furtherFaults(priced.named),
    noted: notedIn(
      priced,
      own.filter((place) => !isElsewhere(place)),
      (place) => logged(byPlace(priced.noted), place),
    ),
    ...ofHandler(summary, slips, cueStep, extra, assumptions, (place) =>
      logged(summary.handlerFaults, place),
    ),
    cueStep,
  };
}

/**
 * Of reps that had one fault, how many had a second; of those, a third …, up to one more than was ever
 * seen. Always two → next to surely a second, and next to never a third.
 */
function furtherFaults(named: readonly number[]): Rate[] {
  const { rate, weight } = EVIDENCE.further;
  return Array.from({ length: Math.max(1, named.length) }, (_, i) => {
    const more = named.slice(i + 1).reduce((sum, one) => sum + one, 0);
    return { happened: rate * weight + more, not: (1 - rate) * weight + (named[i] ?? 0) };
  });
}

const placesOf = (steps: readonly FaultStep[], wanted: (step: FaultStep) => boolean): number[] =>
  steps.flatMap((step, place) => (wanted(step) ? [place] : []));

const weighted = (places: readonly number[], weight: (place: number) => number): Weighted => ({
  steps: Int32Array.from(places),
  weights: places.map(weight),
});

/** What extra cues at this part are charged by: the part's own, else what goes for the whole exercise. */
function cuePlace(steps: readonly FaultStep[], part: PartKey): number {
  const own = steps.findIndex((step) => step.cues && step.part === part);
  return own >= 0 ? own : steps.findIndex((step) => step.cues && step.part === null);
}

/** Reps with one extra cue, with two …; those that were named as a fault had one. */
function cueWeights({ priced }: Summary, named: number): number[] {
  const counts = priced.cues.slice(1);
  if (named > 0) counts[0] = (counts[0] ?? 0) + named;
  return counts;
}

/** Faults noted in clean reps, as often as they were; none where none was, which proves nothing. */
function notedIn(
  { clean }: Summary['priced'],
  places: readonly number[],
  logged: (place: number) => number,
): DrawPlan['noted'] {
  return places.flatMap((step) => {
    const happened = logged(step);
    return happened === 0
      ? []
      : [{ step, rate: { happened, not: Math.max(clean - happened, LEAST_WEIGHT) } }];
  });
}

/** A Beta has no weight of 0. */
const LEAST_WEIGHT = 0.01;

/**
 * What the handler adds: extra cues by their number, and slips. What is assumed before anything was
 * logged is one rate for both, shared by how many of the exercise's faults are the one or the other.
 */
function ofHandler(
  summary: Summary,
  slips: readonly number[],
  cueStep: number,
  extra: readonly number[],
  { handlerRate, handlerWeight }: Assumptions,
  logged: (place: number) => number,
): Pick<DrawPlan, 'slip' | 'cues'> {
  const kinds = slips.length + (cueStep < 0 ? 0 : 1);
  const part = (of: number): number => (kinds === 0 ? 0 : (handlerRate * handlerWeight * of) / kinds);
  const all = summary.counted + summary.notCounted;
  const slipped = slips.reduce((sum, place) => sum + logged(place), 0);
  const cued = extra.reduce((sum, count) => sum + count, 0);
  const rate = (assumed: number, happened: number): Rate =>
    assumed + happened === 0
      ? null
      : { happened: assumed + happened, not: handlerWeight - assumed + Math.max(0, all - happened) };
  return {
    slip:
      slips.length === 0
        ? NOTHING
        : {
            rate: rate(part(slips.length), slipped),
            what: weighted(slips, (place) => EVIDENCE.faultPrior / slips.length + logged(place)),
          },
    cues:
      cueStep < 0
        ? NOTHING
        : {
            rate: rate(part(1), cued),
            // Before any was counted an extra cue is one.
            what: weighted(
              Array.from({ length: Math.max(1, extra.length) }, (_, i) => i + 1),
              (number) =>
                (number === 1 ? EVIDENCE.faultPrior / 2 : 0) + (extra[number - 1] ?? 0) + LEAST_WEIGHT,
            ),
          },
  };
}

/**
 * The draw that each group takes: ranked by what a cold start in a strange place costs (and no
 * pay, another handler, other kit, where the trial asks that), and the ranks dealt to the groups in one order that all elements share. A dog that is bad away is bad
 * away everywhere; the rest of a draw keeps company with its place as the reps have it (rank
 * coupling, Iman & Conover 1982).
 */
export function coupledOrder(
  { draws, width, count }: Posterior,
  when: When,
  groups: number,
  seed: number,
): Int32Array {
  const costs = new Float64Array(count);
  for (const kind of ['away', 'cold', 'handler', 'unpaid', 'worn'] as const) {
    if (when[kind] === 0) continue;
    for (let i = 0; i < count; i++)
      costs[i] = (costs[i] as number) + when[kind] * (draws[i * width + DRAW[kind]] as number);
  }
  const ranked = Array.from({ length: count }, (_, i) => i).sort(
    (a, b) => (costs[a] as number) - (costs[b] as number) || a - b,
  );
  const shared = seeded(mixSeed(seed, SHARED_ORDER));
  const ranks = Array.from({ length: groups }, (_, g) => Math.floor(((g + 0.5) / groups) * count));
  for (let k = ranks.length - 1; k > 0; k--) {
    const other = shared.integer(k + 1);
    [ranks[k], ranks[other]] = [ranks[other] as number, ranks[k] as number];
  }
  return Int32Array.from(ranks, (rank) => ranked[rank] as number);
}

const SHARED_ORDER = 0x0dd5;
