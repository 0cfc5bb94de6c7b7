import type { Sentence } from '@/core/shared';
import type { BackupFolder } from '@/data/files/backups/folder';
import type { Kennel } from '@/data/kennel';

/** What is known of backups of this kennel; of this browser alone, never exported. */
export type BackupState = {
  readonly folder: BackupFolder | null;
  /** The last backup, or the last time that everything was saved to a file. */
  readonly last: { readonly at: number; readonly bouts: number } | null;
  /** Why the last try failed. */
  readonly problem: Sentence | null;
};
const NONE: BackupState = { folder: null, last: null, problem: null };

export async function backupState({ database }: Pick<Kennel, 'database'>): Promise<BackupState> {
  return ((await database.meta.get('backup'))?.value as BackupState | undefined) ?? NONE;
}

export async function sayBackup(kennel: Kennel, change: Partial<BackupState>): Promise<void> {
  const { meta } = kennel.database;
  await kennel.database.transaction('rw', meta, async () => {
    await meta.put({ key: 'backup', value: { ...(await backupState(kennel)), ...change } });
  });
}

/** What was saved now, with how many sessions it holds. */
export async function saySaved(kennel: Kennel, at: number): Promise<void> {
  const bouts = await kennel.database.of('bouts').count();
  await sayBackup(kennel, { last: { at, bouts }, problem: null });
}
