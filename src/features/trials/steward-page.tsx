import { useLiveQuery } from 'dexie-react-hooks';
import { Link } from 'react-router';
import { type Script, usualScript } from '@/core/trials';
import { useKennel } from '@/data/live';
import { bearingOf, callingOf, scriptOf, trialSafety } from '@/data/read';
import { buttonClass, PageHead } from '@/ui';
import { BeforeCalling } from './before-calling';
import { Called } from './called';
import { Calling } from './calling';
import { ForRun } from './for-run';
import type { RunState } from './run-state';
import { tell } from './words';

/** The steward of one run: how it is called, what this dog does not meet, the calling, and what was called. */
export function StewardPage() {
  return <ForRun shows={(state) => <Steward key={state.run.id} state={state} />} />;
}

function Steward({ state }: { readonly state: RunState }) {
  const { kennel, today } = useKennel();
  const { run, book } = state;
  const found = useLiveQuery(
    async () => ({
      calling: await callingOf(kennel, run.id),
      script: await scriptOf(kennel, run.book),
      bearing: run.dogId === null ? null : await bearingOf(kennel, run.dogId),
      safety: run.dogId === null ? null : await trialSafety(kennel, run.dogId, book, today),
    }),
    [kennel, run.id, run.dogId, book, today],
  );
  if (!found) return <p className="text-lg">{tell('run-page.opening')}</p>;
  const { calling, bearing, safety } = found;
  const script: Script = found.script ?? usualScript(book);
  if (calling && calling.endedAt === null) return <Calling state={state} calling={calling} />;
  return (
    <>
      <PageHead title={tell('steward-page.title', { name: run.name })}>
        {tell('steward-page.what-for', { title: book.title })}
      </PageHead>
      <p className="mb-4 flex flex-wrap gap-3">
        <Link className={buttonClass('plain')} to={`/${kennel.name}/trials/runs/${run.id}`}>
          {tell('steward-page.to-the-sheet')}
        </Link>
      </p>
      {calling ? (
        <Called state={state} calling={calling} />
      ) : (
        <BeforeCalling state={state} script={script} bearing={bearing} safety={safety} />
      )}
    </>
  );
}
