import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { foldSheet } from '@/core/trials';
import { useKennel } from '@/data/live';
import { Button, Notice, PageHead, SelectField, useWakeLock } from '@/ui';
import { wordsOf } from '@/words';
import { AllExercises } from './all-exercises';
import { ClosedSheet } from './closed-sheet';
import { ForRun } from './for-run';
import { HandOver } from './hand-over';
import { OneExercise } from './one-exercise';
import { usePen } from './pen';
import type { RunState } from './run-state';
import { useScreen } from './screen-store';
import { sheetView } from './sheet-view';
import { useFrozen } from './use-frozen';
import { tell } from './words';

/** The judge’s sheet of one run. */
export function RunPage() {
  return <ForRun shows={(state) => <JudgedRun key={state.run.id} state={state} />} />;
}

/** On a wide screen a sheet is seen whole; in the hand one exercise after another. */
const isWide = (): boolean => globalThis.matchMedia?.('(min-width: 64rem)').matches ?? false;

function JudgedRun({ state }: { readonly state: RunState }) {
  const { kennel } = useKennel();
  const [params, setParams] = useSearchParams();
  const [whole, setWhole] = useState(isWide);
  useWakeLock();
  useFrozen(state);
  const { run, book, judges, marks } = state;
  const { writesAs, writeAs } = useScreen();
  // Whoever wrote as a judge here goes on as that one, at the next dog too.
  const asked = params.get('judge') ?? writesAs;
  const known = judges.length === 1 ? judges[0] : judges.find((one) => one.id === asked);
  const judge = known ?? judges[0] ?? { id: null, name: null };
  const pen = usePen(kennel, run, judge.id);
  const sheet = foldSheet(marks, judge.id);
  const view = sheetView(book, sheet, run.size);
  const chooseJudge = (id: string): void => {
    writeAs(id);
    setParams((before) => {
      before.delete('judge');
      return before;
    });
  };
  // Two devices must not write one judge’s sheet without knowing: it is asked once.
  if (!known)
    return (
      <>
        <PageHead title={tell('run-page.title', { name: run.name })}>{tell('run-page.who-writes')}</PageHead>
        <p className="flex flex-wrap gap-3">
          {judges.map(({ id, name }) => (
            <Button key={id} size="big" onClick={() => chooseJudge(id ?? '')}>
              {name ?? tell('run-page.a-judge')}
            </Button>
          ))}
        </p>
        <div className="mt-5">
          <HandOver state={state} judge={null} />
        </div>
      </>
    );
  const props = { state, judge, sheet, pen };
  return (
    <>
      {judges.length > 1 && (
        <SelectField
          className="mb-2 max-w-sm"
          beside
          label={tell('run-page.you-write-as')}
          value={judge.id ?? ''}
          options={judges.map((one) => ({
            value: one.id ?? '',
            words: one.name ?? tell('run-page.a-judge'),
          }))}
          onChange={chooseJudge}
        />
      )}
      {pen.trouble && (
        <Notice tone="alert" role="alert">
          {pen.trouble}
        </Notice>
      )}
      {!view.ok ? (
        <Notice tone="alert" role="alert">
          {tell('sheet-page.undo-takes-it-off-the-sheet', { message: wordsOf(view.message) })}
        </Notice>
      ) : sheet.is !== 'open' ? (
        <ClosedSheet {...props} view={view.value} />
      ) : whole ? (
        <AllExercises {...props} view={view.value} onOne={() => setWhole(false)} />
      ) : (
        <OneExercise {...props} view={view.value} onWhole={() => setWhole(true)} />
      )}
    </>
  );
}
