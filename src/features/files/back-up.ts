import { fail, type Result, say } from '@/core/shared';
import { type Backup, type BackupFolder, mayWrite, writeBackup } from '@/data/files';
import type { Kennel } from '@/data/read';
import { sayBackup, saySaved } from '@/data/write';
import { fileDesk } from '@/workers/client';

/**
 * Writes a backup of the kennel into the folder, and keeps how it went. `ask`: right after a tap, so that the browser
 * may show its question; a backup by itself never asks.
 */
export async function backUpNow(
  kennel: Kennel,
  folder: BackupFolder,
  now: number,
  ask: boolean,
): Promise<Result<Backup>> {
  try {
    const done = await writtenInto(kennel, folder, now, ask);
    if (done.ok) await saySaved(kennel, now);
    else if (done.code !== 'cancelled') await sayBackup(kennel, { problem: done.message });
    return done;
  } catch (error) {
    // The browser's storage is full or shut: what is in the folder is there, and how it went is not kept.
    return fail('write', '', say('data.backups.folder-failed', { why: String(error) }));
  }
}

async function writtenInto(
  kennel: Kennel,
  folder: BackupFolder,
  now: number,
  ask: boolean,
): Promise<Result<Backup>> {
  if (!(await mayWrite(folder, ask))) return fail('permission', '', say('data.backups.permission'));
  const made = await fileDesk.ask({ kind: 'save', kennel: kennel.name, now, since: null, backup: true });
  if (!made.ok) return made;
  return writeBackup(folder, kennel.name, now, made.value.file);
}
