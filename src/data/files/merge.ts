import { fail, ok, type Result, type SessionId } from '@/core/shared';
import { type Entry, type Session, TABLE_NAMES, type TableName, type Tables } from '@/data/records';
import { checkReferences } from './references';

export type Merged = {
  readonly tables: Tables;
  /** How many records came in, by table. */
  readonly added: Readonly<Record<TableName, number>>;
  /** Records that both have and that differ: what was here is kept. */
  readonly kept: Readonly<Record<TableName, number>>;
  /** Sessions that went on in both places in different ways: the log that was here is kept whole. */
  readonly forked: readonly SessionId[];
};

/**
 * Adds to a kennel what another has and it lacks: the phone's sessions to the laptop's. Nothing that was here is overwritten or taken away; the same file twice adds
 * nothing, and the order of several files does not matter. A session's log is one row of entries: where one is the beginning of the other, the longer stands; where
 * they part, the one that was here. Fails as the checks of references do, where the two would not fit together.
 */
export function mergeTables(mine: Tables, theirs: Tables): Result<Merged> {
  const logs = mergeLogs(mine.entries, theirs.entries);
  const tables: Record<string, unknown> = {};
  const added: Partial<Record<TableName, number>> = {};
  const kept: Partial<Record<TableName, number>> = {};
  for (const name of TABLE_NAMES) {
    if (name === 'entries') continue;
    const merged =
      name === 'sessions' ? mergeSessions(mine.sessions, theirs.sessions) : mergeRecords(mine[name] as Identified, theirs[name] as Identified);
    tables[name] = merged.records;
    added[name] = merged.added;
    kept[name] = merged.kept;
  }
  const whole = { ...tables, entries: logs.entries } as unknown as Tables;
  const misfit = checkReferences(whole);
  if (misfit) return fail(misfit.code, misfit.path, `The two kennels do not fit together: ${misfit.message}`);
  return ok({
    tables: whole,
    added: { ...added, entries: logs.entries.length - mine.entries.length } as Merged['added'],
    kept: { ...kept, entries: 0 } as Merged['kept'],
    forked: logs.forked,
  });
}

type Identified = readonly { readonly id: string }[];
type Records = { readonly records: readonly unknown[]; readonly added: number; readonly kept: number };

function mergeRecords(mine: Identified, theirs: Identified): Records {
  const here = new Map(mine.map((record) => [record.id, record]));
  const fresh = theirs.filter((record) => !here.has(record.id));
  const kept = theirs.filter((record) => here.has(record.id) && !same(here.get(record.id), record)).length;
  return { records: [...mine, ...fresh], added: fresh.length, kept };
}

/** A session's end and its two lines may be written on another device: they fill what is open here, and never replace anything. */
function mergeSessions(mine: readonly Session[], theirs: readonly Session[]): Records {
  const other = new Map(theirs.map((session) => [session.id, session]));
  const filled = mine.map((session): Session => {
    const twin = other.get(session.id);
    return twin ? { ...session, endedAt: session.endedAt ?? twin.endedAt, debrief: session.debrief ?? twin.debrief } : session;
  });
  return mergeRecords(filled, theirs);
}

function mergeLogs(mine: readonly Entry[], theirs: readonly Entry[]): { readonly entries: Entry[]; readonly forked: SessionId[] } {
  const here = bySession(mine);
  const entries = [...mine];
  const forked: SessionId[] = [];
  for (const [session, log] of bySession(theirs)) {
    const known = here.get(session) ?? [];
    const common = Math.min(known.length, log.length);
    if (log.slice(0, common).some((entry, i) => !same(entry, known[i]))) forked.push(session);
    else entries.push(...log.slice(common));
  }
  return { entries, forked };
}

function bySession(entries: readonly Entry[]): Map<SessionId, Entry[]> {
  const found = new Map<SessionId, Entry[]>();
  for (const entry of entries) {
    const log = found.get(entry.sessionId);
    if (log) log.push(entry);
    else found.set(entry.sessionId, [entry]);
  }
  for (const log of found.values()) log.sort((a, b) => a.seq - b.seq);
  return found;
}

/** Whether two records say the same, whatever the order of their keys. */
function same(a: unknown, b: unknown): boolean {
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return a === b;
  const [left, right] = [a as Record<string, unknown>, b as Record<string, unknown>];
  const keys = Object.keys(left);
  return keys.length === Object.keys(right).length && keys.every((key) => same(left[key], right[key]));
}
