import { EVIDENCE, type Fit, parametersAt, predictor, type Summary } from '@/core/evidence';
import type { FaultOption } from '@/core/rulebooks';
import { type ElementId, type ElementKey, type Random, seeded } from '@/core/shared';
import { drawBeta, drawDirichlet } from '@/core/statistics';
import type { Assumptions } from './assumptions';

/** One element as a class asks it: what the reps say, and where the demand lies on the axes that the fit knows. */
export type TrialElement = {
  readonly id: ElementId;
  readonly part: ElementKey;
  readonly fit: Fit;
  /** Difficulty of the rule book's demand on each axis. */
  readonly x: readonly number[];
  readonly summary: Summary;
};

/** One posterior draw of an element, ready to run: the logit of a clean rep on the day, and who gets which fault. */
export type DrawnElement = {
  readonly eta: number;
  /** Options of the exercise by index, with cumulative shares for choosing one by a uniform number. */
  readonly dog: Choice;
  readonly handler: Choice;
  readonly handlerRate: number;
};
export type Choice = { readonly options: Int32Array; readonly upTo: Float64Array };

/** What does not change from draw to draw: which options can happen, and with what weights. */
export type DrawPlan = {
  readonly element: TrialElement;
  readonly dog: Weighted;
  readonly handler: Weighted;
  /** Weights of the Beta distribution of a slip; null where the handler cannot slip. */
  readonly slips: { readonly happened: number; readonly not: number } | null;
};
type Weighted = { readonly options: Int32Array; readonly weights: readonly number[] };

export function planDraws(element: TrialElement, options: readonly FaultOption[], assumptions: Assumptions): DrawPlan {
  const { summary, part } = element;
  const dog = weigh(options, summary.faults, (option) => option.by === 'dog' && option.element === part);
  const handler = weigh(options, summary.handlerFaults, (option) => option.by === 'handler' && (option.element === null || option.element === part));
  const slips = Object.values(summary.handlerFaults).reduce((sum, count) => sum + count, 0);
  const { handlerRate, handlerWeight } = assumptions;
  const never = handler.options.length === 0 || handlerRate === 0;
  const kept = (1 - handlerRate) * handlerWeight + summary.counted + summary.notCounted - slips;
  return { element, dog, handler, slips: never ? null : { happened: handlerRate * handlerWeight + slips, not: kept } };
}

function weigh(options: readonly FaultOption[], counts: Readonly<Record<string, number>>, wanted: (option: FaultOption) => boolean): Weighted {
  const which = options.flatMap((option, i) => (wanted(option) ? [i] : []));
  return { options: Int32Array.from(which), weights: which.map((o) => EVIDENCE.faultPrior / which.length + (counts[options[o]?.key ?? ''] ?? 0)) };
}

/** Draws an element for one group of runs. `shared` are the two normals of place and cold, common to all elements. */
export function drawElement(plan: DrawPlan, shared: readonly [number, number], seed: number): DrawnElement {
  // A stream of its own for each element and group: rejection in the gamma draws must not shift another element's numbers.
  const random = seeded(seed);
  const { fit, x } = plan.element;
  const z = fit.mode.map((_, i) => (i < 2 ? (shared[i] as number) : random.normal()));
  return {
    eta: predictor(parametersAt(fit, z), x, 1, 1),
    handlerRate: plan.slips ? drawBeta(random, plan.slips.happened, plan.slips.not) : 0,
    dog: drawChoice(plan.dog, random),
    handler: drawChoice(plan.handler, random),
  };
}

function drawChoice({ options, weights }: Weighted, random: Random): Choice {
  if (options.length === 0) return { options, upTo: new Float64Array(0) };
  let sum = 0;
  const upTo = Float64Array.from(drawDirichlet(random, weights), (share) => {
    sum += share;
    return sum;
  });
  return { options, upTo };
}

/** The option that a uniform number picks; −1 where there is none to pick. */
export function choose(choice: Choice, uniform: number): number {
  const last = choice.options.length - 1;
  for (let i = 0; i < last; i++) if (uniform < (choice.upTo[i] as number)) return choice.options[i] as number;
  return last < 0 ? -1 : (choice.options[last] as number);
}
