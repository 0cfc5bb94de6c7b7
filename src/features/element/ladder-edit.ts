import './words';
import {
  type Axis,
  amountText,
  axisScale,
  type CellEdit,
  friendly,
  isRatioAxis,
  parseValue,
  type Rung,
  readStep,
  sameCriteria,
  stepText,
  writeValue,
} from '@/core/breakdown';
import { type AxisKey, asLevel, fail, ok, type Result, say } from '@/core/shared';
import type { ElementRecord } from '@/data/read';
import { NO_BREAK, withOwnPoint, wordsOf } from '@/words';

export type AxisField = 'start' | 'step' | 'limit' | 'demand';

/**
 * A field of an axis as a person reads and types it: 25 % for steps by ratio, the name of a step
 * for a list.
 */
export function fieldText(axis: Axis, field: AxisField): string {
  if (field === 'step' || field === 'limit') return withOwnPoint(stepText(axis, axis[field]));
  if (axis.levels !== null) return wordsOf(writeValue(axis, axis[field]));
  return withOwnPoint(amountText(axis, axis[field]));
}

/**
 * Reads a typed field back into the axis. Fails with the words that stand under the field; the axis
 * is not changed then.
 */
export function withField(axis: Axis, field: AxisField, text: string): Result<Axis> {
  const value =
    field === 'step' || field === 'limit'
      ? readStep(axis, text)
      : parseValue(axis.harder === 'both' ? { ...axis, harder: 'more' } : axis, text);
  return value.ok ? ok({ ...axis, [field]: value.value }) : value;
}

/** Sets one cell by hand, or clears it when the text is empty. */
export function withCell(
  { axes, edits }: Pick<ElementRecord, 'axes' | 'edits'>,
  axis: Axis,
  rung: Pick<Rung, 'planned'>,
  text: string,
): Result<CellEdit[]> {
  const others = edits.filter(
    (edit) => !(edit.axis === axis.key && sameCriteria(axes, edit.on, rung.planned)),
  );
  if (text.trim() === '') return ok(others);
  const value = readCell(axis, text);
  return value.ok ? ok([...others, { on: rung.planned, axis: axis.key, value: value.value }]) : value;
}

/**
 * A value for a rung. Fails with `cell` where a ratio axis would lose its ratio, and as
 * `parseValue` does.
 */
export function readCell(axis: Axis, text: string): Result<number> {
  const value = parseValue(axis, text.replaceAll(NO_BREAK, ' '));
  if (!value.ok) return value;
  const zero = axis.zeroScale ?? 0;
  if (isRatioAxis(axis) && axis.harder !== 'both' && value.value + zero <= 0)
    return fail('cell', '', say('ladder-edit.a-here-must-be-more-than-0', { quantity: axis.quantity }));
  return value;
}

/**
 * The value at a place on an axis's scale (0 start, 1 demand), rounded to be paced out; null where
 * the scale is broken or held.
 */
export function valueAt(axis: Axis, at: number): number | null {
  const scale = axisScale(axis);
  if (!scale.ok || scale.value.held) return null;
  return friendly(axis, scale.value.value(at));
}

export const isEdited = (
  { axes, edits }: Pick<ElementRecord, 'axes' | 'edits'>,
  rung: Pick<Rung, 'planned'>,
  axis: AxisKey,
): boolean => edits.some((edit) => edit.axis === axis && sameCriteria(axes, edit.on, rung.planned));

/**
 * What somebody changed of an axis, laid over the axis as it is stored: the page may not have seen the last
 * change yet, and of two quick ones both must stay. `before` is what the page showed, `next` what it made of
 * it. Steps of a list are told by their ids.
 */
export function laidOver(stored: Axis, before: Axis, next: Axis): Axis {
  const keys = (Object.keys(next) as (keyof Axis)[]).filter((key) => next[key] !== before[key]);
  const changed = Object.fromEntries(keys.map((key) => [key, next[key]])) as Partial<Axis>;
  if (changed.levels === undefined || !changed.levels || !before.levels || !stored.levels)
    return { ...stored, ...changed };
  return { ...stored, ...changed, levels: levelsOver(stored.levels, before.levels, changed.levels) };
}

type Levels = NonNullable<Axis['levels']>;

function levelsOver(stored: Levels, before: Levels, next: Levels): Levels {
  const was = new Map(before.map((one) => [one.id, one]));
  const said = new Map(next.filter((one) => was.has(one.id)).map((one) => [one.id, one]));
  const kept = stored.map((one) => {
    const [old, now] = [was.get(one.id), said.get(one.id)];
    if (!old || !now) return one;
    return {
      ...one,
      ...(now.name === old.name ? {} : { name: now.name }),
      ...(now.anchor === old.anchor ? {} : { anchor: now.anchor }),
    };
  });
  // An id that was taken meanwhile is not used twice.
  let free = Math.max(0, ...stored.map((one) => one.id)) + 1;
  const added = next
    .filter((one) => !was.has(one.id))
    .map((one) => (stored.some((other) => other.id === one.id) ? { ...one, id: asLevel(free++) } : one));
  const first = next[0];
  return first && !was.has(first.id) ? [...added, ...kept] : [...kept, ...added];
}
