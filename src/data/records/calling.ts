import * as v from 'valibot';
import type { DogId, ExerciseKey, PartKey, RuleBookId, RunId } from '@/core/shared';
import { CALL_KINDS } from '@/core/trials';
import { changedSchema, countField, finiteField, idField, instantField, words } from './fields';

const seconds = v.pipe(finiteField, v.minValue(0), v.maxValue(3600));

export const scriptEntries = {
  steps: v.array(
    v.strictObject({
      key: words,
      exercise: idField<ExerciseKey>(),
      part: v.nullable(idField<PartKey>()),
      kind: v.picklist(CALL_KINDS),
      words,
      delay: v.strictObject({ from: seconds, to: seconds }),
    }),
  ),
  draws: v.array(
    v.strictObject({
      key: words,
      exercise: idField<ExerciseKey>(),
      title: words,
      from: v.array(words),
      take: v.pipe(countField, v.minValue(1)),
    }),
  ),
};

/** Version 11: how a class is called, in the person’s own words; one for each rule book, with its id. */
export const scriptSchema = v.strictObject({
  id: idField<RuleBookId>(),
  ...scriptEntries,
  changed: changedSchema,
});
export type ScriptRecord = v.InferOutput<typeof scriptSchema>;

/** Version 11: what a dog may meet at a trial, as somebody said of it; null where nobody has. */
export const bearingSchema = v.strictObject({
  id: idField<DogId>(),
  calmAtShots: v.nullable(v.boolean()),
  mayBite: v.nullable(v.boolean()),
  changed: changedSchema,
});
export type BearingRecord = v.InferOutput<typeof bearingSchema>;

/**
 * Version 11: a run as it was called. The seed is drawn when the calling starts, on the device that calls:
 * before, there is no such record anywhere; the handler’s device learns it from the helper’s file afterwards.
 */
export const callingSchema = v.strictObject({
  id: idField<RunId>(),
  /** For whoever calls: the class, the dog and its number. */
  title: words,
  by: v.picklist(['helper', 'alone']),
  seed: countField,
  startedAt: instantField,
  endedAt: v.nullable(instantField),
  /** The order that was drawn, by the titles of the exercises, and what else was. */
  order: v.array(words),
  drawn: v.array(v.strictObject({ title: words, drawn: v.array(words) })),
  steps: v.array(
    v.strictObject({
      key: words,
      exercise: idField<ExerciseKey>(),
      kind: v.picklist(CALL_KINDS),
      words,
      delay: seconds,
      /** Null until it is called. */
      at: v.nullable(instantField),
    }),
  ),
  changed: changedSchema,
});
export type Calling = v.InferOutput<typeof callingSchema>;
