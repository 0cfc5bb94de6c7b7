import { useMemo, useState } from 'react';
import type { Readiness, WhatIf } from '@/core/readiness';
import type { ElementId } from '@/core/shared';
import type { DogState } from '@/data/live';
import type { Trial } from '@/data/read';
import { newestOf, SelectField, Sheet, useLatest } from '@/ui';
import { wordsOf, writeShare } from '@/words';
import { ask } from '@/workers/client';
import type { Forecasting } from './use-forecast';
import { tell } from './words';

type Props = {
  readonly readiness: Readiness;
  readonly forecasting: Forecasting;
  readonly trial: Trial;
  readonly state: DogState;
};

/**
 * What if one element were better, or worse? The curve is worked out once for the element; dragging
 * only reads it, so that the chance moves with the hand.
 */
export function WhatIfSheet({ readiness, forecasting, trial, state }: Props) {
  const [element, setElement] = useState<ElementId | null>(null);
  const { input } = forecasting;
  const job = useMemo(() => {
    if (!input.ok || element === null) return null;
    const task = {
      kind: 'what-if',
      input: input.value,
      assumptions: trial.assumptions,
      seed: trial.seed,
      element,
    } as const;
    return (signal: AbortSignal) => ask(task, { signal });
  }, [input, element, trial]);
  const latest = useLatest(job);
  const curve = newestOf(latest);
  const title = (id: ElementId): string => state.work.elements.find((one) => one.id === id)?.title ?? id;
  if (readiness.help.length === 0) return null;
  return (
    <Sheet title={tell('what-if.what-if')} aside={tell('what-if.one-element-better-or-worse-all')}>
      <SelectField
        label={tell('what-if.element')}
        value={element ?? ''}
        options={[
          { value: '', words: tell('what-if.choose-one') },
          ...readiness.help.map((one) => ({ value: one.element as string, words: title(one.element) })),
        ]}
        onChange={(id) => setElement(id === '' ? null : (id as ElementId))}
      />
      {element !== null && latest.state === 'working' && curve?.element !== element && (
        <p className="mt-3">{tell('what-if.working-it-out')}</p>
      )}
      {element !== null && latest.state === 'failed' && (
        <p className="mt-3">{wordsOf(latest.failure.message)}</p>
      )}
      {curve && curve.element === element && <Slider key={element} curve={curve} />}
    </Sheet>
  );
}

/** Steps of the slider between two points of the curve. */
const FINE = 20;

function Slider({ curve }: { readonly curve: WhatIf }) {
  const now = curve.points.findIndex((point) => point.lift === 0) * FINE;
  const [place, setPlace] = useState(now);
  const at = between(curve, place);
  const today = between(curve, now);
  const change = at.pass - today.pass;
  return (
    <div className="mt-3 grid gap-2">
      <label className="block font-semibold">
        {tell('what-if.clean-at-the-trial-cold-and-away', { writeShare: writeShare(at.clean) })}
        <input
          type="range"
          aria-label={tell('what-if.how-clean-at-the-trial')}
          aria-valuetext={tell('what-if.clean-to-pass', {
            writeShare: writeShare(at.clean),
            writeShare2: writeShare(at.pass),
          })}
          className="mt-1 block h-11 w-full accent-(--ink)"
          min={0}
          max={(curve.points.length - 1) * FINE}
          value={place}
          onChange={(event) => setPlace(Number(event.target.value))}
        />
      </label>
      <p role="status" aria-label={tell('what-if.what-if')} className="text-xl font-bold leading-snug">
        {tell('what-if.to-pass', { writeShare: writeShare(at.pass) })}
        <span className="text-base font-normal">
          {' '}
          {tell('what-if.to', {
            writeShare: writeShare(at.low),
            writeShare2: writeShare(at.high),
            change: change >= 0,
            abs: { number: Math.abs(change * 100), digits: 1 },
          })}
        </span>
      </p>
      <p className="text-sm leading-snug text-ink-soft">
        {tell('what-if.today-it-is-clean-there-and-to', {
          writeShare: writeShare(today.clean),
          writeShare2: writeShare(today.pass),
        })}
      </p>
    </div>
  );
}

function between(
  { points }: WhatIf,
  place: number,
): { readonly clean: number; readonly pass: number; readonly low: number; readonly high: number } {
  const left = points[Math.floor(place / FINE)] ?? points[0];
  const right = points[Math.ceil(place / FINE)] ?? left;
  if (!left || !right) throw new Error('a curve has points');
  const share = (place % FINE) / FINE;
  const mix = (a: number, b: number): number => a + share * (b - a);
  return {
    clean: mix(left.clean, right.clean),
    pass: mix(left.pass.mid, right.pass.mid),
    low: mix(left.pass.low, right.pass.low),
    high: mix(left.pass.high, right.pass.high),
  };
}
