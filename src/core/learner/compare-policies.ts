import { buildLadder, checkLadder, type LadderPlan } from '@/core/breakdown';
import type { Policy, RuleKind } from '@/core/coaching';
import { columnsOf, DRAW, type ElementEvidence, type Posterior, weighElement } from '@/core/evidence';
import { type Day, fail, mixSeed, ok, type Result, type Steps, say, seeded } from '@/core/shared';
import { quantile } from '@/core/statistics';
import { type Climb, climb, type Schedule } from './climb';
import type { Skill, Temperament } from './simulated-dog';

/**
 * What the comparison takes for granted about a dog besides what its reps say: nobody can read
 * these off a log. Logits, per rep or day. They are the middle of what the evidence model takes for
 * likely (day to day spread), and guesses elsewhere; the page says so.
 */
export const USUAL_TEMPERAMENT: Temperament = {
  daySd: 0.5,
  away: -0.5,
  cold: -0.3,
  learning: 0.03,
  forgetting: 0.012,
  fatigue: 0.08,
  dismay: 0.1,
  rightward: 0,
};
export const USUAL_SCHEDULE: Schedule = { everyDays: 3, repsPerSession: 12, mostSessions: 60 };

export type PolicyQuestion = {
  readonly evidence: ElementEvidence;
  readonly plan: LadderPlan;
  readonly policies: readonly Policy[];
  readonly temperament: Temperament;
  readonly schedule: Schedule;
  readonly today: Day;
  readonly runs: number;
  readonly seed: number;
};

/** Low, middle and high of the climbs: 10 %, 50 % and 90 % of them lie below. */
export type Spread = {
  readonly low: number;
  readonly mid: number;
  readonly high: number;
  readonly values: readonly number[];
};
export type PolicyOutcome = {
  readonly kind: RuleKind;
  /**
   * Share of dogs that arrived before the climb was given up; sessions, reps and misses are of
   * those.
   */
  readonly arrived: number;
  readonly sessions: Spread | null;
  readonly reps: Spread | null;
  readonly misses: Spread | null;
  /** True chance of a clean rep at the demand when the policy called it done. */
  readonly sure: Spread | null;
};

/**
 * Rules whose next rung a clean rate can decide in a model; the others turn on drive, grades,
 * silence or the person.
 */
const COMPARABLE: ReadonlySet<RuleKind> = new Set([
  'run',
  'block',
  'sequential',
  'stretch',
  'single-presentation',
  'strength',
] as const);

/**
 * Whether a simulated dog can be trained by this kind of rule: 'run' → true; 'feel' → false, since
 * the person decides.
 */
export const isComparable = (kind: RuleKind): boolean => COMPARABLE.has(kind);

/**
 * Runs each policy on the same simulated dogs: skills drawn from what the reps say (posterior draws
 * of the fit, at the level of the start), learning and spread as assumed. Dog r meets the same luck
 * generator under every policy. Fails as the evidence does, with `ladder` where it cannot be
 * climbed, and with `policies` for a rule that cannot be compared.
 */
export function* comparePolicies(question: PolicyQuestion): Steps<Result<PolicyOutcome[]>> {
  const ladder = buildLadder(question.plan);
  const broken = checkLadder(ladder).find((problem) => problem.code !== 'safety-limit');
  if (broken)
    return fail(
      'ladder',
      broken.path,
      say('learner.compare-policies.this-ladder-cannot-be-climbed-as', { message: broken.message }),
    );
  const odd = question.policies.find((policy) => !isComparable(policy.rule.kind));
  if (odd)
    return fail(
      'policies',
      odd.rule.kind,
      say('learner.compare-policies.a-clean-rate-alone-does-not-decide'),
    );
  const skills = drawSkills(question);
  if (!skills.ok) return skills;
  const outcomes: PolicyOutcome[] = [];
  for (const [p, policy] of question.policies.entries()) {
    const climbs: Climb[] = [];
    for (const [r, skill] of skills.value.entries()) {
      if (r % 20 === 0) yield (p + r / skills.value.length) / question.policies.length;
      const luck = seeded(mixSeed(question.seed, r));
      climbs.push(climb(skill, question.temperament, ladder, policy, question.schedule, luck));
    }
    outcomes.push(outcomeOf(policy, climbs));
  }
  return ok(outcomes);
}

function outcomeOf({ rule }: Policy, climbs: readonly Climb[]): PolicyOutcome {
  const there = climbs.filter((one) => one.arrived);
  const spread = (of: (one: Climb) => number): Spread | null =>
    there.length === 0 ? null : spreadOf(there.map(of));
  return {
    kind: rule.kind,
    arrived: there.length / climbs.length,
    sessions: spread((one) => one.sessions),
    reps: spread((one) => one.reps),
    misses: spread((one) => one.misses),
    sure: spread((one) => one.sure),
  };
}

function spreadOf(values: readonly number[]): Spread {
  return { low: quantile(values, 0.1), mid: quantile(values, 0.5), high: quantile(values, 0.9), values };
}

function drawSkills({ evidence, today, runs }: PolicyQuestion): Result<Skill[]> {
  const weighed = weighElement(evidence, today, undefined, runs);
  if (!weighed.ok) return weighed;
  const { posterior } = weighed.value;
  return ok(
    Array.from({ length: runs }, (_, i) => ({
      level: posterior.draws[i * posterior.width + DRAW.level] as number,
      slopes: slopesOf(evidence, posterior, i),
    })),
  );
}

/**
 * One slope for each axis; a signed axis has two, and the simulated dog, whose handedness is told
 * apart, has their mean.
 */
function slopesOf({ axes }: ElementEvidence, { draws, width }: Posterior, i: number): number[] {
  let column = DRAW.slopes;
  return axes.map((axis) => {
    const own = columnsOf([axis]);
    const slopes = Array.from({ length: own }, (_, k) => Math.exp(draws[i * width + column + k] as number));
    column += own;
    return slopes.reduce((a, b) => a + b, 0) / own;
  });
}
