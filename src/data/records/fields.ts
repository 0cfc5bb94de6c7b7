import * as v from 'valibot';
import { asId, type Day, type DeviceId, type Id, isDay, schemaSays } from '@/core/shared';

/** Pieces that several records share. */
export const idField = <T extends Id<string>>() => v.pipe(v.string(), v.minLength(1), v.transform(asId<T>));
export const dayField = v.pipe(
  v.string(),
  v.check(isDay, schemaSays('data.fields.not-a-calendar-day-yyyy-mm-dd')),
  v.transform((text) => text as Day),
);
/** Milliseconds since 1970, as the device's clock gave them. */
export const instantField = v.pipe(v.number(), v.integer(), v.minValue(0));
export const countField = v.pipe(v.number(), v.integer(), v.minValue(0));
export const finiteField = v.pipe(v.number(), v.finite());
export const words = v.pipe(v.string(), v.trim(), v.minLength(1));

/**
 * Since version 4 every record but entries says which changes it has seen, by device: a version
 * vector. A change raises the device's own count. Merging keeps each version that no other has
 * seen; a time alone cannot do that.
 */
export const changedSchema = v.strictObject({
  at: instantField,
  by: idField<DeviceId>(),
  seen: v.record(v.string(), v.pipe(countField, v.minValue(1))),
});
export type Changed = v.InferOutput<typeof changedSchema>;
