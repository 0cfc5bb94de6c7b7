import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import type { ExchangeId, Failure } from '@/core/shared';
import { useKennel } from '@/data/live';
import { type ExchangedFile, listExchanges } from '@/data/read';
import { Button, Notice, SelectField, Sheet } from '@/ui';
import { writeInstant } from '@/words';
import type { FileWork } from './use-file-work';
import { tell } from './words';

type Props = {
  readonly work: FileWork;
  readonly hand: (name: string, file: Blob) => void;
  readonly refuse: (name: string, failure: Failure) => void;
};

/** Two devices with one kennel: everything once, and after that only what is new. */
export function ExchangeSheet({ work, hand, refuse }: Props) {
  const { kennel, now, today } = useKennel();
  const exchanges = useLiveQuery(() => listExchanges(kennel), [kennel]);
  const [since, setSince] = useState<ExchangeId | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [newest] = exchanges?.files ?? [];
  const base = exchanges?.files.find(({ id }) => id === since) ?? newest;
  const save = async (from: ExchangedFile): Promise<void> => {
    setSaid(null);
    const made = await work.run({ kind: 'save', kennel: kennel.name, now: now(), since: from.id });
    if (!made.ok) return refuse(tell('exchange-sheet.the-file'), made);
    const { file, entries, records } = made.value;
    if (entries + records === 0) return setSaid(tell('exchange-sheet.nothing-is-new'));
    hand(`regulon-${kennel.name}-new-${today}.json`, file);
    setSaid(tell('exchange-sheet.made', { entries, records, kB: Math.max(1, Math.round(file.size / 1000)) }));
  };
  return (
    <Sheet title={tell('exchange-sheet.title')} className="mt-6">
      <p className="mb-3 leading-snug">{tell('exchange-sheet.how')}</p>
      {exchanges && !base && <p className="leading-snug">{tell('exchange-sheet.no-file-yet')}</p>}
      {base && (
        <div className="flex flex-wrap items-end gap-3">
          <SelectField
            label={tell('exchange-sheet.new-since')}
            value={base.id}
            options={(exchanges?.files ?? []).map((file) => ({ value: file.id, words: fileWords(file) }))}
            onChange={setSince}
          />
          <Button onClick={() => void save(base)}>{tell('exchange-sheet.save')}</Button>
        </div>
      )}
      {said && (
        <div className="mt-3">
          <Notice tone="plain" role="status">
            {said}
          </Notice>
        </div>
      )}
    </Sheet>
  );
}

const fileWords = ({ at, way }: ExchangedFile): string =>
  way === 'saved'
    ? tell('exchange-sheet.saved-here', { at: writeInstant(at) })
    : tell('exchange-sheet.brought-in', { at: writeInstant(at) });
