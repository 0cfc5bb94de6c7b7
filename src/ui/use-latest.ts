import { useEffect, useState } from 'react';
import type { Failure, Result } from '@/core/shared';

export type Latest<T> =
  | { readonly state: 'waiting' }
  | { readonly state: 'working'; readonly share: number; readonly before: T | null }
  | { readonly state: 'ready'; readonly value: T }
  | { readonly state: 'failed'; readonly failure: Failure };

type Job<T> = (signal: AbortSignal, onProgress: (share: number) => void) => Promise<Result<T>>;

/**
 * Runs a job whenever it changes and keeps the newest answer: an older job still running is
 * stopped, so a late answer never replaces a newer one. `job` must be stable between renders
 * (useMemo); null means there is nothing to do yet.
 */
export function useLatest<T>(job: Job<T> | null): Latest<T> {
  const [latest, setLatest] = useState<Latest<T>>({ state: 'waiting' });
  useEffect(() => {
    if (!job) return;
    const stop = new AbortController();
    const working = (share: number) => (last: Latest<T>) =>
      ({ state: 'working', share, before: newestOf(last) }) as const;
    setLatest(working(0));
    job(stop.signal, (share) => !stop.signal.aborted && setLatest(working(share))).then(
      (result) => {
        if (!stop.signal.aborted)
          setLatest(
            result.ok ? { state: 'ready', value: result.value } : { state: 'failed', failure: result },
          );
      },
      (error: unknown) => {
        if (!stop.signal.aborted)
          setLatest({
            state: 'failed',
            failure: {
              ok: false,
              code: 'bug',
              path: '',
              message: { say: 'shared.name', with: { name: String(error) } },
            },
          });
      },
    );
    return () => stop.abort();
  }, [job]);
  return latest;
}

/** The newest answer there is, also while a newer one is being worked out. */
export function newestOf<T>(latest: Latest<T>): T | null {
  if (latest.state === 'ready') return latest.value;
  return latest.state === 'working' ? latest.before : null;
}
