import { type Axis, buildLadder, type Criteria, difficulties } from '@/core/breakdown';
import { coach, DEFAULT_PACE, type Policy, startCoaching, USUAL_RULES } from '@/core/coaching';
import type { EvidenceRep } from '@/core/log';
import { addDays, asId, type BoutId, type Day, type EntryId, must, type Random } from '@/core/shared';

/**
 * How a study's dogs train: computation.md's "truth in coverage studies", every number changeable. Nothing
 * here is read from the evidence model: its priors are written down again, and so is what a rep does.
 */
export type StudyPlan = {
  readonly axes: readonly Axis[];
  readonly sessions: number;
  readonly reps: number;
  /** Days from one session to the next, and from the last to today. */
  readonly everyDays: number;
  readonly idle: number;
  /** Every so many sessions a gap of thirty days in place of the usual one; 0 for never. */
  readonly longGapEvery: number;
  /** SD of the swing from session to session, and variance of the drift a day. */
  readonly swing: number;
  readonly drift: number;
  /**
   * Who chooses the rungs: a plan that goes up in even steps, the usual rule from what the dog
   * does, or the demand alone.
   */
  readonly rungs: 'fixed' | 'staircase' | 'demand';
  /** Share of sessions away, of sessions with another handler, and of reps without pay. */
  readonly away: number;
  readonly another: number;
  readonly unpaid: number;
  /** How much a rep is like the one before it, beyond the session: an own swing within it. */
  readonly streaks: number;
  /** Only sessions that went at least as well as their middle are logged, so often the others are left out. */
  readonly hidden: number;
  /** Whether a dog is as good at one piece of a class as at the others; else each is drawn by itself. */
  readonly alike: boolean;
  /** Logits a session that a dog learns beyond what its prior draws. */
  readonly faster: number;
};

export const USUAL_PLAN: Omit<StudyPlan, 'axes'> = {
  sessions: 24,
  reps: 12,
  everyDays: 3,
  idle: 3,
  longGapEvery: 0,
  swing: 0.6,
  drift: 0.005,
  rungs: 'staircase',
  away: 0.15,
  another: 0,
  unpaid: 0,
  streaks: 0,
  hidden: 0,
  alike: false,
  faster: 0,
};

/** A dog whose truth is known; logits. */
export type KnownDog = {
  readonly level: number;
  readonly gain: number;
  readonly away: number;
  readonly cold: number;
  readonly handler: number;
  readonly unpaid: number;
  readonly slopes: readonly number[];
  /** What each go takes off the next, what a gap takes off at most, and its days. */
  readonly tiring: number;
  readonly loss: number;
  readonly lasting: number;
};

/** A dog drawn from the priors that computation.md states. */
export function dogFromPrior(axes: readonly Axis[], random: Random): KnownDog {
  const draw = (mean: number, sd: number): number => mean + sd * random.normal();
  const half = (sd: number): number => Math.abs(sd * random.normal());
  return {
    level: draw(1.4, 1.2),
    gain: draw(0.05, 0.08),
    away: draw(-0.5, 0.5),
    cold: draw(-0.3, 0.4),
    handler: draw(-0.3, 0.5),
    unpaid: draw(-0.3, 0.5),
    slopes: Array.from(
      { length: axes.reduce((sum, axis) => sum + (axis.harder === 'both' ? 2 : 1), 0) },
      () => Math.exp(draw(Math.log(3 / axes.length), 0.6)),
    ),
    tiring: half(0.1),
    loss: half(0.8),
    lasting: Math.exp(draw(Math.log(30), 0.8)),
  };
}

export type Trained = {
  readonly reps: readonly EvidenceRep[];
  readonly today: Day;
  /** The rung on which it stands, as criteria. */
  readonly here: Criteria;
  /** The level of a session today: start, gains and drift, less what the idle days took. */
  readonly levelNow: number;
};

const RULE: Policy = { rule: USUAL_RULES.run, pace: DEFAULT_PACE };

/** What so many days without a session take. */
const forgotten = ({ loss, lasting }: KnownDog, days: number): number =>
  loss * (1 - Math.exp(-days / lasting));

/**
 * Trains a known dog by the plan, and says what was logged and where it stands. Same random
 * numbers, same history.
 */
