/// <reference lib="webworker" />
import { answer } from './answer';
import { keepFits } from './fits';
import { serveSteps } from './serve';

const fits = keepFits();
self.onmessage = serveSteps(
  (message) => self.postMessage(message),
  (task) => answer(task, fits),
);
