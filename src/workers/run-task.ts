import type { Forecast } from '@/core/readiness';
import { fail, type Result } from '@/core/shared';
import type { Answers, FromWorker, Task } from './protocol';

export type RunOptions = {
  /** Aborting ends the worker at once; the result is a failure `cancelled`. */
  readonly signal?: AbortSignal;
  readonly onProgress?: (share: number) => void;
  /** A coarse forecast on the way to a fine one. */
  readonly onFirst?: (forecast: Forecast) => void;
  /** Milliseconds after which a silent worker is given up (`timeout`). */
  readonly timeout?: number;
  /** For tests: how a worker is made. */
  readonly spawn?: () => Worker;
};

const spawnCore = (): Worker => new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });

/**
 * Runs one task in a worker of its own and ends the worker afterwards. Never rejects: a crash is
 * `crashed`, silence `timeout`, an abort `cancelled`, and an expected failure of the task comes
 * back as it is.
 */
export function runTask<T extends Task>(
  task: T,
  options: RunOptions = {},
): Promise<Result<Answers[T['kind']]>> {
  const { signal, onProgress, onFirst, timeout = 30_000, spawn = spawnCore } = options;
  if (signal?.aborted) return Promise.resolve(cancelled());
  return new Promise((resolve) => {
    const worker = spawn();
    const settle = (result: Result<Answers[T['kind']]>): void => {
      clearTimeout(timer);
      signal?.removeEventListener('abort', abort);
      worker.terminate();
      resolve(result);
    };
    const abort = (): void => settle(cancelled());
    const giveUp = (): void =>
      settle(
        fail(
          'timeout',
          task.kind,
          `The calculation did not answer in ${timeout / 1000} s and was stopped. Try again.`,
        ),
      );
    let timer = setTimeout(giveUp, timeout);
    signal?.addEventListener('abort', abort);
    worker.onerror = (event) => {
      event.preventDefault();
      settle(
        fail(
          'crashed',
          task.kind,
          `The calculation stopped: ${event.message || 'the worker could not start'}. Your reps are safe.`,
        ),
      );
    };
    worker.onmessage = (event: MessageEvent<FromWorker<T['kind']>>) => {
      const message = event.data;
      if (message.kind === 'progress') {
        clearTimeout(timer);
        timer = setTimeout(giveUp, timeout);
        onProgress?.(message.share);
      } else if (message.kind === 'first') onFirst?.(message.forecast);
      else if (message.kind === 'done') settle({ ok: true, value: message.answer });
      else settle(message.failure);
    };
    worker.postMessage(task);
  });
}

const cancelled = () => fail('cancelled', '', 'The calculation was stopped.');
