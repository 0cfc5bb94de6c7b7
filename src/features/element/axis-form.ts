import './words';
import * as v from 'valibot';
import { AXIS_KINDS, type Axis, axisFrom, listAxis, readNewAxis } from '@/core/breakdown';
import { type AxisKey, asId, fail, type Result, say } from '@/core/shared';
import { reading, wordsOf } from '@/words';

/** A further criterion as it is typed. */
export type AxisFields = {
  readonly kind: string;
  readonly title: string;
  readonly start: string;
  readonly demand: string;
  readonly step: string;
  readonly list: string;
};
export const EMPTY: AxisFields = { kind: 'distance', title: '', start: '', demand: '', step: '', list: '' };

/** Kinds that are written as a list of steps: a criterion, help, or pay. */
export const isList = (kind: string): kind is 'list' | 'help' | 'pay' =>
  kind === 'list' || kind === 'help' || kind === 'pay';

function kindNamed(key: AxisKey, id: string) {
  const kind = AXIS_KINDS.find((one) => one.id === id);
  return kind?.make(key, wordsOf(kind.title));
}

/** Reads the fields into an axis of this key. Fails at the field that has to be mended. */
export function readAxisFields(key: AxisKey, fields: AxisFields): Result<Axis> {
  const title = fields.title.trim();
  if (!isList(fields.kind)) {
    const spec = kindNamed(key, fields.kind);
    const read = readNewAxis(spec, { ...fields, title }, reading());
    return read.ok ? read : { ...read, path: 'start' };
  }
  if (title === '') return fail('title', 'title', say('axis-form.give-the-list-a-name'));
  const list = listAxis(key, title, fields.list, fields.kind === 'list' ? 'criterion' : fields.kind);
  if (!list) return fail('list', 'list', say('axis-form.write-two-steps-or-more-with'));
  return axisFrom(list, { start: null, demand: null, step: null });
}

/** The same for the form: what does not fit is said beside its field. */
export const axisFields = v.pipe(
  v.object({
    kind: v.string(),
    title: v.string(),
    start: v.string(),
    demand: v.string(),
    step: v.string(),
    list: v.string(),
  }),
  v.rawCheck(({ dataset, addIssue }) => {
    if (!dataset.typed) return;
    const input = dataset.value;
    const read = readAxisFields(asId<AxisKey>('checked'), input);
    if (read.ok) return;
    const key = read.path as keyof AxisFields;
    addIssue({
      message: wordsOf(read.message),
      path: [{ type: 'object', origin: 'value', input, key, value: input[key] }],
    });
  }),
);
