import { buildLadder, demandOf } from '@/core/breakdown';
import { type Posterior, summarise, targetAt, weighElement } from '@/core/evidence';
import { estimateElement } from '@/core/evidence/estimate';
import { boutsOf } from '@/core/evidence/evidence.test-helper';
import { DEFAULT_ASSUMPTIONS, type TrialClass, type TrialElement } from '@/core/readiness';
import { forecastOf } from '@/core/readiness/forecast';
import { simulateTrials } from '@/core/readiness/simulate';
import { prepareRules } from '@/core/rulebooks';
import {
  asId,
  type ElementId,
  type ExerciseKey,
  type FaultKey,
  mixSeed,
  must,
  type PartKey,
  seeded,
} from '@/core/shared';
import {
  dogFromPrior,
  type KnownDog,
  naiveInterval,
  type StudyPlan,
  strain,
  trainKnown,
  trueChance,
  trueReach,
} from './known-dogs';

/**
 * How often the 80 % interval held the truth, how wide it was, and how far its middle lay off on
 * average.
 */
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
 * Draws dogs from the priors, trains them by the plan and holds the estimates against the truth:
 * the chance of a clean rep in the next session at the demand, averaged over the true swing, and
 * the reach on the first axis. No dog is left out. Same seed, same table.
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
    const { posterior } = must(
      weighElement(
        { id: asId<ElementId>(`e${seed}-${i}`), axes: plan.axes, bouts: boutsOf(trained.reps) },
        trained.today,
      ),
    );
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

/**
 * The class of the study: two exercises of two elements, 10 points each, 4 lost for each that is
 * not clean, 14 to pass; so that one failure is forgiven and two are not.
 */
const PARTS = ['a', 'b'].map((name) => asId<PartKey>(name));
const EXERCISES = ['one', 'two'].map((name) => asId<ExerciseKey>(name));
const RULES = prepareRules({
  rules: {
    family: 'points-off',
    smallestPoint: 1,
    awards: [],
    pass: [{ kind: 'total', atLeast: 14 }],
    exercises: EXERCISES.map((exercise) => ({
      exercise,
      maximum: 10,
      faults: PARTS.map((part) => ({
        id: asId<FaultKey>(`f-${part}`),
        title: part,
        part,
        by: 'dog' as const,
        miss: true,
        stops: false,
        cost: { kind: 'each' as const, points: 4 },
      })),
    })),
  },
  exercises: EXERCISES.map((id) => ({ id, title: id, text: id, parts: [] })),
});
const SIZE = { groups: 400, runs: 50 };
const ASSUMED = { ...DEFAULT_ASSUMPTIONS, handlerRate: 0 };

/**
 * The same for the chance of passing a small class: a dog's place and first try cost alike on all
 * four elements, everything else is drawn for each.
 */
export function passCoverage(plan: StudyPlan, dogs: number, seed: number): Coverage {
  const found = tally();
  for (let i = 0; i < dogs; i++) {
    const random = seeded(mixSeed(seed, i));
    const shared = dogFromPrior(plan.axes, random);
    const [truths, estimates]: [TrialElement[], TrialElement[]] = [[], []];
    for (const [k, part] of [...PARTS, ...PARTS].entries()) {
      const dog: KnownDog = { ...dogFromPrior(plan.axes, random), away: shared.away, cold: shared.cold };
      const trained = trainKnown(dog, plan, `d${i}-${k}`, random);
      const id = asId<ElementId>(`e${seed}-${i}-${k}`);
      const target = must(targetAt(plan.axes, demandOf(plan.axes), 'either'));
      const weighed = must(
        weighElement({ id, axes: plan.axes, bouts: boutsOf(trained.reps) }, trained.today),
      );
      estimates.push({ id, part, target, times: 1, measured: [], ...weighed });
      truths.push({
        id,
        part,
        target,
        posterior: known(dog, trained.levelNow, plan.swing),
        times: 1,
        measured: [],
        summary: must(summarise([], trained.today)),
      });
    }
    const pass = (elements: readonly TrialElement[]) => {
      const trial = classOf(elements);
      return forecastOf(trial, simulateTrials(trial, ASSUMED, mixSeed(seed, i), SIZE), [[], []]).pass;
    };
    const estimate = pass(estimates);
    // To the tenth of a percent, outwards, as chances are shown: below that the truth is the dice
    // of its own 20,000 runs.
    found.add(pass(truths).mid, {
      ...estimate,
      low: Math.floor(estimate.low * 1000) / 1000,
      high: Math.ceil(estimate.high * 1000) / 1000,
    });
  }
  return found.result();
}

const classOf = (elements: readonly TrialElement[]): TrialClass => ({
  rules: RULES,
  exercises: EXERCISES.map((exercise, e) => ({ exercise, elements: elements.slice(2 * e, 2 * e + 2) })),
});

/** A posterior that knows: one draw, the truth. */
function known(dog: KnownDog, level: number, swing: number): Posterior {
  const row = [dog.away, dog.cold, level, dog.gain, ...dog.slopes.map(Math.log), swing];
  return { width: row.length, count: 1, draws: Float64Array.from(row), effective: 1, proposed: 1 };
}

/** Counts hits, widths and misses of a middle. */
function tally(): {
  readonly add: (
    truth: number,
    interval: { readonly low: number; readonly mid: number; readonly high: number },
  ) => void;
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
