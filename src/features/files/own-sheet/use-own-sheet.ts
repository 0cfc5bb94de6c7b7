import { useState } from 'react';
import type { Failure } from '@/core/shared';
import type { AskedUnit, SheetMapping, Usual } from '@/data/files';
import { useDogs, useKennel } from '@/data/live';
import { bareUnit, numberCustom } from '@/words';
import { type FileAnswers, fileDesk } from '@/workers/client';
import { type FileWork, useFileWork } from '../use-file-work';
import { keptMapping } from './kept-mapping';

export type OpenSheet = {
  readonly name: string;
  readonly opened: FileAnswers['open-sheet'];
  readonly mapping: SheetMapping;
  /** Whether it is read as a sheet with the same columns was last time. */
  readonly asBefore: boolean;
  readonly read: FileAnswers['read-sheet'] | null;
};

export type OwnSheetState = {
  readonly work: FileWork;
  readonly sheet: OpenSheet | null;
  readonly refused: { readonly name: string; readonly failure: Failure } | null;
  readonly open: (file: File) => Promise<void>;
  readonly change: (change: Partial<SheetMapping>) => Promise<void>;
  readonly close: () => void;
};

/** A sheet of the person's own while it is being understood; each change is read anew beside the page. */
export function useOwnSheet(): OwnSheetState {
  const { today } = useKennel();
  const dogs = useDogs();
  const work = useFileWork();
  const [sheet, setSheet] = useState<OpenSheet | null>(null);
  const [refused, setRefused] = useState<OwnSheetState['refused']>(null);
  const readAs = async (now: Omit<OpenSheet, 'read'>): Promise<void> => {
    // Never stopped by the next one: what is stopped takes its worker with it, and the opened sheet lies there.
    const read = await fileDesk.ask({ kind: 'read-sheet', mapping: now.mapping, today });
    if (read.ok)
      setSheet((stands) => (stands?.mapping === now.mapping ? { ...now, read: read.value } : stands));
    else if (read.code !== 'cancelled') setRefused({ name: now.name, failure: read });
  };
  const show = async (
    next: Omit<OpenSheet, 'read'>,
    before: FileAnswers['read-sheet'] | null,
  ): Promise<void> => {
    setSheet({ ...next, read: before });
    await readAs(next);
  };
  return {
    work,
    sheet,
    refused,
    open: async (file) => {
      setRefused(null);
      const opened = await work.run({ kind: 'open-sheet', file, usual: usualHere(dogs?.[0]?.name ?? '') });
      if (!opened.ok) {
        setSheet(null);
        if (opened.code !== 'cancelled') setRefused({ name: file.name, failure: opened });
        return;
      }
      const kept = keptMapping(opened.value.heads);
      await show(
        {
          name: file.name,
          opened: opened.value,
          mapping: kept ?? opened.value.guess,
          asBefore: kept !== null,
        },
        null,
      );
    },
    change: async (change) => {
      if (!sheet) return;
      const { read, ...rest } = sheet;
      await show({ ...rest, mapping: { ...sheet.mapping, ...change } }, read);
    },
    close: () => setSheet(null),
  };
}

function usualHere(dog: string): Usual {
  const unit = bareUnit('distance');
  // Where a point stands between day and month the day is first; the others say it in their own order.
  const monthFirst = new Intl.DateTimeFormat(navigator.language).formatToParts(new Date(2026, 11, 24))[0]
    ?.type;
  return {
    days: monthFirst === 'month' ? 'month-day-year' : 'day-month-year',
    decimal: numberCustom().decimal,
    unit: (unit ?? 'm') as AskedUnit,
    dog,
  };
}
