import * as v from 'valibot';
import { type Axis, axisSeries, METHODS, type Method, type MethodElement } from '@/core/breakdown';
import { DEFAULT_PACE, type Policy, ruleSchema, USUAL_RULES } from '@/core/coaching';
import type { DogId, ElementId } from '@/core/shared';
import { DEFAULT_POLICY, type ElementRecord, PLAIN_ELEMENT } from '@/data/records';

/** An element of a method for a dog, with whole axes. Prerequisites are laid afterwards, since they name other elements of the dog. */
export function elementFromMethod(id: ElementId, dogId: DogId, method: Method, element: MethodElement, axes: readonly Axis[]): ElementRecord {
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

/** The method's policy with the usual values of its kind. A kind that does not exist is a bug in a shipped file, and throws. */
function policyOf(element: Pick<MethodElement, 'policy'>): Policy {
  if (element.policy === null) return DEFAULT_POLICY;
  const usual = USUAL_RULES[element.policy.kind as keyof typeof USUAL_RULES];
  return { rule: v.parse(ruleSchema, { ...usual, ...element.policy }), pace: DEFAULT_PACE };
}

/** From which rung of its ladder an element counts as far enough, when a method says it as a share: 0.5 of seven rungs is the fourth. */
export function rungAtShare(axes: readonly Axis[], share: number): number {
  const steps = axes.reduce((sum, axis) => sum + axisSeries(axis).length - 1, 0);
  return Math.ceil(share * steps - 1e-9);
}

export function methodOf(element: Pick<ElementRecord, 'method'>): { readonly method: Method; readonly element: MethodElement } | null {
  const method = METHODS.find((candidate) => candidate.id === element.method?.id);
  const part = method?.elements.find((candidate) => candidate.key === element.method?.element);
  return method && part ? { method, element: part } : null;
}
