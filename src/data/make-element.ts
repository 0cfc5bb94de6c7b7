import * as v from 'valibot';
import {
  type Axis,
  axisFrom,
  buildLadder,
  type Criteria,
  demandOf,
  listAxis,
  type Method,
  type MethodElement,
  READY_LISTS,
  type Setting,
} from '@/core/breakdown';
import { DEFAULT_PACE, type Policy, ruleSchema, USUAL_RULES } from '@/core/coaching';
import { ownFault } from '@/core/rulebooks';
import type { DogId, ElementId, Sentence } from '@/core/shared';
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
  const made: New<ElementRecord> = {
    ...PLAIN_ELEMENT,
    id,
    dogId,
    title: element.title,
    form: element.legs.length > 0 ? { kind: 'continuous', legs: [...element.legs] } : { kind: 'piece' },
    axes: [...axes],
    conditions: eachGoFirst([...element.conditions, ...method.conditions]).map((one) => ({
      ...one,
      options: [...one.options],
    })),
    faults: [...element.faults],
    kit: [...element.kit],
    work: [...element.work],
    policy: policyOf(element),
    method: { id: method.id, element: element.key },
  };
  return notedTillTheDemand(made, element.noted);
}

function notedTillTheDemand(element: New<ElementRecord>, faults: readonly string[]): New<ElementRecord> {
  const noted = element.faults.filter((one) => faults.includes(one.key));
  const from = demandOf(element.axes);
  const counts = noted.map((one) => ({ fault: ownFault(one.key), from }));
  const others = countedAtOnce(element, faults);
  return { ...others, countsFrom: [...others.countsFrom, ...counts] };
}

const countedAtOnce = (element: New<ElementRecord>, faults: readonly string[]): New<ElementRecord> => ({
  ...element,
  countsFrom: element.countsFrom.filter(({ fault }) => !faults.includes(fault.key)),
});

/** What is other in every go comes first: the pad shows the first rows, and folds the rest away. */
const eachGoFirst = (conditions: Method['conditions']): Method['conditions'] => {
  const isEachGo = (one: (typeof conditions)[number]): boolean => one.drawn === true || one.seen === true;
  return [...conditions.filter(isEachGo), ...conditions.filter((one) => !isEachGo(one))];
};

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
 * An element in the making with what a person chose where schools differ. A setting that has nothing to say
 * of it changes nothing.
 */
export function withSettings(
  element: New<ElementRecord>,
  settings: readonly Setting[],
  wordsOf: (sentence: Sentence) => string,
): New<ElementRecord> {
  return settings.reduce((made, setting) => withSetting(made, setting, wordsOf), element);
}

function withSetting(
  element: New<ElementRecord>,
  setting: Setting,
  wordsOf: (sentence: Sentence) => string,
): New<ElementRecord> {
  switch (setting.kind) {
    case 'ratchet':
      return {
        ...element,
        policy: { ...element.policy, pace: { ...element.policy.pace, ratchet: setting.to } },
      };
    case 'cues':
      return { ...element, cues: setting.to };
    case 'no-fault':
      return { ...element, faults: element.faults.filter((one) => !setting.faults.includes(one.key)) };
    case 'noted-till-the-demand':
      return notedTillTheDemand(element, setting.faults);
    case 'counted-at-once':
      return countedAtOnce(element, setting.faults);
    case 'rule': {
      // Shaping moves along an ordered list of answers; what has none goes on as it did.
      const [first] = element.axes;
      const shaped = element.policy.rule.kind === 'distribution';
      if (setting.to === 'distribution' ? first?.levels == null || first.role !== 'criterion' : !shaped)
        return element;
      const ruled = { ...element, policy: { ...element.policy, rule: USUAL_RULES[setting.to] } };
      // Whoever shows it helps, and the help has to go again.
      return setting.to === 'run' ? withList(ruled, 'help', wordsOf) : ruled;
    }
    case 'pay-thins-out':
      return withList(element, 'pay', wordsOf);
    case 'route':
      return element;
  }
}

/** With the ready list of help, or of pay, as a further criterion; one that has such a list keeps its own. */
function withList(
  element: New<ElementRecord>,
  role: 'help' | 'pay',
  wordsOf: (sentence: Sentence) => string,
): New<ElementRecord> {
  const list = READY_LISTS.find((one) => one.role === role);
  if (!list || element.axes.some((axis) => axis.role === role)) return element;
  const spec = listAxis(role, wordsOf(list.title), list.levels.map(wordsOf).join(', '), role);
  const axis = spec && axisFrom(spec, { start: null, demand: null, step: null });
  return axis?.ok ? { ...element, axes: [...element.axes, axis.value] } : element;
}

/**
 * Where on its ladder an element counts as far enough, when a method says it as a share: 0.5 of seven
 * rungs is the fourth, 1 the last.
 */
export function criteriaAtShare(axes: readonly Axis[], share: number): Criteria {
  const { rungs } = buildLadder({ axes });
  return rungs[Math.ceil(share * (rungs.length - 1) - 1e-9)]?.criteria ?? {};
}
