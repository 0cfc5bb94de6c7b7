import * as v from 'valibot';
import type { KitId } from '@/core/shared';
import { idField } from './fields';

/** Since version 2: a thing that the person has. Ladders that need what is not listed say so. */
export const kitSchema = v.strictObject({
  id: idField<KitId>(),
  title: v.pipe(v.string(), v.trim(), v.minLength(1, 'A thing needs a name.'), v.maxLength(80)),
});
export type Kit = v.InferOutput<typeof kitSchema>;
