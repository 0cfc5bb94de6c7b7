import * as v from 'valibot';
import type { BoutId, DogId, EntryId } from '@/core/shared';
import { changedSchema, idField } from './fields';

/**
 * Version 10: where somebody thinks afterwards that a bout should have ended: after a rep of its log. It has
 * the id of its bout, and stands beside what the counts say, never in their place.
 */
export const stopSchema = v.strictObject({
  id: idField<BoutId>(),
  dogId: idField<DogId>(),
  after: idField<EntryId>(),
  changed: changedSchema,
});
export type Stop = v.InferOutput<typeof stopSchema>;
