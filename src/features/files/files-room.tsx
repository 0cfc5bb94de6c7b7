import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { type Failure, ok } from '@/core/shared';
import { useKennel } from '@/data/live';
import { type KennelCounts, kennelCounts } from '@/data/read';
import { Button, Dialog, FileButton, Notice, PageHead, Sheet, saveBlob, writeInstant } from '@/ui';
import { type Brought, type FileAnswers, fileDesk } from '@/workers/client';
import { ApartSheet } from './apart-sheet';
import { type FileWork, useFileWork } from './use-file-work';

type Looked = FileAnswers['look'];

export function FilesRoom() {
  const { kennel, now, today, renew, done } = useKennel();
  const counts = useLiveQuery(() => kennelCounts(kennel), [kennel]);
  const work = useFileWork();
  const [refused, setRefused] = useState<{ readonly name: string; readonly failure: Failure } | null>(null);
  const [aside, setAside] = useState<readonly string[]>([]);
  const [preview, setPreview] = useState<Looked | null>(null);
  const refuse = (name: string, failure: Failure): void =>
    setRefused(failure.code === 'cancelled' ? null : { name, failure });

  const save = async (): Promise<void> => {
    const file = await work.run({ kind: 'save', kennel: kennel.name, now: now() });
    if (!file.ok) return refuse('The kennel', file);
    saveBlob(`regulon-${kennel.name}-${today}.json`, file.value.file);
    setAside(file.value.aside);
  };
  const look = async (file: File): Promise<void> => {
    setRefused(null);
    const read = await work.run({ kind: 'look', file });
    setPreview(read.ok ? read.value : null);
    if (!read.ok) refuse(file.name, read);
  };
  const bring = async (how: 'add' | 'replace'): Promise<void> => {
    setPreview(null);
    const brought = await work.run({ kind: 'bring', how, kennel: kennel.name, now: now() });
    if (!brought.ok) return refuse('The file', brought);
    const back = () => fileDesk.ask({ kind: 'take-back', kennel: kennel.name, now: now() });
    await done(
      brought.value ? inWords(brought.value) : 'The kennel is read in.',
      Promise.resolve(ok({ made: null, rows: [], entries: [], back })),
    );
  };
  const makeNew = (make: NonNullable<typeof renew>): Promise<unknown> =>
    done('The sample is new, dated from today.', make());
  return (
    <>
      <PageHead title="What is kept, and how to take it with you">
        Everything stays in this browser and in the files you save. Nothing is sent anywhere.
      </PageHead>
      <div className="grid gap-6 lg:grid-cols-2">
        <Sheet title="In this kennel">
          {counts && <Contents counts={counts} />}
          <p className="mt-4">
            <Button look="signal" size="big" onClick={() => void save()}>
              Save everything to one file
            </Button>
          </p>
          <p className="mt-2 text-sm leading-snug text-ink-soft">
            An open JSON file, described in docs/formats. A browser can lose its storage: save one after a
            good week.
          </p>
          {aside.length > 0 && (
            <Notice tone="alert" role="alert">
              <span className="font-semibold">
                The file is whole but for {count(aside.length, 'record')} that could not be read back.{' '}
              </span>
              They lie in it apart, as they are: {aside.slice(0, 5).join(' ')}
            </Notice>
          )}
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
          <Working work={work} />
          {refused && (
            <div className="mt-4">
              <Notice tone="alert" role="alert">
                <span className="font-semibold">{refused.name}: nothing has changed.</span>{' '}
                {refused.failure.message}
              </Notice>
            </div>
          )}
        </Sheet>
      </div>
      <ApartSheet />
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
      <p className="mt-4 text-sm">
        <a className="underline" href="/third-party-notices.txt">
          What others wrote that ships with Regulon, and its licences
        </a>
      </p>
      <Dialog
        open={preview !== null}
        onClose={() => setPreview(null)}
        title="What shall be done with this file?"
      >
        {preview && counts && (
          <div className="grid gap-4">
            <div>
              <p className="font-semibold">In the file, saved {writeInstant(Date.parse(preview.savedAt))}</p>
              <Contents counts={preview.counts} />
            </div>
            <div>
              <p className="font-semibold">Here now</p>
              <Contents counts={counts} />
            </div>
            <Button look="signal" size="big" onClick={() => void bring('add')}>
              Add what is new in it
            </Button>
            <p className="-mt-2 text-sm leading-snug text-ink-soft">
              For what another device has: logs are united, the newer version of a record stands, and what was
              changed on both is listed for you to decide. The same file twice adds nothing.
            </p>
            <Button size="big" onClick={() => void bring('replace')}>
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

/** What is being done with a whole kennel, how far it is, and a way to stop it. */
function Working({ work: { said, stop } }: { readonly work: FileWork }) {
  if (!said) return null;
  return (
    <p role="status" className="mt-4 flex flex-wrap items-center gap-3 leading-snug">
      {said.doing} …{said.share === null ? '' : ` ${Math.round(said.share * 100)} %`}
      <Button onClick={stop}>Stop</Button>
    </p>
  );
}

function Contents({ counts }: { readonly counts: KennelCounts }) {
  const { dogs, elements, bouts, reps, ruleBooks, trials } = counts;
  const lines = [
    `${dogs.length === 1 ? '1 dog' : `${dogs.length} dogs`}${dogs.length > 0 ? `: ${dogs.join(', ')}` : ''}`,
    count(elements, 'element'),
    `${count(bouts, 'session')}, ${count(reps, 'rep')}`,
    count(ruleBooks, 'rule book'),
    count(trials, 'trial'),
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

function inWords({ bouts, entries, changed, apart }: NonNullable<Brought>): string {
  const parts = [
    bouts === 0 && entries === 0
      ? 'No session in it is new.'
      : `Added ${count(bouts, 'session')} and ${count(entries, 'entry').replace('entrys', 'entries')}.`,
    changed > 0 ? `${count(changed, 'record')} had been changed or removed there since.` : '',
    apart > 0 ? `${count(apart, 'record')} had been changed on both sides: decide below which stands.` : '',
  ];
  return parts.filter(Boolean).join(' ');
}

const count = (n: number, word: string): string => `${n.toLocaleString('en')} ${word}${n === 1 ? '' : 's'}`;
