import { type Axis, buildLadder, type Criteria, type Ladder } from '@/core/breakdown';
import { coach, DEFAULT_PACE, type Policy, startCoaching, USUAL_RULES } from '@/core/coaching';
import { columnsOf, EVIDENCE, targetAt } from '@/core/evidence';
import type { EvidenceRep } from '@/core/log';
import { addDays, asId, type BoutId, type Day, type EntryId, must, type Random } from '@/core/shared';
import { logistic, logit } from '@/core/statistics';

/**
 * How a study's dogs train: computation.md's "truth in coverage studies", every number changeable.
 */
export type StudyPlan = {
  readonly axes: readonly Axis[];
  readonly sessions: number;
  readonly reps: number;
  /** Days from one session to the next, and from the last to today. */
  readonly everyDays: number;
  /** SD of the swing from session to session, and variance of the drift a day. */
  readonly swing: number;
  readonly drift: number;
  /**
   * Who chooses the rungs: a plan that goes up in even steps, the usual rule from what the dog
   * does, or the demand alone.
   */
  readonly rungs: 'fixed' | 'staircase' | 'demand';
  /** Share of sessions away. */
  readonly away: number;
};

/** A dog whose truth is known. */
export type KnownDog = {
  readonly level: number;
  readonly gain: number;
  readonly away: number;
  readonly cold: number;
  readonly slopes: readonly number[];
};

/** A dog drawn from the priors of the evidence model. */
export function dogFromPrior(axes: readonly Axis[], random: Random): KnownDog {
  const draw = ({ mean, sd }: { readonly mean: number; readonly sd: number }): number =>
    mean + sd * random.normal();
  const slope = { mean: Math.log(EVIDENCE.slope.total / axes.length), sd: EVIDENCE.slope.sd };
  return {
    level: draw(EVIDENCE.level),
    gain: draw(EVIDENCE.gain),
    away: draw(EVIDENCE.away),
    cold: draw(EVIDENCE.cold),
    slopes: Array.from({ length: columnsOf(axes) }, () => Math.exp(draw(slope))),
  };
}

export type Trained = {
  readonly reps: readonly EvidenceRep[];
  readonly today: Day;
  /** The rung on which it stands, as criteria. */
  readonly here: Criteria;
  /** The level of the next session: start, gains and drift so far. */
  readonly levelNow: number;
};

const RULE: Policy = { rule: USUAL_RULES.run, pace: DEFAULT_PACE };

/**
 * Trains a known dog by the plan, and says what was logged and where it stands. Same random
 * numbers, same history.
 */
export function trainKnown(dog: KnownDog, plan: StudyPlan, name: string, random: Random): Trained {
  const ladder = buildLadder({ axes: plan.axes });
  const top = ladder.rungs.length - 1;
  const from = '2026-01-01' as Day;
  const reps: EvidenceRep[] = [];
  let [rung, drifted] = [0, 0];
  for (let s = 0; s < plan.sessions; s++) {
    if (s > 0) drifted += Math.sqrt(plan.drift * plan.everyDays) * random.normal();
    const swing = plan.swing * random.normal();
    const away = random.uniform() < plan.away;
    if (plan.rungs === 'fixed') rung = Math.round((s / Math.max(1, plan.sessions - 1)) * top);
    if (plan.rungs === 'demand') rung = top;
    let state = startCoaching(RULE, { rung, top });
    for (let r = 0; r < plan.reps; r++) {
      const criteria = ladder.rungs[rung]?.criteria ?? {};
      const eta =
        dog.level +
        s * dog.gain +
        drifted +
        swing +
        (away ? dog.away : 0) +
        (r === 0 ? dog.cold : 0) -
        strain(dog, plan.axes, criteria);
      const clean = random.uniform() < logistic(eta);
      const id = asId<EntryId>(`${name}-${s}-${r}`);
      const session = asId<BoutId>(`${name}-${String(s).padStart(3, '0')}`);
      const outcome = clean ? 'clean' : 'miss';
      reps.push({
        id,
        bout: session,
        day: addDays(from, s * plan.everyDays),
        at: r,
        away,
        outcome,
        faults: [],
        cause: 'dog',
        aided: false,
        criteria,
      });
      if (plan.rungs !== 'staircase') continue;
      const step = coach(RULE, state, { kind: 'rep', id, outcome, counts: true });
      const move = step.advice.find((advice) => advice.kind === 'advance' || advice.kind === 'drop-back');
      rung = move && 'to' in move ? move.to : rung;
      state = move ? coach(RULE, step.state, { kind: 'moved', id: `${id}>`, rung }).state : step.state;
    }
  }
  drifted += Math.sqrt(plan.drift * plan.everyDays) * random.normal();
  return {
    reps,
    today: addDays(from, plan.sessions * plan.everyDays),
    here: ladder.rungs[rung]?.criteria ?? {},
    levelNow: dog.level + plan.sessions * dog.gain + drifted,
  };
}

/** What criteria take off the level. A signed axis asked at its demand takes its weaker side. */
export function strain(
  dog: KnownDog,
  axes: readonly Axis[],
  criteria: Criteria,
  sides: 'either' | 'as-said' = 'as-said',
): number {
  const { columns, either } = must(targetAt(axes, criteria, sides));
  const fixed = columns.reduce((sum, x, i) => sum + (dog.slopes[i] as number) * x, 0);
  return either.reduce(
    (sum, { left, x }) => sum + Math.max(dog.slopes[left] as number, dog.slopes[left + 1] as number) * x,
    fixed,
  );
}

/**
 * The true chance of a clean rep at η, averaged over a swing of that SD: by a fine trapezoid, not
 * by the formula that the estimate uses.
 */
export function trueChance(eta: number, swing: number): number {
  if (swing === 0) return logistic(eta);
  let [sum, all] = [0, 0];
  for (let z = -6; z <= 6; z += 0.05) {
    const density = Math.exp(-0.5 * z * z);
    sum += density * logistic(eta + swing * z);
    all += density;
  }
  return sum / all;
}

/**
 * The true reach on the first axis, unclamped: where the chance is .8, the other axes at `here`. By
 * bisection of `trueChance`.
 */
export function trueReach(
  dog: KnownDog,
  trained: Trained,
  axes: readonly Axis[],
  ladder: Ladder,
  swing: number,
): number {
  const first = axes[0];
  if (!first) throw new Error('a reach needs an axis');
  const others = strain(dog, axes, { ...trained.here, [first.key]: ladder.axes[0]?.start ?? first.start });
  let [low, high] = [-20, 20];
  const wanted = EVIDENCE.reachChance;
  // Past ±20 logits nothing is measurable; the level of such a dog is still finite, so the root is
  // inside.
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (trueChance(middle, swing) < wanted) low = middle;
    else high = middle;
  }
  const needed = (low + high) / 2;
  return (trained.levelNow - others - needed) / (dog.slopes[0] as number);
}

/**
 * The estimate of somebody who takes every rep for alike and independent: an 80 % Wald interval on
 * the logit of the plain share, half a rep added to either side.
 */
export function naiveInterval(reps: readonly EvidenceRep[]): { readonly low: number; readonly high: number } {
  const clean = reps.filter((rep) => rep.outcome === 'clean').length + 0.5;
  const other = reps.length - clean + 1;
  const [centre, half] = [logit(clean / (clean + other)), 1.2816 * Math.sqrt(1 / clean + 1 / other)];
  return { low: logistic(centre - half), high: logistic(centre + half) };
}
