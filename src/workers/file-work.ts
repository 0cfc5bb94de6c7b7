import { foldLog, inOrder } from '@/core/log';
import { fail, ok, type Result } from '@/core/shared';
import { type KennelFile, kennelPieces, readKennelFile } from '@/data/files';
import { openKennel } from '@/data/kennel';
import { countsOf, type Kennel, type KennelName, type Tables } from '@/data/read';
import { addTables, replaceTables, takeBack, type Undo } from '@/data/write';
import type { Brought, FileAnswers, FileSaid, FileTask } from './file-tasks';

type Open = (name: KennelName, now: () => number) => Promise<Result<Kennel>>;

/**
 * Does the work on whole kennels: the file that was looked at stays here until it is brought in, and
 * what was brought in until it is taken back, so that no kennel crosses to the page. Fails as reading,
 * merging and writing do, and with `nothing` where no file was looked at or nothing brought in.
 */
export function fileWork(open: Open = openKennel) {
  let looked: KennelFile | null = null;
  let brought: Undo | null = null;

  const withKennel = async <T>(
    { kennel, now }: { readonly kennel: KennelName; readonly now: number },
    work: (kennel: Kennel) => Promise<Result<T>>,
  ): Promise<Result<T>> => {
    const opened = await open(kennel, () => now);
    if (!opened.ok) return opened;
    try {
      return await work(opened.value);
    } finally {
      opened.value.database.close();
    }
  };

  const save = async (kennel: Kennel, say: (said: FileSaid) => void): Promise<Result<Blob>> => {
    const pieces = await kennelPieces(kennel, new Date(kennel.now()).toISOString(), (share) =>
      say({ doing: 'Writing the file', share }),
    );
    return ok(new Blob(pieces, { type: 'application/json' }));
  };

  const look = async (file: Blob, say: (said: FileSaid) => void): Promise<Result<FileAnswers['look']>> => {
    say({ doing: 'Reading the file', share: null });
    const text = await file.text();
    say({ doing: 'Checking every record', share: null });
    const read = readKennelFile(text);
    looked = read.ok ? read.value : null;
    if (!read.ok) return read;
    const { savedAt, tables } = read.value;
    return ok({ savedAt, counts: countsOf(tables, standingReps(tables)) });
  };

  const bring = async (
    kennel: Kennel,
    how: 'add' | 'replace',
    say: (said: FileSaid) => void,
  ): Promise<Result<Brought>> => {
    if (!looked) return fail('nothing', '', 'Choose the file again: it is no longer at hand.');
    const doing = how === 'add' ? 'Bringing both together' : 'Putting it in the place of what is here';
    say({ doing, share: null });
    const onProgress = (share: number): void => say({ doing, share });
    if (how === 'replace') {
      const replaced = await replaceTables(kennel, looked.tables, onProgress);
      if (!replaced.ok) return replaced;
      [brought, looked] = [replaced.value, null];
      return ok(null);
    }
    const added = await addTables(kennel, looked.tables, onProgress);
    if (!added.ok) return added;
    // The merged kennel itself is not kept: taking back needs the differences only.
    const { added: came, changed, apart } = added.value.made;
    [brought, looked] = [{ ...added.value, made: null }, null];
    return ok({ bouts: came.bouts, entries: came.entries, changed, apart: apart.length });
  };

  const back = async (kennel: Kennel): Promise<Result<null>> => {
    if (!brought) return fail('nothing', '', 'There is nothing to take back any more.');
    const taken = await takeBack(kennel, brought);
    if (!taken.ok) return taken;
    brought = null;
    return ok(null);
  };

  return (task: FileTask, say: (said: FileSaid) => void): Promise<Result<FileAnswers[FileTask['kind']]>> => {
    switch (task.kind) {
      case 'save':
        return withKennel(task, (kennel) => save(kennel, say));
      case 'look':
        return look(task.file, say);
      case 'bring':
        return withKennel(task, (kennel) => bring(kennel, task.how, say));
      case 'take-back':
        return withKennel(task, back);
    }
  };
}

/** How many reps stand: what was taken back is in the log, and is no rep. */
function standingReps({ bouts, entries }: Tables): number {
  const logs = new Map<string, Tables['entries'][number][]>();
  for (const entry of entries) {
    const log = logs.get(entry.boutId);
    if (log) log.push(entry);
    else logs.set(entry.boutId, [entry]);
  }
  return bouts.reduce(
    (sum, bout) => sum + foldLog(bout.start, inOrder(logs.get(bout.id) ?? [])).reps.length,
    0,
  );
}
