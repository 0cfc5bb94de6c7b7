export { printOf, runCached } from './cached';
export { runTask } from './run-task';
