import * as v from 'valibot';
import { BODY_SIGNS } from '@/core/coaching';
import type { DeviceId, ExerciseKey, FaultKey, MarkId, PartKey, PersonId, RunId } from '@/core/shared';
import { EXERCISE_STATES } from '@/core/trials';
import { changedSchema, countField, finiteField, idField, instantField, words } from './fields';

const place = {
  id: idField<MarkId>(),
  runId: idField<RunId>(),
  judge: v.nullable(idField<PersonId>()),
  seq: countField,
  by: idField<DeviceId>(),
  at: instantField,
  of: v.nullable(idField<MarkId>()),
  reason: v.string(),
  changed: changedSchema,
};
const exercise = idField<ExerciseKey>();

/**
 * Version 11: what is written on a judge’s sheet. Append-only: a mark that is changed or taken back stays,
 * and another names it.
 */
export const markSchema = v.variant('kind', [
  v.strictObject({
    ...place,
    kind: v.literal('fault'),
    exercise,
    part: v.nullable(idField<PartKey>()),
    time: v.nullable(countField),
    fault: idField<FaultKey>(),
    amount: finiteField,
  }),
  v.strictObject({ ...place, kind: v.literal('given'), exercise, slot: words, value: finiteField }),
  v.strictObject({
    ...place,
    kind: v.literal('watch'),
    exercise,
    seconds: v.pipe(finiteField, v.minValue(0)),
  }),
  v.strictObject({ ...place, kind: v.literal('state'), exercise, is: v.picklist(EXERCISE_STATES) }),
  v.strictObject({ ...place, kind: v.literal('warned'), exercise }),
  v.strictObject({ ...place, kind: v.literal('re-run'), exercise }),
  v.strictObject({ ...place, kind: v.literal('moment'), exercise }),
  v.strictObject({ ...place, kind: v.literal('sign-seen'), exercise, sign: v.picklist(BODY_SIGNS) }),
  v.strictObject({ ...place, kind: v.literal('note'), exercise: v.nullable(exercise), text: words }),
  v.strictObject({ ...place, kind: v.literal('take-back') }),
  v.strictObject({ ...place, kind: v.literal('close') }),
  v.strictObject({ ...place, kind: v.literal('sign'), name: words }),
  v.strictObject({ ...place, kind: v.literal('reopen') }),
]);
export type MarkRecord = v.InferOutput<typeof markSchema>;
