import { create } from 'zustand';
import type { Result } from '@/core/shared';
import { tell, wordsOf } from '@/words/shell';
import { Button } from './button';

/** What was done last, and how to take it back; null where it cannot be. */
type Done = {
  readonly words: string;
  readonly failed: boolean;
  readonly back: (() => Promise<Result<unknown>>) | null;
};

type UndoState = {
  readonly last: Done | null;
  readonly done: (words: string, back?: Done['back']) => void;
  readonly fail: (words: string) => void;
  readonly clear: () => void;
};

/** The one undo of the application: what was done last stays until the next action. */
export const useUndo = create<UndoState>((set) => ({
  last: null,
  done: (words, back = null) => set({ last: { words, failed: false, back } }),
  fail: (words) => set({ last: { words, failed: true, back: null } }),
  clear: () => set({ last: null }),
}));

/** A line at the foot of every page, below its end when scrolled there: what was done, and Undo. */
export function UndoLine() {
  const { last, done, fail, clear } = useUndo();
  const takeBack = async (): Promise<void> => {
    if (!last?.back) return;
    clear();
    const taken = await last.back();
    if (taken.ok) done(tell('undo.taken-back'));
    else fail(wordsOf(taken.message));
  };
  return (
    <section
      aria-label={tell('undo.done-last')}
      aria-live="polite"
      className="pointer-events-none sticky bottom-[max(4.75rem,calc(var(--dock,0px)+0.5rem))] max-md:[body:has([data-main])_&]:bottom-[10.25rem] z-40 flex justify-center px-3 md:bottom-4"
    >
      {last && (
        <div
          role={last.failed ? 'alert' : undefined}
          className={`pointer-events-auto flex max-w-2xl items-center gap-3 border-2 border-ink px-3 py-1.5 shadow-md ${last.failed ? 'bg-ink text-paper' : 'bg-sheet'}`}
        >
          <span className="leading-snug">{last.words}</span>
          {last.back && (
            <Button look="ink" onClick={() => void takeBack()}>
              {tell('undo.undo')}
            </Button>
          )}
          <Button look="quiet" aria-label={tell('undo.put-this-line-away')} onClick={clear}>
            ×
          </Button>
        </div>
      )}
    </section>
  );
}
