import { useEffect, useRef, useState } from 'react';
import { usePad } from './pad-store';
import type { PadView } from './pad-view';

type Props = { readonly transfer: NonNullable<PadView['transfer']>; readonly onTimeOut: () => void };

/** Milliseconds of one short and one double pulse: felt in the hand, heard by nobody. */
const ONCE = 80;
const TWICE = [80, 120, 80];

/**
 * The wait between new cue and old prompt, counted for the handler. From the stamped cue: in stages A and B a pulse when the gap is over, in a probe two when
 * the silence is, and the log is told. No sound: the telephone must not become the cue.
 */
export function GapClock({ transfer, onTimeOut }: Props) {
  const { stage, gap, wait } = transfer;
  const { cueAt, responseAt } = usePad();
  const running = cueAt !== null && responseAt === null;
  const limit = stage === 'probe' ? wait : gap;
  const [over, setOver] = useState(false);
  // The clock belongs to one cue: a new callback must not start it again.
  const tell = useRef(onTimeOut);
  useEffect(() => {
    tell.current = onTimeOut;
  });
  useEffect(() => {
    setOver(false);
    if (!running) return;
    const left = Math.max(0, cueAt + limit * 1000 - performance.now());
    const timer = setTimeout(() => {
      setOver(true);
      navigator.vibrate?.(stage === 'probe' ? TWICE : ONCE);
      if (stage === 'probe') tell.current();
    }, left);
    return () => clearTimeout(timer);
  }, [running, cueAt, limit, stage]);
  return (
    <p
      role="status"
      aria-label="Gap clock"
      className={`border-2 border-ink px-4 py-2.5 text-xl font-bold leading-snug ${over ? 'bg-signal text-on-signal' : 'bg-sheet'}`}
    >
      {inWords(stage, limit, running, over)}
    </p>
  );
}

function inWords(stage: Props['transfer']['stage'], limit: number, running: boolean, over: boolean): string {
  if (!running)
    return stage === 'probe' ? `Stamp the new cue; then up to ${limit} s of silence.` : `Stamp the new cue; ${limit} s later comes the old prompt.`;
  if (!over) return stage === 'probe' ? 'Silence. Do not help, not with a look.' : 'Wait …';
  return stage === 'probe' ? 'Over: prompt once now, and do not pay it.' : 'Now the old prompt.';
}
