import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect } from 'react';
import { Link, useLocation } from 'react-router';
import { type Day, daysBetween } from '@/core/shared';
import { isOuting, type Kennel } from '@/data/read';
import { type BackupState, backupState } from '@/data/write';
import { tellerOf, wordsOf } from '@/words';
import en from '@/words/en/backups.json';
import { now, todayOf } from './clock';

const tell = tellerOf(en);

/** A reminder is due after so many days with so many sessions that no file holds. */
const DAYS = 7;
const SESSIONS = 3;

/**
 * Makes the backup of the day by itself when the program is opened, where a folder was chosen and the browser lets it
 * be written without asking. Never while a session runs.
 */
function useDailyBackup(kennel: Kennel, today: Day): void {
  useEffect(() => {
    let current = true;
    const make = async (): Promise<void> => {
      const { folder, last } = await backupState(kennel);
      if (!folder || (last && todayOf(last.at) === today)) return;
      if ((await isOuting(kennel, today)) || !current) return;
      const { backUpNow } = await import('@/features/files');
      await backUpNow(kennel, folder, now(), false);
    };
    void make();
    return () => {
      current = false;
    };
  }, [kennel, today]);
}

/** On Today alone: what is only in this browser, or why no backup could be made. */
export function BackupLine({ kennel, today }: { readonly kennel: Kennel; readonly today: Day }) {
  const { pathname } = useLocation();
  useDailyBackup(kennel, today);
  const state = useLiveQuery(
    async () => ({ ...(await backupState(kennel)), bouts: await kennel.database.of('bouts').count() }),
    [kennel],
  );
  if (!state || kennel.name !== 'own' || !pathname.endsWith('/today')) return null;
  const said = reminder(state, today);
  return said === null ? null : (
    <p className="mx-auto w-full max-w-[76rem] px-4 pt-3 leading-snug sm:px-6">
      {said}{' '}
      <Link className="underline underline-offset-4" to={`/${kennel.name}/files`}>
        {tell('backups.to-files')}
      </Link>
    </p>
  );
}

/** What there is to say of backups; null while all is well. */
export function reminder(state: BackupState & { readonly bouts: number }, today: Day): string | null {
  const { last, problem, bouts } = state;
  if (problem) return tell('backups.failed', { why: wordsOf(problem) });
  const since = bouts - (last?.bouts ?? 0);
  if (since < SESSIONS) return null;
  if (last === null) return tell('backups.never-saved', { since });
  const days = daysBetween(todayOf(last.at), today);
  return days < DAYS ? null : tell('backups.saved-before', { days, since });
}
