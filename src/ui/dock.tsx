import { type ReactNode, useEffect, useRef } from 'react';

/**
 * What is tapped with every rep lies at the lower edge of a telephone's screen and grows upwards: no line of
 * advice, question or sign above it moves it under the thumb. The page below keeps as much room as it
 * takes. On a screen that is too low for that it lies in the page, as it does beside the advice on a wide
 * one.
 */
export function Dock({ children }: { readonly children: ReactNode }) {
  const lies = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const dock = lies.current;
    if (!dock) return;
    const room = document.documentElement.style;
    const watch = new ResizeObserver(() => {
      const over = getComputedStyle(dock).position === 'fixed' ? dock.offsetHeight : 0;
      room.setProperty('--dock', `${over}px`);
    });
    watch.observe(dock);
    return () => {
      watch.disconnect();
      room.removeProperty('--dock');
    };
  }, []);
  return (
    <div
      ref={lies}
      className="grid content-start gap-2 overflow-y-auto max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-30 max-lg:max-h-[calc(100dvh-4rem)] max-lg:border-t-2 max-lg:border-ink max-lg:bg-paper max-lg:p-1.5 lg:gap-3 [@media(height<32rem)]:!static"
    >
      {children}
    </div>
  );
}
