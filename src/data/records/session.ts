import * as v from 'valibot';
import type { DogId, ElementId, SessionId } from '@/core/shared';
import { countField, dayField, idField, instantField } from './fields';

/**
 * Version 1: one dog on one element, from the first cue to "enough". `day` is the handler's calendar day, fixed when it starts. Version 2: the
 * conditions of the day, and two lines afterwards. Version 3: a number of runs that was fixed beforehand.
 */
export const sessionSchema = v.strictObject({
  id: idField<SessionId>(),
  dogId: idField<DogId>(),
  elementId: idField<ElementId>(),
  startedAt: instantField,
  day: dayField,
  /** True in a place where the dog does not usually train. */
  away: v.boolean(),
  startRung: countField,
  endedAt: v.nullable(instantField),
  /** By the element's own conditions: Surface → grass. */
  conditions: v.record(v.string(), v.string()),
  /** Who helps, in the person's own words. */
  helper: v.string(),
  /** Degrees Celsius, where somebody has looked. */
  temperature: v.nullable(v.pipe(v.number(), v.finite(), v.minValue(-60), v.maxValue(60))),
  /** For a test of better than luck: how many runs were fixed beforehand. Null: looked at after each. */
  runsFixed: v.nullable(v.pipe(countField, v.minValue(1), v.maxValue(60))),
  debrief: v.nullable(v.strictObject({ what: v.string(), next: v.string() })),
});
export type Session = v.InferOutput<typeof sessionSchema>;
