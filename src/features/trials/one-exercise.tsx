import { useSearchParams } from 'react-router';
import type { JudgeSheet } from '@/core/trials';
import { Button, Dock } from '@/ui';
import { BesideBar } from './beside-bar';
import { CloseSheet } from './close-sheet';
import { Slots } from './given-fields';
import { Moments } from './moments';
import { MoreOfExercise } from './more-of-exercise';
import type { Pen } from './pen';
import type { RunState } from './run-state';
import { useScreen } from './screen-store';
import { Cells, Faults, keptWords } from './sheet-exercise';
import type { SheetExercise, SheetView } from './sheet-view';
import { StopWatch } from './stop-watch';
import { tell } from './words';

export type JudgingProps = {
  readonly state: RunState;
  readonly judge: RunState['judges'][number];
  readonly sheet: JudgeSheet;
  readonly pen: Pen;
  readonly view: SheetView;
};

/** One exercise a screen, for the thumb: its name and the score above, undo, the stamp and “done” below. */
export function OneExercise({
  state,
  judge,
  sheet,
  pen,
  view,
  onWhole,
}: JudgingProps & { readonly onWhole: () => void }) {
  const [params, setParams] = useSearchParams();
  const { score, showScore } = useScreen();
  const { run } = state;
  const asked = params.get('exercise');
  const found = view.exercises.findIndex((one) => one.key === asked);
  const place = found < 0 ? firstOpen(view) : found;
  const exercise = view.exercises[place] as SheetExercise;
  const over = asked === 'end';
  // Nothing moves under the thumb while the dog works: moments wait until the exercise is over.
  const isOver = exercise.written.state !== 'open' && exercise.written.state !== 'going';
  const goTo = (to: number): void => {
    scrollTo(0, 0);
    setParams((before) => {
      before.set('exercise', view.exercises[to]?.key ?? 'end');
      return before;
    });
  };
  const done = (): void => {
    if (exercise.written.state === 'open' || exercise.written.state === 'going')
      void pen.write({ kind: 'state', exercise: exercise.key, is: 'done' });
    // What was stamped is named before one goes on.
    goTo(exercise.written.moments.length === 0 ? place + 1 : place);
  };
  return (
    <div className="pb-[calc(var(--dock,0px)+0.5rem)]">
      <header className="sticky top-0 z-20 -mx-4 border-b-2 border-ink bg-paper px-4 py-1.5 sm:-mx-6 sm:px-6">
        <title>{tell('run-page.title', { name: run.name })}</title>
        <div className="flex items-baseline justify-between gap-2">
          <h1 className="truncate text-xl font-extrabold leading-tight">
            {tell('one-exercise.dog', { number: run.number, name: run.name })}
          </h1>
          <button
            type="button"
            className="min-h-11 shrink-0 text-right text-xl font-extrabold leading-tight"
            aria-label={
              score ? tell('one-exercise.hide-score', { said: view.said }) : tell('one-exercise.show-score')
            }
            onClick={() => showScore(!score)}
          >
            {score ? view.said : tell('one-exercise.hidden')}
          </button>
        </div>
        <BesideBar state={state} judge={judge.id} exercise={over ? null : exercise.key} />
        <div className="flex items-center justify-between gap-2">
          <Button
            aria-label={tell('one-exercise.before')}
            disabled={!over && place === 0}
            onClick={() => goTo(over ? view.exercises.length - 1 : place - 1)}
          >
            ‹
          </Button>
          <div className="flex-1 text-center leading-tight">
            <h2 className="font-bold">{over ? tell('one-exercise.the-end') : exercise.title}</h2>
            {!over && (
              <span className="block text-sm text-ink-soft">
                {tell('one-exercise.place', { place: place + 1, count: view.exercises.length })}
                {score && ` · ${keptWords(exercise)}`}
              </span>
            )}
          </div>
          <Button aria-label={tell('one-exercise.next')} disabled={over} onClick={() => goTo(place + 1)}>
            ›
          </Button>
        </div>
      </header>
      {over ? (
        <div className="mt-3">
          <CloseSheet
            view={view}
            pen={pen}
            onExercise={(key) => goTo(view.exercises.findIndex((one) => one.key === key))}
          />
        </div>
      ) : (
        <div key={exercise.key} className="mt-2 grid gap-3">
          {isOver && <Moments sheet={sheet} exercise={exercise} rules={view.rules} pen={pen} />}
          {score && <Cells exercise={exercise} />}
          <Faults exercise={exercise} pen={pen} big />
          <StopWatch run={run.id} exercise={exercise} rules={view.rules} pen={pen} />
          <div className="flex flex-wrap gap-3">
            <Slots exercise={exercise} pen={pen} />
          </div>
          <MoreOfExercise exercise={exercise} pen={pen} />
        </div>
      )}
      <p className="mt-3 text-center">
        <Button look="quiet" onClick={onWhole}>
          {tell('one-exercise.all-on-one-page')}
        </Button>
      </p>
      {!over && (
        <Dock>
          <div className="grid grid-cols-[auto_1fr_auto] gap-1.5">
            <Button size="big" aria-disabled={!sheet.last} onClick={() => sheet.last && pen.undo()}>
              {tell('sheet-page.undo')}
            </Button>
            <Button size="big" onClick={() => pen.write({ kind: 'moment', exercise: exercise.key })}>
              {tell('one-exercise.something-happened', { n: exercise.written.moments.length })}
            </Button>
            <Button size="big" look="signal" onClick={done}>
              {tell('one-exercise.done')}
            </Button>
          </div>
        </Dock>
      )}
    </div>
  );
}

/** The first exercise that nobody has called done; the last one where all are. */
function firstOpen(view: SheetView): number {
  const open = view.exercises.findIndex(
    ({ written }) => written.state === 'open' || written.state === 'going',
  );
  return open < 0 ? view.exercises.length - 1 : open;
}
