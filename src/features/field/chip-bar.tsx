import { useState } from 'react';
import type { Aid } from '@/core/log';
import { ROWS_SHOWN } from './chips';
import { usePad } from './pad-store';
import { AID_WORDS, type PadView } from './pad-view';
import type { PadActions } from './use-pad-actions';

export const CHIP =
  'min-h-14 flex-auto border-2 border-ink bg-sheet px-1.5 text-base leading-tight aria-pressed:bg-ink aria-pressed:text-paper aria-pressed:font-bold';

/**
 * What changes from rep to rep, said before it in one tap: two rows of the element's own show, the
 * others and help open in place. What was said last stays.
 */
export function ChipBar({ view }: { readonly view: PadView; readonly actions?: PadActions }) {
  const { chip, aids, help } = usePad();
  const [more, setMore] = useState(false);
  const rows = more ? view.chips : view.chips.filter((row) => row.named).slice(0, ROWS_SHOWN);
  return (
    <section aria-label="This rep" className="grid gap-1.5">
      {rows.map((row) => (
        <fieldset key={row.key} aria-label={row.title} className="flex flex-wrap items-center gap-1.5">
          <span className="w-20 text-base font-semibold leading-tight">{row.title}</span>
          {row.options.map(({ value, words }) => (
            <button
              key={value}
              type="button"
              className={CHIP}
              aria-pressed={row.value === value}
              onClick={() => chip(row.key, value)}
            >
              {words}
            </button>
          ))}
        </fieldset>
      ))}
      {(more || aids.length > 0) && (
        <fieldset aria-label="Help with the next ones" className="flex flex-wrap items-center gap-1.5">
          <span className="w-20 text-base font-semibold leading-tight">Help</span>
          {(Object.keys(AID_WORDS) as Exclude<Aid, 'unsaid'>[]).map((aid) => (
            <button
              key={aid}
              type="button"
              className={CHIP}
              aria-pressed={aids.includes(aid)}
              onClick={() => help(aid)}
            >
              {AID_WORDS[aid]}
            </button>
          ))}
        </fieldset>
      )}
      <button
        type="button"
        aria-expanded={more}
        className="min-h-14 text-left text-base underline decoration-rule underline-offset-4"
        onClick={() => setMore(!more)}
      >
        {more ? 'Fewer' : 'Help, place and more for the next rep'}
      </button>
    </section>
  );
}
