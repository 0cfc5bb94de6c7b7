import * as v from 'valibot';
import { type Failure, fail } from '@/core/shared';
import type { TableName } from '.';
import { boutSchema } from './bout';
import { dogSchema } from './dog';
import { elementSchema } from './element';
import { entrySchema } from './entry';
import { goneSchema } from './gone';
import { kitSchema } from './kit';
import { outingSchema } from './outing';
import { signalSchema } from './signal';
import { slotSchema } from './slot';
import { stopSchema } from './stop';
import { issuesInWords, placeOf } from './words';

type Schema = v.GenericSchema<unknown, unknown>;

/** What a lesson writes: at hand from the first tap on. */
const EVERYDAY: Partial<Record<TableName, Schema>> = {
  dogs: dogSchema,
  elements: elementSchema,
  outings: outingSchema,
  bouts: boutSchema,
  entries: entrySchema,
  slots: slotSchema,
  stops: stopSchema,
  kit: kitSchema,
  signals: signalSchema,
  gone: goneSchema,
};
let known: Partial<Record<TableName, Schema>> = EVERYDAY;

/**
 * Brings in what records of these tables are made of, before a transaction, which would die while it waits. The
 * rooms of the kitchen table write them.
 */
export async function readyToCheck(tables: readonly TableName[]): Promise<void> {
  if (tables.every((name) => known[name] !== undefined)) return;
  const { tablesSchema } = await import('./tables');
  known = Object.fromEntries(
    Object.entries(tablesSchema.entries).map(([name, list]) => [name, list.item as Schema]),
  );
}

/**
 * Whether a record can be read back: it is checked by the schema that reading uses. Null where it can;
 * else `record`, with what is wrong in sentences. Throws where `readyToCheck` was not waited for.
 */
export function checkRecord(table: TableName, row: unknown): Failure | null {
  const schema = known[table];
  if (!schema) throw new Error(`nothing is known yet of ${table}`);
  return checkedBy(schema, table, row);
}

/** The same with the schema in hand. */
export function checkedBy(schema: Schema, table: TableName, row: unknown): Failure | null {
  const read = v.safeParse(schema, row);
  return read.success
    ? null
    : fail('record', `${table}.${placeOf(read.issues[0])}`, issuesInWords(read.issues));
}
