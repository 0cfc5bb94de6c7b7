import { Button, PageHead } from '@/ui';
import { BesideBar } from './beside-bar';
import { CloseSheet } from './close-sheet';
import { MoreOfExercise } from './more-of-exercise';
import type { JudgingProps } from './one-exercise';
import { useScreen } from './screen-store';
import { SheetExerciseCard } from './sheet-exercise';
import { Standing } from './standing';
import { StopWatch } from './stop-watch';
import { Trace } from './trace';
import { tell } from './words';

/** The whole sheet on one page: at the table, or when a sheet on paper is typed in. */
export function AllExercises({
  state,
  judge,
  sheet,
  pen,
  view,
  onOne,
}: JudgingProps & { readonly onOne: () => void }) {
  const { score, showScore } = useScreen();
  const { run, book } = state;
  return (
    <>
      <PageHead title={tell('run-page.title', { name: run.name })}>
        {tell('all-exercises.of', { title: book.title, name: judge.name })}
      </PageHead>
      <BesideBar state={state} judge={judge.id} exercise={null} />
      <p className="mb-4 flex flex-wrap gap-3">
        <Button aria-disabled={!sheet.last} onClick={() => sheet.last && pen.undo()}>
          {tell('sheet-page.undo')}
        </Button>
        <Button onClick={onOne}>{tell('all-exercises.one-a-screen')}</Button>
        <Button aria-pressed={!score} onClick={() => showScore(!score)}>
          {tell('all-exercises.hide-the-score')}
        </Button>
      </p>
      <div className="grid grid-cols-1 gap-6 lg:grid-cols-[1fr_21rem]">
        <div className="grid content-start gap-5">
          {view.exercises.map((exercise) => (
            <div key={exercise.key} id={exercise.key} className="grid gap-2">
              <SheetExerciseCard exercise={exercise} pen={pen} hides={!score} />
              <StopWatch run={run.id} exercise={exercise} rules={view.rules} pen={pen} />
              <MoreOfExercise exercise={exercise} pen={pen} />
            </div>
          ))}
          <CloseSheet
            view={view}
            pen={pen}
            onExercise={(key) => document.getElementById(key)?.scrollIntoView()}
          />
          <Trace state={state} sheet={sheet} pen={pen} />
        </div>
        {score && (
          <div className="order-first lg:order-none">
            <Standing view={view} />
          </div>
        )}
      </div>
    </>
  );
}
