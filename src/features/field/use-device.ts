import { useEffect, useState } from 'react';
import { tell } from './words';

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
    ...(device.offline === false ? [tell('use-device.not-kept-for-offline-use-yet-open')] : []),
    ...(device.durable === false ? [tell('use-device.the-browser-may-clear-the-log-when')] : []),
    ...(device.awake ? [] : [tell('use-device.the-screen-cannot-be-kept-awake')]),
    ...(device.vibrates ? [] : [tell('use-device.this-device-cannot-vibrate-signals')]),
  ];
}
