import { useEffect, useRef, useState } from 'react';
import type { Sound } from '@/core/review';
import type { Failure } from '@/core/shared';
import { type Ear, openEar } from '@/workers/client';

/** The microphone while it is wanted: its rate once it is open, or why it is not. */
export function useEar(wanted: boolean, onClick: (sound: Sound, rate: number) => void) {
  const [state, setState] = useState<{ readonly rate: number | null; readonly failure: Failure | null }>({
    rate: null,
    failure: null,
  });
  const heard = useRef(onClick);
  useEffect(() => {
    heard.current = onClick;
  });
  useEffect(() => {
    if (!wanted) return;
    let ear: Ear | null = null;
    let current = true;
    void openEar((sound) => ear && heard.current(sound, ear.rate)).then((opened) => {
      if (opened.ok && !current) opened.value.close();
      else if (opened.ok) ear = opened.value;
      if (current)
        setState(opened.ok ? { rate: opened.value.rate, failure: null } : { rate: null, failure: opened });
    });
    return () => {
      current = false;
      ear?.close();
      setState({ rate: null, failure: null });
    };
  }, [wanted]);
  return state;
}
