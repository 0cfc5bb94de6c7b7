import { type Entry, type Fork, forksOf, inOrder } from '@/core/log';
import { fail, ok, type Result, say } from '@/core/shared';
import {
  type Apart,
  type Changed,
  type Gone,
  KEPT_NAMES,
  type KeptName,
  type TableName,
  type Tables,
} from '@/data/records';
import { checkReferences } from '@/data/records/references';
import { same } from '@/data/records/same';

export type Merged = {
  readonly tables: Tables;
  /** How many records came in that were not here, by table. */
  readonly added: Readonly<Record<TableName, number>>;
  /** How many that were here are another version now: changed or removed elsewhere. */
  readonly changed: number;
  /** What now waits for somebody to decide and did not before: changed on both sides apart, as `table/id`. */
  readonly apart: readonly string[];
};

/**
 * Brings two kennels together so that any order of files gives the same kennel and nothing goes in
 * silence (version vectors, Parker and others 1983). Of each record every version is kept that no
 * other has seen; a tombstone is a version too. One left: it stands. Several: all wait in `apart`,
 * and the last by time and device stands meanwhile. Logs are united by id. The result depends
 * neither on the order of the two nor on how often a file is read. Fails as the checks of references
 * do, where the two would not fit together.
 */
export function mergeTables(mine: Tables, theirs: Tables): Result<Merged> {
  const [here, there] = [versionsOf(mine), versionsOf(theirs)];
  const merged = emptyTables();
  let changed = 0;
  for (const id of [...new Set([...here.keys(), ...there.keys()])].sort()) {
    const versions = newest([...(here.get(id) ?? []), ...(there.get(id) ?? [])]);
    if (versions.length > 1) merged.apart.push({ id, versions } as Apart);
    const stands = versions.reduce(later);
    if (stands.record) merged[tableOf(id)].push(stands.record as never);
    else merged.gone.push({ id, changed: stands.changed });
    const before = here.get(id);
    if (before && !same(before.reduce(later).record, stands.record)) changed += 1;
  }
  const entries = new Map<string, Entry>();
  for (const entry of [...mine.entries, ...theirs.entries]) {
    const known = entries.get(entry.id);
    // An id names one entry for ever; were there two, the same of them must stand everywhere.
    if (!known || JSON.stringify(entry) < JSON.stringify(known)) entries.set(entry.id, entry);
  }
  const log = byBout([...entries.values()]);
  merged.apart.push(...forkedReps(log));
  const tables: Tables = { ...merged, entries: log };
  const misfit = checkReferences(tables);
  if (misfit)
    return fail(
      misfit.code,
      misfit.path,
      say('data.merge.the-two-kennels-do-not-fit', { message: misfit.message }),
    );
  const waited = new Map(mine.apart.map((one) => [one.id, one]));
  const news = merged.apart.filter((one) => !same(waited.get(one.id), one)).map(({ id }) => id);
  return ok({ tables, added: addedTo(mine, tables), changed, apart: news });
}

type Version = { readonly changed: Changed; readonly record: Readonly<Record<string, unknown>> | null };

/** All versions that a kennel holds of each record, by `table/id`: what stands, and what waits. */
function versionsOf(tables: Tables): Map<string, Version[]> {
  const found = new Map<string, Version[]>();
  for (const name of KEPT_NAMES)
    for (const record of tables[name])
      found.set(`${name}/${record.id}`, [{ changed: record.changed, record }]);
  for (const { id, changed } of tables.gone) found.set(id, [{ changed, record: null }]);
  // What stands of a record apart is one of its versions, and stands for all of them.
  for (const { id, versions } of tables.apart)
    if (!id.startsWith(FORKED)) found.set(id, [...(found.get(id) ?? []), ...versions]);
  return found;
}

/** Whether `a` has seen every change that `b` has. */
const hasSeen = (a: Changed, b: Changed): boolean =>
  Object.entries(b.seen).every(([device, count]) => (a.seen[device] ?? 0) >= count);

/** The versions that no other has seen, each once, in one order. */
function newest(versions: readonly Version[]): Version[] {
  const once = versions.filter((version, i) => !versions.slice(0, i).some((other) => same(other, version)));
  const left = once.filter(
    (version) =>
      !once.some(
        (other) => hasSeen(other.changed, version.changed) && !hasSeen(version.changed, other.changed),
      ),
  );
  return left.sort((a, b) => compare(b, a));
}

const later = (a: Version, b: Version): Version => (compare(a, b) >= 0 ? a : b);

/** By time, then device, then content: a total order, so that every device shows the same one. */
function compare(a: Version, b: Version): number {
  if (a.changed.at !== b.changed.at) return a.changed.at - b.changed.at;
  const [left, right] = [a, b].map((one) => [one.changed.by, JSON.stringify(inKeyOrder(one))].join(' '));
  return left === right ? 0 : (left as string) < (right as string) ? -1 : 1;
}

function inKeyOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inKeyOrder);
  if (typeof value !== 'object' || value === null) return value;
  const keys = Object.keys(value).sort();
  return Object.fromEntries(keys.map((key) => [key, inKeyOrder((value as Record<string, unknown>)[key])]));
}

const tableOf = (id: string): KeptName => id.slice(0, id.indexOf('/')) as KeptName;

/** Before the id of a rep that was put right on two devices apart. */
const FORKED = 'entries/';

/**
 * Reps that were put right on two devices apart. What waits follows from the log alone, so it is found anew: what
 * somebody has decided meanwhile is there no more.
 */
function forkedReps(log: readonly Entry[]): Apart[] {
  const amended = new Set(log.flatMap((entry) => (entry.kind === 'amend' ? [entry.boutId] : [])));
  const forks = forksOf(log.filter((entry) => amended.has(entry.boutId)));
  const byRep = new Map<string, Map<string, Fork['said'][number]['entry']>>();
  for (const { rep, said } of forks)
    for (const { entry } of said) byRep.set(rep, (byRep.get(rep) ?? new Map()).set(entry.id, entry));
  return [...byRep].map(([rep, entries]) => ({
    id: `${FORKED}${rep}`,
    versions: [...entries.values()].map((entry) => ({
      changed: { at: entry.at, by: entry.by, seen: { [entry.id]: 1 } },
      record: { ...entry },
    })),
  }));
}

type Growing = Record<KeptName, never[]> & { gone: Gone[]; apart: Apart[] };
function emptyTables(): Growing {
  const kept = Object.fromEntries(KEPT_NAMES.map((name) => [name, []])) as unknown as Record<
    KeptName,
    never[]
  >;
  return { ...kept, gone: [], apart: [] };
}

function byBout(entries: readonly Entry[]): Entry[] {
  const logs = new Map<string, Entry[]>();
  for (const entry of entries) {
    const log = logs.get(entry.boutId);
    if (log) log.push(entry);
    else logs.set(entry.boutId, [entry]);
  }
  return [...logs].sort(([a], [b]) => (a < b ? -1 : 1)).flatMap(([, log]) => inOrder(log));
}

function addedTo(before: Tables, after: Tables): Merged['added'] {
  const names = Object.keys(after) as TableName[];
  return Object.fromEntries(
    names.map((name) => {
      const known = new Set<string>(before[name].map((one) => one.id));
      return [name, after[name].filter((one) => !known.has(one.id)).length];
    }),
  ) as Merged['added'];
}
