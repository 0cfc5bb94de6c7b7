import { X } from 'lucide-react';
import { useRef } from 'react';
import type { ExerciseKey, MarkId } from '@/core/shared';
import { Button, Sheet } from '@/ui';
import { type FaultButton, readMeasure } from './fault-buttons';
import { Slots } from './given-fields';
import type { Pen } from './pen';
import type { SheetExercise } from './sheet-view';
import { useTyped } from './use-typed';
import { tell } from './words';

const STATES: Readonly<Record<SheetExercise['state'], string>> = {
  open: tell('sheet-exercise.not-run-yet'),
  scored: tell('sheet-exercise.run'),
  zeroed: tell('sheet-exercise.zeroed'),
  'not-run': tell('sheet-exercise.not-reached'),
};

type Props = { readonly exercise: SheetExercise; readonly pen: Pen };

/** What an exercise keeps, in words. */
export const keptWords = ({ kept, maximum, state }: SheetExercise): string =>
  tell('sheet-exercise.of', { kept, maximum, state: STATES[state] });

/** One exercise among all of them: what it keeps, its faults to tap, its numbers. */
export function SheetExerciseCard({ exercise, pen, hides = false }: Props & { readonly hides?: boolean }) {
  const { written } = exercise;
  // Faultless again pressed, it is taken off the sheet.
  const faultless = written.faults.length + written.given.length === 0 ? written.said : null;
  return (
    <Sheet
      title={exercise.title}
      aside={hides ? undefined : keptWords(exercise)}
      className="print:mb-3 print:break-inside-avoid"
    >
      {!hides && <Cells exercise={exercise} />}
      <Faults exercise={exercise} pen={pen} />
      <div className="mt-3 flex flex-wrap items-end gap-4 print:hidden">
        <Button
          aria-pressed={exercise.state !== 'open'}
          onClick={() =>
            faultless
              ? pen.write({ kind: 'take-back' }, { of: faultless.id })
              : pen.write({ kind: 'state', exercise: exercise.key, is: 'done' })
          }
          aria-label={tell('sheet-exercise.run-without-a-fault', { title: exercise.title })}
        >
          {tell('sheet-exercise.run-without-a-fault-2', { state: exercise.state === 'open' })}
        </Button>
        <Slots exercise={exercise} pen={pen} />
      </div>
    </Sheet>
  );
}

/** What each ability or panel of an exercise keeps; nothing where it has one number. */
export function Cells({ exercise }: Pick<Props, 'exercise'>) {
  if (exercise.cells.length === 0) return null;
  return (
    <p className="mb-2 text-sm">{exercise.cells.map((cell) => `${cell.title} ${cell.kept}`).join(', ')}</p>
  );
}

