import * as v from 'valibot';
import { ruleBookSchema } from '@/core/rulebooks';
import { changedSchema, instantField } from './fields';

/**
 * Version 1: the rule book as its file says it, and when it was brought in. Its id is the file's
 * own. Version 4: the book in version 2 of its file, where the pieces of an exercise are parts.
 * Version 8: the book in version 3 of its file.
 */
export const ruleBookRecordSchema = v.strictObject({
  id: ruleBookSchema.entries.id,
  book: ruleBookSchema,
  addedAt: instantField,
  putAway: v.boolean(),
  changed: changedSchema,
});
export type RuleBookRecord = v.InferOutput<typeof ruleBookRecordSchema>;
