import type { ExerciseKey } from '@/core/shared';
import { Button, Sheet } from '@/ui';
import type { Pen } from './pen';
import type { SheetExercise, SheetView } from './sheet-view';
import { tell } from './words';

type Props = {
  readonly view: SheetView;
  readonly pen: Pen;
  readonly onExercise: (key: ExerciseKey) => void;
};

/** The end of a sheet: what nobody has said yet, what is not named yet, and closing. */
export function CloseSheet({ view, pen, onExercise }: Props) {
  const ended = view.exercises.some(({ state }) => state === 'not-run');
  const unsaid = view.exercises.filter(
    ({ written, state }) => state !== 'not-run' && (written.state === 'open' || written.state === 'going'),
  );
  const unnamed = view.exercises.filter(({ written }) => written.moments.length > 0);
  const say = (exercise: SheetExercise, is: 'done' | 'not-attempted'): void =>
    void pen.write({ kind: 'state', exercise: exercise.key, is });
  return (
    <Sheet title={tell('close-sheet.close')} aside={ended ? tell('close-sheet.ended') : undefined}>
      {unsaid.length > 0 && (
        <>
          <p className="leading-snug">{tell('close-sheet.not-said', { n: unsaid.length })}</p>
          <ul className="mt-1 grid gap-2">
            {unsaid.map((exercise) => (
              <li
                key={exercise.key}
                className="flex flex-wrap items-center gap-2 border-b border-hair py-1 leading-snug"
              >
                <button
                  type="button"
                  className="min-h-11 flex-1 text-left underline underline-offset-4"
                  onClick={() => onExercise(exercise.key)}
                >
                  {exercise.title}
                </button>
                <Button
                  aria-label={tell('close-sheet.title-done', { title: exercise.title })}
                  onClick={() => say(exercise, 'done')}
                >
                  {tell('one-exercise.done')}
                </Button>
                <Button
                  aria-label={tell('close-sheet.title-not-attempted', { title: exercise.title })}
                  onClick={() => say(exercise, 'not-attempted')}
                >
                  {tell('more-of-exercise.not-attempted')}
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
      {unnamed.map((exercise) => (
        <p key={exercise.key} className="mt-2 leading-snug">
          {tell('close-sheet.unnamed', { n: exercise.written.moments.length })}{' '}
          <button
            type="button"
            className="min-h-11 underline underline-offset-4"
            onClick={() => onExercise(exercise.key)}
          >
            {exercise.title}
          </button>
        </p>
      ))}
      <p className="mt-3 flex flex-wrap items-center gap-3">
        <Button
          look="signal"
          size="big"
          aria-disabled={unsaid.length > 0}
          onClick={() => unsaid.length === 0 && pen.write({ kind: 'close' })}
        >
          {tell('close-sheet.close-the-sheet')}
        </Button>
        <Button size="big" onClick={pen.undo}>
          {tell('sheet-page.undo')}
        </Button>
        <span className="flex-1 text-sm text-ink-soft">{tell('close-sheet.closed-means')}</span>
      </p>
    </Sheet>
  );
}
