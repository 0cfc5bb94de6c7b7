import { useState } from 'react';
import type { MarkId } from '@/core/shared';
import type { ExerciseState, MarkSaid } from '@/core/trials';
import { Button, TextField } from '@/ui';
import type { Pen } from './pen';
import type { SheetExercise } from './sheet-view';
import { tell } from './words';

/** What ends an exercise otherwise than done; the last two end the run. */
const ENDS: readonly Exclude<ExerciseState, 'done'>[] = ['failed', 'not-attempted', 'stopped', 'excused'];
const WORDS: Readonly<Record<Exclude<ExerciseState, 'done'>, string>> = {
  failed: tell('more-of-exercise.failed'),
  'not-attempted': tell('more-of-exercise.not-attempted'),
  stopped: tell('more-of-exercise.stopped'),
  excused: tell('more-of-exercise.excused'),
};

type Props = { readonly exercise: SheetExercise; readonly pen: Pen };

/** What is seldom said of an exercise: not attempted, stopped, a warning, run again, a note. */
export function MoreOfExercise({ exercise, pen }: Props) {
  const { written, key } = exercise;
  const [reason, setReason] = useState('');
  /** What was typed goes only when it is on the sheet. */
  const say = async (said: MarkSaid, more: { of?: MarkId } = {}): Promise<void> => {
    const because = said.kind === 'note' ? {} : { reason };
    if (await pen.write(said, { ...because, ...more })) setReason('');
  };
  return (
    <details className="border-2 border-rule bg-sheet px-3">
      <summary className="flex min-h-11 cursor-pointer items-center underline underline-offset-4">
        {tell('more-of-exercise.otherwise')}
      </summary>
      <div className="grid gap-3 pb-3">
        <TextField
          label={tell('more-of-exercise.why-or-note')}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
        <div className="flex flex-wrap gap-2">
          {ENDS.map((is) => (
            <Button
              key={is}
              aria-pressed={written.state === is}
              onClick={() =>
                void say({ kind: 'state', exercise: key, is }, written.said ? { of: written.said.id } : {})
              }
            >
              {WORDS[is]}
            </Button>
          ))}
          <Button onClick={() => void say({ kind: 'warned', exercise: key })}>
            {tell('more-of-exercise.warn', { n: written.warnings.length })}
          </Button>
          <Button onClick={() => void say({ kind: 're-run', exercise: key })}>
            {tell('more-of-exercise.re-run')}
          </Button>
          <Button
            disabled={reason.trim() === ''}
            onClick={() => void say({ kind: 'note', exercise: key, text: reason.trim() })}
          >
            {tell('more-of-exercise.keep-the-note')}
          </Button>
        </div>
        {written.notes.length > 0 && (
          <ul className="leading-snug">
            {written.notes.map((note) => (
              <li key={note.id}>{note.text}</li>
            ))}
          </ul>
        )}
      </div>
    </details>
  );
}
