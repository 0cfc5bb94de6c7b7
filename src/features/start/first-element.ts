import * as v from 'valibot';
import {
  axisFrom,
  axisScale,
  METHODS,
  type Method,
  type MethodAxis,
  type MethodElement,
  parseValue,
} from '@/core/breakdown';
import type { Result } from '@/core/shared';
import type { FirstElement } from '@/data/write';
import { wordsOf } from '@/words';
import { tell } from './words';

/** What can be begun on the first evening: one axis, two answers, no helper and little kit. */
export type FirstChoice = {
  readonly id: string;
  readonly method: Method;
  readonly element: MethodElement;
  readonly axis: MethodAxis;
};

export const FIRST_CHOICES: readonly FirstChoice[] = [
  choice('positions-at-a-distance'),
  choice('memory-retrieve'),
  choice('formal-hold'),
];

function choice(id: string): FirstChoice {
  const method = METHODS.find((one) => one.id === id);
  const element = method?.elements[0];
  const axis = element?.axes[0];
  if (!method || !element || !axis || axis.step === null)
    throw new Error(`${id} cannot be begun with two answers`);
  return { id, method, element, axis };
}

/** The four fields of the first evening, as typed. */
export const firstElementFields = v.pipe(
  v.object({
    name: v.pipe(
      v.string(),
      v.trim(),
      v.minLength(1, tell('first-element.write-the-dogs-name')),
      v.maxLength(60, tell('first-element.a-shorter-name-please-at-most-60')),
    ),
    method: v.picklist(
      FIRST_CHOICES.map((one) => one.id),
      'Choose what you want to teach.',
    ),
    start: v.string(),
    goal: v.string(),
  }),
  v.rawCheck(({ dataset, addIssue }) => {
    if (!dataset.typed) return;
    const { method: id, start, goal } = dataset.value;
    const first = choiceById(id);
    if (!first) return;
    const at = (key: 'start' | 'goal', message: string): void =>
      addIssue({
        message,
        path: [{ type: 'object', origin: 'value', input: dataset.value, key, value: dataset.value[key] }],
      });
    const values = { start: read(first, start), goal: read(first, goal) };
    for (const key of ['start', 'goal'] as const) {
      const value = values[key];
      if (!value.ok) at(key, wordsOf(value.message));
    }
    if (!values.start.ok || !values.goal.ok) return;
    const scale = climbable(first, values.start.value, values.goal.value);
    if (!scale.ok) at('goal', wordsOf(scale.message));
  }),
);
export type FirstElementFields = v.InferOutput<typeof firstElementFields>;

export const choiceById = (id: string): FirstChoice | undefined => FIRST_CHOICES.find((one) => one.id === id);

function read(first: FirstChoice, text: string): Result<number> {
  return parseValue(first.axis.axis, text);
}

function climbable(first: FirstChoice, start: number, demand: number): Result<unknown> {
  const axis = axisFrom(first.axis, { start, demand, step: null });
  return axis.ok ? axisScale(axis.value) : axis;
}

/** Checked fields → what the kennel stores. Null only if the fields were not checked. */
export function toFirstElement(fields: FirstElementFields): FirstElement | null {
  const first = choiceById(fields.method);
  if (!first) return null;
  const [start, goal] = [read(first, fields.start), read(first, fields.goal)];
  if (!start.ok || !goal.ok) return null;
  const axis = axisFrom(first.axis, { start: start.value, demand: goal.value, step: null });
  return axis.ok
    ? { dogName: fields.name, method: first.method, element: first.element, axes: [axis.value] }
    : null;
}
