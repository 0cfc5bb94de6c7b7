import { useState } from 'react';
import type { RuleBook } from '@/core/rulebooks';
import { Button, Sheet, TextField } from '@/ui';
import { wordsOf } from '@/words';
import { useSheet } from './sheet-store';
import { type FaultButton, givenLabel, readGiven, readMeasure, type SheetExercise } from './sheet-view';
import { tell } from './words';

const STATES: Readonly<Record<SheetExercise['state'], string>> = {
  open: tell('sheet-exercise.not-run-yet'),
  scored: tell('sheet-exercise.run'),
  zeroed: tell('sheet-exercise.zeroed'),
  'not-run': tell('sheet-exercise.not-reached'),
};

/** One exercise of the sheet: its faults to tap, and what it keeps. */
export function SheetExerciseCard({
  exercise,
  book,
}: {
  readonly exercise: SheetExercise;
  readonly book: RuleBook;
}) {
  const { run, add } = useSheet();
  return (
    <Sheet
      title={exercise.title}
      aside={tell('sheet-exercise.of', {
        kept: exercise.kept,
        maximum: exercise.maximum,
        state: STATES[exercise.state],
      })}
      className="print:mb-3 print:break-inside-avoid"
    >
      {exercise.cells.length > 0 && (
        <p className="mb-2 text-sm">
          {exercise.cells.map((cell) => `${cell.title} ${cell.kept}`).join(', ')}
        </p>
      )}
      <div className="grid gap-x-8 gap-y-3 md:grid-cols-2 print:grid-cols-2">
        {exercise.groups.map((group) => (
          <section key={group.key}>
            <h3 className="border-b border-ink text-sm font-bold">{group.title}</h3>
            <ul>
              {group.faults.map((fault) => (
                <FaultRow
                  key={fault.fault.id}
                  fault={fault}
                  onAdd={(amount) => add(exercise.key, fault.fault.id, amount)}
                />
              ))}
            </ul>
          </section>
        ))}
      </div>
      <div className="mt-3 flex flex-wrap items-end gap-4 print:hidden">
        <Button
          aria-pressed={exercise.state !== 'open'}
          onClick={() => run(exercise.key)}
          aria-label={tell('sheet-exercise.run-without-a-fault', { title: exercise.title })}
        >
          {tell('sheet-exercise.run-without-a-fault-2', { state: exercise.state === 'open' })}
        </Button>
        <Given exercise={exercise} book={book} />
      </div>
    </Sheet>
  );
}

function FaultRow({
  fault,
  onAdd,
}: {
  readonly fault: FaultButton;
  readonly onAdd: (amount: number) => void;
}) {
  return (
    <li className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1 border-b border-hair py-1.5">
      <span className="min-w-44 flex-1 leading-snug">
        {fault.label}
        {fault.times > 0 && (
          <span className="ml-1.5 whitespace-nowrap border border-ink bg-signal px-1 text-sm font-bold text-on-signal">
            × {fault.times}
          </span>
        )}
        <span className="block text-sm text-ink-soft">
          {tell('sheet-exercise.handler', { cost: fault.cost, by: fault.fault.by === 'handler' })}
          {fault.more !== '' && `; ${fault.more}`}
        </span>
      </span>
      <span className="flex flex-wrap justify-end gap-1 print:hidden">
        {fault.taps.map((tap) => (
          <Button
            key={tap.key}
            aria-label={`${fault.label}: ${tap.label}`}
            className="px-2.5!"
            onClick={() => onAdd(tap.amount)}
          >
            {tap.label}
          </Button>
        ))}
        {fault.measured && <Measure label={fault.label} measured={fault.measured} onAdd={onAdd} />}
      </span>
    </li>
  );
}

type MeasureProps = {
  readonly label: string;
  readonly measured: NonNullable<FaultButton['measured']>;
  readonly onAdd: (amount: number) => void;
};

/** What a stop-watch or tape said; taken at Enter or with the button. */
function Measure({ label, measured, onAdd }: MeasureProps) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const take = (): void => {
    const value = readMeasure(measured, text);
    setProblem(value.ok ? null : wordsOf(value.message));
    if (!value.ok) return;
    onAdd(value.value);
    setText('');
  };
  return (
    <span className="flex flex-wrap items-center justify-end gap-1">
      <input
        aria-label={tell('sheet-exercise.measured', { label })}
        value={text}
        placeholder={measured.unit}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => event.key === 'Enter' && take()}
        className="min-h-11 w-16 border-b-2 border-ink bg-paper px-1.5 placeholder:text-ink-soft"
      />
      <Button
        aria-label={tell('sheet-exercise.add-the-measure', { label })}
        className="px-2.5!"
        onClick={take}
      >
        {tell('sheet-exercise.add')}
      </Button>
      {problem && (
        <span role="alert" className="w-full text-sm text-signal-ink">
          {problem}
        </span>
      )}
    </span>
  );
}

function Given({ exercise, book }: { readonly exercise: SheetExercise; readonly book: RuleBook }) {
  const give = useSheet((state) => state.give);
  const label = givenLabel(book, exercise.key);
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  if (label === null) return null;
  const take = (): void => {
    const given = readGiven(book, text);
    setProblem(given.ok ? undefined : wordsOf(given.message));
    if (given.ok) give(exercise.key, given.value);
  };
  return (
    <TextField
      className="w-64"
      label={label}
      aria-label={`${label}, ${exercise.title}`}
      value={text}
      problem={problem}
      onChange={(event) => setText(event.target.value)}
      onKeyDown={(event) => event.key === 'Enter' && take()}
    />
  );
}
