import type { Amendment } from '@/core/log';
import { type EntryId, type Result, say } from '@/core/shared';
import { readTables } from '@/data/database';
import { type Merged, mergeTables } from '@/data/files/merge';
import type { Kennel } from '@/data/kennel';
import { type Bout, type KeptName, TABLE_NAMES, type Tables } from '@/data/records';
import { linksOf } from '@/data/records/links';
import { RECORD_TITLES } from '@/data/records/titles';
import { asItWas, type OnProgress, writeDifference } from './kennel-tables';
import { mustBeSound, refuse, stamped, transact, type Undo, type Write } from './transact';

/**
 * Brings in what another kennel has and this one lacks, read and written in one transaction. Fails as
 * merging does.
 */
export async function addTables(
  kennel: Kennel,
  theirs: Tables,
  onProgress?: OnProgress,
): Promise<Result<Undo<Merged>>> {
  return asItWas(
    await transact(kennel, TABLE_NAMES, async (write) => {
      const mine = await readTables(kennel.database);
      const merged = mergeTables(mine, theirs);
      if (!merged.ok) return refuse(merged.code, merged.path, merged.message);
      await writeDifference(write, mine, merged.value.tables, onProgress);
      return merged.value;
    }),
  );
}

/**
 * Says which version of a record stands that was changed on two devices apart: it is written as one
 * that has seen all of them. `chosen` is a version as it is, or what was put together of several; null
 * leaves the record removed. Fails with `gone` where nothing waits for a decision any more, and with
 * `record` where what was put together is not sound.
 */
export const decide = (kennel: Kennel, id: string, chosen: Row | null): Promise<Result<Undo>> =>
  decideAll(kennel, [{ id, chosen }]);

/** A record apart, and what shall stand of it. */
export type Decision = { readonly id: string; readonly chosen: Row | null };

/** Several decisions in one, so that they are taken back as one: what others name comes first. Fails as `decide` does. */
export async function decideAll(kennel: Kennel, decisions: readonly Decision[]): Promise<Result<Undo>> {
  const place = ({ id, chosen }: Decision): number =>
    chosen ? TABLE_NAMES.indexOf(tableOf(id)) : TABLE_NAMES.length;
  const decided = await transact(kennel, TABLE_NAMES, async (write) => {
    for (const one of [...decisions].sort((a, b) => place(a) - place(b))) await decideOne(kennel, write, one);
  });
  // Taken back as a new version it would have seen all others, and the next file would decide in silence.
  return asItWas(decided);
}

const tableOf = (id: string): KeptName => id.slice(0, id.indexOf('/')) as KeptName;

async function decideOne(kennel: Kennel, write: Write, { id, chosen }: Decision): Promise<void> {
  const table = tableOf(id);
  const apart =
    (await kennel.database.of('apart').get(id)) ??
    refuse('gone', id, say('data.kennel-tables.this-is-decided-already'));
  const seen: Record<string, number> = {};
  for (const { changed } of apart.versions)
    for (const [device, count] of Object.entries(changed.seen))
      seen[device] = Math.max(seen[device] ?? 0, count);
  const changed = stamped(kennel, { at: kennel.now(), by: kennel.device, seen });
  const own = id.slice(table.length + 1);
  const row = (await kennel.database.table(table).get(own)) as Row | undefined;
  const gone = (await kennel.database.of('gone').get(id)) as Row | undefined;
  const after = chosen && { ...chosen, changed };
  if (after) {
    mustBeSound(table, after);
    await mustPointAtSomething(kennel, table, after);
  }
  await write.raw([
    { table, id: own, before: row ?? null, after },
    { table: 'gone', id, before: gone ?? null, after: after ? null : { id, changed } },
    { table: 'apart', id, before: apart as unknown as Row, after: null },
  ]);
}

/**
 * Says what stands of a rep that two devices put right apart: an amendment that has seen what both said. `chosen`
 * is what it says, of all that was said otherwise. Fails with `gone` as `decide` does.
 */
export function decideRep(
  kennel: Kennel,
  bout: Pick<Bout, 'id' | 'dogId'>,
  rep: EntryId,
  chosen: Amendment,
): Promise<Result<Undo>> {
  const id = `entries/${rep}`;
  return transact(kennel, ['entries', 'apart'], async (write) => {
    const apart = await kennel.database.of('apart').get(id);
    if (!apart) return refuse('gone', id, say('data.kennel-tables.this-is-decided-already'));
    await write.append(bout, { kind: 'amend', of: rep, ...chosen });
    await write.raw([{ table: 'apart', id, before: apart as unknown as Row, after: null }]);
    return null;
  });
}

/** What was taken of several versions must not name what is not there: that comes first. */
async function mustPointAtSomething({ database }: Kennel, table: KeptName, row: Row): Promise<void> {
  const alone = { ...Object.fromEntries(TABLE_NAMES.map((name) => [name, []])), [table]: [row] };
  for (const { to, id } of linksOf(alone as unknown as Tables)) {
    const there = (await database.table(to).get(id)) ?? (await database.of('gone').get(`${to}/${id}`));
    if (!there)
      refuse('reference', id, say('data.kennel-tables.names-what-waits', { what: RECORD_TITLES[to] }));
  }
}

type Row = Readonly<Record<string, unknown>>;
