import { lazy, Suspense } from 'react';
import type { Entry } from '@/core/log';
import type { DatedBout, ElementRecord } from '@/data/read';
import { OutcomePad } from './outcome-pad';
import type { PadView } from './pad-view';
import type { PadActions } from './use-pad-actions';
import { tell } from './words';

/** Pads of rarer work come when they are needed; they are fetched ahead with the rooms. */
const ArticlePad = lazy(async () => ({ default: (await import('./article-pad')).ArticlePad }));
const GamePad = lazy(async () => ({ default: (await import('./game-pad')).GamePad }));
const ContinuousPad = lazy(async () => ({ default: (await import('./continuous-pad')).ContinuousPad }));

type RepPadProps = {
  readonly element: ElementRecord;
  readonly bout: DatedBout;
  readonly entries: readonly Entry[];
  readonly view: PadView;
  readonly actions: PadActions;
};

/**
 * How a rep is logged follows from the element: articles by first touch and pick, continuous work
 * by the clock, anything else by its outcome.
 */
export function RepPad(props: RepPadProps) {
  const { by } = props.view;
  if (by.kind !== 'articles' && by.kind !== 'legs' && by.kind !== 'game') return <OutcomePad {...props} />;
  return (
    <Suspense fallback={<p className="text-lg">{tell('rep-pad.laying-the-pad-out')}</p>}>
      {by.kind === 'articles' && <ArticlePad {...props} />}
      {by.kind === 'legs' && <ContinuousPad {...props} legs={by.legs} />}
      {by.kind === 'game' && <GamePad view={props.view} bout={props.bout.id} actions={props.actions} />}
    </Suspense>
  );
}
