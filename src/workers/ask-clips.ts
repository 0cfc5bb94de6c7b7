import type { ClipAnswers, ClipSaid, ClipTask } from './clip-tasks';
import { openDesk } from './desk';

/** The worker that looks into clips and listens to them. A long one takes a while. */
export const clipDesk = openDesk<ClipTask, ClipSaid, ClipAnswers>({
  spawn: () => new Worker(new URL('./clips.worker.ts', import.meta.url), { type: 'module' }),
  timeout: 120_000,
  endsOnCancel: true,
});
