import { lazy, Suspense, useState } from 'react';
import type { Amendment } from '@/core/log';
import { Button } from '@/ui';
import { tell } from './later-words';
import type { PadView } from './pad-view';
import type { PadActions } from './use-pad-actions';

const CalmThroughout = lazy(async () => ({ default: (await import('./details')).CalmThroughout }));

/** Rarely needed, and large: it comes when it is opened. */
const Details = lazy(async () => ({ default: (await import('./details')).Details }));

type Props = {
  readonly view: PadView;
  readonly actions: PadActions;
  readonly rewards: readonly string[];
};

/** The same of the last rep, with the jackpot in one tap. */
export function RepDetails({ view, actions, rewards }: Props) {
  const { last } = view;
  const [open, setOpen] = useState(false);
  if (!last) return null;
  const jackpot = last.paid.size === 'jackpot';
  const tap = (change: Amendment): void => actions.tap({ tap: 'say', change });
  return (
    <div className="border-2 border-t-0 border-rule px-3">
      <Button
        size="big"
        className="mt-2"
        aria-pressed={jackpot}
        look={jackpot ? 'ink' : 'plain'}
        aria-disabled={actions.busy || undefined}
        onClick={() => !jackpot && tap({ paid: { size: 'jackpot' } })}
      >
        {tell('rep-details.jackpot')}
      </Button>
      {view.worn && (
        <Suspense>
          <CalmThroughout rep={last} busy={actions.busy} onAmend={tap} />
        </Suspense>
      )}
      <details onToggle={(event) => setOpen(event.currentTarget.open)}>
        <summary className="flex min-h-14 cursor-pointer items-center text-lg underline decoration-rule underline-offset-4">
          {tell('rep-details.more-about-this-rep')}
        </summary>
        {open && (
          <Suspense fallback={<p className="pb-3">{tell('rep-details.one-moment')}</p>}>
            <Details view={view} rep={last} rewards={rewards} busy={actions.busy} onAmend={tap} />
          </Suspense>
        )}
      </details>
    </div>
  );
}
