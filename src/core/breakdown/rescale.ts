import { type AxisKey, fail, ok, type Result, say } from '@/core/shared';
import type { Axis } from './axis';
import type { HandRung, LadderPlan } from './ladder';
import type { Criteria } from './place';
import { axisScale, type Scale } from './scale';
import { friendly } from './series';

/**
 * The same ladder for another dog: its own starts, the same demands, steps and limits. Rungs set by
 * hand keep their place in difficulty (half way stays half way); hand-set cells and skipped rungs are left
 * behind, since the rungs they stood on are not the same. Fails as `axisScale` does where a start does not
 * fit.
 */
export function rescaleLadder<P extends LadderPlan>(plan: P, starts: Criteria): Result<P> {
  const axes = plan.axes.map((axis) => ({ ...axis, start: starts[axis.key] ?? axis.start }));
  const moved = new Map<AxisKey, (value: number) => number>();
  for (const [i, axis] of axes.entries()) {
    const [old, now] = [axisScale(plan.axes[i] ?? axis), axisScale(axis)];
    if (!now.ok) return now;
    if (!old.ok)
      return fail(
        'source',
        axis.key,
        say('breakdown.rescale.the-ladder-it-comes-from-is-not', { message: old.message }),
      );
    moved.set(axis.key, (value) =>
      old.value.held ? value : carried(axis, old.value.difficulty(value), now.value, value < 0),
    );
  }
  const carry = (rung: HandRung): HandRung => ({
    ...rung,
    criteria: Object.fromEntries(
      axes.map((axis) => [
        axis.key,
        moved.get(axis.key)?.(rung.criteria[axis.key] ?? axis.start) ?? axis.start,
      ]),
    ),
  });
  return ok({ ...plan, axes, edits: [], skips: [], byHand: (plan.byHand ?? []).map(carry) });
}

function carried(axis: Axis, difficulty: number, scale: Scale, left: boolean): number {
  const side = axis.harder === 'both' && left ? -1 : 1;
  // The ends are the dog's own start and the demand to the last digit; only what lies between is
  // rounded to be paced out.
  if (Math.abs(difficulty) < 1e-9) return side * axis.start;
  return side * (Math.abs(difficulty - 1) < 1e-9 ? axis.demand : friendly(axis, scale.value(difficulty)));
}
