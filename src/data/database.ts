import Dexie, { type Table } from 'dexie';
import { fail, ok, type Result, say } from '@/core/shared';
import { CURRENT_VERSION, newerMessage } from './migrations/version';
import { TABLE_NAMES, type TableName, type Tables } from './records';
import type { KeptEvidence, KeptLog } from './records/kept-evidence';

type Meta = { readonly key: string; readonly value: unknown };

/**
 * Stores of older versions. One that the newest schema does not list is deleted when the database
 * opens, before any migration reads it: it stays listed until nobody can still have it.
 */
const OLDER_STORES = { sessions: 'id' } as const;

/**
 * The kennel's database. Indexes are Dexie's version; the shape of the records is the version row
 * in `meta`.
 */
export class KennelDatabase extends Dexie {
  declare readonly meta: Table<Meta, string>;
  declare readonly kept: Table<KeptEvidence, string>;
  declare readonly keptLogs: Table<KeptLog, string>;

  constructor(name: string) {
    // Strict: a rep counts as logged when it is on the disk, not when the browser means to write it.
    super(name, { chromeTransactionDurability: 'strict' });
    this.version(CURRENT_VERSION).stores({
      dogs: 'id',
      people: 'id',
      grounds: 'id',
      kit: 'id',
      signals: 'id',
      ruleBooks: 'id',
      breakdowns: 'id, dogId',
      elements: 'id, dogId',
      outings: 'id, day',
      bouts: 'id, dogId, outingId, on.element, on.breakdown, setOut',
      entries: 'id, [boutId+seq]',
      trials: 'id, dogId',
      forecasts: 'id, dogId, trialId',
      results: 'id, dogId, trialId',
      usuals: 'id',
      dogPlans: 'id, dogId',
      slots: 'id, dogId, day',
      otherWork: 'id, dogId',
      stops: 'id, dogId',
      meetings: 'id, day',
      runs: 'id, dogId, meeting, book',
      marks: 'id, [runId+seq]',
      scripts: 'id',
      bearings: 'id',
      callings: 'id',
      setOuts: 'id, ground',
      events: 'id, outingId, dogId',
      seasons: 'id',
      clips: 'id, dogId, boutId',
      clipMarks: 'id, clipId',
      tracks: 'id, dogId, setOut',
      trackPoints: 'id',
      runForecasts: 'id, dogId',
      runLessons: 'id, dogId',
      practices: 'id',
      legs: 'id, dogId',
      held: 'id, dogId',
      titleAims: 'id, dogId',
      comments: 'id, dogId',
      gone: 'id',
      apart: 'id',
      meta: 'key',
      // Derived from the log, never exported: records/kept-evidence.ts.
      kept: 'id, dogId, [element+startedAt], meaning',
      keptLogs: 'id, [element+startedAt]',
      ...OLDER_STORES,
    });
  }

  of<N extends TableName>(name: N): Table<Tables[N][number], string> {
    return this.table(name);
  }
}

/**
 * Opens a kennel's database. One that a newer program wrote is refused with `newer` and left as it
 * is: Dexie by itself would open and rewrite it. Older data is migrated and validated in one
 * transaction together with its version row; where that fails the old rows and version stay as they
 * were.
 */
export async function openDatabase(name: string): Promise<Result<KennelDatabase>> {
  try {
    const stored = await storedVersion(name);
    if (stored !== null && stored > CURRENT_VERSION) return fail('newer', name, newerMessage(stored));
    return await opened(new KennelDatabase(name), stored);
  } catch (error) {
    return fail(
      'database',
      name,
      say('data.database.not-opened', { why: error instanceof Error ? error.message : String(error) }),
    );
  }
}

async function opened(database: KennelDatabase, stored: number | null): Promise<Result<KennelDatabase>> {
  try {
    await database.open();
    const ready = await bringUpToDate(database, stored);
    if (ready.ok) return ok(database);
    database.close();
    return ready;
  } catch (error) {
    database.close();
    throw error;
  }
}

async function bringUpToDate(database: KennelDatabase, stored: number | null): Promise<Result<null>> {
  // Loaded for older data only, and before the transaction, which would die while it waits.
  const carry = stored === null || stored === CURRENT_VERSION ? null : await import('./carry-over');
  return database.transaction('rw', database.tables, async () => {
    const row = await database.meta.get('version');
    if (row !== undefined && Number(row.value) === CURRENT_VERSION) return ok(null);
    if (row !== undefined && carry) {
      const carried = await carry.carryOver(database, Number(row.value), Object.keys(OLDER_STORES));
      if (!carried.ok) return carried;
    }
    await database.meta.put({ key: 'version', value: CURRENT_VERSION });
    return ok(null);
  });
}

/** All records, table by table, in the order of their ids (entries in the order of bout and seq). */
export async function readTables(database: KennelDatabase): Promise<Tables> {
  const lists = await Promise.all(
    TABLE_NAMES.map((name) =>
      name === 'entries'
        ? database.of('entries').orderBy('[boutId+seq]').toArray()
        : database.table(name).toArray(),
    ),
  );
  return Object.fromEntries(TABLE_NAMES.map((name, i) => [name, lists[i]])) as unknown as Tables;
}

// Looks at a database without Dexie, which would upgrade it. Opening one that does not exist would
// create it, so that is stopped.
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
