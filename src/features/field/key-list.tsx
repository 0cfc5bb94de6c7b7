import { useEffect, useState } from 'react';
import { Button } from '@/ui';
import { PAD_KEYS, type PadAction, shownKey, USUAL_KEYS, useHand, withKey } from './hand-store';
import { tell } from './later-words';

/** What each key of the pad does, and how to change it: for a remote, or another hand. */
export function KeyList() {
  const { keys, setKeys } = useHand();
  const [changing, setChanging] = useState<PadAction | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  useEffect(() => {
    if (changing === null) return;
    const take = (event: KeyboardEvent): void => {
      event.preventDefault();
      event.stopPropagation();
      setChanging(null);
      if (event.key === 'Escape') return;
      const next = withKey(keys, changing, event.key);
      setRefused(
        next ? null : tell('key-help.is-needed-for-something-else-the', { shownKey: shownKey(event.key) }),
      );
      if (next) setKeys(next);
    };
    // Before the dialog, which would close at Escape.
    window.addEventListener('keydown', take, true);
    return () => window.removeEventListener('keydown', take, true);
  }, [changing, keys, setKeys]);
  return (
    <>
      <ul className="grid gap-1 text-lg">
        {PAD_KEYS.map(({ action, does }) => (
          <li key={action} className="grid grid-cols-[6rem_1fr_auto] items-center gap-2">
            <kbd className="justify-self-start border-2 border-ink px-2 font-sans font-bold">
              {shownKey(keys[action])}
            </kbd>
            <span className="leading-snug">{does}</span>
            <Button
              look="quiet"
              className="!px-1 text-base"
              aria-label={tell('key-help.change-the-key', { does })}
              onClick={() => setChanging(action)}
            >
              {tell('key-help.press-a-key', { changing: changing === action })}
            </Button>
          </li>
        ))}
      </ul>
      {refused && (
        <p role="alert" className="mt-2 text-base font-semibold text-signal-ink">
          {refused}
        </p>
      )}
      <Button className="mt-2" onClick={() => setKeys(USUAL_KEYS)}>
        {tell('key-help.the-usual-keys')}
      </Button>
    </>
  );
}
