import { inOrder } from '@/core/log';
import { asId, type DeviceId, type DogId, ok, type Result } from '@/core/shared';
import type { Answer } from '@/data/files/kennel-file';
import { type Kennel, newId } from '@/data/kennel';
import type { Pupil } from '@/data/read/pupils';
import {
  type Apart,
  type Changed,
  type Comment,
  KEPT_NAMES,
  type KeptName,
  TABLE_NAMES,
  type Tables,
} from '@/data/records';
import { same } from '@/data/records/same';
import { type RowChange, stamped, transact, type Undo, type Write } from './transact';

/** Who a coach is, by the device that writes for them, and when they answered last. Of this browser alone. */
export type Coaches = Readonly<Record<DeviceId, { readonly by: string; readonly at: number }>>;

export async function coachesOf({ database }: Pick<Kennel, 'database'>): Promise<Coaches> {
  return ((await database.meta.get('coaches'))?.value as Coaches | undefined) ?? {};
}

export type Answered = { readonly comments: number; readonly proposals: number; readonly entries: number };

/** What happened is added to the log; everything else that a coach changed is a proposal. */
const HAPPENED: readonly KeptName[] = ['comments', 'outings', 'bouts', 'stops', 'clipMarks'];

type Row = Readonly<Record<string, unknown>> & { readonly id: string; readonly changed: Changed };

/**
 * Takes what a coach sent back: comments and sessions come in, changes wait side by side with what stands, until the
 * owner takes or leaves each. What was decided before is not asked again. What stands is not touched.
 */
export async function takeAnswer(
  kennel: Kennel,
  tables: Tables,
  from: DeviceId,
  answer: Answer,
): Promise<Result<Undo<Answered>>> {
  const taken = await transact(kennel, TABLE_NAMES, async (write) => {
    const counts = { comments: 0, proposals: 0, entries: 0 };
    for (const name of KEPT_NAMES)
      for (const row of tables[name] as unknown as readonly Row[]) {
        const done = await takeRow(
          kennel,
          write,
          { table: name, id: row.id, changed: row.changed, row },
          from,
        );
        if (done === 'came' && name === 'comments') counts.comments += 1;
        if (done === 'waits') counts.proposals += 1;
      }
    for (const { id: own, changed } of tables.gone) {
      const [table, id] = [own.slice(0, own.indexOf('/')) as KeptName, own.slice(own.indexOf('/') + 1)];
      const done = await takeRow(kennel, write, { table, id, changed, row: null }, from);
      if (done === 'waits') counts.proposals += 1;
    }
    const known = new Set(
      (await kennel.database.of('entries').bulkGet(tables.entries.map(({ id }) => id))).map((one) => one?.id),
    );
    const news = inOrder(tables.entries).filter(({ id }) => !known.has(id));
    await write.raw(
      news.map((entry): RowChange => ({ table: 'entries', id: entry.id, before: null, after: { ...entry } })),
    );
    counts.entries = news.length;
    return counts;
  });
  if (!taken.ok) return taken;
  const { meta } = kennel.database;
  await meta.put({
    key: 'coaches',
    value: { ...(await coachesOf(kennel)), [from]: { by: answer.by, at: kennel.now() } },
  });
  return ok({ ...taken.value, asItWas: true });
}

/** A record as a coach has it; null where they removed it. */
type Theirs = {
  readonly table: KeptName;
  readonly id: string;
  readonly changed: Changed;
  readonly row: Row | null;
};

async function takeRow(
  kennel: Kennel,
  write: Write,
  theirs: Theirs,
  from: DeviceId,
): Promise<'came' | 'waits' | 'known'> {
  const { table, id, row } = theirs;
  const mine = ((await kennel.database.table(table).get(id)) as Row | undefined) ?? null;
  const own = `${table}/${id}`;
  const gone = (await kennel.database.of('gone').get(own)) ?? null;
  const known = mine?.changed ?? gone?.changed ?? null;
  const count = theirs.changed.seen[from] ?? 0;
  if (count === 0 || (known?.seen[from] ?? 0) >= count || (!mine && !row)) return 'known';
  if (mine && row && same({ ...mine, changed: null }, { ...row, changed: null })) return 'known';
  if (HAPPENED.includes(table) && row && !mine && !gone) {
    await write.raw([{ table, id, before: null, after: row }]);
    return 'came';
  }
  const before = (await kennel.database.of('apart').get(own)) as unknown as RowChange['before'] | undefined;
  const after = proposal(kennel, own, mine, known, theirs, from);
  await write.raw([{ table: 'apart', id: own, before: before ?? null, after: after as never }]);
  return 'waits';
}

/**
 * A proposal beside what stands. Its stamp has seen nothing of the owner's, and is older: so that no file from another
 * device of the owner decides it in silence, and what stands goes on standing.
 */
function proposal(
  kennel: Kennel,
  id: string,
  mine: Row | null,
  known: Changed | null,
  { changed: theirs, row }: Theirs,
  from: DeviceId,
): Apart {
  const standing = known ?? stamped(kennel, null);
  const changed: Changed = {
    at: Math.max(0, Math.min(theirs.at, standing.at - 1)),
    by: from,
    seen: { [from]: theirs.seen[from] ?? 1 },
  };
  return {
    id,
    versions: [
      { changed: standing, record: mine },
      { changed, record: row && { ...row, changed } },
    ],
  };
}

/** Says something of a dog's work. Fails with `record` where there are no words. */
export function addComment(
  kennel: Kennel,
  said: {
    readonly dogId: DogId;
    readonly about: Comment['about'];
    readonly words: string;
    readonly by: string;
  },
): Promise<Result<Undo<Comment>>> {
  return transact(kennel, ['comments'], (write) =>
    write.put('comments', { ...said, id: asId<Comment['id']>(newId()), at: kennel.now() }),
  );
}

export function removeComment(kennel: Kennel, id: Comment['id']): Promise<Result<Undo>> {
  return transact(kennel, ['comments'], (write) => write.remove('comments', id));
}

/** Keeps whose kennel this is. */
export async function sayPupil({ database }: Kennel, pupil: Pupil): Promise<void> {
  await database.meta.put({ key: 'pupil', value: pupil });
}
