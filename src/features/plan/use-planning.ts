import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import type { WeeksPlan } from '@/core/planning';
import { useKennelWithDog } from '@/data/live';
import { listUsuals, type Planning, planQuestion, type Usual } from '@/data/read';
import { type Latest, newestOf, useLatest } from '@/ui';
import { ask } from '@/workers/client';

export type PlanState = {
  readonly planning: Planning;
  readonly usuals: readonly Usual[];
  readonly latest: Latest<WeeksPlan>;
  /** What is proposed of this very question: the coarse plan until the fine one is there. */
  readonly plan: WeeksPlan | null;
  /** The fine one; only it may be taken. */
  readonly fine: WeeksPlan | null;
};

/**
 * All that the room shows, and the plan that serves best from what was really done, worked out anew whenever
 * anything changes. Null until first read. `stopped` ends the work.
 */
export function usePlanning(stopped: boolean): PlanState | null {
  const { kennel, today } = useKennelWithDog();
  const planning = useLiveQuery(() => planQuestion(kennel, today), [kennel, today]);
  const usuals = useLiveQuery(() => listUsuals(kennel), [kennel]);
  const [coarse, setCoarse] = useState<{ of: unknown; plan: WeeksPlan } | null>(null);
  const question = planning?.hasWeek ? planning.question : null;
  const job = useMemo(() => {
    if (!question || stopped) return null;
    return (signal: AbortSignal, onProgress: (share: number) => void) =>
      ask(
        { kind: 'plan-weeks', question, first: true },
        {
          signal,
          onSaid: (said) => {
            if (typeof said === 'number') onProgress(said);
            else if ('plan' in said && !signal.aborted) setCoarse({ of: question, plan: said.plan });
          },
        },
      );
  }, [question, stopped]);
  const latest = useLatest(job);
  if (!planning || !usuals) return null;
  const first = coarse?.of === question ? coarse.plan : null;
  const fine = latest.state === 'ready' ? latest.value : null;
  return { planning, usuals, latest, plan: fine ?? first ?? newestOf(latest), fine };
}
