import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { type Kennel, tourFacts } from '@/data/read';
import { Button, buttonClass } from '@/ui';
import { STEPS } from './steps';
import { useTour } from './tour-store';
import { tell } from './words';

/** What to try next, over the rooms of the sample, while somebody looks round. */
export function TourLine({ kennel }: { readonly kennel: Kennel }) {
  const step = useTour((state) => state.step);
  // Nobody looks round: nothing of the log is read for it.
  return step === null ? null : <OpenStep kennel={kennel} step={step} />;
}

function OpenStep({ kennel, step }: { readonly kennel: Kennel; readonly step: number }) {
  const { since, to, leave } = useTour();
  const { pathname } = useLocation();
  const facts = useLiveQuery(() => tourFacts(kennel, since), [kennel, since]);
  const [seen, setSeen] = useState<number | null>(null);
  const open = STEPS[step];
  const path = pathname.split('/').slice(2).join('/');
  const isDone = open !== undefined && facts !== undefined && open.isDone(facts, path);
  // Where somebody was stays done, also when they go on reading elsewhere.
  useEffect(() => {
    if (isDone) setSeen(step);
  }, [isDone, step]);
  if (!open) return null;
  const done = isDone || seen === step;
  const next = STEPS[step + 1];
  const here = path.split('/')[0] === open.to;
  return (
    <aside
      aria-label={tell('tour.of', { step: step + 1, all: STEPS.length })}
      className="border-b-2 border-ink bg-paper"
    >
      <div className="mx-auto flex w-full max-w-[76rem] flex-wrap items-center gap-x-4 gap-y-1 px-4 py-2 sm:px-6">
        <div className="min-w-0 flex-1 basis-80 leading-snug" role="status">
          <p className="font-bold">
            {tell('tour.of', { step: step + 1, all: STEPS.length })} · {open.title}
          </p>
          <p>{done ? `${tell('tour.done')} ${next ? '' : tell('tour.at-end')}` : open.what}</p>
        </div>
        <p className="flex flex-wrap gap-2">
          {!done && !here && (
            <Link className={buttonClass('ink')} to={`/sample/${open.to}`}>
              {tell('tour.to-room')}
            </Link>
          )}
          {next ? (
            <Link
              className={buttonClass(done ? 'signal' : 'plain')}
              to={path.split('/')[0] === next.to ? pathname : `/sample/${next.to}`}
              onClick={() => to(step + 1)}
            >
              {done ? tell('tour.next', { title: next.title }) : tell('tour.skip')}
            </Link>
          ) : (
            <Link className={buttonClass(done ? 'signal' : 'plain')} to="/own/start" onClick={leave}>
              {tell('tour.own-dog')}
            </Link>
          )}
          <Button look="quiet" onClick={leave}>
            {tell('tour.leave')}
          </Button>
        </p>
      </div>
    </aside>
  );
}
