import { fail, say } from '@/core/shared';
import type { FromWorker, ToWorker } from './desk';
import type { FileAnswers, FileSaid, FileTask } from './file-tasks';
import { fileWork } from './file-work';

const work = fileWork();

// A task that is cancelled takes its worker with it: a transaction that was not finished is undone.
self.onmessage = ({ data }: MessageEvent<ToWorker<FileTask>>) => {
  if (data.kind === 'cancel') return;
  const { id, task } = data;
  const post = (message: FromWorker<FileSaid, FileAnswers[FileTask['kind']]>): void =>
    self.postMessage(message);
  work(task, (said) => post({ kind: 'said', id, said })).then(
    (result) => post({ kind: 'settled', id, result }),
    (error: unknown) =>
      post({
        kind: 'settled',
        id,
        result: fail(
          'crashed',
          task.kind,
          say('workers.files.worker.it-stopped-nothing-was-changed', { error: String(error) }),
        ),
      }),
  );
};
