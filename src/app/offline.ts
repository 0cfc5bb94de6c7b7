import { registerSW } from 'virtual:pwa-register';
import { toast } from 'sonner';

/**
 * Keeps the whole application for use without a network. A newer version is offered, never put
 * under somebody's hands in a session.
 */
export function keepForOffline(): void {
  if (!('serviceWorker' in navigator)) return;
  const update = registerSW({
    onNeedRefresh: () =>
      toast('A newer Regulon is here.', {
        duration: Number.POSITIVE_INFINITY,
        action: { label: 'Take it now', onClick: () => void update(true) },
      }),
  });
}
