import * as v from 'valibot';
import { axisSchema, cellEditSchema } from '@/core/breakdown';
import { type RunPolicy, runPolicySchema } from '@/core/coaching';
import type { DogId, ElementId } from '@/core/shared';
import { idField } from './fields';

/** Version 1: one element as this dog trains it. The ladder is built from axes and hand-set cells, never stored. */
export const elementSchema = v.strictObject({
  id: idField<ElementId>(),
  dogId: idField<DogId>(),
  title: v.pipe(v.string(), v.trim(), v.minLength(1)),
  axes: v.pipe(v.array(axisSchema), v.minLength(1, 'an element needs a criterion axis')),
  edits: v.array(cellEditSchema),
  policy: runPolicySchema,
  /** The built-in method it came from, or null when it comes from a rule book. */
  methodId: v.nullable(v.string()),
});
export type ElementRecord = v.InferOutput<typeof elementSchema>;

/** Five in a row is the usual rule; two misses in a row say "too hard" before a third teaches it. */
export const DEFAULT_POLICY: RunPolicy = { kind: 'run', advanceAfter: 5, dropAfter: 2, setSize: 5 };
