import type { Demand, RulePart } from '@/core/rulebooks';
import { must, toBase } from '@/core/shared';
import type { Axis } from './axis';
import type { Criteria } from './place';

const baseOf = (demand: Demand): number => must(toBase(demand.quantity, demand.value, demand.unit));

type Climbed = Pick<Axis, 'key' | 'title' | 'quantity' | 'harder' | 'role'>;
export type JoinedDemands = {
  /** What is asked of the element's own axes, base units. */
  readonly criteria: Criteria;
  /** What no axis of the element measures. */
  readonly unmeasured: readonly Demand[];
};

/**
 * A rule book's demands on the axes of an element that trains them, whoever named those: a method, a person,
 * another book. A demand goes to the axis of its own name where that measures the same thing, else to the one
 * axis that measures it in the same direction; of several, to the one whose title shares a word with it, else
 * to none. `joinDemands([{ axis: 'distance-2', quantity: 'distance', value: 50, … }], [{ key: 'far',
 * quantity: 'distance', … }])` → criteria { far: 50 }.
 */
export function joinDemands(demands: RulePart['demands'], axes: readonly Climbed[]): JoinedDemands {
  const criteria: Record<string, number> = {};
  const unmeasured: Demand[] = [];
  const measures = (axis: Climbed, demand: Demand): boolean =>
    axis.quantity === demand.quantity && axis.role === 'criterion' && criteria[axis.key] === undefined;
  const sameWay = (axis: Climbed, demand: Demand): boolean =>
    axis.harder === demand.harder || axis.harder === 'both';
  const own = (demand: Demand): Climbed | undefined =>
    axes.find((axis) => axis.key === demand.axis && axis.quantity === demand.quantity);
  // Demands that have an axis of their own name come first: no other may take it.
  for (const demand of demands) {
    const axis = own(demand);
    if (axis) criteria[axis.key] = baseOf(demand);
  }
  for (const demand of demands) {
    if (own(demand)) continue;
    const able = axes.filter((axis) => measures(axis, demand) && sameWay(axis, demand));
    const axis = able.length === 1 ? able[0] : able.find((one) => sharesWord(one.title, demand.title));
    if (axis) criteria[axis.key] = baseOf(demand);
    else unmeasured.push(demand);
  }
  return { criteria, unmeasured };
}

const wordsIn = (title: string): string[] =>
  title
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter((word) => word.length > 3);
const sharesWord = (a: string, b: string): boolean => wordsIn(a).some((word) => wordsIn(b).includes(word));

/** An axis whose own goal is nearer than what is asked of it: from there to there, base units. */
export type Raised = { readonly axis: Axis; readonly from: number; readonly to: number };

/**
 * Goals that a rule book asks further than they are: an element that trains a part with 50 m and has a goal
 * of 5 m of its own climbs on to 50 m. What is further already stays. `raisedBy([{ quantity: 'distance',
 * value: 50, … }], [{ key: 'far', demand: 5, … }])` → from 5 to 50.
 */
export function raisedBy(demands: RulePart['demands'], axes: readonly Axis[]): Raised[] {
  const { criteria } = joinDemands(demands, axes);
  return axes.flatMap((axis) => {
    const asked = criteria[axis.key];
    if (asked === undefined || axis.levels !== null) return [];
    const further = axis.harder === 'less' ? asked < axis.demand : Math.abs(asked) > Math.abs(axis.demand);
    return further ? [{ axis, from: axis.demand, to: axis.harder === 'both' ? Math.abs(asked) : asked }] : [];
  });
}

/** The axes with their goals as a rule book asks them; the same array where none is further. */
export function withRaised(axes: readonly Axis[], demands: RulePart['demands']): readonly Axis[] {
  const raised = raisedBy(demands, axes);
  if (raised.length === 0) return axes;
  return axes.map((axis) => {
    const found = raised.find((one) => one.axis === axis);
    return found ? { ...axis, demand: found.to } : axis;
  });
}
