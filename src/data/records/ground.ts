import * as v from 'valibot';
import { groundPlanSchema } from '@/core/breakdown';
import type { DogId, GroundId } from '@/core/shared';
import { changedSchema, idField, words } from './fields';

/** Version 4: a place where dogs are trained. Version 12: its plan to scale. */
export const groundSchema = v.strictObject({
  id: idField<GroundId>(),
  name: words,
  usualFor: v.array(idField<DogId>()),
  surface: v.string(),
  hazards: v.array(v.strictObject({ what: words, where: v.string() })),
  plan: v.nullable(groundPlanSchema),
  putAway: v.boolean(),
  changed: changedSchema,
});
export type Ground = v.InferOutput<typeof groundSchema>;
