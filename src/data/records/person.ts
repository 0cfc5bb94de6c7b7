import * as v from 'valibot';
import type { PersonId } from '@/core/shared';
import { changedSchema, idField, words } from './fields';

/** Version 4: somebody who handles, helps, judges or coaches. Version 12: how long a pace is. */
export const personSchema = v.strictObject({
  id: idField<PersonId>(),
  name: words,
  roles: v.array(v.picklist(['handler', 'helper', 'judge', 'coach'])),
  /** Metres, as measured over a known distance; null where nobody did. */
  pace: v.nullable(v.pipe(v.number(), v.finite(), v.minValue(0.2), v.maxValue(2))),
  putAway: v.boolean(),
  changed: changedSchema,
});
export type Person = v.InferOutput<typeof personSchema>;
