import * as v from 'valibot';
import type { DogId, GroundId } from '@/core/shared';
import { changedSchema, idField, words } from './fields';

/** Version 4: a place where dogs are trained. Its plan to scale comes with the set-outs. */
export const groundSchema = v.strictObject({
  id: idField<GroundId>(),
  name: words,
  usualFor: v.array(idField<DogId>()),
  surface: v.string(),
  hazards: v.array(v.strictObject({ what: words, where: v.string() })),
  plan: v.nullable(v.record(v.string(), v.unknown())),
  putAway: v.boolean(),
  changed: changedSchema,
});
export type Ground = v.InferOutput<typeof groundSchema>;
