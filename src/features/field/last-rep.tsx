import { ToggleGroup } from 'radix-ui';
import type { Cause } from '@/core/log';
import { Button } from '@/ui';
import { useHand } from './hand-store';
import type { PadView } from './pad-view';
import type { PadActions } from './use-pad-actions';

const CAUSES: readonly { readonly cause: Cause; readonly words: string }[] = [
  { cause: 'dog', words: 'Dog' },
  { cause: 'handler', words: 'Handler' },
  { cause: 'apparatus', words: 'Kit' },
  { cause: 'environment', words: 'Place' },
];

const CHIP =
  'min-h-14 flex-auto border-2 border-ink bg-sheet px-1.5 text-base leading-tight data-[state=on]:bg-ink data-[state=on]:text-paper data-[state=on]:font-bold';

/**
 * The rep just logged: whose doing it was, whether it was aided, and the one touch that takes it
 * back.
 */
export function LastRep({ view, actions }: { readonly view: PadView; readonly actions: PadActions }) {
  const { last } = view;
  const leftHanded = useHand((state) => state.leftHanded);
  if (!last) return null;
  const aided = last.judged.aids.length > 0;
  return (
    <section aria-label="Last rep" className="border-2 border-rule p-3">
      <div className={`mb-2 flex items-center justify-between gap-3 ${leftHanded ? 'flex-row-reverse' : ''}`}>
        <p className="text-lg leading-snug">
          <span className="font-bold">Last rep </span>
          {view.lastInWords}
        </p>
        <Button size="big" disabled={actions.busy} onClick={actions.undo}>
          Undo
        </Button>
      </div>
      <div className="flex flex-wrap gap-1.5">
        <ToggleGroup.Root
          type="single"
          aria-label="Whose doing"
          value={last.judged.cause}
          onValueChange={(cause) => cause !== '' && actions.cause(cause as Cause)}
          className="flex flex-auto flex-wrap gap-1.5"
          disabled={actions.busy}
        >
          {CAUSES.map(({ cause, words }) => (
            <ToggleGroup.Item key={cause} value={cause} className={CHIP}>
              {words}
            </ToggleGroup.Item>
          ))}
        </ToggleGroup.Root>
        <button
          type="button"
          aria-pressed={aided}
          data-state={aided ? 'on' : 'off'}
          disabled={actions.busy}
          onClick={actions.aided}
          className={CHIP}
        >
          Aided
        </button>
      </div>
    </section>
  );
}
