import { fail, type Result, say } from '@/core/shared';

/** What goes to a worker: a task under a number, or that nobody waits for it any more. */
export type ToWorker<T> =
  | { readonly kind: 'task'; readonly id: number; readonly task: T }
  | { readonly kind: 'cancel'; readonly id: number };

/** What comes back, each under the number of its task; `said` is what is told on the way. */
export type FromWorker<S, A> =
  | { readonly kind: 'said'; readonly id: number; readonly said: S }
  | { readonly kind: 'settled'; readonly id: number; readonly result: Result<A> };

export type AskOptions<S> = {
  /** Aborting gives `cancelled` at once, and the worker drops the task. */
  readonly signal?: AbortSignal;
  readonly onSaid?: (said: S) => void;
};

type DeskOptions = {
  readonly spawn: () => Worker;
  /** Milliseconds without a word after which a worker with tasks is given up (`timeout`). */
  readonly timeout?: number;
  /** Ends the worker when a task is cancelled: for one that cannot stop in the middle of it. */
  readonly endsOnCancel?: boolean;
};

type Waiting = { readonly settle: (result: Result<never>) => void; readonly said: (said: never) => void };

/**
 * A desk before one long-lived worker: any number of tasks wait at once, each settles by its own
 * answer. Never rejects. A worker that crashes or falls silent is ended, all that waited fails with
 * `crashed` or `timeout`, and the next task gets a new one.
 */
export function openDesk<T extends { readonly kind: string }, S, A extends Record<T['kind'], unknown>>({
  spawn,
  timeout = 30_000,
  endsOnCancel = false,
}: DeskOptions) {
  let worker: Worker | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let next = 0;
  const waiting = new Map<number, Waiting>();

  const end = (result: Result<never>): void => {
    worker?.terminate();
    worker = null;
    clearTimeout(timer);
    const all = [...waiting.values()];
    waiting.clear();
    for (const one of all) one.settle(result);
  };
  const listen = (): void => {
    clearTimeout(timer);
    if (waiting.size === 0) return;
    timer = setTimeout(
      () =>
        end(
          fail(
            'timeout',
            '',
            say('workers.desk.the-calculation-did-not-answer-in', { timeout: timeout / 1000 }),
          ),
        ),
      timeout,
    );
  };
  const started = (): Worker => {
    if (worker) return worker;
    worker = spawn();
    worker.onerror = (event) => {
      event.preventDefault();
      end(
        fail(
          'crashed',
          '',
          say('workers.desk.the-calculation-stopped-your-reps', {
            message: event.message || say('workers.desk.the-worker-could-not-start'),
          }),
        ),
      );
    };
    worker.onmessage = (event: MessageEvent<FromWorker<never, never>>) => {
      const message = event.data;
      const one = waiting.get(message.id);
      if (one && message.kind === 'said') one.said(message.said);
      else if (one && message.kind === 'settled') {
        waiting.delete(message.id);
        one.settle(message.result);
      }
      listen();
    };
    return worker;
  };

  return {
    ask<K extends T>(task: K, { signal, onSaid }: AskOptions<S> = {}): Promise<Result<A[K['kind']]>> {
      if (signal?.aborted) return Promise.resolve(cancelled());
      return new Promise((resolve) => {
        const id = next++;
        const abort = (): void => {
          if (!waiting.delete(id)) return;
          if (endsOnCancel) end(cancelled());
          else worker?.postMessage({ kind: 'cancel', id } satisfies ToWorker<T>);
          listen();
          resolve(cancelled());
        };
        waiting.set(id, {
          settle: (result) => {
            signal?.removeEventListener('abort', abort);
            resolve(result);
          },
          said: (said) => onSaid?.(said),
        });
        signal?.addEventListener('abort', abort);
        started().postMessage({ kind: 'task', id, task } satisfies ToWorker<T>);
        listen();
      });
    },
  };
}

const cancelled = () => fail('cancelled', '', say('workers.desk.the-calculation-was-stopped'));
