import { useEffect, useMemo, useState } from 'react';
import { type Floor, type Forecast, FULL_SIZE, floorOf, type Readiness } from '@/core/readiness';
import { prepareRules } from '@/core/rulebooks';
import { ok, printOf, type Result } from '@/core/shared';
import { type DogState, useKennelWithDog } from '@/data/live';
import { classEvidence, type Trial } from '@/data/read';
import { keepForecast } from '@/data/write';
import { type Latest, newestOf, useLatest } from '@/ui';
import { wordsOf } from '@/words';
import { ask, type Task } from '@/workers/client';

/**
 * An answer with the question it belongs to: when the question has just changed, the page still
 * holds the answer of before.
 */
type Given = { readonly task: ClassTask; readonly readiness: Readiness };
type ClassTask = Extract<Task, { kind: 'assess-class' }>;

export type Forecasting = {
  /** Why there can be none; null where there can. */
  readonly problem: string | null;
  readonly latest: Latest<Given>;
  readonly readiness: Readiness | null;
  /** A coarse forecast of this very question, until the fine one is there. */
  readonly first: Forecast | null;
  readonly input: ReturnType<typeof classEvidence>;
  /** What is missing before there can be a number; null where nothing is. */
  readonly floor: Floor | null;
};

/**
 * The forecast of a trial, coarse first and then fine, kept as it was given. The same question is
 * not worked out twice while the page is open.
 */
export function useForecast(trial: Trial, state: DogState, stopped: boolean): Forecasting {
  const { kennel, dog, today, now, done } = useKennelWithDog();
  const [first, setFirst] = useState<Forecast | null>(null);
  const input = useMemo(() => classEvidence(trial, state.work, state.evidence, today), [trial, state, today]);
  const floor = useMemo(() => (input.ok ? floorOf(input.value) : null), [input]);
  const task = useMemo(
    (): ClassTask | null =>
      input.ok && !floor
        ? {
            kind: 'assess-class',
            input: input.value,
            assumptions: trial.assumptions,
            seed: trial.seed,
            size: FULL_SIZE,
            first: true,
            want: 'all',
          }
        : null,
    [input, floor, trial],
  );
  const job = useMemo(() => {
    // Without a job the one that runs is ended.
    if (!task || stopped) return null;
    return async (signal: AbortSignal, onProgress: (share: number) => void): Promise<Result<Given>> => {
      setFirst(null);
      const found = await ask(task, {
        signal,
        onSaid: (said) => {
          if (typeof said === 'number') onProgress(said);
          else if ('first' in said && !signal.aborted) setFirst(said.first);
        },
      });
      return found.ok ? ok({ task, readiness: found.value }) : found;
    };
  }, [task, stopped]);
  const latest = useLatest(job);
  const book = state.work.ruleBooks.find((record) => record.id === trial.ruleBookId)?.book;
  useEffect(() => {
    // Never an old answer under a new question.
    if (latest.state !== 'ready' || latest.value.task !== task || !book) return;
    const { forecast, grounds } = latest.value.readiness;
    const kept = keepForecast(kennel, {
      dogId: dog.id,
      trialId: trial.id,
      at: now(),
      day: today,
      forDay: trial.day,
      pass: forecast.pass,
      points: forecast.expectedUnits * prepareRules(book).pointsPerUnit,
      reps: grounds.reduce((sum, one) => sum + one.counted, 0),
      sessions: grounds.reduce((sum, one) => sum + one.sessions, 0),
      lastDay: grounds.reduce<typeof today | null>(
        (last, one) => (one.lastDay !== null && (last === null || one.lastDay > last) ? one.lastDay : last),
        null,
      ),
      edition: `${book.id}, ${book.edition}`,
      seed: task.seed,
      assumptions: task.assumptions,
      print: printOf(task),
    });
    void done(null, kept);
  }, [latest, task, book, kennel, dog.id, trial, today, now, done]);
  const failure = latest.state === 'failed' ? wordsOf(latest.failure.message) : null;
  return {
    problem: input.ok ? failure : wordsOf(input.message),
    latest,
    readiness: newestOf(latest)?.readiness ?? null,
    first: latest.state === 'ready' ? null : first,
    input,
    floor,
  };
}
