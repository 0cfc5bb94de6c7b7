import type { RulePart } from '@/core/rulebooks';
import { must, toBase } from '@/core/shared';
import type { Criteria } from './place';

/** What a rule book asks of an element, as a criterion vector in base units. */
export function demandCriteria(element: Pick<RulePart, 'demands'>): Criteria {
  return Object.fromEntries(
    element.demands.map((demand) => [demand.axis, must(toBase(demand.quantity, demand.value, demand.unit))]),
  );
}
