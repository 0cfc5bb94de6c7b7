import { CURRENT_VERSION } from '@/data/migrations';
import { TABLE_NAMES, type Tables } from '@/data/records';
import { KENNEL_FORMAT } from './kennel-file';

/** Tables at hand as a kennel file; the program writes it from its database, piece by piece. */
export function writeKennelFile(tables: Tables, savedAt: string): string {
  const counts = Object.fromEntries(TABLE_NAMES.map((name) => [name, tables[name].length]));
  return JSON.stringify(
    { format: KENNEL_FORMAT, version: CURRENT_VERSION, savedAt, counts, tables },
    null,
    1,
  );
}
