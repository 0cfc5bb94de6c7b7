import { type Axis, axisScale, type Criteria } from '@/core/breakdown';
import { type AxisKey, ok, type Result } from '@/core/shared';
import { logit, shrinkage } from '@/core/statistics';
import { type Target, targetAt } from './design';
import type { Posterior } from './draw';
import { type Keeping, keepingOf } from './keeping';
import {
  asAtTrial,
  asTrained,
  chancesAt,
  type Interval,
  interval,
  isAssumed,
  predictorOf,
  swingAt,
} from './predict';
import { DRAW } from './priors';
import { EVIDENCE } from './settings';
import { type Tiring, tiringOf } from './tiring';

/**
 * Reach on one axis: the difficulty (0 start, 1 demand, unclamped) where a rep is clean 80 % of the
 * time, the other axes as given. A signed axis has one for each side, and its weaker one as the
 * whole.
 */
export type Reach = Interval & {
  readonly axis: AxisKey;
  readonly sides: { readonly left: Interval; readonly right: Interval } | null;
};

/** Whether the reps have moved a figure from what was assumed before them, and so found it. */
export type Found = Interval & { readonly assumed: boolean };

export type Estimate = {
  /** Chance of a clean rep at the asked criteria in a session of today, as it is usually trained. */
  readonly clean: Interval;
  /** The same for the first rep of the day in a strange place, without pay. */
  readonly atTrial: Interval;
  readonly reach: readonly Reach[];
  /** Logits that one session adds. */
  readonly gain: Found;
  /** SD of the swing from session to session. */
  readonly swing: Found;
  readonly tiring: Tiring | null;
  readonly keeping: Keeping;
  /** Effective sample size of the draws it rests on. */
  readonly effective: number;
};

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
  const swings = column(posterior.width - 1);
  return ok({
    clean: interval(chancesAt(posterior, target.value)),
    atTrial: interval(chancesAt(posterior, target.value, asAtTrial(posterior))),
    reach: reaches(axes, posterior, others.value),
    gain: found(column(DRAW.gain), EVIDENCE.gain.sd),
    swing: { ...interval(swings), assumed: isAssumed(swings.map(Math.log), SWING_SD) },
    tiring: tiringOf(posterior, others.value),
    keeping: keepingOf(posterior, others.value),
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
    return (predictorOf(posterior, i, free, asTrained(posterior)) - needed) / slope;
  });
}

const found = (values: Float64Array, priorSd: number): Found => ({
  ...interval(values),
  assumed: isAssumed(values, priorSd),
});

/** SD of the log of the swing as it is assumed: three values by a log-normal. */
const SWING_SD = swingSd();

function swingSd(): number {
  const { values, middle, sd } = EVIDENCE.swing;
  const logs = values.map((tau) => Math.log(tau / middle));
  const weights = logs.map((log) => Math.exp(-0.5 * (log / sd) ** 2));
  const all = weights.reduce((sum, one) => sum + one, 0);
  const share = (i: number): number => (weights[i] as number) / all;
  const mean = logs.reduce((sum, log, i) => sum + log * share(i), 0);
  return Math.sqrt(logs.reduce((sum, log, i) => sum + (log - mean) ** 2 * share(i), 0));
}
