import { ok, type Result } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { type Changed, KEPT_NAMES, TABLE_NAMES, type TableName, type Tables } from '@/data/records';
import { linksOf } from '@/data/records/links';
import { same } from '@/data/records/same';
import { type RowChange, stamped, transact, type Undo } from './transact';

type Row = Readonly<Record<string, unknown>>;

/**
 * What a record should be after a change is taken back, given what it is now: what the change set and
 * what still stands goes back, what somebody changed since stays (by difference, down to a field of one
 * axis). `undefined` leaves it as it is.
 * @internal
 */
export function withoutChange(now: Row | null, { before, after }: RowChange): Row | null | undefined {
  if (after === null) return now === null ? before : undefined;
  if (now === null) return undefined;
  if (before === null) return null;
  const { changed: _, ...was } = before;
  const { changed: __, ...set } = after;
  const { changed, ...stands } = now;
  const back = takenBack(was, set, stands) as Row;
  return same(back, stands) ? undefined : { ...back, ...(changed === undefined ? {} : { changed }) };
}

const isPlain = (value: unknown): value is Row =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What an item of a list is known by; null where its place is all it has. */
function keyOf(item: unknown): string | null {
  if (!isPlain(item)) return null;
  const key = item.key ?? item.id;
  return typeof key === 'string' ? key : null;
}

const byKey = (list: readonly unknown[]): Map<string, unknown> | null => {
  const keys = list.map(keyOf);
  return keys.every((key) => key !== null) && new Set(keys).size === keys.length
    ? new Map(keys.map((key, i) => [key as string, list[i]]))
    : null;
};

/**
 * Three ways: where nothing was changed since, what was before; where the change did nothing, what is
 * now; records key by key and lists of keyed items item by item; else what is now stands.
 */
function takenBack(before: unknown, after: unknown, now: unknown): unknown {
  if (same(now, after)) return before;
  if (same(before, after)) return now;
  if (isPlain(before) && isPlain(after) && isPlain(now)) {
    const keys = [...new Set([...Object.keys(now), ...Object.keys(before)])];
    return Object.fromEntries(
      keys.flatMap((key) => {
        const value = takenBack(before[key], after[key], now[key]);
        return value === undefined ? [] : [[key, value] as const];
      }),
    );
  }
  if (!Array.isArray(before) || !Array.isArray(after) || !Array.isArray(now)) return now;
  const [was, set, stands] = [byKey(before), byKey(after), byKey(now)];
  if (!was || !set || !stands) return now;
  const order = [...stands.keys(), ...[...was.keys()].filter((key) => !stands.has(key))];
  return order.flatMap((key) => {
    const value = takenBack(was.get(key), set.get(key), stands.get(key));
    return value === undefined ? [] : [value];
  });
}

/**
 * Takes a write back, in one transaction. Entries are undone by entries; records go back by
 * difference. What was made and has been used since (a bout with newer reps, the dog and element of
 * such a bout) stays, so that nothing logged since is lost. Gives what takes the taking back back.
 */
export async function takeBack(
  kennel: Kennel,
  undo: Pick<Undo, 'rows' | 'entries' | 'asItWas'>,
): Promise<Result<Undo>> {
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
      if (change.table === 'gone' && records.has(change.id) && !undo.asItWas) continue;
      if (keep.has(`${change.table}/${change.id}`)) continue;
      const now = ((await kennel.database.table(change.table).get(change.id)) as Row | undefined) ?? null;
      if (undo.asItWas && same(now, change.after)) {
        await write.raw([{ ...change, before: now, after: change.before }]);
        continue;
      }
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
