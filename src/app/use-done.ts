import { useCallback } from 'react';
import type { KennelContext } from '@/data/live';
import type { Kennel } from '@/data/read';
import { takeBack } from '@/data/write';
import { useUndo } from '@/ui';
import { wordsOf } from '@/words/shell';

/** Waits for a write, says what was done with its undo, or why it was not. */
export function useDone(kennel: Kennel): KennelContext['done'] {
  const { done: say, fail } = useUndo();
  return useCallback(
    async (words, writing) => {
      const written = await writing;
      if (!written.ok) fail(wordsOf(written.message));
      else if (words !== null) {
        const { rows, entries, made } = written.value;
        const ofRows = rows.length + entries.length > 0 ? () => takeBack(kennel, written.value) : null;
        const back = written.value.back ?? ofRows;
        say(typeof words === 'string' ? words : words(made), back);
      }
      return written;
    },
    [kennel, say, fail],
  );
}
