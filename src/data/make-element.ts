import * as v from 'valibot';
import {
  type Axis,
  axisSeries,
  buildLadder,
  type Criteria,
  type Method,
  type MethodElement,
} from '@/core/breakdown';
import { DEFAULT_PACE, type Policy, ruleSchema, USUAL_RULES } from '@/core/coaching';
import type { DogId, ElementId } from '@/core/shared';
import { DEFAULT_POLICY, type ElementRecord, type New, PLAIN_ELEMENT } from '@/data/records';

/**
 * An element of a method for a dog, with whole axes. Prerequisites are laid afterwards, since they
 * name other elements of the dog.
 */
export function elementFromMethod(
  id: ElementId,
  dogId: DogId,
  method: Method,
  element: MethodElement,
  axes: readonly Axis[],
): New<ElementRecord> {
  return {
    ...PLAIN_ELEMENT,
    id,
    dogId,
    title: element.title,
    form: element.legs.length > 0 ? { kind: 'continuous', legs: [...element.legs] } : { kind: 'piece' },
    axes: [...axes],
    conditions: method.conditions.map((one) => ({ ...one, options: [...one.options] })),
    faults: [...element.faults],
    kit: [...element.kit],
    work: [...element.work],
    policy: policyOf(element),
    method: { id: method.id, element: element.key },
  };
}

/**
 * The method's policy with the usual values of its kind. A kind that does not exist is a bug in a
 * shipped file, and throws.
 */
function policyOf(element: Pick<MethodElement, 'policy'>): Policy {
  if (element.policy === null) return DEFAULT_POLICY;
  const usual = USUAL_RULES[element.policy.kind as keyof typeof USUAL_RULES];
  return { rule: v.parse(ruleSchema, { ...usual, ...element.policy }), pace: DEFAULT_PACE };
}

/**
 * Where on its ladder an element counts as far enough, when a method says it as a share: 0.5 of seven
 * rungs is the fourth.
 */
export function criteriaAtShare(axes: readonly Axis[], share: number): Criteria {
  const { rungs } = buildLadder({ axes });
  const steps = axes.reduce((sum, axis) => sum + axisSeries(axis).length - 1, 0);
  return rungs[Math.min(Math.ceil(share * steps - 1e-9), rungs.length - 1)]?.criteria ?? {};
}
