import { fitElement, type Interval, predictorOf, swingAt } from '@/core/evidence';
import { type ElementId, fail, ok, type Result, type Steps, say } from '@/core/shared';
import { mean, meanLogistic } from '@/core/statistics';
import { type Assumptions, trialOf } from './assumptions';
import type { ClassEvidence } from './class-evidence';
import { drawn, type FitWith, fitClass } from './fit-class';
import { passOf } from './forecast';
import type { TrialElement } from './posterior';
import { share } from './share';
import { simulateTrials } from './simulate';
import { FULL_SIZE, type SimulationSize } from './trial-class';

/** Logits by which one element is moved in "what if", evenly from one end to the other. */
const WHAT_IF = [-2, -1.5, -1, -0.5, 0, 0.5, 1, 1.5, 2, 2.5, 3] as const;

/** What the chance of passing would be with one element worse or better, at each of `WHAT_IF`. */
export type WhatIf = {
  readonly element: ElementId;
  readonly points: readonly { readonly lift: number; readonly clean: number; readonly pass: Interval }[];
};

/**
 * The chance of passing for each of `WHAT_IF` on one element, all else as it is and with the same
 * random numbers, so that the curve never goes down by luck. By as many runs as the
 * forecast: in the middle it is the forecast. `clean` is the element's chance at the trial. Fails as `assessClass` does, and with `incomplete` for an element that the
 * class does not use.
 */
export function* whatIf(
  input: ClassEvidence,
  assumptions: Assumptions,
  seed: number,
  element: ElementId,
  fit: FitWith = fitElement,
  size: SimulationSize = FULL_SIZE,
): Steps<Result<WhatIf>> {
  const fitted = yield* share(fitClass(input, assumptions, fit), 0, 0.3);
  if (!fitted.ok) return fitted;
  const trial = drawn(fitted.value, size.groups);
  const elements = trial.exercises.flatMap((exercise) => exercise.elements);
  const [one] = elements.filter(({ id }) => id === element);
  if (!one) return fail('incomplete', element, say('readiness.assess.this-class-does-not-use-that'));
  const points: WhatIf['points'][number][] = [];
  for (const [i, lift] of WHAT_IF.entries()) {
    const lifts = elements.map(({ id }) => (id === element ? lift : 0));
    const pass = passOf(
      simulateTrials(trial, { ...assumptions, ceiling: 0.999 }, seed, size, { lift: lifts }),
    );
    points.push({ lift, clean: trialChance(one, assumptions, lift), pass });
    yield 0.3 + (0.7 * (i + 1)) / WHAT_IF.length;
  }
  return ok({ element, points });
}

/**
 * The chance of a clean rep at the trial with so many logits more, averaged over draws and swings.
 */
function trialChance({ posterior, target }: TrialElement, assumptions: Assumptions, lift: number): number {
  const chances = Array.from({ length: posterior.count }, (_, i) =>
    meanLogistic(
      predictorOf(posterior, i, target, trialOf(assumptions, posterior)) + lift,
      swingAt(posterior, i) ** 2,
    ),
  );
  return mean(chances);
}
