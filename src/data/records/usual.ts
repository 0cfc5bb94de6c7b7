import * as v from 'valibot';
import type { UsualId } from '@/core/shared';
import { changedSchema, dayField, idField } from './fields';

/**
 * Version 10: what time there is for training, all dogs together: on a weekday (1 Monday … 7 Sunday) of a
 * usual week, or on one day that is otherwise. Its id says which, so that two devices mean the same.
 */
export const usualSchema = v.strictObject({
  id: idField<UsualId>(),
  on: v.variant('kind', [
    v.strictObject({
      kind: v.literal('weekday'),
      weekday: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(7)),
    }),
    v.strictObject({ kind: v.literal('day'), day: dayField }),
  ]),
  minutes: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(720)),
  /** Somewhere the dogs are not usually trained; and where, in the person’s own words. */
  strange: v.boolean(),
  where: v.pipe(v.string(), v.maxLength(120)),
  helper: v.boolean(),
  /** Too hot for what loads a body. */
  hot: v.boolean(),
  changed: changedSchema,
});
export type Usual = v.InferOutput<typeof usualSchema>;
