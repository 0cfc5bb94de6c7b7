import { type Day, fail, ok, type Result, say } from '@/core/shared';
import { type Kennel, reasonOf } from '@/data/kennel';
import type { Tables } from '@/data/records';
import { replaceTables } from './kennel-tables';
import type { Undo } from './transact';

type Made = { readonly day: Day; readonly entries: number };

/**
 * Fills the sample kennel when it is empty, and makes it anew when it was made on another day and
 * nobody has logged in it since: its dates are relative to today. A person's own practice in the
 * sample is left alone.
 */
export async function ensureSample(kennel: Kennel, today: Day, make: () => Tables): Promise<Result<unknown>> {
  const { database } = kennel;
  try {
    const made = (await database.meta.get('sample'))?.value as Made | undefined;
    const entries = await database.of('entries').count();
    if (made !== undefined && (made.day === today || entries !== made.entries)) return ok(null);
  } catch (error) {
    return fail(
      'database',
      'sample',
      say('data.sample.the-sample-could-not-be-read', { reasonOf: reasonOf(error) }),
    );
  }
  return renewSample(kennel, today, make());
}

/** The sample as it was made, in the place of all that is there. */
export async function renewSample(kennel: Kennel, today: Day, tables: Tables): Promise<Result<Undo>> {
  const replaced = await replaceTables(kennel, tables);
  if (!replaced.ok) return replaced;
  const made: Made = { day: today, entries: tables.entries.length };
  try {
    await kennel.database.meta.put({ key: 'sample', value: made });
    return replaced;
  } catch (error) {
    return fail(
      'write',
      'meta',
      say('data.sample.the-sample-is-new-but-its-day-is', { reasonOf: reasonOf(error) }),
    );
  }
}
