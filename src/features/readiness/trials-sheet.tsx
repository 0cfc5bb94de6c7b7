import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useRef, useState } from 'react';
import { type Day, isDay } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { allTrialsOf, type Trial } from '@/data/read';
import { changeTrial, withdrawTrial } from '@/data/write';
import { Button, Sheet, TextField, useHash } from '@/ui';
import { writeDay } from '@/words';
import { tell } from './words';

/** All trials of the dog: a day or a name is put right where it stands, and one is withdrawn or entered again. */
export function TrialsSheet({ books }: { readonly books: ReadonlyMap<string, string> }) {
  const { kennel, dog, today } = useKennelWithDog();
  const trials = useLiveQuery(() => allTrialsOf(kennel, dog.id), [kennel, dog.id]);
  useHash(trials !== undefined);
  if (!trials || trials.length === 0) return null;
  return (
    <Sheet
      title={<span id="trials">{tell('trials-sheet.trials-of', { name: dog.name })}</span>}
      aside={tell('trials-sheet.change-withdraw')}
    >
      <ul className="divide-y divide-hair">
        {trials.map((trial) => (
          <TrialRow
            key={trial.id}
            trial={trial}
            book={books.get(trial.ruleBookId) ?? ''}
            past={trial.day < today}
          />
        ))}
      </ul>
    </Sheet>
  );
}

type RowProps = { readonly trial: Trial; readonly book: string; readonly past: boolean };

function TrialRow({ trial, book, past }: RowProps) {
  const { kennel, done } = useKennelWithDog();
  const withdrawn = trial.status === 'withdrawn';
  const said = withdrawn
    ? tell('trials-sheet.is-entered-again', { title: trial.title })
    : tell('trials-sheet.is-withdrawn', { title: trial.title });
  const turn = (): void => void done(said, withdrawTrial(kennel, trial.id, !withdrawn));
  return (
    <li className="grid gap-2 py-3">
      <p className="leading-snug">
        <span className={`font-semibold ${withdrawn ? 'line-through' : ''}`}>{trial.title}</span>
        <span className="text-ink-soft">
          {tell('trials-sheet.line', {
            day: writeDay(trial.day),
            book: book === '' ? '' : ` · ${book}`,
            state: withdrawn ? 'withdrawn' : past ? 'past' : 'ahead',
          })}
        </span>
      </p>
      {!withdrawn && (
        <div className="grid gap-3 sm:grid-cols-3">
          <DayField
            of="day"
            trial={trial}
            label={tell('trials-sheet.day')}
            kept={trial.day}
            onTake={(day) =>
              day !== null &&
              void done(
                tell('trials-sheet.is-on-now', { title: trial.title, day: writeDay(day) }),
                changeTrial(kennel, trial.id, ({ entryCloses }) => ({
                  day,
                  // Entries cannot close after the trial.
                  entryCloses: entryCloses !== null && entryCloses > day ? null : entryCloses,
                })),
              )
            }
          />
          <DayField
            of="closes"
            trial={trial}
            label={tell('trials-sheet.entries-close')}
            kept={trial.entryCloses}
            onTake={(entryCloses) =>
              void done(
                tell('trials-sheet.entries-are-put-right'),
                changeTrial(kennel, trial.id, { entryCloses }),
              )
            }
          />
          <NameField trial={trial} />
        </div>
      )}
      <p>
        <Button
          aria-label={
            withdrawn
              ? tell('trials-sheet.enter-again-of', { title: trial.title })
              : tell('trials-sheet.withdraw-from', { title: trial.title })
          }
          onClick={turn}
        >
          {withdrawn ? tell('trials-sheet.enter-again') : tell('trials-sheet.withdraw')}
        </Button>
      </p>
    </li>
  );
}

type DayProps = {
  readonly of: 'day' | 'closes';
  readonly trial: Trial;
  readonly label: string;
  readonly kept: Day | null;
  readonly onTake: (day: Day | null) => void;
};

/** Milliseconds after the last change: a day that is typed digit by digit is taken once. */
const TAKE_AFTER = 700;

/** A day is taken once it stands; what does not fit stays as typed and says what would. */
function DayField({ of, trial, label, kept, onTake }: DayProps) {
  const [text, setText] = useState<string>(kept ?? '');
  useEffect(() => setText(kept ?? ''), [kept]);
  const closes = of === 'closes';
  const late = closes && isDay(text) && text > trial.day;
  const take = (): void => {
    if (text === (kept ?? '') || late) return;
    if (text === '' && closes) onTake(null);
    // A year that is typed digit by digit begins at 0002.
    if (isDay(text) && text > '2000') onTake(text);
  };
  const latest = useRef(take);
  useEffect(() => {
    latest.current = take;
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: the clock begins again with every change
  useEffect(() => {
    const timer = setTimeout(() => latest.current(), TAKE_AFTER);
    return () => clearTimeout(timer);
  }, [text]);
  return (
    <TextField
      label={label}
      aria-label={`${label}: ${trial.title}`}
      type="date"
      value={text}
      problem={late ? tell('trials-sheet.entries-close-before-the-trial') : undefined}
      onChange={(event) => setText(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}

function NameField({ trial }: { readonly trial: Trial }) {
  const { kennel, done } = useKennelWithDog();
  const [text, setText] = useState(trial.title);
  const clean = text.trim();
  return (
    <TextField
      label={tell('trials-sheet.name')}
      aria-label={tell('trials-sheet.name-of', { title: trial.title })}
      value={text}
      maxLength={120}
      problem={clean === '' ? tell('trials-sheet.a-trial-needs-a-name') : undefined}
      onChange={(event) => setText(event.target.value)}
      onBlur={() =>
        clean !== '' &&
        clean !== trial.title &&
        void done(tell('trials-sheet.name-changed'), changeTrial(kennel, trial.id, { title: clean }))
      }
      onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
    />
  );
}
