import { ok, type Result } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { type Changed, KEPT_NAMES, TABLE_NAMES, type TableName, type Tables } from '@/data/records';
import { linksOf } from '@/data/records/references';
import { same } from '@/data/records/same';
import { type RowChange, stamped, transact, type Undo } from './transact';

type Row = Readonly<Record<string, unknown>>;

/**
 * What a record should be after a change is taken back, given what it is now: keys that the change
 * set and that still stand go back, what somebody changed since stays (by difference). `undefined`
 * leaves it as it is.
 * @internal
 */
export function withoutChange(now: Row | null, { before, after }: RowChange): Row | null | undefined {
  if (after === null) return now === null ? before : undefined;
  if (now === null) return undefined;
  if (before === null) return null;
  const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])];
  const mine = keys.filter(
    (key) => !same(before[key], after[key]) && same(now[key], after[key]) && key !== 'changed',
  );
  if (mine.length === 0) return undefined;
  const kept = Object.entries(now).filter(([key]) => !mine.includes(key));
  const back = mine.flatMap((key) => (key in before ? [[key, before[key]] as const] : []));
  return Object.fromEntries([...kept, ...back]);
}

/**
 * Takes a write back, in one transaction. Entries are undone by entries; records go back by
 * difference. What was made and has been used since (a bout with newer reps, the dog and element of
 * such a bout) stays, so that nothing logged since is lost. Gives what takes the taking back back.
 */
export async function takeBack(kennel: Kennel, undo: Pick<Undo, 'rows' | 'entries'>): Promise<Result<Undo>> {
  const byTables = new Set(undo.rows.map((row) => row.table));
  const removes = undo.rows.some(
    (row) => row.before === null && row.table !== 'gone' && row.table !== 'entries',
  );
  const tables: TableName[] = removes ? [...TABLE_NAMES] : [...byTables];
  if (undo.entries.length > 0) tables.push('entries');
  if (tables.length === 0) return ok({ made: null, rows: [], entries: [] });
  return transact(kennel, tables, async (write) => {
    for (const { id, boutId, dogId } of undo.entries)
      await write.append({ id: boutId, dogId }, { kind: 'undo', of: id });
    const keep = removes ? await stillUsed(kennel, undo.rows) : new Set<string>();
    const records = new Set(undo.rows.map(({ table, id }) => `${table}/${id}`));
    for (const change of [...undo.rows].reverse()) {
      // A tombstone goes and comes with its record; it is a change of its own only where it came alone.
      if (change.table === 'gone' && records.has(change.id)) continue;
      if (keep.has(`${change.table}/${change.id}`)) continue;
      const now = ((await kennel.database.table(change.table).get(change.id)) as Row | undefined) ?? null;
      const next = withoutChange(now, change);
      if (next === undefined) continue;
      if (isKept(change.table)) await putBack(kennel, write.raw, change, now, next);
      else await write.raw([{ ...change, before: now, after: next }]);
    }
    return null;
  });
}

const isKept = (table: TableName): boolean => KEPT_NAMES.some((name) => name === table);

/** Writes a record back as a new version, with its tombstone set or taken away. */
async function putBack(
  kennel: Kennel,
  raw: (changes: readonly RowChange[]) => Promise<void>,
  { table, id }: RowChange,
  now: Row | null,
  next: Row | null,
): Promise<void> {
  const own = `${table}/${id}`;
  const gone = ((await kennel.database.of('gone').get(own)) as unknown as Row | undefined) ?? null;
  const seen = (now?.changed ?? gone?.changed ?? next?.changed ?? null) as Changed | null;
  const changed = stamped(kennel, seen);
  await raw([
    { table, id, before: now, after: next && { ...next, changed } },
    ...(next === null || gone
      ? [
          {
            table: 'gone' as const,
            id: own,
            before: gone,
            after: next === null ? { id: own, changed } : null,
          },
        ]
      : []),
  ]);
}

/** Of the records that would be removed, those that something which stays refers to, as `table/id`. */
async function stillUsed(kennel: Kennel, rows: readonly RowChange[]): Promise<Set<string>> {
  const { database } = kennel;
  const leaving = new Set(rows.filter((row) => row.before === null).map((row) => `${row.table}/${row.id}`));
  const lists = await Promise.all(KEPT_NAMES.map((name) => database.of(name as TableName).toArray()));
  const tables = Object.fromEntries(KEPT_NAMES.map((name, i) => [name, lists[i]])) as unknown as Tables;
  const links = linksOf({ ...tables, gone: [], apart: [] });
  const used = new Set<string>();
  for (const { id } of tables.bouts) {
    if (!leaving.has(`bouts/${id}`)) continue;
    const log = await database
      .of('entries')
      .where('[boutId+seq]')
      .between([id, 0], [id, Number.POSITIVE_INFINITY])
      .toArray();
    if (log.some((entry) => !leaving.has(`entries/${entry.id}`))) {
      used.add(`bouts/${id}`);
      // A log is kept whole: what was brought in with it stays beside what was added.
      for (const entry of log) used.add(`entries/${entry.id}`);
    }
  }
  for (let before = -1; before !== used.size; ) {
    before = used.size;
    for (const { from, to, id } of links) {
      const target = `${to}/${id}`;
      if (leaving.has(target) && (!leaving.has(from) || used.has(from))) used.add(target);
    }
  }
  return used;
}
