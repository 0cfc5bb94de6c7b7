import {
  DRAW,
  EVIDENCE,
  type FaultCounts,
  type Posterior,
  predictorOf,
  type Summary,
  swingAt,
  type Target,
} from '@/core/evidence';
import { type FaultStep, faultText, isChargedAs } from '@/core/rulebooks';
import { type ElementId, mixSeed, type PartKey, type Random, seeded } from '@/core/shared';
import { drawBeta, drawDirichlet } from '@/core/statistics';
import type { Assumptions } from './assumptions';

/**
 * One element as a class asks it: what the reps say, and where the demand lies on the axes that the
 * fit knows.
 */
export type TrialElement = {
  readonly id: ElementId;
  readonly part: PartKey;
  readonly posterior: Posterior;
  /** The rule book's demand; a signed axis at the dog's weaker side. */
  readonly target: Target;
  readonly summary: Summary;
  /**
   * Shares of the bands of measured faults, by `faultText`; an empty map where nothing was measured.
   */
  readonly measured: ReadonlyMap<string, number>;
};

/**
 * One posterior draw of an element, ready to run: the logit of a clean rep in its average session,
 * its swing, and who gets which fault.
 */
export type DrawnElement = {
  readonly eta: number;
  readonly tau: number;
  /** Logits that a session more would add. */
  readonly gain: number;
  /** A standard normal for how it drifts in days to come. */
  readonly drift: number;
  /**
   * Options of the exercise by index, with cumulative shares for choosing one by a uniform number.
   */
  readonly dog: Choice;
  readonly handler: Choice;
  readonly handlerRate: number;
};
export type Choice = { readonly steps: Int32Array; readonly upTo: Float64Array };

/** What does not change from draw to draw: which steps can happen, and with what weights. */
export type DrawPlan = {
  readonly element: TrialElement;
  /** The draw that each group takes. */
  readonly order: Int32Array;
  readonly dog: Weighted;
  readonly handler: Weighted;
  /** Weights of the Beta distribution of a slip; null where the handler cannot slip. */
  readonly slips: { readonly happened: number; readonly not: number } | null;
};
type Weighted = { readonly steps: Int32Array; readonly weights: readonly number[] };

/**
 * Plans the draws of one element for `groups` of simulated trials: the posterior draw that each
 * takes, the faults of dog and handler by weight of the counts, and the handler's rate of slips,
 * Beta with the assumption's weight. Never fails; the same seed gives the same plan. A rate of
 * .025 with weight 16 and no reps → Beta(0.4, 15.6).
 */
export function planDraws(
  element: TrialElement,
  steps: readonly FaultStep[],
  assumptions: Assumptions,
  groups: number,
  seed: number,
): DrawPlan {
  const { summary, part, measured } = element;
  const dog = bySize(
    steps,
    weigh(steps, summary.faults, (step) => step.by === 'dog' && step.part === part),
    measured,
  );
  const handler = weigh(
    steps,
    summary.handlerFaults,
    (step) => step.by === 'handler' && (step.part === null || step.part === part),
  );
  const slips = Object.values(summary.handlerFaults).reduce((sum, { count }) => sum + count, 0);
  const { handlerRate, handlerWeight } = assumptions;
  const never = handler.steps.length === 0 || handlerRate === 0;
  const kept = (1 - handlerRate) * handlerWeight + summary.counted + summary.notCounted - slips;
  return {
    element,
    order: coupledOrder(element.posterior, groups, seed),
    dog,
    handler,
    slips: never ? null : { happened: handlerRate * handlerWeight + slips, not: kept },
  };
}

/**
 * Within a measured fault its bands share the weight as they were measured; how heavy the fault is
 * among others stays.
 */
