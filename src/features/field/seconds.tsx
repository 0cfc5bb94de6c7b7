import { useEffect, useState } from 'react';

/** Seconds as a stop-watch shows them: 75 → "1:15". */
export const clockText = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(Math.floor(seconds) % 60).padStart(2, '0')}`;

/** Time that runs since an instant, in milliseconds since 1970. Not read out: it changes with every second. */
export function Seconds({ since, className = '' }: { readonly since: number; readonly className?: string }) {
  const [now, setNow] = useState(() => Math.max(since, Date.now()));
  useEffect(() => {
    const tick = (): void => setNow(Math.max(since, Date.now()));
    tick();
    const timer = setInterval(tick, 1000);
    return () => clearInterval(timer);
  }, [since]);
  return (
    <span aria-hidden="true" className={`tabular-nums ${className}`}>
      {clockText((now - since) / 1000)}
    </span>
  );
}
