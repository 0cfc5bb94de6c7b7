import { X } from 'lucide-react';
import { Button, TextField } from '@/ui';
import { writeNumber } from '@/words';
import { readGiven, type SlotView } from './given-slots';
import type { Pen } from './pen';
import type { SheetExercise } from './sheet-view';
import { useTyped } from './use-typed';
import { tell } from './words';

type Props = { readonly exercise: SheetExercise; readonly pen: Pen };

/** The numbers that can be given outright, each with a step up and down. */
export function Slots({ exercise, pen }: Props) {
  return exercise.slots.map((slot) => <Slot key={slot.slot.key} exercise={exercise} slot={slot} pen={pen} />);
}

function Slot({ exercise, slot: { slot, label, value, id }, pen }: Props & { readonly slot: SlotView }) {
  const give = async (next: number): Promise<boolean> => {
    if (next === value) return true;
    return pen.write(
      { kind: 'given', exercise: exercise.key, slot: slot.key, value: next },
      id === null ? {} : { of: id },
    );
  };
  const field = useTyped(value === null ? '' : writeNumber(value), (text) => readGiven(slot, text), give);
  const step = (by: number): void => {
    const from = value ?? slot.most;
    void give(Number(Math.min(slot.most, Math.max(0, value === null ? from : from + by)).toFixed(4)));
  };
  const named = `${label}, ${exercise.title}`;
  return (
    <div className="flex flex-wrap items-end gap-1">
      <Button aria-label={tell('given-fields.less', { named })} onClick={() => step(-slot.step)}>
        −
      </Button>
      <TextField
        className="w-32"
        label={label}
        aria-label={named}
        inputMode={slot.letters.length > 0 ? 'text' : 'decimal'}
        value={field.text}
        problem={field.problem}
        onChange={(event) => field.type(event.target.value)}
        onBlur={field.leave}
        onKeyDown={(event) => event.key === 'Enter' && field.leave()}
      />
      <Button aria-label={tell('given-fields.more', { named })} onClick={() => step(slot.step)}>
        +
      </Button>
      {slot.letters.map(({ letter, points }) => (
        <Button
          key={letter}
          aria-pressed={value === points}
          aria-label={`${named}: ${letter}`}
          onClick={() => void give(points)}
        >
          {letter}
        </Button>
      ))}
      {id !== null && (
        <Button
          look="quiet"
          aria-label={tell('given-fields.without-number', { named })}
          onClick={() => pen.write({ kind: 'take-back' }, { of: id })}
        >
          <X aria-hidden="true" className="size-4" />
        </Button>
      )}
    </div>
  );
}
