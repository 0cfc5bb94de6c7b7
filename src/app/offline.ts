import { registerSW } from 'virtual:pwa-register';
import { create } from 'zustand';

/** A newer version that waits; null while there is none. */
export const useNewer = create<{ readonly take: (() => void) | null }>(() => ({ take: null }));

/**
 * Keeps the whole application for use without a network. A newer version is offered, never put
 * under somebody's hands in a session.
 */
export function keepForOffline(): void {
  if (!('serviceWorker' in navigator)) return;
  const update = registerSW({
    onNeedRefresh: () => useNewer.setState({ take: () => void update(true) }),
  });
}
