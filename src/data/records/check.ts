import * as v from 'valibot';
import { type Failure, fail } from '@/core/shared';
import { type TableName, tablesSchema } from '.';
import { issuesInWords, placeOf } from './words';

/**
 * Whether a record can be read back: it is checked by the schema that reading uses. Null where it can;
 * else `record`, with what is wrong in sentences.
 */
export function checkRecord(table: TableName, row: unknown): Failure | null {
  const read = v.safeParse(tablesSchema.entries[table].item, row);
  return read.success
    ? null
    : fail('record', `${table}.${placeOf(read.issues[0])}`, issuesInWords(read.issues));
}
