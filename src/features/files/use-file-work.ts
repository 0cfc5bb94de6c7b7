import './words';
import { useRef, useState } from 'react';
import { type Result, say } from '@/core/shared';
import { type FileAnswers, type FileSaid, type FileTask, fileDesk } from '@/workers/client';

export type FileWork = {
  /** What is being done; null when nothing is. */
  readonly said: FileSaid | null;
  readonly stop: () => void;
  readonly run: <T extends FileTask>(task: T) => Promise<Result<FileAnswers[T['kind']]>>;
};

/** One piece of work on a whole kennel at a time, beside the page; it can be stopped. */
export function useFileWork(): FileWork {
  const [said, setSaid] = useState<FileSaid | null>(null);
  const stop = useRef<AbortController | null>(null);
  return {
    said,
    stop: () => stop.current?.abort(),
    run: async (task) => {
      stop.current?.abort();
      const mine = new AbortController();
      stop.current = mine;
      setSaid({ doing: say('use-file-work.beginning'), share: null });
      const result = await fileDesk.ask(task, {
        signal: mine.signal,
        onSaid: (one) => stop.current === mine && setSaid(one),
      });
      if (stop.current === mine) setSaid(null);
      return result;
    },
  };
}
