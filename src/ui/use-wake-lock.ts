import { useEffect } from 'react';

/**
 * Keeps the screen awake while a session is open. A browser that cannot, or will not, changes
 * nothing else.
 */
export function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const take = async (): Promise<void> => {
      if (over || document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      // Refused on low battery, for example: the card before the session says what that means.
      lock = await navigator.wakeLock.request('screen').catch(() => null);
      if (over) void lock?.release();
    };
    const again = (): void => void take();
    void take();
    // The lock is lost whenever the page is hidden.
    document.addEventListener('visibilitychange', again);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
}
