import { useLayoutEffect, useRef } from 'react';
import { PAD_KEYS, type PadAction, shownKey, useHand } from './hand-store';
import { usePad } from './pad-store';
import { judgedByOutcome, type PadView } from './pad-view';
import { TIMINGS } from './rep-words';
import type { PadActions } from './use-pad-actions';

export function usePadKeys(actions: PadActions, view: PadView, showHelp: () => void): void {
  const choosing = usePad((state) => state.choosing);
  const keys = useHand((state) => state.keys);
  const held = useRef(false);
  const faults = choosing === 'miss' ? view.misses : view.flaws;
  const advised = view.advice.find((advice) => advice.kind === 'advance' || advice.kind === 'drop-back');
  // Where a rep is judged by a grade or by when the answer came, the numbers say it; an outcome
  // alone would not.
  const plain = judgedByOutcome(view);
  const byDrive = view.by.kind === 'drive';
  // That a whole run held can be said without its clock, and not while that runs.
  const unclocked = usePad((state) => state.splits.from === null) && view.by.kind === 'whole';
  const goThere = advised && 'to' in advised ? view.ladder.rungs[advised.to]?.criteria : undefined;
  const act: Readonly<Record<PadAction, () => void>> = {
    stamp: actions.stamp,
    mark: actions.mark,
    clean: () =>
      (plain || unclocked) && actions.tap(byDrive ? { tap: 'drive', drive: 'full' } : { tap: 'clean' }),
    flawed: () => plain && actions.tap(byDrive ? { tap: 'drive', drive: 'went' } : { tap: 'flawed' }),
    miss: () => plain && actions.tap(byDrive ? { tap: 'drive', drive: 'refused' } : { tap: 'miss' }),
    undo: actions.undo,
    dog: () => actions.tap({ tap: 'cause', cause: 'dog' }),
    handler: () => actions.tap({ tap: 'cause', cause: 'handler' }),
    apparatus: () => actions.tap({ tap: 'cause', cause: 'apparatus' }),
    environment: () => actions.tap({ tap: 'cause', cause: 'environment' }),
    aided: () => actions.tap({ tap: 'aid', aid: 'unsaid' }),
    go: () => goThere && actions.tap({ tap: 'move', to: goThere, because: 'advice' }),
    rested: () => actions.tap({ tap: 'rested' }),
  };
  const onKey = (event: KeyboardEvent): void => {
    if (
      event.repeat &&
      plain &&
      useHand.getState().oneButton &&
      !held.current &&
      keys.stamp === keyOf(event) &&
      !busyElsewhere()
    ) {
      // Held down: the browser repeats the key after about half a second. The cue that its first
      // press stamped belongs to this miss.
      held.current = true;
      act.miss();
    }
    if (event.repeat || event.ctrlKey || event.metaKey || event.altKey || busyElsewhere()) return;
    held.current = false;
    if (event.key === '?') showHelp();
    const key = keyOf(event);
    const action = PAD_KEYS.find((one) => keys[one.action] === key)?.action;
    if (action && !isOwn(key)) {
      event.preventDefault();
      act[action]();
    } else if (/^[1-9]$/.test(key)) byNumber(Number(key) - 1);
  };
  const byNumber = (place: number): void => {
    const [fault, timing] = [faults[place], TIMINGS[place]];
    const grade = view.by.kind === 'graded' ? view.by.grades[place] : undefined;
    if (view.by.kind === 'timed' && timing) actions.tap({ tap: 'timed', timing });
    else if (grade) actions.tap({ tap: 'graded', grade: grade.id });
    if (choosing !== 'outcome' && fault)
      actions.tap({ tap: 'fault', of: choosing === 'miss' ? 'miss' : 'flawed', fault });
  };
  // Before the pad is painted: keys work from the first moment in which it is seen, on a slow
  // telephone too.
  const latest = useRef(onKey);
  useLayoutEffect(() => {
    latest.current = onKey;
  });
  useLayoutEffect(() => {
    const listen = (event: KeyboardEvent): void => latest.current(event);
    // A button is pressed by Space as the key comes up: what the pad took going down is taken whole.
    const up = (event: KeyboardEvent): void => {
      if (takes(keyOf(event)) && !busyElsewhere()) event.preventDefault();
    };
    window.addEventListener('keydown', listen);
    window.addEventListener('keyup', up);
    return () => {
      window.removeEventListener('keydown', listen);
      window.removeEventListener('keyup', up);
    };
  }, []);
}

/** A key of the pad, which comes before whatever button has the focus. */
const takes = (key: string): boolean =>
  !isOwn(key) && Object.values(useHand.getState().keys).some((one) => one === key);

/** Enter presses what has the focus, and a box to tick has its Space: the pad leaves them. */
function isOwn(key: string): boolean {
  const on = document.activeElement;
  if (key === 'Enter') return on?.matches('button, a, summary, input, [role=button]') ?? false;
  return key === ' ' && (on?.matches('input[type=checkbox]') ?? false);
}

/** By what the key prints, not by its place: keyboards and remotes differ. */
const keyOf = (event: KeyboardEvent): string =>
  event.key.length === 1 ? event.key.toLowerCase() : event.key;

/**
 * True while somebody types or an open dialog takes the keys; pocket mode lets a remote through.
 */
function busyElsewhere(): boolean {
  if (document.activeElement?.matches('input:not([type=checkbox]), textarea, select, [contenteditable]'))
    return true;
  return document.querySelector('[role=dialog]:not([aria-label="Pocket mode"])') !== null;
}

/**
 * The key on a button, where there is room for one and likely a keyboard: that of an action as it
 * is set, or a fixed one.
 */
export function KeyHint({ action, shown }: { readonly action?: PadAction; readonly shown?: string }) {
  const keys = useHand((state) => state.keys);
  return (
    <span
      aria-hidden="true"
      className="ml-3 hidden border border-current px-1.5 font-sans text-sm font-normal lg:inline"
    >
      {action ? shownKey(keys[action]) : shown}
    </span>
  );
}