export function trainKnown(dog: KnownDog, plan: StudyPlan, name: string, random: Random): Trained {
  const ladder = buildLadder({ axes: plan.axes });
  const top = ladder.rungs.length - 1;
  const reps: EvidenceRep[] = [];
  let day = '2026-01-01' as Day;
  let [rung, drifted] = [0, 0];
  for (let s = 0; s < plan.sessions; s++) {
    const isLong = plan.longGapEvery > 0 && s > 0 && s % plan.longGapEvery === 0;
    const gap = s === 0 ? 0 : isLong ? 30 : plan.everyDays;
    day = addDays(day, gap);
    drifted += Math.sqrt(plan.drift * gap) * random.normal();
    const swing = plan.swing * random.normal();
    const away = random.uniform() < plan.away;
    const another = random.uniform() < plan.another;
    const isHidden = swing < 0 && random.uniform() < plan.hidden;
    if (plan.rungs === 'fixed') rung = Math.round((s / Math.max(1, plan.sessions - 1)) * top);
    if (plan.rungs === 'demand') rung = top;
    let state = startCoaching(RULE, { rung, top });
    let streak = 0;
    for (let r = 0; r < plan.reps; r++) {
      const criteria = ladder.rungs[rung]?.criteria ?? {};
      const paid = random.uniform() >= plan.unpaid;
      streak = 0.8 * streak + 0.6 * plan.streaks * random.normal();
      const eta =
        dog.level +
        s * dog.gain +
        drifted +
        swing +
        streak -
        forgotten(dog, gap) -
        dog.tiring * r +
        (away ? dog.away : 0) +
        (another ? dog.handler : 0) +
        (paid ? 0 : dog.unpaid) +
        (r === 0 ? dog.cold : 0) -
        strain(dog, plan.axes, criteria);
      const clean = random.uniform() < 1 / (1 + Math.exp(-eta));
      const id = asId<EntryId>(`${name}-${s}-${r}`);
      const outcome = clean ? 'clean' : 'miss';
      if (!isHidden)
        reps.push({
          id,
          bout: asId<BoutId>(`${name}-${String(s).padStart(3, '0')}`),
          day,
          at: r,
          away,
          outcome,
          faults: [],
          cause: 'dog',
          aided: false,
          criteria,
          pay: paid ? 'small' : 'none',
          conditions: another ? { handler: 'another' } : {},
        });
      if (plan.rungs !== 'staircase') continue;
      const step = coach(RULE, state, { kind: 'rep', id, outcome, counts: true });
      const move = step.advice.find((advice) => advice.kind === 'advance' || advice.kind === 'drop-back');
      rung = move && 'to' in move ? move.to : rung;
      state = move ? coach(RULE, step.state, { kind: 'moved', id: `${id}>`, rung }).state : step.state;
    }
  }
  drifted += Math.sqrt(plan.drift * plan.idle) * random.normal();
  return {
    reps,
    today: addDays(day, plan.idle),
    here: ladder.rungs[rung]?.criteria ?? {},
    levelNow: dog.level + plan.sessions * dog.gain + drifted - forgotten(dog, plan.idle),
  };
}

/** What criteria take off the level. A signed axis asked at its demand takes its weaker side. */
export function strain(
  dog: KnownDog,
  axes: readonly Axis[],
  criteria: Criteria,
  sides: 'either' | 'as-said' = 'as-said',
): number {
  const x = must(difficulties(axes, criteria));
  let [column, sum] = [0, 0];
  for (const [a, axis] of axes.entries()) {
    const d = x[a] as number;
    const [left, right] = [dog.slopes[column] as number, dog.slopes[column + 1] as number];
    if (axis.harder !== 'both') sum += left * d;
    else if (sides === 'either') sum += Math.max(left, right) * d;
    else sum += ((criteria[axis.key] ?? 0) < 0 ? left : right) * d;
    column += axis.harder === 'both' ? 2 : 1;
  }
  return sum;
}

/**
 * The mean of σ over η + N(0, sd²): by a fine trapezoid, not by the formula that the estimate uses.
 */
export function trueChance(eta: number, sd: number): number {
  if (sd === 0) return 1 / (1 + Math.exp(-eta));
  let [sum, all] = [0, 0];
  for (let z = -6; z <= 6; z += 0.05) {
    const density = Math.exp(-0.5 * z * z);
    sum += density / (1 + Math.exp(-(eta + sd * z)));
    all += density;
  }
  return sum / all;
}

/**
 * The true reach on the first axis, unclamped: where the chance is .8, the other axes at `here`. By
 * bisection of `trueChance`.
 */
export function trueReach(dog: KnownDog, trained: Trained, axes: readonly Axis[], swing: number): number {
  const first = axes[0];
  if (!first) throw new Error('a reach needs an axis');
  const others = strain(dog, axes, { ...trained.here, [first.key]: first.start });
  let [low, high] = [-20, 20];
  // Past ±20 logits nothing is measurable; the level of such a dog is still finite, so the root is
  // inside.
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (trueChance(middle, swing) < 0.8) low = middle;
    else high = middle;
  }
  return (trained.levelNow - others - (low + high) / 2) / (dog.slopes[0] as number);
}

/**
 * The estimate of somebody who takes every rep for alike and independent: an 80 % Wald interval on
 * the logit of the plain share, half a rep added to either side.
 */
export function naiveInterval(reps: readonly EvidenceRep[]): { readonly low: number; readonly high: number } {
  const clean = reps.filter((rep) => rep.outcome === 'clean').length + 0.5;
  const other = reps.length - clean + 1;
  const [centre, half] = [Math.log(clean / other), 1.2816 * Math.sqrt(1 / clean + 1 / other)];
  const share = (eta: number): number => 1 / (1 + Math.exp(-eta));
  return { low: share(centre - half), high: share(centre + half) };
}
