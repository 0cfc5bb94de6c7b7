import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { asId, type RunId } from '@/core/shared';
import { useKennel } from '@/data/live';
import { buttonClass, PageHead } from '@/ui';
import { type RunState, useRun } from './run-state';
import { tell } from './words';

/** What a page shows of the run in its address; a way on where there is no such run. */
export function ForRun({ shows }: { readonly shows: (state: RunState) => ReactNode }) {
  const { kennel } = useKennel();
  const { run: id = '' } = useParams();
  const state = useRun(asId<RunId>(id));
  if (state === null) return <p className="text-lg">{tell('run-page.opening')}</p>;
  if (state !== 'none') return shows(state);
  return (
    <>
      <PageHead title={tell('run-page.no-such-run')} />
      <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/trials`}>
        {tell('run-page.to-the-trials')}
      </Link>
    </>
  );
}
