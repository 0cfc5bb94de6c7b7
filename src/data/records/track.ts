import * as v from 'valibot';
import {
  type BoutId,
  type DogId,
  type EntryId,
  type SetOutId,
  schemaSays,
  type TrackId,
} from '@/core/shared';
import { changedSchema, finiteField, idField, instantField } from './fields';

const seconds = v.pipe(finiteField, v.minValue(-60), v.maxValue(4 * 86_400));
const bearing = v.pipe(finiteField, v.minValue(-360), v.maxValue(360));

/**
 * Version 15: where a collar, a watch or a phone was, as it was read. `lies` puts its local metres (north up, the first
 * fix at 0, 0) onto a set-out; times of goes and casts are seconds from the first fix.
 */
export const trackSchema = v.strictObject({
  id: idField<TrackId>(),
  dogId: v.nullable(idField<DogId>()),
  name: v.string(),
  source: v.picklist(['file', 'phone', 'simulated']),
  /** When it began, and how many fixes it has: by these a file is told again. */
  startedAt: instantField,
  count: v.pipe(v.number(), v.integer(), v.minValue(2)),
  boutId: v.nullable(idField<BoutId>()),
  setOut: v.nullable(idField<SetOutId>()),
  lies: v.nullable(
    v.strictObject({
      turn: bearing,
      x: finiteField,
      y: finiteField,
      /** How it was laid: by where it began, or by two places; then by how much their distance differed, metres. */
      by: v.picklist(['start', 'two']),
      off: v.nullable(finiteField),
    }),
  ),
  goes: v.array(
    v.strictObject({
      from: seconds,
      to: seconds,
      /** Which thing of the set-out it was sent to. */
      goal: v.nullable(v.string()),
      rep: v.nullable(idField<EntryId>()),
      casts: v.array(v.strictObject({ at: seconds, turn: bearing })),
    }),
  ),
  changed: changedSchema,
});
export type Track = v.InferOutput<typeof trackSchema>;

/** The fixes of a track, under its id: seconds from the first one, degrees; metres of error where the device said so. */
export const trackPointsSchema = v.pipe(
  v.strictObject({
    id: idField<TrackId>(),
    t: v.array(finiteField),
    lat: v.array(v.pipe(finiteField, v.minValue(-90), v.maxValue(90))),
    lon: v.array(v.pipe(finiteField, v.minValue(-180), v.maxValue(180))),
    /** Places marked on the way, by their name. */
    marks: v.array(v.strictObject({ t: finiteField, name: v.string() })),
    changed: changedSchema,
  }),
  v.check(
    ({ t, lat, lon }) => t.length === lat.length && t.length === lon.length,
    schemaSays('data.track.uneven'),
  ),
);
export type TrackPoints = v.InferOutput<typeof trackPointsSchema>;
