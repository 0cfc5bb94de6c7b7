import { printOf, type Result } from '@/core/shared';
import { type AskOptions, openDesk } from './desk';
import type { Answers, Said, Task } from './protocol';

const desk = openDesk<Task, Said, Answers>({
  spawn: () => new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' }),
});

type Shared = {
  readonly answer: Promise<Result<unknown>>;
  readonly listeners: Set<(said: Said) => void>;
  readonly stop: AbortController;
};

/** So many answers are kept while the page is open. */
const KEPT = 12;
const answers = new Map<string, Result<unknown> & { ok: true }>();
const underway = new Map<string, Shared>();

/**
 * Asks the worker, or gives the answer that the same question has had before; the same question asked
 * twice at once is worked out once, and stops when nobody waits for it any more. Failures are not kept.
 */
export async function ask<T extends Task>(
  task: T,
  { signal, onSaid }: AskOptions<Said> = {},
): Promise<Result<Answers[T['kind']]>> {
  const print = printOf(task);
  const known = answers.get(print);
  if (known !== undefined) return known as Result<Answers[T['kind']]>;
  const shared = underway.get(print) ?? begin(print, task);
  const listener = (said: Said): void => onSaid?.(said);
  shared.listeners.add(listener);
  const leave = (): void => {
    shared.listeners.delete(listener);
    if (shared.listeners.size > 0) return;
    if (underway.get(print) === shared) underway.delete(print);
    shared.stop.abort();
  };
  signal?.addEventListener('abort', leave);
  if (signal?.aborted) leave();
  const answer = await shared.answer;
  signal?.removeEventListener('abort', leave);
  return answer as Result<Answers[T['kind']]>;
}

function begin(print: string, task: Task): Shared {
  const listeners: Shared['listeners'] = new Set();
  const stop = new AbortController();
  const onSaid = (said: Said): void => {
    for (const one of listeners) one(said);
  };
  const answer = desk.ask(task, { signal: stop.signal, onSaid }).then((result) => {
    if (underway.get(print)?.stop === stop) underway.delete(print);
    if (result.ok) keep(print, result);
    return result;
  });
  const shared: Shared = { answer, listeners, stop };
  underway.set(print, shared);
  return shared;
}

function keep(print: string, result: Result<unknown> & { ok: true }): void {
  answers.set(print, result);
  const [oldest] = answers.keys();
  if (answers.size > KEPT && oldest !== undefined) answers.delete(oldest);
}
