import * as v from 'valibot';
import { criteriaSchema, READINGS, thingSchema, windSchema } from '@/core/breakdown';
import { type ElementId, type GroundId, type SetOutId, schemaSays } from '@/core/shared';
import { changedSchema, finiteField, idField, words } from './fields';

/**
 * Version 12: where things lie, to scale. What a bout was worked on is never redrawn: changed afterwards it
 * becomes another set-out, and the one that was used is put away (write/set-outs.ts).
 */
export const setOutSchema = v.strictObject({
  id: idField<SetOutId>(),
  title: words,
  ground: v.nullable(idField<GroundId>()),
  /** What it is laid for: which step, and which axis is what on the drawing. Null where for nothing of it. */
  asks: v.nullable(
    v.strictObject({
      element: idField<ElementId>(),
      criteria: criteriaSchema,
      reads: v.record(v.string(), v.picklist(READINGS)),
    }),
  ),
  /** The turn of north clockwise from "up"; that of the ground counts where there is one. */
  north: v.pipe(finiteField, v.minValue(0), v.maxValue(360)),
  wind: v.nullable(windSchema),
  things: v.pipe(
    v.array(thingSchema),
    v.maxLength(200),
    v.check(
      (things) => new Set(things.map(({ key }) => key)).size === things.length,
      schemaSays('data.set-out.two-things-share-a-key'),
    ),
  ),
  /** How this dog's runs scatter, where somebody said so: degrees, and a share of the way. */
  spread: v.nullable(
    v.strictObject({
      line: v.pipe(finiteField, v.minValue(0), v.maxValue(90)),
      reach: v.pipe(finiteField, v.minValue(0), v.maxValue(2)),
    }),
  ),
  putAway: v.boolean(),
  changed: changedSchema,
});
export type SetOut = v.InferOutput<typeof setOutSchema>;
