import { fail, say } from '@/core/shared';
import type { ClipAnswers, ClipSaid, ClipTask } from './clip-tasks';
import { clipWork } from './clip-work';
import type { FromWorker, ToWorker } from './desk';

self.onmessage = ({ data }: MessageEvent<ToWorker<ClipTask>>) => {
  if (data.kind === 'cancel') return;
  const { id, task } = data;
  const post = (message: FromWorker<ClipSaid, ClipAnswers[ClipTask['kind']]>): void =>
    self.postMessage(message);
  clipWork(task, (said) => post({ kind: 'said', id, said })).then(
    (result) => post({ kind: 'settled', id, result }),
    (error: unknown) =>
      post({
        kind: 'settled',
        id,
        result: fail('crashed', task.kind, say('clips.file.broken', { why: String(error) })),
      }),
  );
};
