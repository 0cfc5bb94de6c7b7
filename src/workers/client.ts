export { ask } from './ask';
export { clipDesk } from './ask-clips';
export { fileDesk } from './ask-files';
export type { Heard, OpenedClip } from './clip-tasks';
export { type Ear, openEar } from './ear';
export type { Brought, FileAnswers, FileSaid, FileTask } from './file-tasks';
export type { Said, Task, Weighed } from './protocol';