function bySize(
  steps: readonly FaultStep[],
  weighted: Weighted,
  measured: ReadonlyMap<string, number>,
): Weighted {
  if (measured.size === 0) return weighted;
  const of = (i: number): FaultStep | undefined => steps[weighted.steps[i] as number];
  const total = (fault: string): number =>
    weighted.weights.reduce((sum, weight, i) => sum + (of(i)?.ref.key === fault ? weight : 0), 0);
  return {
    steps: weighted.steps,
    weights: weighted.weights.map((weight, i) => {
      const step = of(i);
      const share = step && measured.get(faultText(step.ref));
      return step && share !== undefined ? Math.max(LEAST_WEIGHT, total(step.ref.key) * share) : weight;
    }),
  };
}

/** A Dirichlet has no weight of 0: a band that was never near still gets this much. */
const LEAST_WEIGHT = 0.01;

function weigh(
  steps: readonly FaultStep[],
  counts: FaultCounts,
  wanted: (step: FaultStep) => boolean,
): Weighted {
  const which = steps.flatMap((step, i) => (wanted(step) ? [i] : []));
  return {
    steps: Int32Array.from(which),
    weights: which.map((o) => EVIDENCE.faultPrior / which.length + timesOf(counts, steps[o] as FaultStep)),
  };
}

/** How often a fault was logged that this step charges. */
const timesOf = (counts: FaultCounts, step: FaultStep): number =>
  Object.values(counts).reduce(
    (sum, { fault, count }) => (fault !== null && isChargedAs(fault, step.ref) ? sum + count : sum),
    0,
  );

/**
 * The draw that each group takes: ranked by what a cold start in a strange place costs, and the
 * ranks dealt to the groups in one order that all elements share. A dog that is bad away is bad
 * away everywhere; the rest of a draw keeps company with its place as the reps have it (rank
 * coupling, Iman & Conover 1982).
 */
function coupledOrder({ draws, width, count }: Posterior, groups: number, seed: number): Int32Array {
  const cost = (i: number): number =>
    (draws[i * width + DRAW.away] as number) + (draws[i * width + DRAW.cold] as number);
  const ranked = Array.from({ length: count }, (_, i) => i).sort((a, b) => cost(a) - cost(b) || a - b);
  const shared = seeded(mixSeed(seed, SHARED_ORDER));
  const ranks = Array.from({ length: groups }, (_, g) => Math.floor(((g + 0.5) / groups) * count));
  for (let k = ranks.length - 1; k > 0; k--) {
    const other = shared.integer(k + 1);
    [ranks[k], ranks[other]] = [ranks[other] as number, ranks[k] as number];
  }
  return Int32Array.from(ranks, (rank) => ranked[rank] as number);
}

const SHARED_ORDER = 0x0dd5;

/** Draws an element for one group of runs. */
export function drawElement(plan: DrawPlan, group: number, seed: number): DrawnElement {
  // A stream of its own for each element and group: rejection in the gamma draws must not shift
  // another element's numbers.
  const random = seeded(seed);
  const { posterior, target } = plan.element;
  const draw = plan.order[group] as number;
  return {
    eta: predictorOf(posterior, draw, target, 1, 1),
    tau: swingAt(posterior, draw),
    gain: posterior.draws[draw * posterior.width + DRAW.gain] as number,
    handlerRate: plan.slips ? drawBeta(random, plan.slips.happened, plan.slips.not) : 0,
    dog: drawChoice(plan.dog, random),
    handler: drawChoice(plan.handler, random),
    drift: random.normal(),
  };
}

function drawChoice({ steps, weights }: Weighted, random: Random): Choice {
  if (steps.length === 0) return { steps, upTo: new Float64Array(0) };
  let sum = 0;
  const upTo = Float64Array.from(drawDirichlet(random, weights), (share) => {
    sum += share;
    return sum;
  });
  return { steps, upTo };
}

/** The step that a uniform number picks; −1 where there is none to pick. */
export function choose(choice: Choice, uniform: number): number {
  const last = choice.steps.length - 1;
  for (let i = 0; i < last; i++) if (uniform < (choice.upTo[i] as number)) return choice.steps[i] as number;
  return last < 0 ? -1 : (choice.steps[last] as number);
}
