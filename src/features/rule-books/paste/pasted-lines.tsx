import { useId, useState } from 'react';
import type { LineKind, ReadLine } from '@/core/rulebooks';
import { Button, SelectField, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { tell } from '../editor/words';
import { usePaste } from './paste-store';
import { KIND_OPTIONS, readingInWords } from './reading-words';

type Props = { readonly read: readonly ReadLine[]; readonly open: readonly number[] };

/** The lines that somebody has to settle first; below them all that was understood, line by line. */
export function PastedLines({ read, open }: Props) {
  // A line stays where it was settled, so that nothing jumps from under the hand.
  const [first] = useState(open);
  const above = read.flatMap((_, i) => (first.includes(i) || open.includes(i) ? [i] : []));
  const below = read.flatMap((_, i) => (above.includes(i) ? [] : [i]));
  return (
    <div className="grid gap-6">
      {above.length > 0 && (
        <Sheet title={tell('book-paste.to-look-at', { n: open.length })}>
          <ul className="grid gap-3">
            {above.map((i) => (
              <Line key={i} index={i} line={read[i] as ReadLine} open={open.includes(i)} />
            ))}
          </ul>
        </Sheet>
      )}
      <Sheet title={tell('book-paste.understood', { n: below.length })}>
        <ul className="grid gap-1">
          {below.map((i) => (
            <Line key={i} index={i} line={read[i] as ReadLine} open={false} />
          ))}
        </ul>
      </Sheet>
    </div>
  );
}

type LineProps = { readonly index: number; readonly line: ReadLine; readonly open: boolean };

/** One line: as it stands, what it was read as, and what can be said of it. */
function Line({ index, line, open }: LineProps) {
  const { lines, mend, sayKind, isRight } = usePaste();
  const id = useId();
  const as = lines?.[index]?.as ?? null;
  const words = line.readings.map(readingInWords);
  const n = index + 1;
  return (
    <li
      {...(open ? { 'data-open-line': index } : {})}
      className={`grid gap-x-3 gap-y-1 py-1 md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_11rem] ${open ? 'border-l-4 border-signal-ink pl-2' : 'border-b border-hair'}`}
    >
      <div className="flex items-center gap-2">
        <span aria-hidden="true" className="w-6 text-right text-ink-soft text-sm">
          {n}
        </span>
        <input
          aria-label={tell('book-paste.line', { n })}
          aria-describedby={id}
          value={line.text}
          onChange={(event) => mend(index, event.target.value)}
          className="min-h-11 w-full min-w-0 border-b border-rule bg-paper px-2"
        />
      </div>
      <div id={id} className="self-center leading-snug">
        {words.map((one) => (
          <p key={one}>{one}</p>
        ))}
        {open && line.doubt && <p className="font-semibold text-signal-ink">{wordsOf(line.doubt)}</p>}
        {open && line.readings.length > 0 && (
          <Button aria-label={tell('book-paste.line-is-right', { n })} onClick={() => isRight(index, true)}>
            {tell('book-paste.it-is-right')}
          </Button>
        )}
      </div>
      <SelectField
        label={tell('book-paste.line-is', { n })}
        shown={null}
        look="block min-h-11 w-full bg-paper px-1"
        value={as ?? ''}
        options={[
          { value: '', words: tell('book-paste.as-it-reads') },
          ...KIND_OPTIONS.map(([value, kind]) => ({ value: value as LineKind | '', words: kind })),
        ]}
        onChange={(kind) => sayKind(index, kind === '' ? null : kind)}
      />
    </li>
  );
}
