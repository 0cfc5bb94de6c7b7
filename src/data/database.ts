import Dexie, { type Table } from 'dexie';
import { fail, ok, type Result } from '@/core/shared';
import { CURRENT_VERSION, migrateTables, newerMessage } from './migrations';
import { TABLE_NAMES, type TableName, type Tables } from './records';

type Meta = { readonly key: string; readonly value: unknown };

/** The kennel's database. Indexes are Dexie's version; the shape of the records is the version row in `meta`. */
export class KennelDatabase extends Dexie {
  declare readonly dogs: Table<Tables['dogs'][number], string>;
  declare readonly ruleBooks: Table<Tables['ruleBooks'][number], string>;
  declare readonly breakdowns: Table<Tables['breakdowns'][number], string>;
  declare readonly elements: Table<Tables['elements'][number], string>;
  declare readonly sessions: Table<Tables['sessions'][number], string>;
  declare readonly entries: Table<Tables['entries'][number], string>;
  declare readonly trials: Table<Tables['trials'][number], string>;
  declare readonly kit: Table<Tables['kit'][number], string>;
  declare readonly forecasts: Table<Tables['forecasts'][number], string>;
  declare readonly results: Table<Tables['results'][number], string>;
  declare readonly meta: Table<Meta, string>;

  constructor(name: string) {
    // Strict: a rep counts as logged when it is on the disk, not when the browser means to write it.
    super(name, { chromeTransactionDurability: 'strict' });
    this.version(CURRENT_VERSION).stores({
      dogs: 'id',
      ruleBooks: 'id',
      breakdowns: 'id, dogId',
      elements: 'id, dogId',
      sessions: 'id, dogId, elementId',
      entries: 'id, &[sessionId+seq], dogId, elementId',
      trials: 'id, dogId',
      kit: 'id',
      forecasts: 'id, dogId, trialId',
      results: 'id, dogId, trialId',
      meta: 'key',
    });
  }

  tableOf(name: TableName): Table<unknown, string> {
    return this.table(name);
  }
}

/**
 * Opens a kennel's database. One that a newer program wrote is refused with `newer` and left as it is: Dexie by itself would open
 * and rewrite it. Older data is migrated in one transaction together with its version row.
 */
export async function openDatabase(name: string): Promise<Result<KennelDatabase>> {
  const stored = await storedVersion(name);
  if (stored !== null && stored > CURRENT_VERSION) return fail('newer', name, newerMessage(stored));
  const database = new KennelDatabase(name);
  try {
    await database.open();
    const migrated = await bringUpToDate(database);
    if (migrated.ok) return ok(database);
    database.close();
    return migrated;
  } catch (error) {
    database.close();
    return fail(
      'database',
      name,
      `The browser could not open its storage (${error instanceof Error ? error.message : String(error)}). Free some space, or leave private mode.`,
    );
  }
}

async function bringUpToDate(database: KennelDatabase): Promise<Result<null>> {
  return database.transaction('rw', database.tables, async () => {
    const row = await database.meta.get('version');
    const version = row === undefined ? CURRENT_VERSION : Number(row.value);
    if (row !== undefined && version === CURRENT_VERSION) return ok(null);
    const tables = await readTables(database);
    const migrated = migrateTables(tables, version);
    if (!migrated.ok) return migrated;
    if (version !== CURRENT_VERSION) await writeTables(database, migrated.value as Tables);
    await database.meta.put({ key: 'version', value: CURRENT_VERSION });
    return ok(null);
  });
}

/** All records, table by table, in the order of their ids (entries in the order of session and seq). */
export async function readTables(database: KennelDatabase): Promise<Tables> {
  const lists = await Promise.all(
    TABLE_NAMES.map((name) => (name === 'entries' ? database.entries.orderBy('[sessionId+seq]').toArray() : database.tableOf(name).toArray())),
  );
  return Object.fromEntries(TABLE_NAMES.map((name, i) => [name, lists[i]])) as unknown as Tables;
}

/** Replaces every record. Call inside a transaction over all tables. */
export async function writeTables(database: KennelDatabase, tables: Tables): Promise<void> {
  for (const name of TABLE_NAMES) {
    await database.tableOf(name).clear();
    await database.tableOf(name).bulkAdd(tables[name]);
  }
}

// Looks at a database without Dexie, which would upgrade it. Opening one that does not exist would create it, so that is stopped.
function storedVersion(name: string): Promise<number | null> {
  return new Promise((resolve, reject) => {
    const request = indexedDB.open(name);
    request.onupgradeneeded = () => request.transaction?.abort();
    request.onerror = () => (request.error?.name === 'AbortError' ? resolve(null) : reject(request.error));
    request.onsuccess = () => {
      const database = request.result;
      // Dexie multiplies its version by ten, for upgrades of its own.
      const byIndexes = Math.ceil(database.version / 10);
      if (!database.objectStoreNames.contains('meta')) {
        database.close();
        return resolve(byIndexes);
      }
      const row = database.transaction('meta').objectStore('meta').get('version');
      row.onsuccess = () => {
        database.close();
        resolve(Math.max(byIndexes, Number((row.result as Meta | undefined)?.value ?? 0)));
      };
      row.onerror = () => {
        database.close();
        reject(row.error);
      };
    };
  });
}
