import { X } from 'lucide-react';
import { type ClipMark, type ClipMeasure, type Go, LATE_OUTCOMES } from '@/core/review';
import { Button, SelectField, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { clockOf, gradesOf, type LengthUnit, measureInWords } from './clip-view';
import type { ClipLog } from './use-clip-log';
import { tell } from './words';

export type MeasuredGo = {
  readonly go: Go;
  readonly measures: readonly ClipMeasure[];
  readonly marks: readonly ClipMark[];
};

type Props = {
  readonly goes: readonly MeasuredGo[];
  /** Marks before the first cue. */
  readonly loose: readonly ClipMark[];
  readonly log: ClipLog | null;
  readonly unit: LengthUnit;
  /** Null where the file is not open: then nothing can be looked at. */
  readonly onShow: ((at: number) => void) | null;
  readonly onRemove: (mark: ClipMark) => void;
  readonly onSay: (what: 'judged' | 'grade', go: Go, says: string) => void;
};

/** Every go of the clip: what it measured, how it is judged now, and its marks to be looked at again. */
export function GoesSheet({ goes, loose, log, ...rest }: Props) {
  return (
    <Sheet title={tell('goes.title')} aside={tell('goes.count', { count: goes.length })}>
      {goes.length === 0 && <p className="leading-snug">{tell('goes.none')}</p>}
      {loose.length > 0 && (
        <div className="mb-2">
          <p className="leading-snug">{tell('goes.before-the-first')}</p>
          <Marks marks={loose} onShow={rest.onShow} onRemove={rest.onRemove} />
        </div>
      )}
      <ol className="divide-y divide-hair">
        {goes.map((one, i) => (
          <li key={one.go.cue.id} className="py-2">
            <OneGo place={i + 1} one={one} log={log} {...rest} />
          </li>
        ))}
      </ol>
    </Sheet>
  );
}

type OneProps = Omit<Props, 'goes' | 'loose'> & { readonly place: number; readonly one: MeasuredGo };

function OneGo({ place, one, log, unit, onShow, onRemove, onSay }: OneProps) {
  const { go, measures, marks } = one;
  const rep = log?.reps.findIndex(({ id }) => id === go.rep) ?? -1;
  const grades = log ? gradesOf(log.element) : [];
  return (
    <>
      <h3 className="font-bold">{tell('goes.go', { place, at: clockOf(go.cue.at), rep: rep + 1 })}</h3>
      {measures.length > 0 ? (
        <ul className="leading-snug">
          {measures.map((measure, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a go can have two fronts or two body lines.
            <li key={`${measure.kind} ${i}`}>{measureInWords(measure, unit)}</li>
          ))}
        </ul>
      ) : (
        <p className="leading-snug text-ink-soft">{tell('goes.not-measured')}</p>
      )}
      <div className="my-1 flex flex-wrap gap-x-4 gap-y-1">
        <SelectField
          label={tell('goes.judged-of', { place })}
          shown={tell('goes.judged')}
          beside
          value={go.judged ?? ''}
          options={[
            { value: '', words: tell('goes.not-judged') },
            ...LATE_OUTCOMES.map((value) => ({
              value: value as string,
              words: tell('goes.outcome', { outcome: value }),
            })),
          ]}
          onChange={(says) => onSay('judged', go, says)}
        />
        {grades.length > 0 && (
          <SelectField
            label={tell('goes.grade-of', { place })}
            shown={tell('goes.grade')}
            beside
            value={go.grade ?? ''}
            options={[
              { value: '', words: tell('goes.not-judged') },
              ...grades.map(({ id, name }) => ({ value: String(id), words: wordsOf(name) })),
            ]}
            onChange={(says) => onSay('grade', go, says)}
          />
        )}
      </div>
      <Marks marks={marks} onShow={onShow} onRemove={onRemove} />
    </>
  );
}

/** The marks themselves: one tap looks at it, one takes it off. */
function Marks({
  marks,
  onShow,
  onRemove,
}: Pick<Props, 'onShow' | 'onRemove'> & { readonly marks: readonly ClipMark[] }) {
  return (
    <ul className="flex flex-wrap gap-x-3 gap-y-1">
      {marks.map((mark) => {
        const words = tell('goes.mark', {
          what: mark.what === 'place' || mark.what === 'angle' ? (mark.says ?? 'dog') : mark.what,
          at: clockOf(mark.at),
        });
        return (
          <li key={mark.id} className="inline-flex items-center">
            {onShow ? (
              <Button
                look="quiet"
                className="px-1!"
                onClick={() => onShow(mark.at)}
                aria-label={tell('goes.show', { mark: words })}
              >
                {words}
              </Button>
            ) : (
              <span>{words}</span>
            )}
            <Button
              look="quiet"
              className="px-2!"
              aria-label={tell('goes.take-off', { mark: words })}
              onClick={() => onRemove(mark)}
            >
              <X aria-hidden="true" className="size-4" />
            </Button>
          </li>
        );
      })}
    </ul>
  );
}
