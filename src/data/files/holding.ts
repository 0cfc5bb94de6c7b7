import type { DeviceId } from '@/core/shared';
import type { Apart, Changed, TableName } from '@/data/records';

/**
 * What a file told whoever has it, so that the next one can leave it out: of each record which versions, of each log
 * how far every device's entries went. A device's entries come in the order of seq and are never taken out, so the
 * highest says them all (version vectors, Parker and others 1983).
 */
export type Holding = {
  /** `table/id` → the versions, as `device:count` with those that wait for a decision. */
  readonly records: Readonly<Record<string, string>>;
  /** Bout → device → highest seq. */
  readonly logs: Readonly<Record<string, Readonly<Record<DeviceId, number>>>>;
};
export const HOLDS_NOTHING: Holding = { records: {}, logs: {} };

type Row = { readonly id: string };
type InLog = { readonly boutId: string; readonly by: DeviceId; readonly seq: number };

const versionOf = ({ seen, by, at }: Changed): string =>
  [
    ...Object.keys(seen)
      .sort()
      .map((device) => `${device}:${seen[device]}`),
    by,
    at,
  ].join(' ');

/** What tells this version of a row from others; entries never change and have none. */
function versionIn(table: TableName, row: Row): string {
  if (table === 'apart') return (row as Apart).versions.map((one) => versionOf(one.changed)).join(' | ');
  return versionOf((row as unknown as { readonly changed: Changed }).changed);
}

/** Whether whoever holds that lacks this row. */
export function lacks(holding: Holding, table: TableName, row: Row): boolean {
  if (table !== 'entries') return holding.records[`${table}/${row.id}`] !== versionIn(table, row);
  const { boutId, by, seq } = row as unknown as InLog;
  return (holding.logs[boutId]?.[by] ?? -1) < seq;
}

/** What is held after these rows have come too, noted row by row so that no kennel is in memory at once. */
export function noting(before: Holding): {
  readonly note: (table: TableName, row: Row) => void;
  readonly holding: () => Holding;
} {
  const records: Record<string, string> = { ...before.records };
  const logs: Record<string, Record<DeviceId, number>> = {};
  for (const [bout, log] of Object.entries(before.logs)) logs[bout] = { ...log };
  return {
    note: (table, row) => {
      if (table !== 'entries') {
        records[`${table}/${row.id}`] = versionIn(table, row);
        // A record and its tombstone are versions of one thing: what stands now is not both.
        if (table === 'gone') delete records[row.id];
        return;
      }
      const { boutId, by, seq } = row as unknown as InLog;
      logs[boutId] ??= {};
      const log = logs[boutId];
      log[by] = Math.max(log[by] ?? -1, seq);
    },
    holding: () => ({ records, logs }),
  };
}
