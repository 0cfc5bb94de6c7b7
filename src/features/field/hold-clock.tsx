import { useEffect } from 'react';
import { secondsFrom, usePad } from './pad-store';
import { signal } from './signal';
import { Running } from './stamp-button';
import { letGo } from './tap-button';
import { tell } from './words';

/**
 * The clock of a hold or a stay: one tap begins it, one ends it, and the seconds go into the rep
 * that is logged next. At the time that is asked the hand is told, silently.
 */
export function HoldClock({ asked }: { readonly asked: number }) {
  const { hold, holding } = usePad();
  const running = hold.from !== null && hold.to === null;
  const held = secondsFrom(hold.from, hold.to);
  useEffect(() => {
    if (!running || hold.from === null) return;
    const timer = setTimeout(() => signal('once'), Math.max(0, hold.from + asked * 1000 - performance.now()));
    return () => clearTimeout(timer);
  }, [running, hold.from, asked]);
  return (
    <button
      type="button"
      aria-label={running ? tell('hold-clock.hold-ends') : tell('hold-clock.hold-begins')}
      onClick={(event) => {
        letGo(event);
        holding(performance.now());
      }}
      className={`flex min-h-14 items-center justify-between border-2 border-ink px-5 text-xl font-bold ${running ? 'bg-ink text-paper' : 'bg-sheet'}`}
    >
      <span>
        {running
          ? tell('hold-clock.hold-ends')
          : held === null
            ? tell('hold-clock.hold-begins')
            : tell('hold-clock.hold-again')}
        <span className="ml-3 text-base font-normal">{tell('hold-clock.asked-s', { asked })}</span>
      </span>
      <span className="text-2xl">
        {running && hold.from !== null ? (
          <Running since={hold.from} />
        ) : held === null ? (
          ''
        ) : (
          tell('hold-clock.held-s', { held: { number: held, digits: 1 } })
        )}
      </span>
    </button>
  );
}
