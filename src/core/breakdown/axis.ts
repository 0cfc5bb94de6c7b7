import * as v from 'valibot';
import { type AxisKey, asId, fail, findUnit, ok, type Quantity, type Result } from '@/core/shared';

const positive = v.pipe(v.number(), v.finite(), v.gtValue(0, 'must be more than 0'));
const finite = v.pipe(v.number(), v.finite());

/**
 * One criterion axis of an element. Values are in base units (m, s, °). `step` and `limit` are ratios on ratio axes
 * (0.25 = a quarter harder) and base units on even ones; `step` is what the ladder aims at, `limit` what it may not exceed.
 */
export const axisSchema = v.pipe(
  v.strictObject({
    key: v.pipe(v.string(), v.minLength(1), v.transform(asId<AxisKey>)),
    title: v.pipe(v.string(), v.minLength(1)),
    quantity: v.picklist(['distance', 'duration', 'latency', 'angle', 'offset', 'height', 'count', 'level']),
    unit: v.string(),
    harder: v.picklist(['more', 'less']),
    start: finite,
    demand: finite,
    step: positive,
    limit: positive,
    /** The value that counts as "one start" where the start is 0 on a ratio axis: log(1 + x / zeroScale). Null elsewhere. */
    zeroScale: v.nullable(positive),
    /** How far beyond the demand proof goes, as a share of it: 0.2 = 120 % of a distance, the demand / 1.2 of a time to be short. */
    margin: v.pipe(v.number(), v.minValue(0), v.maxValue(2)),
    /** Up to two axes that ease for the rung on which this one is raised. */
    eases: v.pipe(v.array(v.pipe(v.string(), v.transform(asId<AxisKey>))), v.maxLength(2, 'at most two axes ease at once')),
  }),
  v.check((axis) => findUnit(axis.quantity, axis.unit).ok, 'the unit is not one of the quantity'),
);

export type Axis = v.InferOutput<typeof axisSchema>;

/** Ratio axes climb by equal ratios (lengths and times: 20 → 25 m is as much as 4 → 5 m), even axes by equal amounts. */
const RATIO: Readonly<Record<Axis['quantity'], boolean>> & Partial<Record<Quantity, boolean>> = {
  distance: true,
  duration: true,
  latency: true,
  offset: true,
  angle: false,
  height: false,
  count: false,
  level: false,
};

export function isRatioAxis(axis: Pick<Axis, 'quantity'>): boolean {
  return RATIO[axis.quantity];
}

/** A monotone map between values (base units) and difficulty: 0 at the start, 1 at the demand, beyond 1 past it. */
export type Scale = {
  readonly held: boolean;
  readonly difficulty: (value: number) => number;
  readonly value: (difficulty: number) => number;
};

/**
 * The axis's difficulty scale. Held axes (start = demand) have difficulty 0 everywhere.
 * Fails with `zero-scale` (a ratio axis touches 0 without a zero scale), `negative` or `direction` (the start lies beyond the demand).
 * Example: distance 5 → 20 m, `difficulty(10)` → 0.5.
 */
export function axisScale(axis: Axis): Result<Scale> {
  const { start, demand, harder, title } = axis;
  if (start === demand) return ok({ held: true, difficulty: () => 0, value: () => start });
  if (demand > start !== (harder === 'more')) {
    return fail('direction', axis.key, `${title}: the start is already harder than the demand. Make the start easier, or check the demand.`);
  }
  if (!isRatioAxis(axis))
    return ok(
      between(
        axis,
        (x) => x,
        (t) => t,
      ),
    );
  if (Math.min(start, demand) < 0) return fail('negative', axis.key, `${title}: a ${axis.quantity} cannot be below 0.`);
  if (axis.zeroScale !== null) {
    const zero = axis.zeroScale;
    return ok(
      between(
        axis,
        (x) => Math.log1p(x / zero),
        (t) => zero * Math.expm1(t),
      ),
    );
  }
  if (Math.min(start, demand) === 0)
    return fail('zero-scale', axis.key, `${title}: the way from 0 has no ratio. Say what the first step is, or start above 0.`);
  return ok(between(axis, Math.log, Math.exp));
}

function between(axis: Axis, forward: (x: number) => number, back: (t: number) => number): Scale {
  const low = forward(axis.start);
  const span = forward(axis.demand) - low;
  return {
    held: false,
    difficulty: (value) => (forward(value) - low) / span,
    value: (difficulty) => back(low + difficulty * span),
  };
}

/** The value at the end of the proof margin, in base units: a demand of 20 m with margin 0.2 is proved at 24 m, one of 2 s at 1.67 s. */
export function proofValue(axis: Pick<Axis, 'demand' | 'margin' | 'harder'>): number {
  return axis.harder === 'more' ? axis.demand * (1 + axis.margin) : axis.demand / (1 + axis.margin);
}

/**
 * How big a step is, as the axis counts it: a ratio − 1 on ratio axes (20 → 25 m is 0.25; 2 → 1.6 s, harder downwards, is
 * 0.25 too), an amount in base units on even ones. Positive means harder.
 */
export function stepSize(axis: Axis, from: number, to: number): number {
  const sign = axis.harder === 'more' ? 1 : -1;
  if (!isRatioAxis(axis)) return (to - from) * sign;
  const zero = axis.zeroScale ?? 0;
  const ratio = (to + zero) / (from + zero);
  return sign > 0 ? ratio - 1 : 1 / ratio - 1;
}
