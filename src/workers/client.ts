export { printOf, runCached } from './cached';
export type { Task } from './protocol';
export { runTask } from './run-task';
