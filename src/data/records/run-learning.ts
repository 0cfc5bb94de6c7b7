import * as v from 'valibot';
import { assumptionsSchema } from '@/core/readiness';
import type { DogId, ExerciseKey, MarkId, PartKey, RunId } from '@/core/shared';
import { changedSchema, countField, dayField, finiteField, idField, instantField, words } from './fields';

const share = v.pipe(v.number(), v.minValue(0), v.maxValue(1));

/**
 * Version 16: what was thought of a run before it began, by the run’s id; never changed afterwards. A class
 * that could not be forecast has none.
 */
export const runForecastSchema = v.strictObject({
  id: idField<RunId>(),
  dogId: idField<DogId>(),
  at: instantField,
  pass: v.strictObject({ low: share, mid: share, high: share }),
  /** Expected points of the whole, and expected to be lost in each exercise, in the book’s own points. */
  points: finiteField,
  lost: v.array(v.strictObject({ exercise: idField<ExerciseKey>(), points: finiteField })),
  reps: countField,
  lastDay: v.nullable(dayField),
  edition: v.string(),
  seed: countField,
  assumptions: assumptionsSchema,
  changed: changedSchema,
});
export type RunForecast = v.InferOutput<typeof runForecastSchema>;

/**
 * Version 16: what somebody confirmed of a run, from which its rehearsal reps were written: the facts of the
 * day, to which part a fault of a whole exercise belongs, and how a go was of which the sheet does not say it.
 */
export const runLessonSchema = v.strictObject({
  id: idField<RunId>(),
  dogId: idField<DogId>(),
  /** In a place where the dog does not usually train, somebody else handled, and paid in the ring. */
  away: v.boolean(),
  another: v.boolean(),
  paid: v.boolean(),
  of: v.array(v.strictObject({ mark: idField<MarkId>(), part: idField<PartKey>() })),
  said: v.array(
    v.strictObject({
      exercise: idField<ExerciseKey>(),
      part: idField<PartKey>(),
      time: countField,
      outcome: v.picklist(['clean', 'flawed', 'miss', 'none']),
    }),
  ),
  changed: changedSchema,
});
export type RunLesson = v.InferOutput<typeof runLessonSchema>;

/** Version 16: a run that was judged to learn judging: which of the written-out runs it is. */
export const practiceSchema = v.strictObject({
  id: idField<RunId>(),
  script: words,
  changed: changedSchema,
});
export type Practice = v.InferOutput<typeof practiceSchema>;
