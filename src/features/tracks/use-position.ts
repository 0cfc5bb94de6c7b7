import { useEffect, useRef, useState } from 'react';

/** Where the device is: degrees, milliseconds since 1970, and how far it may be off by its own word, metres. */
export type Position = {
  readonly lat: number;
  readonly lon: number;
  readonly at: number;
  readonly error: number;
};
export type PositionState = 'off' | 'waiting' | 'on' | 'refused' | 'none';

/** The device's own receiver while it is wanted. A single error between two fixes does not end a walk. */
export function usePosition(wanted: boolean, onFix: (fix: Position) => void) {
  const [state, setState] = useState<PositionState>('off');
  const [last, setLast] = useState<Position | null>(null);
  const heard = useRef(onFix);
  useEffect(() => {
    heard.current = onFix;
  });
  useEffect(() => {
    if (!wanted) return setState((now) => (now === 'refused' || now === 'none' ? now : 'off'));
    if (!('geolocation' in navigator)) return setState('none');
    setState('waiting');
    const watch = navigator.geolocation.watchPosition(
      ({ coords, timestamp }) => {
        const fix = {
          lat: coords.latitude,
          lon: coords.longitude,
          at: Math.round(timestamp),
          error: coords.accuracy,
        };
        setState('on');
        setLast(fix);
        heard.current(fix);
      },
      ({ code }) => {
        if (code === 1) setState('refused');
      },
      { enableHighAccuracy: true, maximumAge: 0 },
    );
    return () => navigator.geolocation.clearWatch(watch);
  }, [wanted]);
  return { state, last };
}
