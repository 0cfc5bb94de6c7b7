import { logistic } from '@/core/statistics';
import type { PlanPiece } from './plan-frame';

/**
 * How a piece learns and forgets, in logits. The middles say on which rung a session will be; the aims, draw
 * by draw, what it comes to. `idle` are the days from its last session to today, already in all levels.
 */
export type Growth = {
  readonly piece: PlanPiece;
  readonly idle: number;
  readonly middles: Middles;
  readonly aims: readonly GrowthAim[];
};

/**
 * Middles of the draws: the logit of a clean go by rung at home, and of one at the first trial; what a session
 * adds; what a gap takes, loss (1 − e^(−days·rate)); the factor that averages the swing.
 */
export type Middles = {
  readonly home: readonly number[];
  readonly trial: number;
  readonly gain: number;
  readonly loss: number;
  readonly rate: number;
  readonly shrink: number;
};

/** What a piece is wanted for: a place of a class on the day of a trial, or its own demand on a day. */
export type GrowthAim = {
  /** Which aim of the question this is a part of. */
  readonly aim: number;
  /** Days from today. */
  readonly on: number;
  /** By draw: the logit of a clean go there as of today, and how it learns and forgets. */
  readonly eta: Float64Array;
  readonly gain: Float64Array;
  readonly loss: Float64Array;
  readonly rate: Float64Array;
  /** Averages the swing of the day, and the drift up to it. */
  readonly shrink: Float64Array;
  /** No draw is lifted past this logit. */
  readonly ceiling: number;
  /** Whether sessions before it are rehearsed at the demand. */
  readonly rehearsed: boolean;
};

/**
 * The numbers of computation.md §7, each with its reason there.
 * @internal
 */
export const GROWTH = {
  /** A second session of a week adds so much of what the first adds, a third so much of that. */
  again: 0.85,
  week: 7,
  /** Learning is most where so many goes are clean, and falls off on both sides. */
  best: 0.85,
  width: 0.25,
  /** The last sessions before a trial are rehearsals, where the demand is met so often. */
  rehearsals: 2,
  rehearseFrom: 0.5,
  /** No rehearsal is earlier than so many days before the trial. */
  rehearseWithin: 14,
} as const;

/** A session as it is planned: on which rung, how likely clean, how much of a whole session it adds. */
export type Session = {
  readonly day: number;
  readonly rung: number;
  readonly clean: number;
  readonly adds: number;
  readonly rehearsal: boolean;
};

/**
 * Sessions on these days (from today, ascending): each on the rung on which the chance of clean is nearest
 * .85, at most one above the one before it, and never lower where the person never lowers; the last two
 * before a trial are rehearsals at the demand, where that is clean every other time. What was worked in the
 * seven days before counts for "again". `topFrom` is the first day on which the top may be asked.
 */
export function sessionsOn(
  growth: Growth,
  days: readonly number[],
  worked: readonly number[],
  topFrom: number,
): Session[] {
  const { piece, idle, middles: m } = growth;
  const top = piece.rungs.length - 1;
  const found: Session[] = [];
  let rung = piece.stands;
  let total = 0;
  let last = -idle;
  const trial = growth.aims.find((one) => one.rehearsed)?.on ?? Number.POSITIVE_INFINITY;
  const before = days.filter((day) => day < trial);
  const rehearsed = new Set(
    before.slice(-GROWTH.rehearsals).filter((day) => trial - day <= GROWTH.rehearseWithin),
  );
  for (const day of days) {
    const forgot = lossOf(m, day - last) - lossOf(m, idle);
    const chance = (at: number): number => logistic(((m.home[at] ?? 0) + m.gain * total - forgot) * m.shrink);
    const highest = day < topFrom ? top - 1 : top;
    const atTrial = logistic((m.trial + m.gain * total - forgot) * m.shrink);
    const rehearsal =
      rehearsed.has(day) &&
      highest === top &&
      atTrial >= GROWTH.rehearseFrom &&
      (!piece.bodily || rung >= top - 1);
    if (rehearsal) {
      found.push(session(day, rung, atTrial, true));
      continue;
    }
    rung = nearest(chance, piece.neverLower ? rung : 0, Math.min(rung + 1, Math.max(0, highest)));
    found.push(session(day, rung, chance(rung), false));
  }
  return found;

  function session(day: number, on: number, clean: number, rehearsal: boolean): Session {
    const recent =
      found.filter((one) => day - one.day < GROWTH.week).length +
      worked.filter((one) => day - one < GROWTH.week).length;
    const adds = GROWTH.again ** recent * Math.exp(-(((clean - GROWTH.best) / GROWTH.width) ** 2));
    total += adds;
    last = day;
    return { day, rung: rehearsal ? top : on, clean, adds, rehearsal };
  }
}

const lossOf = ({ loss, rate }: Middles, days: number): number =>
  days <= 0 ? 0 : loss * -Math.expm1(-days * rate);

/** Of the rungs from `low` to `high` the one whose chance is nearest the best; of two alike the higher. */
function nearest(chance: (rung: number) => number, low: number, high: number): number {
  let best = Math.min(low, high);
  let off = Number.POSITIVE_INFINITY;
  for (let rung = best; rung <= high; rung++) {
    const away = Math.abs(chance(rung) - GROWTH.best);
    if (away <= off + 1e-12) [best, off] = [rung, away];
  }
  return best;
}

/** What is left of a session's worth by the day of an aim: sessions that come too late add nothing. */
export function addedBy(sessions: readonly Session[], on: number): { total: number; last: number | null } {
  let [total, last]: [number, number | null] = [0, null];
  for (const one of sessions) {
    if (one.day >= on) continue;
    total += one.adds;
    last = one.day;
  }
  return { total, last };
}

/**
 * The chance of a clean go at an aim in each draw, after so much was added and so many days without a
 * session: σ((ℓ + G·total − F(1 − e^(−gap/h)) + F(1 − e^(−idle/h)))·shrink), never lifted past the ceiling, and
 * what is there already never taken away by it. The mean is given; `each` is filled where it is wanted.
 */
export function chanceAtAim(
  idle: number,
  { eta, gain, loss, rate, shrink, ceiling }: GrowthAim,
  total: number,
  gap: number,
  each?: Float64Array,
  lift = 0,
): number {
  let sum = 0;
  for (let i = 0; i < eta.length; i++) {
    const now = eta[i] as number;
    const slow = rate[i] as number;
    const by =
      lift +
      (gain[i] as number) * total +
      (loss[i] as number) * (Math.exp(-gap * slow) - Math.exp(-idle * slow));
    const raised = by > 0 ? Math.max(now, Math.min(now + by, ceiling)) : now + by;
    const chance = 1 / (1 + Math.exp(-raised * (shrink[i] as number)));
    sum += chance;
    if (each) each[i] = chance;
  }
  return sum / eta.length;
}
