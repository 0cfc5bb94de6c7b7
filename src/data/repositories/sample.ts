import type { Day } from '@/core/shared';
import { writeTables } from '@/data/database';
import type { Tables } from '@/data/records';
import type { Kennel } from './kennel';

type Made = { readonly day: Day; readonly entries: number };

/**
 * Fills the sample kennel when it is empty, and makes it anew when it was made on another day and nobody has logged in it
 * since: its dates are relative to today. A person's own practice in the sample is left alone.
 */
export async function ensureSample(kennel: Kennel, today: Day, make: () => Tables): Promise<void> {
  const { database } = kennel;
  const made = (await database.meta.get('sample'))?.value as Made | undefined;
  const entries = await database.entries.count();
  if (made !== undefined && (made.day === today || entries !== made.entries)) return;
  await renewSample(kennel, today, make());
}

export async function renewSample(kennel: Kennel, today: Day, tables: Tables): Promise<void> {
  const { database } = kennel;
  const made: Made = { day: today, entries: tables.entries.length };
  await database.transaction('rw', database.tables, async () => {
    await writeTables(database, tables);
    await database.meta.put({ key: 'sample', value: made });
  });
}
