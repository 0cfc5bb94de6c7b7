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
