import { type Axis, axisScale, type Criteria, difficulties } from '@/core/breakdown';
import { type AxisKey, ok, type Random, type Result } from '@/core/shared';
import { logistic, logit, quantile } from '@/core/statistics';
import { type Fit, parametersAt, predictor } from './fit';
import { EVIDENCE } from './settings';

/** A figure with what is not known about it: the middle and the ends of an 80 % interval. */
export type Interval = { readonly low: number; readonly mid: number; readonly high: number };

/** Reach on one axis: the difficulty (0 start, 1 demand, unclamped) where a rep is clean 80 % of the time, the other axes as given. */
export type Reach = Interval & { readonly axis: AxisKey };

export type Estimate = {
  /** Chance of a clean rep at the asked criteria, at home, warm. */
  readonly clean: Interval;
  readonly reach: readonly Reach[];
};

const DRAWS = 400;

/**
 * What a fit says at `at` (a criterion vector), from 400 posterior draws with the given randomness. `here` is the vector at
 * which the other axes stand for the reach. Reach stays on the difficulty scale, unclamped: below 0 is "below start", past the
 * proof margin "beyond proof", and only what lies between has a value worth naming. Fails as `axisScale` does.
 */
export function estimateElement(axes: readonly Axis[], fit: Fit, at: Criteria, here: Criteria, random: Random): Result<Estimate> {
  const x = difficulties(axes, at);
  const xHere = difficulties(axes, here);
  if (!x.ok) return x;
  if (!xHere.ok) return xHere;
  const chances: number[] = [];
  const reaches = axes.map(() => [] as number[]);
  for (let draw = 0; draw < DRAWS; draw++) {
    const theta = parametersAt(
      fit,
      Array.from(fit.mode, () => random.normal()),
    );
    chances.push(logistic(predictor(theta, x.value, 0, 0)));
    axes.forEach((_, a) => {
      const others = xHere.value.map((value, i) => (i === a ? 0 : value));
      const room = predictor(theta, others, 0, 0) - logit(EVIDENCE.reachChance);
      reaches[a]?.push(room / Math.exp(theta[3 + a] as number));
    });
  }
  return ok({ clean: interval(chances), reach: axes.flatMap((axis, a) => reachOf(axis, reaches[a] ?? [])) });
}

function interval(values: readonly number[]): Interval {
  return { low: quantile(values, 0.1), mid: quantile(values, 0.5), high: quantile(values, 0.9) };
}

function reachOf(axis: Axis, draws: readonly number[]): Reach[] {
  const scale = axisScale(axis);
  return scale.ok && !scale.value.held ? [{ axis: axis.key, ...interval(draws) }] : [];
}
