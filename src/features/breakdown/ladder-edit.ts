import { type Axis, type CellEdit, isRatioAxis } from '@/core/breakdown';
import { type AxisKey, fail, fromBase, must, ok, parseOne, type Result } from '@/core/shared';

export type AxisField = 'start' | 'step' | 'demand';

/** A field of an axis as a person reads it, without the unit for steps by ratio: 25 %. */
export function fieldText(axis: Axis, field: AxisField): string {
  if (field === 'step' && isRatioAxis(axis)) return `${Number((axis.step * 100).toPrecision(3))} %`;
  const shown = must(fromBase(axis.quantity, axis[field], axis.unit));
  return `${Number(shown.toPrecision(6))}${axis.unit === '°' || axis.unit === '' ? '' : ' '}${axis.unit}`;
}

/** Reads a typed field back into the axis. Fails with the words that stand under the field; the axis is not changed then. */
export function withField(axis: Axis, field: AxisField, text: string): Result<Axis> {
  if (field === 'step' && isRatioAxis(axis)) return withRatio(axis, text);
  const value = parseOne(text, axis.quantity, axis.unit);
  if (!value.ok) return value;
  if (field === 'step' && !(value.value > 0)) return fail('step', '', 'A step is more than 0.');
  return ok({ ...axis, [field]: value.value });
}

function withRatio(axis: Axis, text: string): Result<Axis> {
  const match = /^\+?\s*(\d+(?:[.,]\d+)?)\s*%?$/.exec(text.trim());
  const percent = match ? Number((match[1] ?? '').replace(',', '.')) : Number.NaN;
  if (!(percent > 0)) return fail('step', '', `“${text}” is not a step. Here a step is a share of what stands, for example 25 %.`);
  return ok({ ...axis, step: percent / 100 });
}

/** Sets one cell by hand, or clears it when the text is empty. */
export function withCell(edits: readonly CellEdit[], axis: Axis, rung: number, text: string): Result<CellEdit[]> {
  const others = edits.filter((edit) => !(edit.rung === rung && edit.axis === axis.key));
  if (text.trim() === '') return ok(others);
  const value = parseOne(text, axis.quantity, axis.unit);
  if (!value.ok) return value;
  const zero = axis.zeroScale ?? 0;
  if (isRatioAxis(axis) && value.value + zero <= 0) return fail('cell', '', `A ${axis.quantity} here must be more than 0.`);
  return ok([...others, { rung, axis: axis.key, value: value.value }]);
}

export const isEdited = (edits: readonly CellEdit[], rung: number, axis: AxisKey): boolean =>
  edits.some((edit) => edit.rung === rung && edit.axis === axis);
