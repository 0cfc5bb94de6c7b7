import * as v from 'valibot';
import { asId, type Day, type Id, isDay } from '@/core/shared';

/** Pieces that several records share. */
export const idField = <T extends Id<string>>() => v.pipe(v.string(), v.minLength(1), v.transform(asId<T>));
export const dayField = v.pipe(
  v.string(),
  v.check(isDay, 'not a calendar day (YYYY-MM-DD)'),
  v.transform((text) => text as Day),
);
/** Milliseconds since 1970, as the device's clock gave them. */
export const instantField = v.pipe(v.number(), v.integer(), v.minValue(0));
export const countField = v.pipe(v.number(), v.integer(), v.minValue(0));
