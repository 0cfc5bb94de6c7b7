import { axisFrom, BASICS, type Method, type MethodElement, type Skill, skillOf } from '@/core/breakdown';
import { type DogId, type ElementId, must } from '@/core/shared';
import { type ElementRecord, elementFromMethod, type New } from '@/data/read';

/** What the dog has for a skill, by whichever method it was made, or under the plain name of it. */
export function elementOfSkill(skill: Skill, elements: readonly ElementRecord[]): ElementRecord | undefined {
  const called = BASICS.elements.find((one) => one.skill === skill)?.title.toLowerCase();
  return (
    elements.find((one) => skillOf(one.method) === skill) ??
    elements.find((one) => one.title.toLowerCase() === called)
  );
}

/**
 * What a method builds on from elsewhere, and by what it is trained: an element of the dog, one that comes
 * along, or none.
 */
export type BeforeDraft = {
  readonly id: ElementId;
  readonly element: MethodElement;
  readonly share: number;
  readonly for: readonly string[];
  readonly by: ElementId | 'along' | 'none';
};

/** Mapped to what the dog has; what it has not comes along. */
export function beforesOf(
  method: Method,
  newId: () => ElementId,
  elements: readonly ElementRecord[],
): BeforeDraft[] {
  return method.before.flatMap((before): BeforeDraft[] => {
    const element = BASICS.elements.find((one) => one.skill === before.skill);
    if (!element) return [];
    const mine = elementOfSkill(before.skill, elements);
    return [{ id: newId(), element, share: before.share, for: before.for, by: mine?.id ?? 'along' }];
  });
}

/** A piece that others build on, as it comes: it asks for no numbers. */
export const comesAlong = ({ id, element }: BeforeDraft, dogId: DogId): New<ElementRecord> =>
  elementFromMethod(
    id,
    dogId,
    BASICS,
    element,
    element.axes.map((axis) => must(axisFrom(axis, { start: null, demand: null, step: null }))),
  );
