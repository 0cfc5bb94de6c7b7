import * as v from 'valibot';
import { criteriaSchema } from '@/core/breakdown';
import { PURPOSES } from '@/core/planning';
import type { BreakdownId, DogId, ElementId, SlotId } from '@/core/shared';
import { changedSchema, countField, dayField, finiteField, idField } from './fields';

/**
 * Version 10: one bout that is planned. Whether it was done or skipped is read from the bouts that name it.
 * The step is kept as its criteria, as everything stored is. `why`: what it adds to the chance of passing (or
 * of clean goes), shares, as it was worked out when it was planned.
 */
export const slotSchema = v.strictObject({
  id: idField<SlotId>(),
  day: dayField,
  dogId: idField<DogId>(),
  /** Its place in the lesson. */
  order: countField,
  /** Set by hand: planning anew leaves it where it is. */
  pinned: v.boolean(),
  on: v.variant('kind', [
    v.strictObject({ kind: v.literal('element'), element: idField<ElementId>() }),
    v.strictObject({ kind: v.literal('exercise'), breakdown: idField<BreakdownId>() }),
  ]),
  at: criteriaSchema,
  purpose: v.picklist(PURPOSES),
  goes: v.pipe(countField, v.minValue(1)),
  sets: v.pipe(countField, v.minValue(1)),
  minutes: v.pipe(countField, v.minValue(1)),
  why: v.nullable(v.strictObject({ low: finiteField, mid: finiteField, high: finiteField })),
  changed: changedSchema,
});
export type Slot = v.InferOutput<typeof slotSchema>;
