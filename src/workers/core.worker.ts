/// <reference lib="webworker" />
import { answer } from './answer';
import type { FromWorker, Task } from './protocol';

const post = (message: FromWorker): void => self.postMessage(message);

self.onmessage = (event: MessageEvent<Task>) => {
  let told = 0;
  const result = answer(
    event.data,
    (share) => {
      // A message per whole percent: more would only keep the page busy.
      if (share - told < 0.01) return;
      told = share;
      post({ kind: 'progress', share });
    },
    (forecast) => post({ kind: 'first', forecast }),
  );
  post(result.ok ? { kind: 'done', answer: result.value } : { kind: 'failed', failure: result });
};
