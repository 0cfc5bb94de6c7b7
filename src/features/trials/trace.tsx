import { useState } from 'react';
import type { RuleBook } from '@/core/rulebooks';
import type { JudgeSheet, Mark } from '@/core/trials';
import { Button, Sheet, SIGN_WORDS, TextField } from '@/ui';
import { writeInstant } from '@/words';
import { faultWords } from './fault-buttons';
import type { Pen } from './pen';
import type { RunState } from './run-state';
import { tell } from './words';

type Props = {
  readonly state: Pick<RunState, 'book'>;
  readonly sheet: JudgeSheet;
  /** Null where the sheet is closed: then it is only read. */
  readonly pen: Pen | null;
};

/** Everything that was ever written on a sheet, struck or not, with its time; what stands can be taken off. */
export function Trace({ state: { book }, sheet, pen }: Props) {
  const [reason, setReason] = useState('');
  if (sheet.trace.length === 0) return null;
  return (
    <Sheet title={tell('trace.what-was-written')} aside={tell('trace.marks', { n: sheet.trace.length })}>
      {pen && (
        <TextField
          className="mb-2 max-w-md"
          label={tell('trace.reason')}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
      )}
      <ol className="grid gap-1">
        {sheet.trace.map(({ mark, struckBy }) => (
          <li
            key={mark.id}
            className="flex flex-wrap items-center justify-between gap-x-3 border-b border-hair py-1 leading-snug"
          >
            <span className={struckBy ? 'text-ink-soft line-through' : ''}>
              {markWords(book, mark)}
              <span className="block text-sm text-ink-soft no-underline">
                {writeInstant(mark.at)}
                {mark.reason !== '' && tell('trace.because', { reason: mark.reason })}
              </span>
            </span>
            {struckBy && <span className="text-sm">{tell('trace.struck')}</span>}
            {pen &&
              !struckBy &&
              mark.kind !== 'take-back' &&
              mark.kind !== 'reopen' &&
              mark.kind !== 'close' && (
                <Button
                  aria-label={tell('trace.take-off-what', { what: markWords(book, mark) })}
                  onClick={async () => {
                    if (await pen.write({ kind: 'take-back' }, { of: mark.id, reason })) setReason('');
                  }}
                >
                  {tell('trace.take-off')}
                </Button>
              )}
          </li>
        ))}
      </ol>
    </Sheet>
  );
}

/** A mark in words: of which exercise, and what. */
function markWords(book: RuleBook, mark: Mark): string {
  const title = (key: string): string => book.exercises.find((one) => one.id === key)?.title ?? key;
  switch (mark.kind) {
    case 'fault':
      return tell('trace.fault', { title: title(mark.exercise), ...faultWords(book, mark) });
    case 'given':
      return tell('trace.given', { title: title(mark.exercise), value: mark.value });
    case 'watch':
      return tell('trace.watch', { title: title(mark.exercise), seconds: mark.seconds });
    case 'state':
      return tell('trace.state', {
        title: title(mark.exercise),
        is: mark.is === 'not-attempted' ? 'skipped' : mark.is,
      });
    case 'warned':
      return tell('trace.warned', { title: title(mark.exercise) });
    case 're-run':
      return tell('trace.re-run', { title: title(mark.exercise) });
    case 'moment':
      return tell('trace.moment', { title: title(mark.exercise) });
    case 'sign-seen':
      return tell('trace.sign-seen', {
        title: title(mark.exercise),
        sign: SIGN_WORDS[mark.sign],
      });
    case 'note':
      return mark.text;
    case 'take-back':
      return tell('trace.take-back');
    case 'close':
      return tell('trace.close');
    case 'sign':
      return tell('trace.sign', { name: mark.name });
    case 'reopen':
      return tell('trace.reopen');
  }
}
