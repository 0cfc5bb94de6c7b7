import { type Axis, axisScale, type Criteria } from '@/core/breakdown';
import { type AxisKey, ok, type Result } from '@/core/shared';
import { logistic, logit, quantile, shrinkage } from '@/core/statistics';
import { type Target, targetAt } from './design';
import { DRAW, type Posterior } from './fit';
import { EVIDENCE } from './settings';

/** A figure with what is not known about it: the middle and the ends of an 80 % interval. */
export type Interval = { readonly low: number; readonly mid: number; readonly high: number };

/**
 * Reach on one axis: the difficulty (0 start, 1 demand, unclamped) where a rep is clean 80 % of the
 * time, the other axes as given. A signed axis has one for each side, and its weaker one as the
 * whole.
 */
export type Reach = Interval & {
  readonly axis: AxisKey;
  readonly sides: { readonly left: Interval; readonly right: Interval } | null;
};

export type Estimate = {
  /** Chance of a clean rep at the asked criteria in the next session, at home, warm. */
  readonly clean: Interval;
  /** The same for the first rep of the day in a strange place. */
  readonly coldAway: Interval;
  readonly reach: readonly Reach[];
  /** Logits that one session adds. */
  readonly gain: Interval;
  /** SD of the swing from session to session. */
  readonly swing: Interval;
  /** Effective sample size of the draws it rests on. */
  readonly effective: number;
};

/**
 * The linear predictor of draw `i` at a target; `away` and `cold` are 0 or 1, `sessions` are
 * sessions from the next one on.
 */
export function predictorOf(
  { draws, width }: Posterior,
  i: number,
  target: Target,
  away: number,
  cold: number,
  sessions = 0,
): number {
  const at = i * width;
  let eta =
    (draws[at + DRAW.level] as number) +
    sessions * (draws[at + DRAW.gain] as number) +
    away * (draws[at + DRAW.away] as number) +
    cold * (draws[at + DRAW.cold] as number);
  for (let a = 0; a < target.columns.length; a++) {
    const x = target.columns[a] as number;
    if (x !== 0) eta -= Math.exp(draws[at + DRAW.slopes + a] as number) * x;
  }
  for (const { left, x } of target.either) {
    const [l, r] = [
      Math.exp(draws[at + DRAW.slopes + left] as number) * x,
      Math.exp(draws[at + DRAW.slopes + left + 1] as number) * x,
    ];
    eta -= Math.max(l, r);
  }
  return eta;
}

/** SD of the swing in draw `i`. */
export const swingAt = ({ draws, width }: Posterior, i: number): number =>
  draws[i * width + width - 1] as number;

/**
 * Chances of a clean rep, one for each draw, averaged over the session's swing: σ(η/√(1 + πτ²/8)).
 * @internal
 */
export function chancesAt(
  posterior: Posterior,
  target: Target,
  away = 0,
  cold = 0,
  sessions = 0,
): Float64Array {
  return Float64Array.from({ length: posterior.count }, (_, i) =>
    logistic(predictorOf(posterior, i, target, away, cold, sessions) * shrinkage(swingAt(posterior, i) ** 2)),
  );
}

/**
 * What the draws say at `at` (a criterion vector; a signed axis at its weaker side). `here` is the
 * vector at which the other axes stand for the reach. Reach stays on the difficulty scale,
 * unclamped: below 0 is "below start", past the proof margin "beyond proof", and only what lies
 * between has a value worth naming. Fails as `axisScale` does.
 */
export function estimateElement(
  axes: readonly Axis[],
  posterior: Posterior,
  at: Criteria,
  here: Criteria,
): Result<Estimate> {
  const target = targetAt(axes, at, 'either');
  const others = targetAt(axes, here, 'either');
  if (!target.ok) return target;
  if (!others.ok) return others;
  const column = (j: number): Float64Array =>
    Float64Array.from(
      { length: posterior.count },
      (_, i) => posterior.draws[i * posterior.width + j] as number,
    );
  return ok({
    clean: interval(chancesAt(posterior, target.value)),
    coldAway: interval(chancesAt(posterior, target.value, 1, 1)),
    reach: reaches(axes, posterior, others.value),
    gain: interval(column(DRAW.gain)),
    swing: interval(column(posterior.width - 1)),
    effective: posterior.effective,
  });
}

function reaches(axes: readonly Axis[], posterior: Posterior, others: Target): Reach[] {
  let column = 0;
  return axes.flatMap((axis): Reach[] => {
    const first = column;
    const signed = axis.harder === 'both';
    column += signed ? 2 : 1;
    const scale = axisScale(axis);
    if (!scale.ok || scale.value.held) return [];
    if (!signed) return [{ axis: axis.key, sides: null, ...interval(reachDraws(posterior, others, first)) }];
    const [left, right] = [reachDraws(posterior, others, first), reachDraws(posterior, others, first + 1)];
    const weaker = left.map((value, i) => Math.min(value, right[i] as number));
    return [{ axis: axis.key, sides: { left: interval(left), right: interval(right) }, ...interval(weaker) }];
  });
}

/**
 * Where P = .8 on one slope's column, for each draw: the room above logit(.8)·√(1 + πτ²/8) with
 * that axis at its start, over the slope.
 */
function reachDraws(posterior: Posterior, others: Target, column: number): Float64Array {
  const free: Target = {
    columns: others.columns.map((x, i) => (i === column ? 0 : x)),
    either: others.either.filter(({ left }) => left !== column && left + 1 !== column),
  };
  return Float64Array.from({ length: posterior.count }, (_, i) => {
    const needed = logit(EVIDENCE.reachChance) / shrinkage(swingAt(posterior, i) ** 2);
    const slope = Math.exp(posterior.draws[i * posterior.width + DRAW.slopes + column] as number);
    return (predictorOf(posterior, i, free, 0, 0) - needed) / slope;
  });
}

/** The 80 % interval and the mean of draws. */
function interval(values: ArrayLike<number>): Interval {
  return { low: quantile(values, 0.1), mid: quantile(values, 0.5), high: quantile(values, 0.9) };
}
