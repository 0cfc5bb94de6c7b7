import * as v from 'valibot';
import { LIVE_COVERS, LIVE_ENDS, LIVE_KINDS, LIVE_WINDS } from '@/core/review';
import { faultRefSchema } from '@/core/rulebooks';
import type { DogId, ElementId, EntryId, OutingId, SeasonEventId } from '@/core/shared';
import { changedSchema, countField, finiteField, idField, instantField } from './fields';

/**
 * Version 13: what happened on a live day, one event a record, beside the log: no rep, and never averaged with
 * training.
 */
export const seasonEventSchema = v.strictObject({
  id: idField<SeasonEventId>(),
  /** The live day; null for a scene from before this program, of which nobody knows the day. */
  outingId: v.nullable(idField<OutingId>()),
  dogId: idField<DogId>(),
  /** When it was tapped; null where it was typed in the evening. */
  at: v.nullable(instantField),
  /** In which order it happened that day, from 1. */
  order: v.pipe(countField, v.minValue(1)),
  what: v.picklist(LIVE_KINDS),
  /** What of the dog's work it was, where somebody said. */
  element: v.nullable(idField<ElementId>()),
  /** Metres. */
  distance: v.nullable(v.pipe(finiteField, v.gtValue(0), v.maxValue(20_000))),
  wind: v.nullable(v.picklist(LIVE_WINDS)),
  cover: v.nullable(v.picklist(LIVE_COVERS)),
  end: v.picklist(LIVE_ENDS),
  faults: v.array(faultRefSchema),
  tries: v.pipe(countField, v.minValue(1), v.maxValue(99)),
  words: v.pipe(v.string(), v.maxLength(500)),
  /** The rep as which somebody counted it; null where it stands beside the log. */
  rep: v.nullable(idField<EntryId>()),
  changed: changedSchema,
});
export type SeasonEvent = v.InferOutput<typeof seasonEventSchema>;
