import { predictorOf, swingAt } from '@/core/evidence';
import type { ElementId } from '@/core/shared';
import { meanLogistic } from '@/core/statistics';
import { type Assumptions, trialOf } from './assumptions';
import { coupledOrder } from './posterior';
import type { Runs, TrialClass } from './trial-class';

/** What one rehearsal rep of an element (as at the trial, at its demand) would tell. */
export type Proof = {
  readonly element: ElementId;
  /** The chance of passing as it would be thought of after a clean one, and after a miss. */
  readonly ifClean: number;
  readonly ifMissed: number;
  /**
   * What it is worth to know before entering, in shares of what a pass is worth: E[max(go, stay)] after it
   * less max(go, stay) before, where going costs `goFrom` of a pass.
   */
  readonly value: number;
};

/**
 * For each element, what a proof rep would change, from the draws at hand: a clean one is as likely in a
 * draw as the draw says, and the draws are weighed by it (a preposterior analysis, Raiffa & Schlaifer 1961).
 * Sorted by value, then by how far the two answers lie apart.
 */
export function proofsOf(input: TrialClass, runs: Runs, assumptions: Assumptions, seed: number): Proof[] {
  const seen = new Set<ElementId>();
  const { groups, runs: each } = runs.size;
  const shares = Array.from(runs.passesByGroup, (passes) => passes / each);
  const worth = (pass: number): number => Math.max(pass - assumptions.goFrom, 0);
  const proofs = input.exercises.flatMap((exercise) =>
    exercise.elements.flatMap((element): Proof[] => {
      if (seen.has(element.id)) return [];
      seen.add(element.id);
      const { posterior, target } = element;
      const when = trialOf(assumptions, posterior);
      const order = coupledOrder(posterior, when, groups, seed);
      let [clean, passClean, passMissed] = [0, 0, 0];
      for (let g = 0; g < groups; g++) {
        const draw = order[g] as number;
        const p = meanLogistic(predictorOf(posterior, draw, target, when), swingAt(posterior, draw) ** 2);
        clean += p / groups;
        passClean += (p * (shares[g] as number)) / groups;
        passMissed += ((1 - p) * (shares[g] as number)) / groups;
      }
      const [ifClean, ifMissed] = [passClean / clean, passMissed / (1 - clean)];
      const now = worth(passClean + passMissed);
      const value = clean * worth(ifClean) + (1 - clean) * worth(ifMissed) - now;
      return [{ element: element.id, ifClean, ifMissed, value: Math.max(0, value) }];
    }),
  );
  return proofs.sort((a, b) => b.value - a.value || b.ifClean - b.ifMissed - (a.ifClean - a.ifMissed));
}
