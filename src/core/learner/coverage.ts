import { buildLadder, demandOf } from '@/core/breakdown';
import { estimateElement, weighElement } from '@/core/evidence';
import { asId, type ElementId, mixSeed, must, seeded } from '@/core/shared';
import { dogFromPrior, naiveInterval, type StudyPlan, strain, trainKnown, trueChance, trueReach } from './known-dogs';

/** How often the 80 % interval held the truth, how wide it was, and how far its middle lay off on average. */
export type Coverage = { readonly covered: number; readonly width: number; readonly bias: number };
export type ElementCoverage = {
  readonly dogs: number;
  readonly clean: Coverage;
  readonly reach: Coverage;
  readonly naive: Coverage;
  /** Smallest and mean effective sample size of the draws. */
  readonly effective: { readonly least: number; readonly mean: number };
};

/**
 * Draws dogs from the priors, trains them by the plan and holds the estimates against the truth: the chance of a clean rep in the next session at the demand, averaged over
 * the true swing, and the reach on the first axis. No dog is left out. Same seed, same table.
 */
export function elementCoverage(plan: StudyPlan, dogs: number, seed: number): ElementCoverage {
  const [clean, reach, naive] = [tally(), tally(), tally()];
  const effective: number[] = [];
  const ladder = buildLadder({ axes: plan.axes });
  const at = demandOf(plan.axes);
  for (let i = 0; i < dogs; i++) {
    const random = seeded(mixSeed(seed, i));
    const dog = dogFromPrior(plan.axes, random);
    const trained = trainKnown(dog, plan, `d${i}`, random);
    const { posterior } = must(weighElement({ id: asId<ElementId>(`e${seed}-${i}`), axes: plan.axes, reps: trained.reps }, trained.today));
    const estimate = must(estimateElement(plan.axes, posterior, at, trained.here));
    const truth = trueChance(trained.levelNow - strain(dog, plan.axes, at, 'either'), plan.swing);
    clean.add(truth, estimate.clean);
    const [first] = estimate.reach;
    if (first) reach.add(trueReach(dog, trained, plan.axes, ladder, plan.swing), first);
    naive.add(truth, { ...naiveInterval(trained.reps), mid: 0 });
    effective.push(posterior.effective);
  }
  return {
    dogs,
    clean: clean.result(),
    reach: reach.result(),
    naive: naive.result(),
    effective: { least: Math.min(...effective), mean: effective.reduce((a, b) => a + b, 0) / dogs },
  };
}

/** Counts hits, widths and misses of a middle. */
export function tally(): {
  readonly add: (truth: number, interval: { readonly low: number; readonly mid: number; readonly high: number }) => void;
  readonly result: () => Coverage;
} {
  let [count, hits, width, off] = [0, 0, 0, 0];
  return {
    add: (truth, { low, mid, high }) => {
      count += 1;
      hits += truth >= low && truth <= high ? 1 : 0;
      width += high - low;
      off += mid - truth;
    },
    result: () => ({ covered: hits / count, width: width / count, bias: off / count }),
  };
}
