import { useMemo } from 'react';
import type { Assessed } from '@/core/evidence';
import { type DogState, useKennel } from '@/data/live';
import { elementQuestions } from '@/data/read';
import { type Latest, useLatest } from '@/ui';
import { runTask } from '@/workers/client';

/** What the reps say of every element of the dog, worked out beside the page. */
export function useAssessed(state: DogState | null): Latest<readonly Assessed[]> {
  const { today } = useKennel();
  const job = useMemo(() => {
    if (!state) return null;
    const questions = elementQuestions(state.work, state.reps, state.stands);
    return (signal: AbortSignal) => runTask({ kind: 'assess-elements', questions, today }, { signal });
  }, [state, today]);
  return useLatest(job);
}
