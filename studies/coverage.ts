import { demandOf } from '@/core/breakdown';
import { summarise, targetAt, weighElement } from '@/core/evidence';
import { estimateElement } from '@/core/evidence/estimate';
import { boutsOf } from '@/core/evidence/evidence.test-helper';
import { type Assumptions, DEFAULT_ASSUMPTIONS, type TrialClass, type TrialElement } from '@/core/readiness';
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
    if (first) reach.add(trueReach(dog, trained, plan.axes, plan.swing), first);
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
/** Draws of each element of a class, as a forecast takes them. */
const DRAWS = 400;

/** Who runs the trial, and whether it pays there. */
export type Asked = { readonly handler: 'usual' | 'another'; readonly paid: boolean };
export const PLAIN: Asked = { handler: 'usual', paid: true };

/**
 * The same for the chance of passing a small class: what place, first try, handler and pay cost is alike on
 * all four elements, everything else is drawn for each. Truth is summed, not simulated.
 */
export function passCoverage(plan: StudyPlan, dogs: number, seed: number, asked: Asked = PLAIN): Coverage {
  const found = tally();
  for (let i = 0; i < dogs; i++) {
    const { truth, said } = passOf(plan, i, seed, asked);
    found.add(truth, said);
  }
  return found.result();
}

/** What is said of one dog's chance of passing, and the truth. */
export function passOf(
  plan: StudyPlan,
  i: number,
  seed: number,
  asked: Asked = PLAIN,
): {
  readonly truth: number;
  readonly said: { readonly low: number; readonly mid: number; readonly high: number };
} {
  const assumptions: Assumptions = {
    ...DEFAULT_ASSUMPTIONS,
    handlerRate: 0,
    asked: { ...asked, kit: 'usual' },
  };
  const random = seeded(mixSeed(seed, i));
  const shared = dogFromPrior(plan.axes, random);
  const elements: TrialElement[] = [];
  const etas: number[] = [];
  for (const [k, part] of [...PARTS, ...PARTS].entries()) {
    const { away, cold, handler, unpaid } = shared;
    const own = dogFromPrior(plan.axes, random);
    const talent = plan.alike ? shared : own;
    const gain = talent.gain + plan.faster;
    const dog: KnownDog = { ...talent, gain, away, cold, handler, unpaid };
    const trained = trainKnown(dog, plan, `d${i}-${k}`, random);
    const id = asId<ElementId>(`e${seed}-${i}-${k}`);
    const target = must(targetAt(plan.axes, demandOf(plan.axes), 'either'));
    const evidence = { id, axes: plan.axes, bouts: boutsOf(trained.reps) };
    const { posterior } = must(weighElement(evidence, trained.today, undefined, DRAWS, 3 * DRAWS));
    const summary = must(summarise([], trained.today));
    elements.push({ id, part, target, times: 1, measured: [], posterior, summary });
    etas.push(
      trained.levelNow -
        strain(dog, plan.axes, demandOf(plan.axes), 'either') +
        away +
        cold +
        (asked.handler === 'another' ? handler : 0) +
        (asked.paid ? 0 : unpaid),
    );
  }
  const trial = classOf(elements);
  const runs = simulateTrials(trial, assumptions, mixSeed(seed, i), SIZE);
  const estimate = forecastOf(trial, runs, [[], []]).pass;
  return {
    truth: truePass(etas, plan.swing, assumptions),
    // To the tenth of a percent, outwards, as chances are shown.
    said: {
      ...estimate,
      low: Math.floor(estimate.low * 1000) / 1000,
      high: Math.ceil(estimate.high * 1000) / 1000,
    },
  };
}

/** At most one of four may fail, on a day that moves all together by √ρ τ and nerves. */
function truePass(etas: readonly number[], tau: number, { sharedDay, nervesSd }: Assumptions): number {
  const common = Math.hypot(Math.sqrt(sharedDay) * tau, nervesSd);
  const own = Math.sqrt(1 - sharedDay) * tau;
  let [sum, all] = [0, 0];
  for (let z = -5; z <= 5; z += 0.1) {
    const density = Math.exp(-0.5 * z * z);
    const chances = etas.map((eta) => trueChance(eta + common * z, own));
    const none = chances.reduce((product, p) => product * p, 1);
    const one = chances.reduce((total, p) => total + (none / p) * (1 - p), 0);
    sum += density * (none + one);
    all += density;
  }
  return sum / all;
}

const classOf = (elements: readonly TrialElement[]): TrialClass => ({
  rules: RULES,
  exercises: EXERCISES.map((exercise, e) => ({ exercise, elements: elements.slice(2 * e, 2 * e + 2) })),
});

/** Counts hits, widths and misses of a middle. */
export function tally(): {
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
