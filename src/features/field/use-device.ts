import { useEffect, useState } from 'react';

/** What this device grants a session. Null: not known yet. */
export type Device = {
  /** The application is kept and opens without a network. */
  readonly offline: boolean | null;
  /** The log is kept even when space runs short. */
  readonly durable: boolean | null;
  readonly awake: boolean;
  readonly vibrates: boolean;
};

export function useDevice(): Device {
  const [offline, setOffline] = useState<boolean | null>(null);
  const [durable, setDurable] = useState<boolean | null>(null);
  useEffect(() => {
    let current = true;
    const worker =
      'serviceWorker' in navigator ? navigator.serviceWorker.getRegistration() : Promise.resolve(undefined);
    void worker.then(
      (registration) =>
        current && setOffline(registration?.active !== undefined && registration?.active !== null),
    );
    const storage = navigator.storage?.persisted?.() ?? Promise.resolve(false);
    void storage.then((granted) => current && setDurable(granted));
    return () => {
      current = false;
    };
  }, []);
  return {
    offline,
    durable,
    awake: 'wakeLock' in navigator,
    vibrates: typeof navigator.vibrate === 'function',
  };
}

/** What is not granted, and what to do about it; empty where all is. */
export function missingOf(device: Device): string[] {
  return [
    ...(device.offline === false
      ? [
          'Not kept for offline use yet: open it once with a network, from https or this machine, before you go where there is none.',
        ]
      : []),
    ...(device.durable === false
      ? [
          'The browser may clear the log when space runs short. Install Regulon on the home screen, or save a file after the session.',
        ]
      : []),
    ...(device.awake ? [] : ['The screen cannot be kept awake here: set a longer screen time-out.']),
    ...(device.vibrates ? [] : ['This device cannot vibrate: signals are shown on the screen only.']),
  ];
}
