import { DRAW, predictorOf, swingAt } from '@/core/evidence';
import { type Random, seeded } from '@/core/shared';
import { drawBeta, drawDirichlet } from '@/core/statistics';
import { type Choice, choiceOf, drawChoice } from './choice';
import type { DrawPlan, Happening, Rate } from './posterior';

/**
 * One posterior draw of an element, ready to run: the logit of a clean rep in its average session at
 * the trial and at home, its swing, and how often what is charged.
 */
export type DrawnElement = {
  readonly eta: number;
  readonly home: number;
  readonly tau: number;
  /** Logits that a session more would add. */
  readonly gain: number;
  /** A standard normal for how it drifts in days to come. */
  readonly drift: number;
  /** The draw it is, for what days without a session take off it. */
  readonly draw: number;
  /** What it is where a go is not clean, and the chance of a second fault, a third … */
  readonly fault: Choice;
  readonly further: Float64Array;
  /** What is charged although a go is clean, since clean reps only noted it: each by itself, so often. */
  readonly noted: { readonly steps: Int32Array; readonly rates: Float64Array };
  /** The handler's own faults, and extra cues by their number. */
  readonly slip: Chance;
  readonly cues: Chance;
};
/** Something that happens so often, and then one of these. */
export type Chance = { readonly rate: number; readonly what: Choice };

/** Draws an element for one group of runs. */
export function drawElement(plan: DrawPlan, group: number, seed: number): DrawnElement {
  // A stream of its own for each element and group: rejection in the gamma draws must not shift
  // another element's numbers.
  const random = seeded(seed);
  const { posterior, target } = plan.element;
  const draw = plan.order[group] as number;
  return {
    eta: predictorOf(posterior, draw, target, plan.when),
    home: predictorOf(posterior, draw, target, plan.home),
    tau: swingAt(posterior, draw),
    gain: posterior.draws[draw * posterior.width + DRAW.gain] as number,
    slip: drawChance(plan.slip, random),
    fault: drawChoice(plan.fault, random),
    drift: random.normal(),
    draw,
    further: Float64Array.from(plan.further, (rate) => drawRate(rate, random)),
    noted: {
      steps: Int32Array.from(plan.noted, (one) => one.step),
      rates: Float64Array.from(plan.noted, (one) => drawRate(one.rate, random)),
    },
    cues: drawChance(plan.cues, random),
  };
}

const drawRate = (rate: Rate, random: Random): number =>
  rate ? drawBeta(random, rate.happened, rate.not) : 0;

function drawChance({ rate, what }: Happening, random: Random): Chance {
  return {
    rate: drawRate(rate, random),
    what: what.steps.length === 0 ? NO_CHOICE : choiceOf(what.steps, drawDirichlet(random, what.weights)),
  };
}
const NO_CHOICE = choiceOf(new Int32Array(0), []);
