import { ok, type Result } from '@/core/shared';
import { readTables } from '@/data/database';
import type { Kennel } from '@/data/kennel';
import { TABLE_NAMES, type TableName, type Tables } from '@/data/records';
import { same } from '@/data/records/same';
import { type RowChange, transact, type Undo, type Write } from './transact';

/** How far a big write is, from 0 to 1. */
export type OnProgress = (share: number) => void;

/** Puts these tables in the place of all that is there, in one transaction. */
export async function replaceTables(
  kennel: Kennel,
  tables: Tables,
  onProgress?: OnProgress,
): Promise<Result<Undo>> {
  return asItWas(
    await transact(kennel, TABLE_NAMES, async (write) => {
      await writeDifference(write, await readTables(kennel.database), tables, onProgress);
    }),
  );
}

/** Taken back it goes as if it had never been there. */
export const asItWas = <T>(written: Result<Undo<T>>): Result<Undo<T>> =>
  written.ok ? ok({ ...written.value, asItWas: true }) : written;

/** Writes what differs, table by table. */
export async function writeDifference(
  write: Write,
  before: Tables,
  after: Tables,
  onProgress?: OnProgress,
): Promise<void> {
  const all = TABLE_NAMES.reduce((sum, name) => sum + after[name].length, 0);
  let written = 0;
  for (const name of TABLE_NAMES) {
    const [old, now] = [rowsById(before, name), rowsById(after, name)];
    const changes = [...new Set([...old.keys(), ...now.keys()])].map(
      (id): RowChange => ({ table: name, id, before: old.get(id) ?? null, after: now.get(id) ?? null }),
    );
    await write.raw(
      changes.filter((change) => !same(change.before, change.after)),
      (rows) => {
        written += rows;
        onProgress?.(written / all);
      },
    );
  }
}

const rowsById = (tables: Tables, name: TableName): Map<string, Readonly<Record<string, unknown>>> =>
  new Map(tables[name].map((row) => [row.id as string, row as unknown as Readonly<Record<string, unknown>>]));
