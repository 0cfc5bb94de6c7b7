import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { type Failure, ok } from '@/core/shared';
import { useKennel } from '@/data/live';
import { kennelCounts } from '@/data/read';
import { saySaved } from '@/data/write';
import { Button, buttonClass, Dialog, FileButton, Notice, PageHead, Sheet } from '@/ui';
import { wordsOf, writeInstant } from '@/words';
import { type Brought, fileDesk } from '@/workers/client';
import { ApartSheet } from './apart-sheet';
import { BackupSheet } from './backup-sheet';
import { usePupils } from './coach/pupils-store';
import { ExchangeSheet } from './exchange-sheet';
import { Contents, type Looked, WaysIn } from './looked';
import { ReadyToHand } from './ready-to-hand';
import { TablesSheet } from './tables-sheet';
import { useFileWork } from './use-file-work';
import { useReadyFile } from './use-ready-file';
import { tell } from './words';
import { Working } from './working';

export function FilesRoom() {
  const { kennel, now, today, renew, done } = useKennel();
  const counts = useLiveQuery(() => kennelCounts(kennel), [kennel]);
  const work = useFileWork();
  const [refused, setRefused] = useState<{ readonly name: string; readonly failure: Failure } | null>(null);
  const [aside, setAside] = useState<readonly string[]>([]);
  const [preview, setPreview] = useState<Looked | null>(null);
  const { ready, hand } = useReadyFile();
  const addPupil = usePupils((state) => state.add);
  const navigate = useNavigate();
  const refuse = (name: string, failure: Failure): void =>
    setRefused(failure.code === 'cancelled' ? null : { name, failure });

  const noteSaved = async (): Promise<void> => {
    try {
      await saySaved(kennel, now());
    } catch {
      // The file is saved; only the day of it is not kept, and Today reminds a little early.
    }
  };
  const save = async (): Promise<void> => {
    const file = await work.run({ kind: 'save', kennel: kennel.name, now: now(), since: null });
    if (!file.ok) return refuse('The kennel', file);
    hand(`regulon-${kennel.name}-${today}.json`, file.value.file, () => void noteSaved());
    setAside(file.value.aside.map(wordsOf));
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
      brought.value ? inWords(brought.value) : tell('files-room.the-kennel-is-read-in'),
      Promise.resolve(ok({ made: null, rows: [], entries: [], back })),
    );
  };
  const openPacket = async (): Promise<void> => {
    setPreview(null);
    const opened = await work.run({ kind: 'open-packet', now: now() });
    if (!opened.ok) return refuse(tell('files-room.the-packet'), opened);
    const { by, dogs } = opened.value.packet;
    addPupil({ kennel: opened.value.kennel, by, dogs, openedAt: now() });
    await navigate(`/${opened.value.kennel}/today`);
  };
  const takeAnswer = async (): Promise<void> => {
    setPreview(null);
    const taken = await work.run({ kind: 'take-answer', kennel: kennel.name, now: now() });
    if (!taken.ok) return refuse(tell('files-room.the-answer'), taken);
    const back = () => fileDesk.ask({ kind: 'take-back', kennel: kennel.name, now: now() });
    await done(
      tell('files-room.answer-taken', { ...taken.value, by: taken.value.by || tell('coach.somebody') }),
      Promise.resolve(ok({ made: null, rows: [], entries: [], back })),
    );
  };
  const makeNew = (make: NonNullable<typeof renew>): Promise<unknown> =>
    done(tell('files-room.the-sample-is-new-dated-from-today'), make());
  return (
    <>
      <PageHead title={tell('files-room.what-is-kept-and-how-to-take-it')}>
        {tell('files-room.everything-stays-in-this-browser')}
      </PageHead>
      <p className="-mt-2 mb-4 flex flex-wrap gap-x-6">
        <Link
          className="inline-flex min-h-11 items-center underline underline-offset-4"
          to="../settings"
          relative="path"
        >
          {tell('files-room.to-settings')}
        </Link>
        <Link
          className="inline-flex min-h-11 items-center underline underline-offset-4"
          to="../guide"
          relative="path"
        >
          {tell('files-room.to-guide')}
        </Link>
      </p>
      <div className="grid gap-6 lg:grid-cols-2">
        <Sheet title={tell('files-room.in-this-kennel')}>
          {counts && <Contents counts={counts} />}
          <p className="mt-4">
            <Button look="signal" size="big" onClick={() => void save()}>
              {tell('files-room.save-everything-to-one-file')}
            </Button>
          </p>
          <p className="mt-2 text-sm leading-snug text-ink-soft">
            {tell('files-room.an-open-json-file-described-in')}
          </p>
          {ready?.share && <ReadyToHand ready={ready} share={ready.share} />}
          {aside.length > 0 && (
            <Notice tone="alert" role="alert">
              <span className="font-semibold">
                {tell('files-room.the-file-is-whole-but-for-that', {
                  count: tell('files-room.n-record', { n: aside.length }),
                })}{' '}
              </span>
              {tell('files-room.they-lie-in-it-apart-as-they-are', { aside: aside.slice(0, 5).join(' ') })}
            </Notice>
          )}
          {renew && (
            <p className="mt-3">
              <Button onClick={() => void makeNew(renew)}>{tell('files-room.make-the-sample-new')}</Button>
            </p>
          )}
        </Sheet>
        <Sheet title={tell('files-room.read-a-saved-kennel')}>
          <p className="mb-3 leading-snug">{tell('files-room.the-file-is-checked-from-end-to')}</p>
          <FileButton
            label={tell('files-room.choose-a-file')}
            inputLabel={tell('files-room.kennel-file')}
            onFile={look}
          />
          <Working work={work} />
          {refused && (
            <div className="mt-4">
              <Notice tone="alert" role="alert">
                <span className="font-semibold">
                  {tell('files-room.nothing-has-changed', { name: refused.name })}
                </span>{' '}
                {wordsOf(refused.failure.message)}
              </Notice>
            </div>
          )}
        </Sheet>
      </div>
      <ApartSheet />
      <BackupSheet work={work} look={look} />
      <ExchangeSheet work={work} hand={hand} refuse={refuse} />
      <Sheet title={tell('files-room.with-a-coach')} className="mt-6">
        <p className="mb-3 leading-snug">{tell('files-room.with-a-coach-what')}</p>
        <Link className={buttonClass()} to="coach">
          {tell('files-room.to-coaching')}
        </Link>
      </Sheet>
      <TablesSheet work={work} />
      <Sheet title={tell('files-room.what-is-in-the-file')} className="mt-6">
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
          {tell('files-room.what-others-wrote-that-ships-with')}
        </a>
      </p>
      <Dialog
        open={preview !== null}
        onClose={() => setPreview(null)}
        title={tell('files-room.what-shall-be-done-with-this-file')}
      >
        {preview && counts && (
          <div className="grid gap-4">
            <div>
              <p className="font-semibold">
                {tell('files-room.in-the-file-saved', {
                  writeInstant: writeInstant(Date.parse(preview.savedAt)),
                })}
              </p>
              <Contents counts={preview.counts} />
            </div>
            <div>
              <p className="font-semibold">{tell('files-room.here-now')}</p>
              <Contents counts={counts} />
            </div>
            {preview.packet && (
              <Button look="signal" size="big" onClick={() => void openPacket()}>
                {tell('files-room.open-packet', { by: preview.packet.by || tell('coach.somebody') })}
              </Button>
            )}
            {preview.answer && (
              <Button look="signal" size="big" onClick={() => void takeAnswer()}>
                {tell('files-room.take-answer', { by: preview.answer.by || tell('coach.somebody') })}
              </Button>
            )}
            {(preview.packet ?? preview.answer) ? (
              <p className="-mt-2 text-sm leading-snug text-ink-soft">
                {tell('files-room.not-mixed', { packet: preview.packet !== null })}
              </p>
            ) : (
              <WaysIn preview={preview} bring={bring} />
            )}
          </div>
        )}
      </Dialog>
    </>
  );
}

