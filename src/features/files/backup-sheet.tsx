import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import type { Failure } from '@/core/shared';
import { type Backup, type BackupFolder, listBackups, readBackup } from '@/data/files';
import { useKennel } from '@/data/live';
import { backupState, sayBackup } from '@/data/write';
import { Button, Notice, Sheet } from '@/ui';
import { wordsOf, writeInstant } from '@/words';
import { backUpNow } from './back-up';
import type { FileWork } from './use-file-work';
import { tell } from './words';

type Props = {
  readonly work: FileWork;
  /** Shows what is in a file and asks what shall be done with it. */
  readonly look: (file: File) => Promise<void>;
};

/** What browsers add that can write into a folder of the device. */
type Picker = { readonly showDirectoryPicker?: (wish: object) => Promise<BackupFolder> };

/** Backups into a folder that the person chose once: made by themselves, kept by generations, checked, put back. */
export function BackupSheet({ work, look }: Props) {
  const { kennel, now } = useKennel();
  const state = useLiveQuery(() => backupState(kennel), [kennel]);
  const folder = state?.folder ?? null;
  const { backups, problem, refresh } = useBackupsIn(folder, kennel.name);
  const [said, setSaid] = useState<{ readonly words: string; readonly wrong: boolean } | null>(null);
  const picker = (globalThis as unknown as Picker).showDirectoryPicker;
  const refuse = (failure: Failure): void => setSaid({ words: wordsOf(failure.message), wrong: true });
  const make = async (into: BackupFolder): Promise<void> => {
    const made = await backUpNow(kennel, into, now(), true);
    if (!made.ok) return refuse(made);
    setSaid({ words: tell('backup-sheet.made', { file: made.value.file }), wrong: false });
    refresh();
  };
  const choose = async (): Promise<void> => {
    try {
      const chosen = await picker?.({ id: 'regulon-backups', mode: 'readwrite' });
      if (!chosen) return;
      await sayBackup(kennel, { folder: chosen, problem: null });
      await make(chosen);
    } catch (error) {
      // Closing the question is an answer.
      if (!(error instanceof DOMException && error.name === 'AbortError'))
        setSaid({ words: tell('backup-sheet.not-chosen', { why: String(error) }), wrong: true });
    }
  };
  const stop = async (): Promise<void> => {
    await sayBackup(kennel, { folder: null, problem: null });
    setSaid(null);
  };
  const open = async (one: Backup, then: (file: File) => Promise<void>): Promise<void> => {
    if (!folder) return;
    const file = await readBackup(folder, one);
    if (file.ok) await then(file.value);
    else refuse(file);
  };
  const check = async (file: File): Promise<void> => {
    const read = await work.run({ kind: 'look', file });
    if (!read.ok) return refuse(read);
    const { dogs, bouts, reps } = read.value.counts;
    setSaid({
      words: tell('backup-sheet.reads', { file: file.name, dogs: dogs.length, bouts, reps }),
      wrong: false,
    });
  };
  if (!state) return null;
  const trouble = state.problem ?? problem;
  return (
    <Sheet title={tell('backup-sheet.title')} className="mt-6">
      <p className="mb-3 leading-snug">
        {folder
          ? tell('backup-sheet.goes-by-itself', { folder: folder.name })
          : tell('backup-sheet.what-it-is')}
      </p>
      {!folder && !picker && <p className="mb-3 leading-snug">{tell('backup-sheet.no-folders-here')}</p>}
      <p className="mb-3 leading-snug">
        {state.last
          ? tell('backup-sheet.last', { at: writeInstant(state.last.at) })
          : tell('backup-sheet.never')}
      </p>
      <div className="flex flex-wrap gap-2">
        {folder && <Button onClick={() => void make(folder)}>{tell('backup-sheet.now')}</Button>}
        {picker && (
          <Button onClick={() => void choose()}>
            {folder ? tell('backup-sheet.another-folder') : tell('backup-sheet.choose')}
          </Button>
        )}
        {folder && <Button onClick={() => void stop()}>{tell('backup-sheet.no-more')}</Button>}
      </div>
      {(said ?? trouble) && (
        <div className="mt-3">
          <Notice
            tone={said?.wrong === false ? 'plain' : 'alert'}
            role={said?.wrong === false ? 'status' : 'alert'}
          >
            {said?.words ?? (trouble && wordsOf(trouble))}
          </Notice>
        </div>
      )}
      {backups.length > 0 && (
        <ul className="mt-4">
          {backups.map((one) => (
            <li
              key={one.file}
              className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-hair py-1"
            >
              <span className="min-w-40">{writeInstant(one.at)}</span>
              <Button onClick={() => void open(one, check)}>
                {tell('backup-sheet.check', { at: writeInstant(one.at) })}
              </Button>
              <Button onClick={() => void open(one, look)}>
                {tell('backup-sheet.put-back', { at: writeInstant(one.at) })}
              </Button>
            </li>
          ))}
        </ul>
      )}
    </Sheet>
  );
}

/** What is in the folder now; none where it cannot be looked into without asking. */
function useBackupsIn(folder: BackupFolder | null, kennel: string) {
  const [found, setFound] = useState<{
    readonly backups: readonly Backup[];
    readonly problem: Failure['message'] | null;
  }>({
    backups: [],
    problem: null,
  });
  const [looks, setLooks] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: looked at again when a backup was made
  useEffect(() => {
    let current = true;
    if (!folder) setFound({ backups: [], problem: null });
    else
      void listBackups(folder, kennel).then((list) => {
        if (!current) return;
        setFound(list.ok ? { backups: list.value, problem: null } : { backups: [], problem: list.message });
      });
    return () => {
      current = false;
    };
  }, [folder, kennel, looks]);
  return { ...found, refresh: () => setLooks((count) => count + 1) };
}
