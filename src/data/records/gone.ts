import * as v from 'valibot';
import { changedSchema, words } from './fields';

/** Version 4: what was removed, so that an older file does not bring it back. `id` is `table/id`. */
export const goneSchema = v.strictObject({ id: words, changed: changedSchema });
export type Gone = v.InferOutput<typeof goneSchema>;

/**
 * Version 4: a record that was changed on two devices apart, and nobody has decided yet. The versions
 * are whole records (null for one that was removed); the last by time and device stands meanwhile.
 */
export const apartSchema = v.strictObject({
  id: words,
  versions: v.pipe(
    v.array(
      v.strictObject({ changed: changedSchema, record: v.nullable(v.record(v.string(), v.unknown())) }),
    ),
    v.minLength(2),
  ),
});
export type Apart = v.InferOutput<typeof apartSchema>;
