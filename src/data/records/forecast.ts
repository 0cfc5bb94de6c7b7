import * as v from 'valibot';
import { assumptionsSchema } from '@/core/readiness';
import type { DogId, ForecastId, ResultId, RunId, TrialId } from '@/core/shared';
import { changedSchema, countField, dayField, idField, instantField } from './fields';

const share = v.pipe(v.number(), v.minValue(0), v.maxValue(1));

/** Version 3: a forecast as it was given, with all it rested on. Never changed afterwards. */
export const forecastSchema = v.strictObject({
  id: idField<ForecastId>(),
  dogId: idField<DogId>(),
  trialId: idField<TrialId>(),
  at: instantField,
  /** The handler's day on which it was given, and the day it is for. */
  day: dayField,
  forDay: dayField,
  pass: v.strictObject({ low: share, mid: share, high: share }),
  points: v.nullable(v.pipe(v.number(), v.finite())),
  /**
   * What it rested on: counted reps and sessions, the last of them, and the edition of the rule
   * book.
   */
  reps: countField,
  sessions: countField,
  lastDay: v.nullable(dayField),
  edition: v.string(),
  seed: countField,
  assumptions: assumptionsSchema,
  /** A print of every input: the same print means the same forecast. */
  print: v.string(),
  changed: changedSchema,
});
export type ForecastRecord = v.InferOutput<typeof forecastSchema>;

/** Version 3: how a trial or a mock trial went. */
export const resultSchema = v.strictObject({
  id: idField<ResultId>(),
  dogId: idField<DogId>(),
  trialId: idField<TrialId>(),
  kind: v.picklist(['mock', 'trial']),
  day: dayField,
  passed: v.boolean(),
  points: v.nullable(v.pipe(v.number(), v.finite())),
  note: v.pipe(v.string(), v.maxLength(2000)),
  /** The forecast it is held against: the last one from before; null where none was given. */
  forecastId: v.nullable(idField<ForecastId>()),
  /** The score sheet that it was taken from; null where it was typed in. */
  run: v.nullable(idField<RunId>()),
  changed: changedSchema,
});
export type ResultRecord = v.InferOutput<typeof resultSchema>;
