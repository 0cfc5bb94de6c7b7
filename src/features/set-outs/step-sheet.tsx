import {
  buildLadder,
  completed,
  describeRung,
  type Reading,
  readingInWords,
  readingsFor,
  redrawn,
} from '@/core/breakdown';
import type { LaidOut, LaidOutView, SetOut } from '@/data/read';
import type { SetOutSaid } from '@/data/write';
import { SelectField, Sheet } from '@/ui';
import { wordsOf } from '@/words';
import { tell } from './words';

type Props = {
  readonly laid: LaidOut;
  readonly view: LaidOutView;
  readonly onChange: (words: string, change: (stored: SetOut) => Partial<SetOutSaid>) => Promise<void>;
};

/** Which step of its ladder this drawing is, what went up, and the same drawing for another step. */
export function StepSheet({ laid, view, onChange }: Props) {
  const { element, setOut } = laid;
  const { step } = view;
  if (!element || !step || !setOut.asks) return null;
  const ladder = buildLadder(element);
  const { rung, kind } = step.place;
  const redraw = (to: number): Promise<void> => {
    const criteria = ladder.rungs[to]?.criteria ?? step.criteria;
    return onChange(tell('step.redrawn', { step: to + 1 }), (stored) => ({
      things: redrawn(stored.things, stored.asks?.reads ?? {}, criteria),
      asks: stored.asks && { ...stored.asks, criteria: completed(ladder.axes, criteria) },
    }));
  };
  const read = (axis: string, to: Reading | ''): Promise<void> =>
    onChange(tell('step.reads-now'), (stored) => {
      const { [axis]: _, ...others } = stored.asks?.reads ?? {};
      return {
        asks: stored.asks && { ...stored.asks, reads: to === '' ? others : { ...others, [axis]: to } },
      };
    });
  return (
    <Sheet title={tell('step.title')} aside={element.title}>
      <p className="text-lg font-semibold leading-snug" aria-live="polite">
        {tell('step.is', { step: step.words })}
      </p>
      {step.up.length > 0 && (
        <p className="leading-snug">{tell('step.harder', { changes: { list: step.up, between: '; ' } })}</p>
      )}
      {step.down.length > 0 && (
        <p className="leading-snug">{tell('step.easier', { changes: { list: step.down, between: '; ' } })}</p>
      )}
      {step.up.length + step.down.length === 0 && <p className="leading-snug">{tell('step.same')}</p>}
      <SelectField
        className="mt-3"
        label={tell('step.draw-another')}
        value={kind === 'on' ? String(rung) : ''}
        options={[
          ...(kind === 'on' ? [] : [{ value: '', words: tell('step.between') }]),
          ...ladder.rungs.map((_, i) => ({ value: String(i), words: wordsOf(describeRung(ladder, i)) })),
        ]}
        onChange={(value) => value !== '' && void redraw(Number(value))}
      />
      <details className="mt-2">
        <summary className="min-h-11 cursor-pointer py-2 underline underline-offset-4">
          {tell('step.what-is-what')}
        </summary>
        <div className="grid gap-3">
          {ladder.axes
            .filter((axis) => readingsFor(axis).length > 0)
            .map((axis) => (
              <SelectField
                key={axis.key}
                label={axis.title}
                value={setOut.asks?.reads[axis.key] ?? ''}
                options={[
                  { value: '' as const, words: tell('step.not-drawn') },
                  ...readingsFor(axis).map((value) => ({ value, words: wordsOf(readingInWords(value)) })),
                ]}
                onChange={(value) => void read(axis.key, value)}
              />
            ))}
        </div>
      </details>
    </Sheet>
  );
}
