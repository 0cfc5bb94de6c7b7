import { fail, ok, type Result, type Sentence, say } from '@/core/shared';
import { type Backup, backupName, backupOf, outdated } from './generations';

/** A folder that the person chose once; what browsers add to the type is not in every library of types. */
export type BackupFolder = FileSystemDirectoryHandle & {
  readonly queryPermission?: (wish: { mode: 'readwrite' }) => Promise<PermissionState>;
  readonly requestPermission?: (wish: { mode: 'readwrite' }) => Promise<PermissionState>;
};

/** Whether the folder may be written; `ask` only right after a tap, where the browser shows its question. */
export async function mayWrite(folder: BackupFolder, ask: boolean): Promise<boolean> {
  const wish = { mode: 'readwrite' } as const;
  // The browser's own private folder has no question to ask.
  if (!folder.queryPermission) return true;
  if ((await folder.queryPermission(wish)) === 'granted') return true;
  return ask && (await folder.requestPermission?.(wish)) === 'granted';
}

/** The backups of a kennel in the folder, the newest first. Fails as `whyNot` says. */
export async function listBackups(folder: BackupFolder, kennel: string): Promise<Result<readonly Backup[]>> {
  try {
    const found: Backup[] = [];
    for await (const [name, handle] of folder.entries()) {
      const one = handle.kind === 'file' ? backupOf(name) : null;
      if (one?.kennel === kennel) found.push(one);
    }
    return ok(found.sort((a, b) => b.at - a.at));
  } catch (error) {
    return failed(error);
  }
}

/** A backup as a file. Fails as `whyNot` says. */
export async function readBackup(folder: BackupFolder, { file }: Backup): Promise<Result<File>> {
  try {
    return ok(await (await folder.getFileHandle(file)).getFile());
  } catch (error) {
    return failed(error);
  }
}

/**
 * Writes one more generation, reads back that it is whole, and only then takes out what is outdated: an older one is
 * never given for a newer one that failed. Fails as `whyNot` says, or with `cut`.
 */
export async function writeBackup(
  folder: BackupFolder,
  kennel: string,
  at: number,
  content: Blob,
): Promise<Result<Backup>> {
  const before = await listBackups(folder, kennel);
  if (!before.ok) return before;
  // A clock that was set back must not write over an older one, which a failure would then take with it.
  const free = freeTime(before.value, kennel, at);
  const file = backupName(kennel, free);
  try {
    const handle = await folder.getFileHandle(file, { create: true });
    try {
      const stream = await handle.createWritable();
      await stream.write(content);
      await stream.close();
    } catch (error) {
      // What a failed write left is no backup.
      await folder.removeEntry(file).catch(() => undefined);
      return failed(error);
    }
    const written = await handle.getFile();
    if (written.size !== content.size) {
      await folder.removeEntry(file);
      return fail('cut', file, say('data.backups.cut'));
    }
    const made = { file, kennel, at: free };
    for (const old of outdated([made, ...before.value]))
      await folder.removeEntry(old.file).catch(() => undefined);
    return ok(made);
  } catch (error) {
    return failed(error);
  }
}

/** The next second of which there is no backup. */
function freeTime(backups: readonly Backup[], kennel: string, at: number): number {
  const files = new Set(backups.map(({ file }) => file));
  let free = at;
  while (files.has(backupName(kennel, free))) free += 1000;
  return free;
}

/** What stands in the way of a folder, in words. */
function failed(error: unknown) {
  const name = error instanceof DOMException || error instanceof Error ? error.name : '';
  const known: Readonly<Record<string, readonly [string, Sentence]>> = {
    NotFoundError: ['gone', say('data.backups.folder-gone')],
    QuotaExceededError: ['full', say('data.backups.full')],
    NotAllowedError: ['permission', say('data.backups.permission')],
    SecurityError: ['permission', say('data.backups.permission')],
    NoModificationAllowedError: ['locked', say('data.backups.locked')],
  };
  const [code, message] = known[name] ?? [
    'folder',
    say('data.backups.folder-failed', { why: String(error) }),
  ];
  return fail(code, '', message);
}
