import { MEANING } from '@/core/evidence';
import { inOrder } from '@/core/log';
import type { BoutId } from '@/core/shared';
import type { KennelDatabase } from '@/data/database';
import type { Bout } from '@/data/records';
import { keptOf } from '@/data/records/kept-evidence';
import type { RowChange } from './transact';

/** Tables of which a change can change what is kept of a bout. */
export const FOLDED_FROM = ['outings', 'bouts', 'entries'] as const;

/** So many bouts are folded at once: their logs are read side by side. */
const AT_ONCE = 200;

/** The bouts whose kept evidence a write has outdated. */
export async function outdatedBy(
  database: KennelDatabase,
  rows: readonly RowChange[],
  appended: readonly { readonly boutId: BoutId }[],
): Promise<BoutId[]> {
  const found = new Set<BoutId>(appended.map((one) => one.boutId));
  const outings: string[] = [];
  for (const { table, id, before, after } of rows) {
    if (table === 'bouts') found.add(id as BoutId);
    if (table === 'entries') found.add((after ?? before)?.boutId as BoutId);
    // Of an outing only its day is in what is kept.
    if (table === 'outings' && before && before.day !== after?.day) outings.push(id);
  }
  if (outings.length > 0)
    for (const id of await database.of('bouts').where('outingId').anyOf(outings).primaryKeys())
      found.add(id as BoutId);
  return [...found];
}

/**
 * Folds these bouts anew and keeps what they come to; what is kept of a bout that is gone goes. Called
 * inside the transaction that changed them.
 */
export async function keepEvidence(database: KennelDatabase, ids: readonly BoutId[]): Promise<void> {
  for (let from = 0; from < ids.length; from += AT_ONCE) {
    const some = ids.slice(from, from + AT_ONCE);
    const bouts = (await database.of('bouts').bulkGet([...some])).flatMap((bout) => bout ?? []);
    const kept = await Promise.all(bouts.map((bout) => foldStored(database, bout)));
    const found = kept.flat();
    await database.kept.bulkPut(found.map((one) => one.evidence));
    await database.keptLogs.bulkPut(found.map((one) => one.log));
    const there = new Set<string>(found.map((one) => one.log.id));
    // Only an exercise that was run whole has rows of links; of one that is gone nobody knows.
    const plain = new Set(bouts.filter((one) => one.on.kind === 'element').map((one) => one.id));
    const links = await linksOf(
      database,
      some.filter((id) => !plain.has(id)),
    );
    const gone = [...some, ...links].filter((id) => !there.has(id));
    if (gone.length > 0)
      await Promise.all([database.kept.bulkDelete(gone), database.keptLogs.bulkDelete(gone)]);
  }
}

/** Rows of links that are kept of these bouts. */
async function linksOf({ kept }: KennelDatabase, bouts: readonly BoutId[]): Promise<string[]> {
  const rows = await Promise.all(
    bouts.map((id) => kept.where('id').between(`${id}/`, `${id}/\uffff`).toArray()),
  );
  // A bout brought in from elsewhere may have such an id of its own.
  return rows.flat().flatMap((one) => (one.link ? [one.id] : []));
}

async function foldStored(database: KennelDatabase, bout: Bout): Promise<ReturnType<typeof keptOf> | []> {
  const outing = await database.of('outings').get(bout.outingId);
  const log = await database
    .of('entries')
    .where('[boutId+seq]')
    .between([bout.id, 0], [bout.id, Number.POSITIVE_INFINITY])
    .toArray();
  return outing ? keptOf(bout, outing, inOrder(log)) : [];
}

/** Whether every bout has its kept evidence, by today's meaning of a rep. Two counts, no row. */
async function isAllKept({ kept, bouts }: EvidenceTables): Promise<boolean> {
  const [there, all] = await Promise.all([kept.where('meaning').equals(MEANING).count(), bouts.count()]);
  return there === all;
}
type EvidenceTables = {
  readonly kept: KennelDatabase['kept'];
  readonly bouts: { count(): PromiseLike<number> };
};

/**
 * Makes all kept evidence anew where some is missing or has an older meaning (after an update of the
 * program), a few bouts in a transaction, so that a reload goes on where it was.
 */
export async function renewEvidence(
  database: KennelDatabase,
  onProgress: (share: number) => void = () => undefined,
): Promise<void> {
  if (await isAllKept({ kept: database.kept, bouts: database.of('bouts') })) return;
  const ids = (await database.of('bouts').toCollection().primaryKeys()) as BoutId[];
  const right = new Set(await database.kept.where('meaning').equals(MEANING).primaryKeys());
  const extra = [...right].filter((id) => !ids.includes(id as BoutId));
  const missing = [...ids.filter((id) => !right.has(id)), ...(extra as BoutId[])];
  const tables = [...FOLDED_FROM.map((name) => database.of(name)), database.kept, database.keptLogs];
  for (let from = 0; from < missing.length; from += AT_ONCE) {
    await database.transaction('rw', tables, async () =>
      keepEvidence(database, missing.slice(from, from + AT_ONCE)),
    );
    onProgress(Math.min(1, (from + AT_ONCE) / missing.length));
  }
}
