import * as v from 'valibot';
import { type KitId, schemaSays } from '@/core/shared';
import { changedSchema, finiteField, idField } from './fields';

/**
 * Since version 2: a thing that the person has. Ladders that need what is not listed say so. Version
 * 4: the sizes that are owned, in base units of `quantity`, shown in `unit`.
 */
export const kitSchema = v.strictObject({
  id: idField<KitId>(),
  title: v.pipe(
    v.string(),
    v.trim(),
    v.minLength(1, schemaSays('data.kit.a-thing-needs-a-name')),
    v.maxLength(80),
  ),
  sizes: v.array(finiteField),
  quantity: v.nullable(v.picklist(['height', 'volume', 'area', 'offset', 'distance', 'mass'])),
  unit: v.string(),
  changed: changedSchema,
});
export type Kit = v.InferOutput<typeof kitSchema>;

export const PLAIN_KIT = { sizes: [], quantity: null, unit: '' } satisfies Partial<Kit>;
