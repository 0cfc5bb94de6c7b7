import * as v from 'valibot';
import { ruleBookSchema } from '@/core/rulebooks';
import { instantField } from './fields';

/** Version 1: the rule book as its file says it, and when it was brought in. Its id is the file's own. */
export const ruleBookRecordSchema = v.strictObject({
  id: ruleBookSchema.entries.id,
  book: ruleBookSchema,
  addedAt: instantField,
});
export type RuleBookRecord = v.InferOutput<typeof ruleBookRecordSchema>;
