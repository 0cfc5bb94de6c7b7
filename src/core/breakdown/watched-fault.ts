import * as v from 'valibot';
import { schemaSays } from '@/core/shared';

const text = v.pipe(v.string(), v.trim(), v.minLength(1));
const key = v.pipe(
  v.string(),
  v.regex(/^[a-z0-9-]+$/, schemaSays('breakdown.watched-fault.a-short-word-in-small-letters')),
);

/** A fault to watch for, where no rule book prices it: in a method's file, or an element's own. */
export const watchedFaultSchema = v.strictObject({
  key,
  label: text,
  by: v.optional(v.picklist(['dog', 'handler']), 'dog'),
  miss: v.optional(v.boolean(), false),
});
