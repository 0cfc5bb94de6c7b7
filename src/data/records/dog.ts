import * as v from 'valibot';
import type { DogId } from '@/core/shared';
import { dayField, idField } from './fields';

/** Version 1: name, breed in the person's own words, birth day where known. */
export const dogSchema = v.strictObject({
  id: idField<DogId>(),
  name: v.pipe(v.string(), v.trim(), v.minLength(1, 'A dog needs a name.'), v.maxLength(60)),
  breed: v.string(),
  born: v.nullable(dayField),
});
export type Dog = v.InferOutput<typeof dogSchema>;