/** The faults of an exercise by its parts, as they stand in the rule book. */
export function Faults({ exercise, pen, big = false }: Props & { readonly big?: boolean }) {
  return (
    <div className={`grid gap-x-8 gap-y-3 ${big ? '' : 'md:grid-cols-2 print:grid-cols-2'}`}>
      {exercise.groups.map((group) => (
        <section key={group.key}>
          <h3 className="border-b border-ink text-sm font-bold">{group.title}</h3>
          <ul>
            {group.faults.map((fault) => (
              <FaultRow key={fault.fault.id} exercise={exercise.key} fault={fault} pen={pen} big={big} />
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

type RowProps = {
  readonly exercise: ExerciseKey;
  readonly fault: FaultButton;
  readonly pen: Pen;
  readonly big: boolean;
};

function FaultRow({ exercise, fault, pen, big }: RowProps) {
  const { part, id, by } = fault.fault;
  const last = fault.marks.at(-1);
  const add = (amount: number, of?: MarkId): Promise<boolean> =>
    pen.write({ kind: 'fault', exercise, part, time: null, fault: id, amount }, of ? { of } : {});
  return (
    <li className="border-b border-hair py-1.5">
      <div className="flex flex-wrap items-center justify-between gap-x-3 gap-y-1">
        <span className="min-w-40 flex-1 leading-snug">
          {fault.label}
          {!big && fault.times > 0 && (
            <span className="ml-1.5 whitespace-nowrap border border-ink bg-signal px-1 text-sm font-bold text-on-signal">
              × {fault.times}
            </span>
          )}
          <span className="block text-sm text-ink-soft">
            {tell('sheet-exercise.handler', { cost: fault.cost, by: by === 'handler' })}
            {fault.more !== '' && `; ${fault.more}`}
          </span>
        </span>
        <span className="ml-auto flex flex-wrap justify-end gap-1 print:hidden">
          {big && last && (
            <TakeOff fault={fault} n={fault.marks.length} mark={last} pen={pen} words={last.words} />
          )}
          {fault.taps.map((tap) => (
            <Button
              key={tap.key}
              size={big ? 'big' : 'normal'}
              aria-label={`${fault.label}: ${tap.label}`}
              className="px-2.5!"
              onClick={() => add(tap.amount)}
            >
              {tap.label}
            </Button>
          ))}
          {fault.measured && <Measure fault={fault} measured={fault.measured} onTake={add} />}
        </span>
      </div>
      {!big && fault.marks.length > 0 && (
        <ul className="mt-1 flex flex-wrap gap-1 print:hidden">
          {fault.marks.map((mark, i) => (
            <li key={mark.id}>
              <TakeOff
                fault={fault}
                n={i + 1}
                mark={mark}
                pen={pen}
                words={mark.words === '' ? tell('sheet-exercise.time', { n: i + 1 }) : mark.words}
              />
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}

type TakeOffProps = {
  readonly fault: FaultButton;
  readonly n: number;
  readonly mark: FaultButton['marks'][number];
  readonly pen: Pen;
  readonly words: string;
};

/**
 * Takes one mark of a fault off. In the hand there is one for the last of them, in the row itself: nothing
 * below moves under the thumb.
 */
function TakeOff({ fault, n, mark, pen, words }: TakeOffProps) {
  return (
    <Button
      className="px-2!"
      aria-label={tell('sheet-exercise.take-off', { label: fault.label, n, words: mark.words })}
      onClick={() => pen.write({ kind: 'take-back' }, { of: mark.id })}
    >
      {words === '' ? `× ${n}` : words}
      <X aria-hidden="true" className="size-4" />
    </Button>
  );
}

type MeasureProps = {
  readonly fault: FaultButton;
  readonly measured: NonNullable<FaultButton['measured']>;
  readonly onTake: (amount: number, of?: MarkId) => Promise<boolean>;
};

/** What a stop-watch or tape said; it counts without Enter, and typed on it is the same measure still. */
function Measure({ fault, measured, onTake }: MeasureProps) {
  // What this typing has written already is replaced as it goes on, not added to.
  const before = useRef(fault.marks.length);
  const goes = useRef(false);
  const field = useTyped(
    '',
    (text) => readMeasure(measured, text),
    (value) => {
      const last = goes.current ? fault.marks.at(-1)?.id : undefined;
      goes.current = true;
      return onTake(value, fault.marks.length > before.current ? last : undefined);
    },
    true,
  );
  const leave = (): void => {
    field.leave();
    goes.current = false;
  };
  return (
    <span className="flex flex-wrap items-center justify-end gap-1">
      <input
        aria-label={tell('sheet-exercise.measured', { label: fault.label })}
        value={field.text}
        placeholder={measured.unit}
        inputMode="text"
        onFocus={() => {
          before.current = fault.marks.length;
        }}
        onChange={(event) => field.type(event.target.value)}
        onBlur={leave}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          leave();
          before.current = fault.marks.length + 1;
        }}
        className="min-h-11 w-16 border-b-2 border-ink bg-paper px-1.5 placeholder:text-ink-soft"
      />
      {field.problem && (
        <span role="alert" className="w-full text-sm text-signal-ink">
          {field.problem}
        </span>
      )}
    </span>
  );
}
