import { useCallback, useState } from 'react';
import type { MarkId, PersonId, Result } from '@/core/shared';
import type { MarkSaid } from '@/core/trials';
import type { Kennel, Run } from '@/data/read';
import { takeMarkBack, writeMark } from '@/data/write';
import { wordsOf } from '@/words';

type More = { readonly of?: MarkId; readonly reason?: string };

/** How a page writes on a sheet: every press is a mark of its own, on the disk before the next. */
export type Pen = {
  readonly write: (said: MarkSaid, more?: More) => Promise<boolean>;
  readonly undo: () => void;
  /** What could not be written, in words; null while all was. */
  readonly trouble: string | null;
};

/** What every pen does with what comes of a write. */
export function useTrouble(): readonly [
  string | null,
  (writing: Promise<Result<unknown>>) => Promise<boolean>,
] {
  const [trouble, setTrouble] = useState<string | null>(null);
  const settle = useCallback(async (writing: Promise<Result<unknown>>): Promise<boolean> => {
    const written = await writing;
    setTrouble(written.ok ? null : wordsOf(written.message));
    return written.ok;
  }, []);
  return [trouble, settle];
}

/** The pen of a judge (null: the person) on the sheet of a run. */
export function usePen(kennel: Kennel, run: Pick<Run, 'id'>, judge: PersonId | null): Pen {
  const [trouble, settle] = useTrouble();
  return {
    write: (said, more) => settle(writeMark(kennel, run, judge, said, more)),
    undo: () => void settle(takeMarkBack(kennel, run, judge)),
    trouble,
  };
}
