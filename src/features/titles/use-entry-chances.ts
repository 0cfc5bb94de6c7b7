import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { type ClassEvidence, floorOf } from '@/core/readiness';
import { useKennelWithDog } from '@/data/live';
import { classToday, type DogTitle } from '@/data/read';
import { useLatest } from '@/ui';
import { wordsOf } from '@/words';
import { ask } from '@/workers/client';
import { weighable } from './title-view';
import { tell } from './words';

export type EntryChances =
  | { readonly is: 'working' }
  | { readonly is: 'none'; readonly why: string }
  | { readonly is: 'known'; readonly chances: readonly (readonly number[])[]; readonly reps: number };

/** The chance at each entry of a title, draw by draw, by all that is logged today. */
export function useEntryChances(title: DogTitle): EntryChances {
  const { kennel, dog, today } = useKennelWithDog();
  const days = weighable(title.trials).map(({ trial }) => trial.day);
  const text = days.join();
  const first = title.trials[0]?.trial.id ?? null;
  const outlook = useLiveQuery(
    async () => classToday(kennel, { dogId: dog.id, book: title.book.id, trial: first }, today),
    [kennel, dog.id, title.book.id, first, today],
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
    ? { is: 'known', chances: latest.value, reps: outlook?.ok ? countedIn(outlook.value.input) : 0 }
    : { is: 'working' };
}

const countedIn = ({ elements }: ClassEvidence): number =>
  elements.flatMap(({ bouts }) => bouts).reduce((sum, one) => sum + one.counted, 0);