const INSIDE: readonly (readonly [string, string])[] = [
  [tell('files-room.every-rep'), tell('files-room.as-it-was-logged-with-its-criteria')],
  [tell('files-room.dogs-and-ladders'), tell('files-room.each-dogs-elements-with-start-step')],
  [tell('files-room.rule-books'), tell('files-room.whole-as-they-were-read-in-so-that')],
  [tell('files-room.trials'), tell('files-room.with-the-seed-and-the-assumptions')],
  [tell('files-room.what-is-refused'), tell('files-room.a-damaged-or-cut-file-another')],
];

function inWords({ bouts, entries, changed, apart }: NonNullable<Brought>): string {
  const parts = [
    bouts === 0 && entries === 0
      ? tell('files-room.no-session-in-it-is-new')
      : tell('files-room.added-and', {
          count: tell('files-room.n-session', { n: bouts }),
          count2: tell('files-room.n-entries', { n: entries }),
        }),
    changed > 0
      ? tell('files-room.had-been-changed-or-removed-there', {
          count: tell('files-room.n-record', { n: changed }),
        })
      : '',
    apart > 0
      ? tell('files-room.had-been-changed-on-both-sides', {
          count: tell('files-room.n-record', { n: apart }),
        })
      : '',
  ];
  return parts.filter(Boolean).join(' ');
}
