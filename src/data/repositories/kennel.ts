import { fail, type Id, ok, type Result } from '@/core/shared';
import { type KennelDatabase, openDatabase, readTables, writeTables } from '@/data/database';
import type { Tables } from '@/data/records';

/** A person's own kennel and the sample live in databases of their own and never mix. */
export type KennelName = 'own' | 'sample';
export type Kennel = { readonly name: KennelName; readonly database: KennelDatabase };

const DATABASES: Readonly<Record<KennelName, string>> = { own: 'regulon-own', sample: 'regulon-sample' };

export async function openKennel(name: KennelName): Promise<Result<Kennel>> {
  const database = await openDatabase(DATABASES[name]);
  return database.ok ? ok({ name, database: database.value }) : database;
}

/** A new id of any kind, from the browser's own generator. */
export function newId<T extends Id<string>>(): T {
  return crypto.randomUUID() as unknown as T;
}

export function exportTables(kennel: Kennel): Promise<Tables> {
  return kennel.database.transaction('r', kennel.database.tables, () => readTables(kennel.database));
}

/** Puts these tables in the place of all that is there, in one transaction, and gives back what was there, for undo. */
export async function replaceTables(kennel: Kennel, tables: Tables): Promise<Result<Tables>> {
  try {
    return await kennel.database.transaction('rw', kennel.database.tables, async () => {
      const before = await readTables(kennel.database);
      await writeTables(kennel.database, tables);
      return ok(before);
    });
  } catch (error) {
    return fail('write', '', `The browser could not store it (${error instanceof Error ? error.message : String(error)}). Nothing was changed.`);
  }
}
