import * as v from 'valibot';
import type { BoutId, ClipId, CommentId, DogId, ElementId } from '@/core/shared';
import { changedSchema, finiteField, idField, instantField, words } from './fields';

/**
 * Version 17: what somebody who looks on says of a dog's work: of the dog, an element, a session, or a second of a
 * clip (which need not be at hand). `by` is a name in the person's own words.
 */
export const commentSchema = v.strictObject({
  id: idField<CommentId>(),
  dogId: idField<DogId>(),
  about: v.variant('kind', [
    v.strictObject({ kind: v.literal('dog') }),
    v.strictObject({ kind: v.literal('element'), element: idField<ElementId>() }),
    v.strictObject({ kind: v.literal('bout'), bout: idField<BoutId>() }),
    v.strictObject({
      kind: v.literal('clip'),
      clip: idField<ClipId>(),
      seconds: v.pipe(finiteField, v.minValue(0)),
    }),
  ]),
  words,
  by: v.string(),
  at: instantField,
  changed: changedSchema,
});
export type Comment = v.InferOutput<typeof commentSchema>;
