import * as v from 'valibot';
import type { DogId, GroundId, MeetingId, OutingId } from '@/core/shared';
import { changedSchema, dayField, finiteField, idField, instantField } from './fields';

/**
 * Version 4: one going out, with one or more dogs. `day` is the handler's calendar day, fixed when it
 * starts. Each session of version 3 became an outing of its own.
 */
export const outingSchema = v.strictObject({
  id: idField<OutingId>(),
  kind: v.picklist(['training', 'mock', 'trial', 'hunt']),
  day: dayField,
  startedAt: instantField,
  endedAt: v.nullable(instantField),
  ground: v.nullable(idField<GroundId>()),
  weather: v.nullable(
    v.strictObject({
      /** Degrees Celsius, where somebody has looked. */
      temperature: v.nullable(v.pipe(finiteField, v.minValue(-60), v.maxValue(60))),
      wind: v.nullable(v.strictObject({ from: finiteField, speed: finiteField })),
      words: v.string(),
    }),
  ),
  /** Who helps, in the person's own words. */
  helpers: v.string(),
  dogs: v.array(idField<DogId>()),
  meeting: v.nullable(idField<MeetingId>()),
  note: v.string(),
  changed: changedSchema,
});
export type Outing = v.InferOutput<typeof outingSchema>;
