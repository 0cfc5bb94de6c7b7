import * as v from 'valibot';
import type { DogId } from '@/core/shared';
import { changedSchema, idField } from './fields';

const most = v.nullable(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(200)));

/**
 * Version 13: what somebody means to keep to with a dog on live days, by the dog's id. No number is the program's:
 * null where nobody said.
 */
export const seasonSchema = v.strictObject({
  id: idField<DogId>(),
  first: v.boolean(),
  birds: most,
  companions: most,
  days: most,
  changed: changedSchema,
});
export type Season = v.InferOutput<typeof seasonSchema>;

export const PLAIN_SEASON = { first: false, birds: null, companions: null, days: null } as const;
