import * as v from 'valibot';
import { SIGNAL_KINDS } from '@/core/coaching';
import type { DogId, ElementId, SignalId } from '@/core/shared';
import { changedSchema, idField, words } from './fields';

/**
 * Version 6: one word, whistle or gesture of a person's, and what it is for. Before, cues stood in each
 * dog's own record and nothing else did. What nobody has said is null or empty.
 */
export const signalSchema = v.strictObject({
  id: idField<SignalId>(),
  /** The one dog that it is for; null where it is for all. */
  dogId: v.nullable(idField<DogId>()),
  kind: v.picklist(SIGNAL_KINDS),
  word: words,
  means: v.string(),
  /** Whether the dog stays as it is until it is released. */
  stays: v.nullable(v.boolean()),
  /** The elements that it belongs to. */
  elements: v.array(idField<ElementId>()),
  changed: changedSchema,
});
export type Signal = v.InferOutput<typeof signalSchema>;
