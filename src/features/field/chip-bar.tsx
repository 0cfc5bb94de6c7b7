import { useEffect, useRef, useState } from 'react';
import type { Aid, Call } from '@/core/log';
import { filledBy } from './calls';
import { type ChipRow, ROWS_SHOWN } from './chips';
import { usePad } from './pad-store';
import type { PadView } from './pad-view';
import { AID_WORDS } from './rep-words';
import { tell } from './words';

const CHIP =
  'min-h-14 min-w-min shrink border-2 border-ink bg-sheet px-2 text-base leading-tight aria-pressed:bg-ink aria-pressed:text-paper aria-pressed:font-bold';
const AIDS = Object.keys(AID_WORDS) as Exclude<Aid, 'unsaid'>[];

type Props = { readonly view: PadView; readonly call: Call | null };

/**
 * What changes from rep to rep, said before it in one tap: at most two rows of the element's own, each one
 * line that can be pushed sideways, so that the pad below stays where it is. What was said last stays, and
 * a call fills it.
 */
export function ChipBar({ view, call }: Props) {
  const rows = view.chips.filter((row) => row.named).slice(0, ROWS_SHOWN);
  if (rows.length === 0) return null;
  return (
    <section aria-label={tell('chip-bar.this-rep')} className="grid grid-cols-1 gap-1.5">
      <Rows rows={rows} view={view} call={call} />
    </section>
  );
}

/** The rows that are rarely said, and help: they open in place, after the judgement. */
export function MoreChips({ view, call }: Props) {
  const { aids, help } = usePad();
  const [more, setMore] = useState(false);
  const named = view.chips.filter((row) => row.named);
  const rows = [...named.slice(ROWS_SHOWN), ...view.chips.filter((row) => !row.named)];
  return (
    <section aria-label={tell('chip-bar.more-of-this-rep')} className="grid grid-cols-1 gap-1.5">
      <button
        type="button"
        aria-expanded={more}
        className="min-h-14 border-2 border-rule px-2 text-left text-base"
        onClick={() => setMore(!more)}
      >
        {tell('chip-bar.fewer', { more: Boolean(more) })}
      </button>
      {more && <Rows rows={rows} view={view} call={call} />}
      {(more || aids.length > 0) && (
        <Row
          title={tell('chip-bar.help')}
          options={AIDS.map((value) => ({ value, words: AID_WORDS[value] }))}
          isOn={(value) => aids.some((aid) => aid === value)}
          onTap={(value) => help(value as Aid)}
        />
      )}
    </section>
  );
}

function Rows({ rows, view, call }: Props & { readonly rows: readonly ChipRow[] }) {
  const chip = usePad((state) => state.chip);
  const called = filledBy(call, view.chips);
  return rows.map((row) => (
    <Row
      key={row.key}
      title={row.title}
      options={row.options}
      before={row.before}
      isOn={(value) => (called[row.key] ?? row.value) === value}
      onTap={(value) => chip(row.key, value)}
    />
  ));
}

type RowProps = Pick<ChipRow, 'title' | 'options'> & {
  readonly before?: string | undefined;
  readonly isOn: (value: string) => boolean;
  readonly onTap: (value: string) => void;
};

function Row({ title, options, before, isOn, onTap }: RowProps) {
  const row = useRef<HTMLFieldSetElement>(null);
  const on = options.find(({ value }) => isOn(value))?.value;
  // What was proposed is seen, however many there are; the row alone is moved, never the page.
  useEffect(() => {
    const chip = on === undefined ? null : row.current?.querySelector('[aria-pressed=true]');
    if (!row.current || !chip) return;
    const [seen, wanted] = [row.current.getBoundingClientRect(), chip.getBoundingClientRect()];
    const [past, before] = [wanted.right - seen.right, seen.left - wanted.left];
    if (past > 0) row.current.scrollLeft += past;
    else if (before > 0) row.current.scrollLeft -= before;
  }, [on]);
  return (
    <fieldset ref={row} aria-label={title} className="flex min-w-0 items-center gap-1.5 overflow-x-auto">
      <span
        className={`w-16 shrink-0 font-semibold leading-tight ${LONG_WORD.test(title) ? 'text-xs' : 'text-base'}`}
      >
        {title}
        {before !== undefined && (
          <span className="block text-sm font-normal">{tell('chip-bar.last', { before })}</span>
        )}
      </span>
      {options.map(({ value, words }) => (
        <button
          key={value}
          type="button"
          className={CHIP}
          aria-pressed={isOn(value)}
          onClick={() => onTap(value)}
        >
          {/* Words wrap before the row is pushed sideways; the target stays as wide as a thumb. */}
          <span className="block min-w-9">{words}</span>
        </button>
      ))}
    </fieldset>
  );
}

/** A word that does not fit into the label's width at its full size. */
const LONG_WORD = /\S{8,}/;
