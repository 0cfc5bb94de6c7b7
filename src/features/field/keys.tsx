import { useHotkeys } from 'react-hotkeys-hook';
import { Dialog } from '@/ui';
import { usePad } from './pad-store';
import { type PadView, TIMINGS } from './pad-view';
import type { PadActions } from './use-pad-actions';

/** The keys of the pad, in one place: what they do and what the help says cannot part. */
const KEYS = [
  { key: 'space', shown: 'Space', does: 'Stamp the cue, then the response' },
  { key: 'c', shown: 'C', does: 'Clean' },
  { key: 'f', shown: 'F', does: 'Flawed; then a number names the fault' },
  { key: 'm', shown: 'M', does: 'Miss' },
  { key: 'u', shown: 'U', does: 'Take back the last thing' },
  { key: 'd', shown: 'D', does: 'Last rep: the dog’s' },
  { key: 'h', shown: 'H', does: 'Last rep: the handler’s' },
  { key: 'p', shown: 'P', does: 'Last rep: the kit’s' },
  { key: 'e', shown: 'E', does: 'Last rep: the place’s' },
  { key: 'a', shown: 'A', does: 'Last rep: aided, or not' },
  { key: 'g', shown: 'G', does: 'Go to the rung that is advised' },
  { key: 'r', shown: 'R', does: 'Rested' },
] as const;

export function usePadKeys(actions: PadActions, view: PadView, showHelp: () => void): void {
  const choosing = usePad((state) => state.choosing);
  const faults = choosing === 'miss' ? view.misses : view.flaws;
  const advised = view.advice.find((advice) => advice.kind === 'advance' || advice.kind === 'drop-back');
  const plain = view.transfer === null && view.grades.length === 0 && !view.articles;
  const act: Readonly<Record<(typeof KEYS)[number]['key'], () => void>> = {
    space: actions.stamp,
    // Where a rep is judged by a grade or by when the answer came, the numbers say it; an outcome alone would not.
    c: () => plain && actions.outcome('clean'),
    f: () => plain && actions.outcome('flawed'),
    m: () => plain && actions.outcome('miss'),
    u: actions.undo,
    d: () => actions.cause('dog'),
    h: () => actions.cause('handler'),
    p: () => actions.cause('apparatus'),
    e: () => actions.cause('environment'),
    a: actions.aided,
    g: () => advised && 'to' in advised && actions.move(advised.to, 'advice'),
    r: actions.rested,
  };
  const letters = KEYS.map(({ key }) => key).filter((key) => key !== 'space');
  // By the letter that the key prints, not by its place: keyboards differ.
  useHotkeys(letters.join(','), (event, { keys }) => !event.repeat && act[keys?.[0] as keyof typeof act]?.(), { useKey: true }, [actions]);
  useHotkeys(
    'space',
    (event) => {
      // A focused button keeps its own Space, for those who go by Tab.
      if (event.repeat || document.activeElement instanceof HTMLButtonElement) return;
      event.preventDefault();
      actions.stamp();
    },
    [actions],
  );
  useHotkeys(
    '1,2,3,4,5,6,7,8,9',
    (_, { keys }) => {
      const place = Number(keys?.[0]) - 1;
      const fault = faults[place];
      const timing = TIMINGS[place];
      if (view.transfer && timing) actions.timed(timing);
      else if (place < view.grades.length) actions.graded(place);
      if (choosing !== 'outcome' && fault) actions.name(fault);
    },
    [actions, choosing, view.transfer, view.grades.length],
  );
  useHotkeys('*', (event) => event.key === '?' && showHelp());
}

export function KeyHelp({ open, onClose }: { readonly open: boolean; readonly onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} title="Keys on the pad">
      <dl className="grid grid-cols-[5rem_1fr] gap-y-1.5 text-lg">
        {KEYS.map(({ key, shown, does }) => (
          <div key={key} className="contents">
            <dt>
              <kbd className="border-2 border-ink px-2 font-sans font-bold">{shown}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Dialog>
  );
}

/** The key on a button, where there is room for one and likely a keyboard. */
export function KeyHint({ shown }: { readonly shown: string }) {
  return (
    <span aria-hidden="true" className="ml-3 hidden border border-current px-1.5 font-sans text-sm font-normal lg:inline">
      {shown}
    </span>
  );
}
