import './words';
import {
  type Axis,
  amountText,
  axisScale,
  type CellEdit,
  friendly,
  isRatioAxis,
  LIMIT_FACTOR,
  parseValue,
  type Rung,
  readSizes,
  readStep,
  sameCriteria,
  stepText,
  unitTyped,
  writeValue,
} from '@/core/breakdown';
import { type AxisKey, asLevel, fail, ok, type Result, say } from '@/core/shared';
import type { ElementRecord } from '@/data/read';
import { NO_BREAK, numberCustom, reading, withOwnPoint, wordsOf } from '@/words';

export type AxisField = 'start' | 'step' | 'limit' | 'demand' | 'sizes' | 'floor';

/**
 * A field of an axis as a person reads and types it: 25 % or "5 yd" for steps, the name of a step for a
 * list; empty where there are no owned sizes, or no floor.
 */
export function fieldText(axis: Axis, field: AxisField): string {
  if (field === 'step' || field === 'limit') return withOwnPoint(stepText(axis, axis[field]));
  if (field === 'sizes')
    return (axis.sizes ?? []).map((size) => withOwnPoint(amountText(axis, size))).join('; ');
  const value = axis[field];
  if (value === undefined) return '';
  if (axis.levels !== null) return wordsOf(writeValue(axis, value));
  return withOwnPoint(amountText(axis, value));
}

/**
 * Reads a typed field back into the axis, which goes on in the unit that was written. Fails with the words
 * that stand under the field; the axis is not changed then.
 */
export function withField(axis: Axis, field: AxisField, text: string): Result<Axis> {
  const { custom } = reading();
  // What was shown comes back with unbreakable spaces.
  const typed = text.replaceAll(NO_BREAK, ' ').trim();
  const now = axis.levels === null ? { ...axis, unit: unitTyped(axis, typed) } : axis;
  const plain = now.harder === 'both' ? { ...now, harder: 'more' as const } : now;
  switch (field) {
    case 'step': {
      const read = readStep(now, typed, custom);
      if (!read.ok) return read;
      const { step, equal } = read.value;
      // A limit of another kind of step says nothing any more.
      const limit = equal === (axis.equal ?? false) ? axis.limit : step * LIMIT_FACTOR;
      return ok({ ...now, step, limit, ...(equal || axis.equal ? { equal } : {}) });
    }
    case 'limit': {
      const read = readStep(now, typed, custom);
      if (!read.ok) return read;
      return read.value.equal === (axis.equal ?? false)
        ? ok({ ...now, limit: read.value.step })
        : fail('limit', '', say('ladder-edit.as-the-step-is-written'));
    }
    case 'sizes': {
      const sizes = readSizes(now, typed, custom);
      return sizes.ok ? ok({ ...now, sizes: sizes.value }) : sizes;
    }
    case 'floor': {
      if (typed === '') {
        const { floor: _none, ...rest } = now;
        return ok(rest);
      }
      const floor = parseValue(plain, typed, custom);
      return floor.ok ? ok({ ...now, floor: floor.value }) : floor;
    }
    case 'start':
    case 'demand': {
      const value = parseValue(plain, typed, custom);
      return value.ok ? ok({ ...now, [field]: value.value }) : value;
    }
  }
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
  const value = parseValue(axis, text.replaceAll(NO_BREAK, ' '), numberCustom());
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
  const laid = without(stored, (key) => key in before && !(key in next));
  if (changed.levels === undefined || !changed.levels || !before.levels || !stored.levels)
    return { ...laid, ...changed };
  return { ...laid, ...changed, levels: levelsOver(stored.levels, before.levels, changed.levels) };
}

/** What was said and is said no more (a floor) goes. */
const without = (axis: Axis, isGone: (key: string) => boolean): Axis =>
  Object.fromEntries(Object.entries(axis).filter(([key]) => !isGone(key))) as Axis;

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
