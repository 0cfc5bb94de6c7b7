import { useState } from 'react';
import { measuredAs } from '@/core/breakdown';
import type { Measure, StandingRep } from '@/core/log';
import { parseOne, type Quantity } from '@/core/shared';
import { Button, TextField } from '@/ui';
import { numberCustom, wordsOf } from '@/words';
import { tell } from './later-words';
import type { PadView } from './pad-view';
import type { Tap } from './tap';

type Field = {
  readonly measure: Measure;
  readonly label: string;
  readonly quantity: Quantity;
  readonly unit: string;
};

const FIELDS = {
  held: { measure: 'held', label: tell('rep-numbers.held'), quantity: 'duration', unit: 's' },
  latency: {
    measure: 'latency',
    label: tell('rep-numbers.answer-or-time-taken'),
    quantity: 'duration',
    unit: 's',
  },
  angle: {
    measure: 'angle',
    label: tell('rep-numbers.degrees-off-to-the-dogs-right'),
    quantity: 'angle',
    unit: '°',
  },
  count: { measure: 'count', label: tell('rep-numbers.how-many-paws-on-it'), quantity: 'count', unit: '' },
  offset: {
    measure: 'offset',
    label: tell('rep-numbers.distance-to-the-place'),
    quantity: 'offset',
    unit: 'cm',
  },
  out: { measure: 'out', label: tell('rep-numbers.run-out'), quantity: 'duration', unit: 's' },
  back: { measure: 'back', label: tell('rep-numbers.run-back'), quantity: 'duration', unit: 's' },
} as const satisfies Record<string, Field>;

type Props = {
  readonly view: Pick<PadView, 'judging' | 'angled'>;
  readonly rep: StandingRep;
  readonly onSay: (tap: Extract<Tap, { readonly tap: 'measured' }>) => void;
};

/** What can be measured of it: what its axes ask, and the time of a run out and back. */
const fieldsOf = ({ judging, angled }: Props['view']): Field[] => {
  const asked = judging.axes.flatMap((axis) => measuredAs(axis) ?? []);
  const runs = judging.axes.some((axis) => axis.quantity === 'distance');
  const keys = new Set<keyof typeof FIELDS>([
    ...asked,
    ...(angled ? (['angle'] as const) : []),
    ...(runs ? (['out', 'back'] as const) : []),
  ]);
  return [...keys].map((key) => FIELDS[key]);
};

/** Seconds, degrees and metres, typed where they were measured; the judgement follows. */
export function RepNumbers({ view, rep, onSay }: Props) {
  const fields = fieldsOf(view);
  if (fields.length === 0) return null;
  return (
    <fieldset className="grid gap-2">
      <legend className="text-base font-semibold">{tell('rep-numbers.measured')}</legend>
      {fields.map((field) => (
        <NumberLine key={`${rep.id} ${field.measure}`} field={field} rep={rep} onSay={onSay} />
      ))}
    </fieldset>
  );
}

function NumberLine({ field, rep, onSay }: Pick<Props, 'rep' | 'onSay'> & { readonly field: Field }) {
  const was = rep.seen.measured[field.measure]?.value;
  const [text, setText] = useState('');
  const read = text.trim() === '' ? null : parseOne(text, field.quantity, field.unit, numberCustom());
  const take = (): void => {
    if (!read?.ok) return;
    onSay({ tap: 'measured', measure: field.measure, value: read.value });
    setText('');
  };
  const shown =
    was === undefined
      ? ''
      : tell('rep-numbers.now', { was: Number(was.toPrecision(4)), unitOf: unitOf(field) });
  return (
    <div className="flex items-end gap-2">
      <div className="flex-1">
        <TextField
          label={`${field.label}${shown}`}
          inputMode="decimal"
          value={text}
          placeholder={`e.g. 4.5 ${field.unit}`}
          problem={read && !read.ok ? wordsOf(read.message) : undefined}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && take()}
        />
      </div>
      <Button
        size="big"
        disabled={!read?.ok}
        onClick={take}
        aria-label={tell('rep-numbers.take-it', { label: field.label })}
      >
        {tell('rep-numbers.take-it-2')}
      </Button>
    </div>
  );
}

/** Values are kept in metres and seconds. */
const unitOf = ({ quantity }: Field): string =>
  quantity === 'angle' ? '°' : quantity === 'offset' ? ' m' : quantity === 'count' ? '' : ' s';
