import { expect, it } from 'vitest';
import { axisScale, buildLadder, type HandRung, type Ladder, type LadderPlan } from '@/core/breakdown';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { DEFAULT_PACE, USUAL_RULES } from '@/core/coaching';
import { type Skill, USUAL_SCHEDULE, USUAL_TEMPERAMENT } from '@/core/learner';
import { type Climb, climb } from '@/core/learner/climb';
import { must, seeded } from '@/core/shared';
import { mean, quantile } from '@/core/statistics';

const DOGS = 600;
const distance = testAxis({ step: 0.35, limit: 0.6, demand: 25 });
const latency = testAxis({
  key: 'latency',
  title: 'Latency',
  quantity: 'latency',
  unit: 's',
  harder: 'less',
  start: 4,
  demand: 2,
  step: 0.3,
  limit: 0.5,
});
const delay = testAxis({
  key: 'delay',
  title: 'Delay',
  quantity: 'duration',
  unit: 's',
  start: 1,
  demand: 10,
  step: 0.6,
  limit: 1,
});
const axes = [distance, latency, delay];

/** All axes raised together, in as many rungs as the longest of them needs alone. */
function together(rungs: number): HandRung[] {
  const at = (t: number) =>
    Object.fromEntries(axes.map((axis) => [axis.key, must(axisScale(axis)).value(t)]));
  return Array.from({ length: rungs }, (_, i) => ({ criteria: at(i / (rungs - 1)), eases: [] }));
}

/**
 * Skills as the evidence model's prior has them: level N(1.4, 1.2²), slopes log-normal about 3
 * logits in all.
 */
function skillOf(seed: number): Skill {
  const random = seeded(seed);
  return {
    level: 1.4 + 1.2 * random.normal(),
    slopes: axes.map(() => Math.exp(Math.log(3 / axes.length) + 0.6 * random.normal())),
  };
}

const plans: readonly (readonly [string, LadderPlan])[] = [
  ['one axis at a time', { axes }],
  ['in turn', { axes, ladderRule: 'round-robin' }],
  ['all at once, 7 rungs', { axes, ladderRule: 'by-hand', byHand: together(7) }],
  ['all at once, 4 rungs', { axes, ladderRule: 'by-hand', byHand: together(4) }],
];

function study(ladder: Ladder): Climb[] {
  const policy = { rule: USUAL_RULES.run, pace: DEFAULT_PACE };
  return Array.from({ length: DOGS }, (_, dog) =>
    climb(skillOf(dog), USUAL_TEMPERAMENT, ladder, policy, USUAL_SCHEDULE, seeded(dog + 10_000)),
  );
}

it('one axis at a time against all at once', () => {
  const rows = plans.map(([name, plan]) => {
    const ladder = buildLadder(plan);
    const climbs = study(ladder);
    const there = climbs.filter((one) => one.arrived);
    return {
      ladder: name,
      rungs: ladder.rungs.length,
      'arrived %': Math.round((100 * there.length) / DOGS),
      sessions: quantile(
        there.map((one) => one.sessions),
        0.5,
      ),
      reps: quantile(
        there.map((one) => one.reps),
        0.5,
      ),
      'misses per 100 reps': Number((100 * mean(climbs.map((one) => one.misses / one.reps))).toFixed(1)),
      'sure at the end %': Math.round(100 * mean(there.map((one) => one.sure))),
    };
  });
  console.table(rows);
  const [apart, , , leap] = rows;
  expect(apart && leap && apart['misses per 100 reps'] < leap['misses per 100 reps']).toBe(true);
});
