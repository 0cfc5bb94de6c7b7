import { useState } from 'react';
import { saveBlob } from '@/ui';

export type ReadyFile = {
  readonly name: string;
  /** The file as this device’s share sheet takes it; null where it has none. */
  readonly share: (() => Promise<void>) | null;
  readonly save: () => void;
};

/**
 * A file that has been made: saved at once, except where the device can hand it on. There the person says which,
 * since a share sheet opens only right after a tap.
 */
export function useReadyFile(): {
  readonly ready: ReadyFile | null;
  /** `onHanded` is called when it was saved or handed on, not before. */
  readonly hand: (name: string, blob: Blob, onHanded?: () => void) => void;
} {
  const [ready, setReady] = useState<ReadyFile | null>(null);
  const hand = (name: string, blob: Blob, onHanded: () => void = () => undefined): void => {
    const shared = shareable(name, blob);
    if (!shared) {
      saveBlob(name, blob);
      onHanded();
      return;
    }
    setReady({
      name,
      save: () => {
        saveBlob(name, blob);
        onHanded();
        setReady(null);
      },
      share: async () => {
        try {
          await navigator.share({ files: [shared] });
          onHanded();
          setReady(null);
        } catch {
          // Closed without handing it on: the file is still at hand.
        }
      },
    });
  };
  return { ready, hand };
}

/** As JSON, or as a text where the device hands only those on; the room reads both. */
function shareable(name: string, blob: Blob): File | null {
  if (typeof navigator.canShare !== 'function') return null;
  const tries = [
    new File([blob], name, { type: blob.type }),
    new File([blob], `${name}.txt`, { type: 'text/plain' }),
  ];
  return tries.find((file) => navigator.canShare({ files: [file] })) ?? null;
}
