import { openDesk } from './desk';
import type { FileAnswers, FileSaid, FileTask } from './file-tasks';

/** The worker that reads and writes whole kennels. Big files take a while; it is never hurried. */
export const fileDesk = openDesk<FileTask, FileSaid, FileAnswers>({
  spawn: () => new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' }),
  timeout: 600_000,
  endsOnCancel: true,
});
