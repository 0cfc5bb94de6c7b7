import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { floorOf } from '@/core/readiness';
import { asId, type Day, type DogId, type RunId } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { type DogTitle, type Kennel, runOutlook } from '@/data/read';
import { useLatest } from '@/ui';
import { wordsOf } from '@/words';
import { ask } from '@/workers/client';
import { weighable } from './title-view';
import { tell } from './words';

export type EntryChances =
  | { readonly is: 'working' }
  | { readonly is: 'none'; readonly why: string }
  | { readonly is: 'known'; readonly chances: readonly (readonly number[])[] };

/** The chance at each entry of a title, draw by draw, by all that is logged today. */
export function useEntryChances(title: DogTitle): EntryChances {
  const { kennel, dog, today } = useKennelWithDog();
  const days = weighable(title.trials).map(({ trial }) => trial.day);
  const text = days.join();
  const outlook = useLiveQuery(
    async () => outlookOf(kennel, dog.id, title, today),
    [kennel, dog.id, title.book.id, text, today],
  );
  const floor = useMemo(() => (outlook?.ok ? floorOf(outlook.value.input) : null), [outlook]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: days by their text
  const job = useMemo(() => {
    if (!outlook?.ok || floor || days.length === 0) return null;
    const { input, assumptions, seed } = outlook.value;
    return (signal: AbortSignal) =>
      ask({ kind: 'entry-chances', input, assumptions, seed, days }, { signal });
  }, [outlook, floor, text]);
  const latest = useLatest(job);
  if (outlook && !outlook.ok) return { is: 'none', why: wordsOf(outlook.message) };
  if (floor) return { is: 'none', why: tell('titles.too-little') };
  if (latest.state === 'failed') return { is: 'none', why: wordsOf(latest.failure.message) };
  return latest.state === 'ready' && latest.value.length === days.length
    ? { is: 'known', chances: latest.value }
    : { is: 'working' };
}

/** As of a run that is still to come: everything that is logged. */
const NO_RUN = asId<RunId>('to-come');

const outlookOf = (kennel: Kennel, dogId: DogId, { book, trials }: DogTitle, today: Day) =>
  runOutlook(
    kennel,
    { id: NO_RUN, dogId, book: book.id, trial: trials[0]?.trial.id ?? null, day: today },
    'after',
    today,
  );
