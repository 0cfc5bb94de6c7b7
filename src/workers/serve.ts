import type { Result, Steps } from '@/core/shared';
import type { FromWorker, ToWorker } from './desk';
import type { Said, Task } from './protocol';

/** Milliseconds at a stretch: then messages are let in. */
const STRETCH = 15;

type Underway = { readonly id: number; readonly steps: Steps<Result<unknown>, Said>; told: number };

/**
 * What a worker does with its messages: the newest task goes on first, since the page in hand asked
 * it; the others after it. Between steps messages are let in, so that a task can be cancelled.
 */
export function serveSteps(
  post: (message: FromWorker<Said, unknown>) => void,
  begin: (task: Task) => Steps<Result<unknown>, Said>,
  later: (go: () => void) => void = soon(),
  clock: () => number = () => performance.now(),
): (event: { readonly data: ToWorker<Task> }) => void {
  const underway: Underway[] = [];
  let going = false;
  const go = (): void => {
    const until = clock() + STRETCH;
    for (let one = underway.at(-1); one; one = underway.at(-1)) {
      const next = one.steps.next();
      if (next.done) {
        underway.splice(underway.indexOf(one), 1);
        post({ kind: 'settled', id: one.id, result: next.value });
      } else tell(one, next.value);
      if (clock() >= until) break;
    }
    going = underway.length > 0;
    if (going) later(go);
  };
  const tell = (one: Underway, said: Said): void => {
    // A message per whole percent: more would only keep the page busy.
    if (typeof said === 'number' && said - one.told < 0.01) return;
    if (typeof said === 'number') one.told = said;
    post({ kind: 'said', id: one.id, said });
  };
  return ({ data }) => {
    if (data.kind === 'task') underway.push({ id: data.id, steps: begin(data.task), told: 0 });
    else {
      const at = underway.findIndex((one) => one.id === data.id);
      if (at >= 0) underway.splice(at, 1);
    }
    if (going || underway.length === 0) return;
    going = true;
    later(go);
  };
}

/** After the messages that wait already; a timer would be held back by some milliseconds each time. */
function soon(): (go: () => void) => void {
  const { port1, port2 } = new MessageChannel();
  const waiting: (() => void)[] = [];
  port1.onmessage = () => waiting.shift()?.();
  return (go) => {
    waiting.push(go);
    port2.postMessage(null);
  };
}
