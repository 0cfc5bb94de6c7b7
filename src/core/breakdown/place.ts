import type { AxisKey } from '@/core/shared';
import type { Axis } from './axis';
import { stepSize } from './scale';

/** The criterion vector of a rep or rung: a value in base units for every axis. */
export type Criteria = Readonly<Record<AxisKey, number>>;

// Units and steps are rounded to be paced out: values nearer than this, as the axis counts its
// steps, are one value.
const SAME = 1e-6;

const on = (axis: Axis, criteria: Criteria): number => criteria[axis.key] ?? axis.start;

/** Whether two vectors ask the same on every axis; an axis that one does not name is at its start. */
export const sameCriteria = (axes: readonly Axis[], a: Criteria, b: Criteria): boolean =>
  axes.every(
    (axis) => on(axis, a) === on(axis, b) || Math.abs(stepSize(axis, on(axis, a), on(axis, b))) < SAME,
  );

/** Whether `a` asks at least as much as `b` on every axis. */
export const atLeastAsHard = (axes: readonly Axis[], a: Criteria, b: Criteria): boolean =>
  axes.every((axis) => on(axis, a) === on(axis, b) || stepSize(axis, on(axis, b), on(axis, a)) > -SAME);

/**
 * Where criteria stand on a ladder, since nothing stored refers to a rung: *on* the first rung that
 * asks exactly these values; else *between* that rung and the next, `rung` being the highest that is
 * harder on no axis; else *below* the first. `rung` counts from 0.
 */
export type Place = { readonly kind: 'on' | 'between' | 'below'; readonly rung: number };

/**
 * Where criteria stand on this ladder; never fails. Axes that the criteria do not name are at
 * their start. On rungs of 5, 8 and 12 m: 8 m → `{ kind: 'on', rung: 1 }`, 9 m → `{ kind:
 * 'between', rung: 1 }`, 3 m → `{ kind: 'below', rung: 0 }`.
 */
export function placeOn(
  ladder: { readonly axes: readonly Axis[]; readonly rungs: readonly { readonly criteria: Criteria }[] },
  criteria: Criteria,
): Place {
  const { axes, rungs } = ladder;
  const exact = rungs.findIndex((rung) => sameCriteria(axes, rung.criteria, criteria));
  if (exact >= 0) return { kind: 'on', rung: exact };
  const under = rungs.findLastIndex((rung) => atLeastAsHard(axes, criteria, rung.criteria));
  return under >= 0 ? { kind: 'between', rung: under } : { kind: 'below', rung: 0 };
}

/** The criteria with every axis of the ladder named: one that was added later is at its start. */
export const completed = (axes: readonly Axis[], criteria: Criteria): Criteria =>
  Object.fromEntries(axes.map((axis) => [axis.key, on(axis, criteria)]));

/** Where a dog stands on a ladder: its own values, whole, and how they meet the rungs. */
export type Standing = { readonly criteria: Criteria; readonly place: Place };

/** Null, for a dog that was never worked on it, is the first rung. */
export function standingOn(
  ladder: { readonly axes: readonly Axis[]; readonly rungs: readonly { readonly criteria: Criteria }[] },
  stands: Criteria | null,
): Standing {
  const criteria = completed(ladder.axes, stands ?? ladder.rungs[0]?.criteria ?? {});
  return { criteria, place: placeOn(ladder, criteria) };
}
