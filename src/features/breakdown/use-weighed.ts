import { useMemo } from 'react';
import { type DogState, useKennel } from '@/data/live';
import { elementQuestions } from '@/data/read';
import { type Latest, useLatest } from '@/ui';
import { ask, type Weighed } from '@/workers/client';

/** What the reps say of every element of the dog, worked out beside the page. */
export function useWeighed(state: DogState | null): Latest<readonly Weighed[]> {
  const { today } = useKennel();
  const job = useMemo(() => {
    if (!state) return null;
    const questions = elementQuestions(state.work, state.evidence, state.stands);
    return (signal: AbortSignal) => ask({ kind: 'assess-elements', questions, today }, { signal });
  }, [state, today]);
  return useLatest(job);
}
