import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { Link } from 'react-router';
import { ok } from '@/core/shared';
import { useDogs, useKennel } from '@/data/live';
import { elementTitles } from '@/data/read';
import { FileButton, Notice, PageHead, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { type FileAnswers, fileDesk } from '@/workers/client';
import { tell } from '../words';
import { Working } from '../working';
import { ColumnChoices, HowWritten } from './column-choices';
import { keepMapping } from './kept-mapping';
import { NameChoices } from './name-choices';
import { ownAxes } from './own-axes';
import { SheetPreview } from './sheet-preview';
import { useOwnSheet } from './use-own-sheet';

/** A training log that was kept in a spreadsheet: understood column by column, looked at, and taken in. */
export function OwnSheetPage() {
  const { kennel, now, today, done } = useKennel();
  const dogs = useDogs();
  const elements = useLiveQuery(() => elementTitles(kennel), [kennel]);
  const { work, sheet, refused, open, change, close } = useOwnSheet();
  const [brought, setBrought] = useState<FileAnswers['bring-sheet'] | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const takeIn = async (): Promise<void> => {
    if (!sheet) return;
    // Kept before: work that is stopped needs the file again, and not what was said of it.
    keepMapping(sheet.opened.heads, sheet.mapping);
    const at = { kennel: kennel.name, now: now() };
    const taken = await work.run({
      kind: 'bring-sheet',
      mapping: sheet.mapping,
      today,
      axes: ownAxes(),
      ...at,
    });
    if (!taken.ok) return setWrong(taken.code === 'cancelled' ? null : wordsOf(taken.message));
    setBrought(taken.value);
    close();
    const back = async () => {
      setBrought(null);
      return fileDesk.ask({ kind: 'take-back', kennel: kennel.name, now: now() });
    };
    await done(
      tell('own-sheet.taken-in', { reps: taken.value.reps }),
      Promise.resolve(ok({ made: null, rows: [], entries: [], back })),
    );
  };
  return (
    <>
      <PageHead title={tell('own-sheet.title')}>{tell('own-sheet.what-happens')}</PageHead>
      <Sheet title={sheet ? sheet.name : tell('own-sheet.the-sheet')}>
        {!sheet && <p className="mb-3 leading-snug">{tell('own-sheet.how-to-save-csv')}</p>}
        {sheet && (
          <p className="mb-3 leading-snug">
            {tell('own-sheet.rows-and-columns', {
              rows: sheet.opened.rows,
              columns: sheet.opened.heads.length,
            })}{' '}
            {sheet.asBefore && tell('own-sheet.as-before')}
          </p>
        )}
        <FileButton
          label={sheet ? tell('own-sheet.another-sheet') : tell('own-sheet.choose')}
          inputLabel={tell('own-sheet.sheet-file')}
          accept=".csv,.tsv,.txt,text/csv,text/plain"
          onFile={async (file) => {
            setBrought(null);
            setWrong(null);
            await open(file);
          }}
        />
        <Working work={work} />
        {(refused || wrong) && (
          <Notice tone="alert" role="alert">
            {refused ? `${refused.name}: ${wordsOf(refused.failure.message)}` : wrong}
          </Notice>
        )}
        {brought && <Brought brought={brought} kennel={kennel.name} />}
      </Sheet>
      {sheet && (
        <>
          <Sheet title={tell('own-sheet.columns')} className="mt-6">
            <ColumnChoices sheet={sheet} change={change} />
            <HowWritten sheet={sheet} change={change} />
          </Sheet>
          <Sheet title={tell('own-sheet.names-and-words')} className="mt-6">
            <NameChoices
              sheet={sheet}
              change={change}
              dogs={dogs?.map(({ name }) => name) ?? []}
              elements={elements ?? []}
            />
          </Sheet>
          <Sheet title={tell('own-sheet.preview')} className="mt-6">
            {sheet.read && <SheetPreview read={sheet.read} onTake={() => void takeIn()} />}
          </Sheet>
        </>
      )}
    </>
  );
}

type BroughtProps = { readonly brought: FileAnswers['bring-sheet']; readonly kennel: string };

function Brought({ brought: { reps, bouts, dogs, elements, known }, kennel }: BroughtProps) {
  return (
    <div className="mt-4">
      <Notice tone="plain" role="status">
        <p className="font-semibold">{tell('own-sheet.brought', { reps, bouts })}</p>
        {dogs.length > 0 && <p>{tell('own-sheet.new-dogs', { dogs: dogs.join(', ') })}</p>}
        {elements.length > 0 && <p>{tell('own-sheet.new-elements', { elements: elements.join(', ') })}</p>}
        {known > 0 && <p>{tell('own-sheet.known', { known })}</p>}
        <p className="mt-2">
          <Link className="underline underline-offset-4" to={`/${kennel}/breakdown`}>
            {tell('own-sheet.to-the-ladders')}
          </Link>
        </p>
      </Notice>
    </div>
  );
}
