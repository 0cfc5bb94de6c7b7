import * as v from 'valibot';
import { fail, ok, type Result, type Sentence, saidBySchema, say } from '@/core/shared';
import type { KennelDatabase } from './database';
import { migrateTables } from './migrations';
import { TABLE_NAMES, type Tables } from './records';
import { checkReferences } from './records/references';
import { tablesSchema } from './records/tables';

/**
 * The stored rows, older stores too, carried to the newest version, checked as a file is, and written.
 * Called inside a transaction over all tables; where it fails nothing was written.
 */
export async function carryOver(
  database: KennelDatabase,
  version: number,
  olderStores: readonly string[],
): Promise<Result<null>> {
  const names = [...TABLE_NAMES, ...olderStores];
  const lists = await Promise.all(names.map((name) => database.table(name).toArray()));
  const carried = migrateTables(Object.fromEntries(names.map((name, i) => [name, lists[i] ?? []])), version);
  if (!carried.ok) return carried;
  const tables = v.safeParse(tablesSchema, carried.value);
  if (!tables.success) {
    const [first] = tables.issues;
    const path = v.getDotPath(first) ?? 'tables';
    return fail('record', path, unreadable(path, saidBySchema(first)));
  }
  const dangling = checkReferences(tables.output);
  if (dangling) return { ...dangling, message: unreadable(dangling.path, dangling.message) };
  await writeTables(database, tables.output);
  for (const store of olderStores) await database.table(store).clear();
  return ok(null);
}

const unreadable = (place: string, why: Sentence): Sentence =>
  say('data.carry-over.this-kennel-was-kept-by-an-older', { place, why });

/** Replaces every record. */
async function writeTables(database: KennelDatabase, tables: Tables): Promise<void> {
  for (const name of TABLE_NAMES) {
    await database.table(name).clear();
    await database.table(name).bulkAdd(tables[name] as readonly unknown[]);
  }
}
