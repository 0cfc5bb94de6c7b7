import { type Entry, type Fork, foldLog, forksOf, inOrder } from '@/core/log';
import type { Kennel } from '@/data/kennel';
import type { Apart, Bout, Outing } from '@/data/records';

/** A rep that two devices put right apart: which go of which session it is. */
export type ApartRep = {
  readonly bout: Bout;
  readonly outing: Outing | null;
  /** From 1; null where the rep itself does not stand. */
  readonly go: number | null;
  readonly forks: readonly Fork[];
};
/** What waits for somebody to decide: a record with its versions, or a rep with what was said of it. */
export type Waiting = { readonly apart: Apart; readonly rep: ApartRep | null };

const FORKED = 'entries/';

/** All that two devices changed apart and nobody has decided; a rep that somebody has put right since is not among it. */
export async function waitingApart({ database }: Kennel): Promise<readonly Waiting[]> {
  const rows = await database.of('apart').toArray();
  const found = await Promise.all(
    rows.map(async (apart): Promise<Waiting[]> => {
      if (!apart.id.startsWith(FORKED)) return [{ apart, rep: null }];
      const rep = await apartRep(database, apart);
      return rep ? [{ apart, rep }] : [];
    }),
  );
  return found.flat();
}

async function apartRep(database: Kennel['database'], { id, versions }: Apart): Promise<ApartRep | null> {
  const entry = versions[0]?.record as Entry | null | undefined;
  const bout = entry && (await database.of('bouts').get(entry.boutId));
  if (!bout) return null;
  const log = inOrder(
    await database
      .of('entries')
      .where('[boutId+seq]')
      .between([bout.id, 0], [bout.id, Number.POSITIVE_INFINITY])
      .toArray(),
  );
  const rep = id.slice(FORKED.length);
  const forks = forksOf(log).filter((fork) => fork.rep === rep);
  if (forks.length === 0) return null;
  const place = foldLog(bout.start, log).reps.findIndex((one) => one.id === rep);
  const outing = (await database.of('outings').get(bout.outingId)) ?? null;
  return { bout, outing, go: place < 0 ? null : place + 1, forks };
}

/** What the elements of all dogs are called, each name once. */
export async function elementTitles({ database }: Kennel): Promise<readonly string[]> {
  const all = await database.of('elements').toArray();
  const own = all.filter((one) => one.retired === null && !one.putAway).map((one) => one.title);
  return [...new Set(own)].sort((a, b) => a.localeCompare(b));
}

/** What ids stand for on the screen. */
export async function namesIn({ database }: Kennel): Promise<ReadonlyMap<string, string>> {
  const [dogs, people, grounds, elements, setOuts, books, trials, meetings] = await Promise.all([
    database.of('dogs').toArray(),
    database.of('people').toArray(),
    database.of('grounds').toArray(),
    database.of('elements').toArray(),
    database.of('setOuts').toArray(),
    database.of('ruleBooks').toArray(),
    database.of('trials').toArray(),
    database.of('meetings').toArray(),
  ]);
  return new Map<string, string>([
    ...[...dogs, ...people, ...grounds].map(({ id, name }) => [id, name] as const),
    ...[...elements, ...setOuts, ...trials, ...meetings].map(({ id, title }) => [id, title] as const),
    ...books.map(({ id, book }) => [id, book.title] as const),
  ]);
}
