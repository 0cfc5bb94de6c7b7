export { ask } from './ask';
export { fileDesk } from './ask-files';
export type { Brought, FileAnswers, FileSaid, FileTask } from './file-tasks';
export type { Said, Task, Weighed } from './protocol';
