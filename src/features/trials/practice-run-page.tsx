import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { Link } from 'react-router';
import { foldSheet, type PracticeRun } from '@/core/trials';
import { useKennel } from '@/data/live';
import { practiceOf } from '@/data/read';
import { Button, buttonClass, Notice, PageHead, Sheet } from '@/ui';
import { wordsOf, writeNumber } from '@/words';
import { AllExercises } from './all-exercises';
import { ForRun } from './for-run';
import { OneExercise } from './one-exercise';
import { usePen } from './pen';
import { useJudging } from './practice-page';
import { PracticeScenes } from './practice-scenes';
import { type PracticeShelf, pointsWords, resultOf } from './practice-view';
import { tell } from './practice-words';
import type { RunState } from './run-state';
import { sheetView } from './sheet-view';

/** A practice run: what can be seen, bit by bit, with the sheet below; closed, it stands beside its key. */
export function PracticeRunPage({ shelf }: { readonly shelf: PracticeShelf }) {
  return <ForRun shows={(state) => <OfScript key={state.run.id} state={state} shelf={shelf} />} />;
}

type Props = { readonly state: RunState; readonly shelf: PracticeShelf };

function OfScript({ state, shelf }: Props) {
  const { kennel } = useKennel();
  const script = useLiveQuery(async () => practiceOf(kennel, state.run.id), [kennel, state.run.id]);
  if (script === undefined) return null;
  const run = shelf.runs.find(({ id }) => id === script);
  if (!run)
    return (
      <>
        <PageHead title={tell('practice.no-such')} />
        <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/trials/practice`}>
          {tell('practice.to-all')}
        </Link>
      </>
    );
  return <Practising state={state} shelf={shelf} script={run} />;
}

function Practising({ state, shelf, script }: Props & { readonly script: PracticeRun }) {
  const { kennel } = useKennel();
  const [whole, setWhole] = useState(() => globalThis.matchMedia?.('(min-width: 64rem)').matches ?? false);
  const { run, book, marks } = state;
  const pen = usePen(kennel, run, null);
  const sheet = foldSheet(marks, null);
  const view = sheetView(book, sheet, run.size);
  if (sheet.is !== 'open') return <BesideKey state={state} shelf={shelf} script={script} />;
  const judge = { id: null, name: null };
  return (
    <>
      <p className="mb-2 text-xl font-extrabold leading-tight">
        {tell('practice.title', { title: script.title, dog: script.dog })}
      </p>
      <PracticeScenes run={run.id} script={script} book={book} />
      {pen.trouble && (
        <Notice tone="alert" role="alert">
          {pen.trouble}
        </Notice>
      )}
      {!view.ok ? (
        <Notice tone="alert" role="alert">
          {wordsOf(view.message)}
        </Notice>
      ) : whole ? (
        <AllExercises
          state={state}
          judge={judge}
          sheet={sheet}
          pen={pen}
          view={view.value}
          onOne={() => setWhole(false)}
        />
      ) : (
        <OneExercise
          state={state}
          judge={judge}
          sheet={sheet}
          pen={pen}
          view={view.value}
          onWhole={() => setWhole(true)}
        />
      )}
    </>
  );
}

function BesideKey({ state, shelf, script }: Props & { readonly script: PracticeRun }) {
  const { kennel } = useKennel();
  const judge = useJudging(shelf);
  const result = resultOf(shelf, script.id, foldSheet(state.marks, null));
  if (!result) return <PageHead title={tell('practice.no-such')} />;
  return (
    <>
      <PageHead title={tell('practice.title', { title: script.title, dog: script.dog })}>
        {tell('practice.score', {
          same: result.same,
          of: result.of,
          extra: result.extra,
          points: pointsWords(result),
        })}
      </PageHead>
      <Sheet title={tell('practice.key')} label={tell('practice.key')}>
        <ul className="grid gap-4">
          {result.exercises.map((one) => (
            <li key={one.exercise}>
              <p className="flex flex-wrap items-baseline justify-between gap-2">
                <span className="font-bold">{one.title}</span>
                <span className="tabular-nums">
                  {tell('practice.by-key', { key: writeNumber(one.key), judged: writeNumber(one.judged) })}
                </span>
              </p>
              {one.faults.every(({ how }) => how === 'same') && (
                <p className="text-ink-soft">{tell('practice.all-same')}</p>
              )}
              <ul>
                {one.faults.map((fault) => (
                  <li
                    key={fault.fault}
                    className="grid grid-cols-[7rem_1fr] gap-2 border-b border-hair py-1 leading-snug"
                  >
                    <span className={fault.how === 'same' ? 'text-ink-soft' : 'font-bold'}>
                      {tell('practice.fault', { how: fault.how })}
                    </span>
                    <span>
                      {fault.title}
                      {fault.why && <span className="block text-sm text-ink-soft">{fault.why}</span>}
                      {fault.how === 'otherwise' && (
                        <span className="block text-sm">
                          {tell('practice.prices', {
                            key: writeNumber(fault.keyPoints),
                            written: writeNumber(fault.writtenPoints),
                          })}
                        </span>
                      )}
                    </span>
                  </li>
                ))}
              </ul>
            </li>
          ))}
        </ul>
        <p className="mt-3 text-sm leading-snug text-ink-soft">{tell('practice.schools')}</p>
        <p className="mt-3 flex flex-wrap gap-3">
          <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/trials/practice`}>
            {tell('practice.to-all')}
          </Link>
          <Button size="big" onClick={() => void judge(script)}>
            {tell('practice.again')}
          </Button>
        </p>
      </Sheet>
    </>
  );
}
