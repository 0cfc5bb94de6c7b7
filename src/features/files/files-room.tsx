import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import type { Failure, Result } from '@/core/shared';
import { type KennelFile, type Merged, readKennelFile, writeKennelFile } from '@/data/files';
import { useKennel } from '@/data/live';
import { standingReps, type Tables } from '@/data/read';
import { addTables, exportTables, replaceTables } from '@/data/write';
import { Button, Dialog, FileButton, Notice, PageHead, Sheet, saveText } from '@/ui';
import { ApartSheet } from './apart-sheet';

export function FilesRoom() {
  const { kennel, now, today, renew, done } = useKennel();
  const tables = useLiveQuery(() => exportTables(kennel), [kennel]);
  const [refused, setRefused] = useState<{ readonly name: string; readonly failure: Failure } | null>(null);
  const [preview, setPreview] = useState<KennelFile | null>(null);

  const save = async (): Promise<void> => {
    const all = await exportTables(kennel);
    const text = writeKennelFile(all, new Date(now()).toISOString());
    saveText(`regulon-${kennel.name}-${today}.json`, text, 'application/json');
  };
  const look = async (file: File): Promise<void> => {
    const read = readKennelFile(await file.text());
    setRefused(read.ok ? null : { name: file.name, failure: read });
    setPreview(read.ok ? read.value : null);
  };
  const take = async (writing: Promise<Result<unknown>>): Promise<void> => {
    setPreview(null);
    const written = await writing;
    if (!written.ok) setRefused({ name: 'the file', failure: written });
  };
  const replace = (file: KennelFile): Promise<void> =>
    take(done('The kennel is read in.', replaceTables(kennel, file.tables)));
  const addNew = (file: KennelFile): Promise<void> =>
    take(done((merged) => inWords(merged), addTables(kennel, file.tables)));
  const makeNew = (make: NonNullable<typeof renew>): Promise<unknown> =>
    done('The sample is new, dated from today.', make());
  return (
    <>
      <PageHead title="What is kept, and how to take it with you">
        Everything stays in this browser and in the files you save. Nothing is sent anywhere.
      </PageHead>
      <div className="grid gap-6 lg:grid-cols-2">
        <Sheet title="In this kennel">
          {tables && <Contents tables={tables} />}
          <p className="mt-4">
            <Button look="signal" size="big" onClick={() => void save()}>
              Save everything to one file
            </Button>
          </p>
          <p className="mt-2 text-sm leading-snug text-ink-soft">
            An open JSON file, described in docs/formats. A browser can lose its storage: save one after a
            good week.
          </p>
          {renew && (
            <p className="mt-3">
              <Button onClick={() => void makeNew(renew)}>Make the sample new</Button>
            </p>
          )}
        </Sheet>
        <Sheet title="Read a saved kennel">
          <p className="mb-3 leading-snug">
            The file is checked from end to end first. You see what is in it before anything changes, and what
            was here can be brought back.
          </p>
          <FileButton label="Choose a file" inputLabel="Kennel file" onFile={look} />
          {refused && (
            <div className="mt-4">
              <Notice tone="alert" role="alert">
                <span className="font-semibold">{refused.name} was not read; nothing has changed.</span>{' '}
                {refused.failure.message}
              </Notice>
            </div>
          )}
        </Sheet>
      </div>
      {tables && <ApartSheet tables={tables} />}
      <Sheet title="What is in the file" className="mt-6">
        <dl className="grid gap-x-8 gap-y-2 leading-snug md:grid-cols-[11rem_1fr]">
          {INSIDE.map(([name, words]) => (
            <div key={name} className="contents">
              <dt className="font-semibold">{name}</dt>
              <dd>{words}</dd>
            </div>
          ))}
        </dl>
      </Sheet>
      <Dialog
        open={preview !== null}
        onClose={() => setPreview(null)}
        title="What shall be done with this file?"
      >
        {preview && tables && (
          <div className="grid gap-4">
            <div>
              <p className="font-semibold">In the file, saved {preview.savedAt.slice(0, 10)}</p>
              <Contents tables={preview.tables} />
            </div>
            <div>
              <p className="font-semibold">Here now</p>
              <Contents tables={tables} />
            </div>
            <Button look="signal" size="big" onClick={() => void addNew(preview)}>
              Add what is new in it
            </Button>
            <p className="-mt-2 text-sm leading-snug text-ink-soft">
              For what another device has: logs are united, the newer version of a record stands, and what was
              changed on both is listed for you to decide. The same file twice adds nothing.
            </p>
            <Button size="big" onClick={() => void replace(preview)}>
              Replace it
            </Button>
            <p className="-mt-2 text-sm leading-snug text-ink-soft">
              Puts the file in the place of everything that is here.
            </p>
          </div>
        )}
      </Dialog>
    </>
  );
}

const INSIDE: readonly (readonly [string, string])[] = [
  [
    'Every rep',
    'as it was logged, with its criteria, fault, cause and latency. What was taken back or corrected is there too: the log is only ever added to.',
  ],
  [
    'Dogs and ladders',
    'each dog’s elements with start, step and demand of every criterion, and the values set by hand.',
  ],
  ['Rule books', 'whole, as they were read in, so that a forecast can be made again from the file alone.'],
  [
    'Trials',
    'with the seed and the assumptions of their forecast: read back, it is the same to the last digit.',
  ],
  [
    'What is refused',
    'a damaged or cut file, another program’s file, one from a newer Regulon, or one whose records do not fit together. You are told which, and nothing changes.',
  ],
];

function Contents({ tables }: { readonly tables: Tables }) {
  const reps = standingReps(tables);
  const lines = [
    `${tables.dogs.length === 1 ? '1 dog' : `${tables.dogs.length} dogs`}${tables.dogs.length > 0 ? `: ${tables.dogs.map((dog) => dog.name).join(', ')}` : ''}`,
    count(tables.elements.length, 'element'),
    `${count(tables.bouts.length, 'session')}, ${count(reps, 'rep')}`,
    count(tables.ruleBooks.length, 'rule book'),
    count(tables.trials.length, 'trial'),
  ];
  return (
    <ul className="text-lg leading-snug">
      {lines.map((line) => (
        <li key={line} className="border-b border-hair py-0.5">
          {line}
        </li>
      ))}
    </ul>
  );
}

function inWords({ added, changed, apart }: Merged): string {
  const parts = [
    added.bouts === 0 && added.entries === 0
      ? 'No session in it is new.'
      : `Added ${count(added.bouts, 'session')} and ${count(added.entries, 'entry').replace('entrys', 'entries')}.`,
    changed > 0 ? `${count(changed, 'record')} had been changed or removed there since.` : '',
    apart.length > 0
      ? `${count(apart.length, 'record')} had been changed on both sides: decide below which stands.`
      : '',
  ];
  return parts.filter(Boolean).join(' ');
}

const count = (n: number, word: string): string => `${n.toLocaleString('en')} ${word}${n === 1 ? '' : 's'}`;
