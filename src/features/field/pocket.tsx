import { useEffect, useRef, useState } from 'react';
import { tell } from './words';

/** Seconds of holding that open the pad again: longer than cloth or rain would press. */
const HOLD = 1.2;

/**
 * Pocket mode: the page ignores touch until it is held. Clock and keys of a remote go on beneath.
 */
export function Pocket({ onOpen }: { readonly onOpen: () => void }) {
  const [held, setHeld] = useState(false);
  const open = useRef(onOpen);
  useEffect(() => {
    open.current = onOpen;
  });
  useEffect(() => {
    if (!held) return;
    const timer = setTimeout(() => open.current(), HOLD * 1000);
    return () => clearTimeout(timer);
  }, [held]);
  const letGo = (): void => setHeld(false);
  return (
    <div
      role="dialog"
      aria-modal="true"
      aria-label={tell('pocket.pocket-mode')}
      className="fixed inset-0 z-50 grid place-items-center bg-ink p-8 text-paper"
    >
      <button
        type="button"
        className={`grid min-h-48 w-full max-w-md touch-none select-none place-items-center border-4 p-6 text-center text-2xl font-bold ${held ? 'border-signal text-signal' : 'border-paper'}`}
        onPointerDown={() => setHeld(true)}
        onPointerUp={letGo}
        onPointerLeave={letGo}
        onPointerCancel={letGo}
        onContextMenu={(event) => event.preventDefault()}
        onKeyDown={(event) => event.key === 'Enter' && onOpen()}
      >
        {tell('pocket.keep-holding', { held: Boolean(held) })}
      </button>
    </div>
  );
}
