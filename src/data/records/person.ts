import * as v from 'valibot';
import type { PersonId } from '@/core/shared';
import { changedSchema, idField, words } from './fields';

/** Version 4: somebody who handles, helps, judges or coaches. */
export const personSchema = v.strictObject({
  id: idField<PersonId>(),
  name: words,
  roles: v.array(v.picklist(['handler', 'helper', 'judge', 'coach'])),
  putAway: v.boolean(),
  changed: changedSchema,
});
export type Person = v.InferOutput<typeof personSchema>;
