import { type Failure, fail, ok, type Result, type Sentence, say } from '@/core/shared';
import { type Axis, isRatioAxis, levelPlace } from './axis';

/**
 * A monotone map between values (base units) and difficulty: 0 at the start, 1 at the demand,
 * beyond 1 past it.
 */
export type Scale = {
  readonly held: boolean;
  readonly difficulty: (value: number) => number;
  readonly value: (difficulty: number) => number;
};

/**
 * The axis's difficulty scale. Held axes (start = demand) have difficulty 0 everywhere. Fails with
 * `zero-scale` (a ratio axis touches 0 without a zero scale), `negative` or `direction` (the start
 * lies beyond the demand). Example: distance 5 → 20 m, `difficulty(10)` → 0.5.
 */
export function axisScale(axis: Axis): Result<Scale> {
  const { start, demand, harder, title } = axis;
  const misplaced = levelProblem(axis);
  if (misplaced !== null) return fail('level', axis.key, misplaced);
  if (harder === 'both') return bothSides(axis);
  if (start === demand) return ok({ held: true, difficulty: () => 0, value: () => start });
  if (axis.levels !== null) return listScale(axis, axis.levels);
  if (demand > start !== (harder === 'more')) return tooHard(axis);
  if (!isRatioAxis(axis))
    return ok(
      between(
        axis,
        (x) => x,
        (t) => t,
      ),
    );
  if (Math.min(start, demand) < 0)
    return fail(
      'negative',
      axis.key,
      say('breakdown.axis.a-cannot-be-below-0', { title, quantity: axis.quantity }),
    );
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
    return fail('zero-scale', axis.key, say('breakdown.axis.the-way-from-0-has-no-ratio-say', { title }));
  return ok(between(axis, Math.log, Math.exp));
}

/** A list climbs place by place; between two steps the nearer one is meant. */
function listScale(axis: Axis, levels: NonNullable<Axis['levels']>): Result<Scale> {
  const last = levels.length - 1;
  if (levelPlace(levels, axis.demand) < levelPlace(levels, axis.start)) return tooHard(axis);
  const placeOf = (id: number): number => {
    const place = levelPlace(levels, id);
    return place < 0 ? Number.NaN : place;
  };
  const idAt = (place: number): number =>
    levels[Math.min(last, Math.max(0, Math.round(place)))]?.id ?? axis.start;
  return ok(between(axis, placeOf, idAt));
}

const tooHard = ({ key, title }: Axis): Failure =>
  fail('direction', key, say('breakdown.axis.the-start-is-already-harder-than', { title }));

/**
 * A signed axis is as hard as it is far from 0, on either side. Its values come back on the right;
 * the ladder lays them on both.
 */
function bothSides(axis: Axis): Result<Scale> {
  if (axis.start < 0 || axis.demand < 0)
    return fail(
      'negative',
      axis.key,
      say('breakdown.axis.say-how-far-to-each-side-both', { title: axis.title }),
    );
  const scale = axisScale({ ...axis, harder: 'more' });
  if (!scale.ok) return scale;
  const { difficulty } = scale.value;
  return ok({ ...scale.value, difficulty: (value) => difficulty(Math.abs(value)) });
}

function levelProblem({ levels, start, demand, title }: Axis): Sentence | null {
  if (levels === null) return null;
  const fits = (id: number): boolean => levelPlace(levels, id) >= 0;
  return fits(start) && fits(demand)
    ? null
    : say('breakdown.axis.start-and-demand-must-be-steps-of', { title, levelsCount: levels.length });
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

/**
 * The value at the end of the proof margin, in base units: a demand of 20 m with margin 0.2 is
 * proved at 24 m, one of 2 s at 1.67 s; 6 articles are at 8, since there is no 7.2nd. A list ends with its
 * last step.
 */
export function proofValue(axis: Pick<Axis, 'demand' | 'margin' | 'harder' | 'levels' | 'quantity'>): number {
  if (axis.levels !== null) return axis.demand;
  const beyond = axis.harder === 'less' ? axis.demand / (1 + axis.margin) : axis.demand * (1 + axis.margin);
  if (axis.quantity !== 'count') return beyond;
  // What is whole but for the last digit is whole.
  return axis.harder === 'less' ? Math.floor(beyond + 1e-9) : Math.ceil(beyond - 1e-9);
}

/**
 * How big a step is, as the axis counts it: a ratio − 1 on ratio axes (20 → 25 m is 0.25; 2 → 1.6
 * s, harder downwards, is
 * 0.25 too), an amount in base units on even ones. Positive means harder.
 */
export function stepSize(axis: Axis, from: number, to: number): number {
  if (axis.harder === 'both') return stepSize({ ...axis, harder: 'more' }, Math.abs(from), Math.abs(to));
  if (axis.levels !== null) return levelPlace(axis.levels, to) - levelPlace(axis.levels, from);
  const sign = axis.harder === 'more' ? 1 : -1;
  if (!isRatioAxis(axis)) return (to - from) * sign;
  const zero = axis.zeroScale ?? 0;
  const ratio = (to + zero) / (from + zero);
  return sign > 0 ? ratio - 1 : 1 / ratio - 1;
}

/**
 * A step as its ladder counts it: as `stepSize`, and an amount in base units where steps are equal.
 * `stepTaken(yards in equal steps, 9.144, 13.716)` → 4.572.
 */
export function stepTaken(axis: Axis, from: number, to: number): number {
  if (axis.equal !== true || axis.levels !== null) return stepSize(axis, from, to);
  if (axis.harder === 'both') return Math.abs(to) - Math.abs(from);
  return axis.harder === 'more' ? to - from : from - to;
}
