import * as v from 'valibot';
import { LOADS } from '@/core/planning';
import type { DogId, ElementId, OtherWorkId } from '@/core/shared';
import { changedSchema, countField, dayField, finiteField, idField } from './fields';

const amount = v.exactOptional(v.pipe(finiteField, v.minValue(0), v.maxValue(100_000)));
const loads = Object.fromEntries(LOADS.map((load) => [load, amount])) as Record<
  (typeof LOADS)[number],
  typeof amount
>;

/**
 * Version 10: work outside the log, in a line: an element used at home, a walk with jumps. It counts for loads
 * and for gaps, and is no evidence. Base units: metres run, seconds upright.
 */
export const otherWorkSchema = v.strictObject({
  id: idField<OtherWorkId>(),
  dogId: idField<DogId>(),
  day: dayField,
  minutes: countField,
  elements: v.array(idField<ElementId>()),
  loads: v.strictObject(loads),
  words: v.pipe(v.string(), v.maxLength(200)),
  changed: changedSchema,
});
export type OtherWork = v.InferOutput<typeof otherWorkSchema>;
