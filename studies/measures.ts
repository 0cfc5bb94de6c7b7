import { demandOf } from '@/core/breakdown';
import { assessElement, type Deviation } from '@/core/evidence';
import { boutsOf } from '@/core/evidence/evidence.test-helper';
import { lastingOf } from '@/core/evidence/holding';
import { quicknessOf } from '@/core/evidence/latency';
import { precisionOf } from '@/core/evidence/precision';
import { asId, type ElementId, mixSeed, must, type Random, seeded } from '@/core/shared';
import { type Coverage, tally } from './coverage';
import { dogFromPrior, type KnownDog, type StudyPlan, trainKnown } from './known-dogs';

/** So many sessions, every three days, of so many reps each; weighed by age as reps are. */
type Shape = { readonly sessions: number; readonly reps: number };
const weightOf = ({ sessions }: Shape, s: number): number => 2 ** (-(3 * (sessions - 1 - s)) / 21);
const sessionsOf = <T>(shape: Shape, random: Random, sway: number, one: (own: number) => T) =>
  Array.from({ length: shape.sessions }, (_, s) => {
    const own = sway * random.normal();
    return { weight: weightOf(shape, s), values: Array.from({ length: shape.reps }, () => one(own)) };
  });

/** The mean of f over a sway of that SD, by a fine sum. */
function overSway(sway: number, f: (own: number) => number): number {
  let [sum, all] = [0, 0];
  for (let z = -6; z <= 6; z += 0.05) {
    const density = Math.exp(-0.5 * z * z);
    sum += density * f(sway * z);
    all += density;
  }
  return sum / all;
}

/** Φ by a sum of its density: nothing of the estimate's. */
function below(x: number): number {
  let sum = 0;
  for (let z = -9; z < x; z += 0.002) sum += Math.exp(-0.5 * z * z) * 0.002;
  return sum / Math.sqrt(2 * Math.PI);
}

/** The middle answer and the chance to be in time, of answers with a session's sway. */
export function quicknessCoverage(dogs: number, seed: number, shape: Shape): readonly [Coverage, Coverage] {
  const [median, within] = [tally(), tally()];
  for (let i = 0; i < dogs; i++) {
    const random = seeded(mixSeed(seed, i));
    const [mu, sd, sway] = [0.3 + 0.5 * random.normal(), 0.35 * Math.exp(0.3 * random.normal()), 0.2];
    const limit = 2;
    const found = quicknessOf(
      sessionsOf(shape, random, sway, (own) => {
        const seconds = Math.exp(mu + own + sd * random.normal());
        return seconds > limit ? { seconds: limit, came: false } : { seconds, came: true };
      }),
      limit,
    );
    if (!found) continue;
    median.add(Math.exp(mu), found.median);
    within.add(below((Math.log(limit) - mu) / Math.hypot(sd, sway)), found.within);
  }
  return [median.result(), within.result()];
}

/** Bias and spread, measured or by eye. */
export function precisionCoverage(
  dogs: number,
  seed: number,
  shape: Shape,
  byEye: boolean,
): readonly [Coverage, Coverage] {
  const [bias, spread] = [tally(), tally()];
  for (let i = 0; i < dogs; i++) {
    const random = seeded(mixSeed(seed, i));
    const [middle, sd] = [6 * random.normal(), 7 * Math.exp(0.5 * random.normal())];
    const sway = 3 * Math.exp(0.4 * random.normal());
    const found = precisionOf(
      sessionsOf(shape, random, sway, (own): Deviation => {
        const off = middle + own + sd * random.normal();
        if (!byEye) return { from: off, to: off };
        const side = Math.abs(off);
        if (side <= 5) return { from: -5, to: 5 };
        const [from, to] = side <= 15 ? [5, 15] : [15, Number.POSITIVE_INFINITY];
        return off > 0 ? { from, to } : { from: -to, to: -from };
      }),
      [5, 15],
    );
    if (!found) continue;
    bias.add(middle, found.bias);
    spread.add(Math.hypot(sd, sway), found.spread);
  }
  return [bias.result(), spread.result()];
}

/** The chance to last the demand, most holds ended by the handler. */
export function holdingCoverage(dogs: number, seed: number, shape: Shape): Coverage {
  const lasts = tally();
  const demand = 30;
  for (let i = 0; i < dogs; i++) {
    const random = seeded(mixSeed(seed, i));
    const [scale, k, sway] = [
      Math.log(demand) + 0.7 * random.normal(),
      Math.exp(0.2 + 0.3 * random.normal()),
      0.2,
    ];
    const found = lastingOf(
      sessionsOf(shape, random, sway, (own) => {
        const seconds = Math.exp(scale + own) * (-Math.log(random.uniform())) ** (1 / k);
        const asked = demand * (0.3 + 0.7 * random.uniform());
        return seconds > asked
          ? { seconds: asked, endedBy: 'handler' as const }
          : { seconds, endedBy: 'dog' as const };
      }),
      demand,
    );
    if (!found) continue;
    const truth = overSway(sway, (own) => Math.exp(-(Math.exp(Math.log(demand) - scale - own) ** k)));
    lasts.add(truth, found.lasts);
  }
  return lasts.result();
}

/** Of dogs that learn so much a session, how many are told to be at a wall. */
export function wallsSaid(plan: StudyPlan, gain: number, dogs: number, seed: number): number {
  return (
    saidOf(plan, dogs, seed, (dog) => ({ ...dog, gain })).filter(({ wall }) => wall !== null).length / dogs
  );
}

/** Dogs that never forget: what thirty days are thought to take, and of how many a half-life is shown. */
export function neverForgetting(
  plan: StudyPlan,
  dogs: number,
  seed: number,
): { readonly loss: number; readonly halfLives: number } {
  const keeping = saidOf(plan, dogs, seed, (dog) => ({ ...dog, loss: 0 })).map(
    ({ estimate }) => estimate.keeping,
  );
  const losses = keeping.map((one) => one.loss).sort((a, b) => a - b);
  return {
    loss: losses[Math.floor(dogs / 2)] as number,
    halfLives: keeping.filter((one) => one.halfLife !== null).length,
  };
}

function saidOf(plan: StudyPlan, dogs: number, seed: number, change: (dog: KnownDog) => KnownDog) {
  return Array.from({ length: dogs }, (_, i) => {
    const random = seeded(mixSeed(seed, i));
    const dog = change(dogFromPrior(plan.axes, random));
    const { reps, today, here } = trainKnown(dog, plan, `d${i}`, random);
    const id = asId<ElementId>(`w${seed}-${i}`);
    return must(
      assessElement({ id, axes: plan.axes, bouts: boutsOf(reps), at: demandOf(plan.axes), here }, today),
    );
  });
}
