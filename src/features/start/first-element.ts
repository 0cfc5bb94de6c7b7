import * as v from 'valibot';
import { axisScale, METHODS, type Method } from '@/core/breakdown';
import { parseOne, type Result } from '@/core/shared';
import type { FirstElement } from '@/data/repositories';

/** The four fields of the first evening, as typed. */
export const firstElementFields = v.pipe(
  v.object({
    name: v.pipe(v.string(), v.trim(), v.minLength(1, 'Write the dog’s name.'), v.maxLength(60, 'A shorter name, please: at most 60 letters.')),
    method: v.picklist(
      METHODS.map((method) => method.id),
      'Choose what you want to teach.',
    ),
    start: v.string(),
    goal: v.string(),
  }),
  v.rawCheck(({ dataset, addIssue }) => {
    if (!dataset.typed) return;
    const { method: id, start, goal } = dataset.value;
    const method = methodById(id);
    if (!method) return;
    const values = { start: read(method, start), goal: read(method, goal) };
    for (const key of ['start', 'goal'] as const) {
      const value = values[key];
      if (!value.ok)
        addIssue({ message: value.message, path: [{ type: 'object', origin: 'value', input: dataset.value, key, value: dataset.value[key] }] });
    }
    if (!values.start.ok || !values.goal.ok) return;
    const scale = axisScale({ ...method.axis, start: values.start.value, demand: values.goal.value, eases: [] });
    if (!scale.ok) addIssue({ message: scale.message, path: [{ type: 'object', origin: 'value', input: dataset.value, key: 'goal', value: goal }] });
  }),
);
export type FirstElementFields = v.InferOutput<typeof firstElementFields>;

export const methodById = (id: string): Method | undefined => METHODS.find((method) => method.id === id);

function read(method: Method, text: string): Result<number> {
  return parseOne(text, method.axis.quantity, method.axis.unit);
}

/** Checked fields → what the kennel stores. Null only if the fields were not checked. */
export function toFirstElement(fields: FirstElementFields): FirstElement | null {
  const method = methodById(fields.method);
  if (!method) return null;
  const [start, goal] = [read(method, fields.start), read(method, fields.goal)];
  return start.ok && goal.ok ? { dogName: fields.name, method, start: start.value, goal: goal.value } : null;
}
