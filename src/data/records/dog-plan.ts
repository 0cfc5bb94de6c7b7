import * as v from 'valibot';
import type { DogId, DogPlanId } from '@/core/shared';
import { changedSchema, idField } from './fields';

/**
 * Version 10: how a dog is planned for. Its loads are limits of the dog itself; here is what only a plan
 * asks. `weight`: what a pass of this dog is worth beside that of another.
 */
export const dogPlanSchema = v.strictObject({
  id: idField<DogPlanId>(),
  dogId: idField<DogId>(),
  daysAWeek: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(7)),
  /** Minutes to warm up, in a lesson with work for which a body has to be warm. */
  warmUp: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(60)),
  weight: v.picklist([0.5, 1, 2]),
  changed: changedSchema,
});
export type DogPlan = v.InferOutput<typeof dogPlanSchema>;

/**
 * What holds until somebody says otherwise: a day of rest in seven, and five minutes to warm up; our own
 * figures, shown where they are used and changed there.
 */
export const PLAIN_DOG_PLAN = { daysAWeek: 6, warmUp: 5, weight: 1 } as const satisfies Partial<DogPlan>;
