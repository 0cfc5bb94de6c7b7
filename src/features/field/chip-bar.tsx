import { useState } from 'react';
import type { Aid, Call } from '@/core/log';
import { filledBy } from './calls';
import { type ChipRow, ROWS_SHOWN } from './chips';
import { usePad } from './pad-store';
import type { PadView } from './pad-view';
import { AID_WORDS } from './rep-words';

const CHIP =
  'min-h-14 min-w-14 shrink-0 border-2 border-ink bg-sheet px-2 text-base leading-tight aria-pressed:bg-ink aria-pressed:text-paper aria-pressed:font-bold';
const AIDS = Object.keys(AID_WORDS) as Exclude<Aid, 'unsaid'>[];

type Props = { readonly view: PadView; readonly call: Call | null };

/**
 * What changes from rep to rep, said before it in one tap: at most two rows of the element's own show,
 * each one line that can be pushed sideways, so that the pad below stays where it is; the others and help
 * open in place. What was said last stays, and a call fills it.
 */
export function ChipBar({ view, call }: Props) {
  const { chip, aids, help } = usePad();
  const [more, setMore] = useState(false);
  const rows = more ? view.chips : view.chips.filter((row) => row.named).slice(0, ROWS_SHOWN);
  const called = filledBy(call, view.chips);
  return (
    <section aria-label="This rep" className="grid grid-cols-1 gap-1.5">
      {rows.map((row) => (
        <Row
          key={row.key}
          title={row.title}
          options={row.options}
          isOn={(value) => (called[row.key] ?? row.value) === value}
          onTap={(value) => chip(row.key, value)}
        />
      ))}
      {(more || aids.length > 0) && (
        <Row
          title="Help"
          options={AIDS.map((value) => ({ value, words: AID_WORDS[value] }))}
          isOn={(value) => aids.some((aid) => aid === value)}
          onTap={(value) => help(value as Aid)}
        />
      )}
      <button
        type="button"
        aria-expanded={more}
        className="min-h-14 border-2 border-rule px-2 text-left text-base"
        onClick={() => setMore(!more)}
      >
        {more ? 'Fewer' : 'Help, place and more for the next rep'}
      </button>
    </section>
  );
}

type RowProps = Pick<ChipRow, 'title' | 'options'> & {
  readonly isOn: (value: string) => boolean;
  readonly onTap: (value: string) => void;
};

function Row({ title, options, isOn, onTap }: RowProps) {
  return (
    <fieldset aria-label={title} className="flex min-w-0 items-center gap-1.5 overflow-x-auto">
      <span className="w-16 shrink-0 text-base font-semibold leading-tight">{title}</span>
      {options.map(({ value, words }) => (
        <button
          key={value}
          type="button"
          className={CHIP}
          aria-pressed={isOn(value)}
          onClick={() => onTap(value)}
        >
          {words}
        </button>
      ))}
    </fieldset>
  );
}
