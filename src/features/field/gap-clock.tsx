import { useEffect, useRef, useState } from 'react';
import { STAGES, type Stage } from '@/core/coaching';
import type { JudgedBy } from './judged-by';
import { usePad } from './pad-store';
import { signal } from './signal';
import { tell } from './words';

type Props = {
  readonly transfer: Extract<JudgedBy, { kind: 'timed' }>;
  readonly onTimeOut: () => void;
  readonly onStage: (stage: Stage) => void;
};

/**
 * The wait between new cue and old prompt, counted for the handler. From the stamped cue: in stages
 * A and B a pulse when the gap is over, in a probe two when the silence is, and the log is told. By
 * default no sound: the telephone must not become the cue. The stage can be set by hand.
 */
export function GapClock({ transfer, onTimeOut, onStage }: Props) {
  const { stage, gap, wait } = transfer;
  const { cueAt, responseAt } = usePad();
  const running = cueAt !== null && responseAt === null;
  const limit = stage === 'probe' ? wait : gap;
  const [over, setOver] = useState(false);
  // The clock belongs to one cue: a new callback must not start it again.
  const told = useRef(onTimeOut);
  useEffect(() => {
    told.current = onTimeOut;
  });
  useEffect(() => {
    setOver(false);
    if (!running) return;
    const left = Math.max(0, cueAt + limit * 1000 - performance.now());
    const timer = setTimeout(() => {
      setOver(true);
      signal(stage === 'probe' ? 'twice' : 'once');
      if (stage === 'probe') told.current();
    }, left);
    return () => clearTimeout(timer);
  }, [running, cueAt, limit, stage]);
  return (
    <>
      <p
        role="status"
        aria-label={tell('gap-clock.gap-clock')}
        className={`border-2 border-ink px-4 py-2.5 text-xl font-bold leading-snug ${over ? 'bg-signal text-on-signal' : 'bg-sheet'}`}
      >
        {inWords(stage, limit, running, over)}
      </p>
      <fieldset className="flex gap-1.5" aria-label={tell('gap-clock.stage-set-by-hand')}>
        {STAGES.map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={one === stage}
            onClick={() => one !== stage && onStage(one)}
            className={`min-h-14 flex-1 border-2 border-ink px-2 text-base leading-tight ${one === stage ? 'bg-ink font-bold text-paper' : 'bg-sheet'}`}
          >
            {STAGE_WORDS[one]}
          </button>
        ))}
      </fieldset>
    </>
  );
}

const STAGE_WORDS: Readonly<Record<Stage, string>> = {
  A: tell('gap-clock.a-always-paid'),
  B: tell('gap-clock.b-half-paid'),
  probe: tell('gap-clock.silent-test'),
};

function inWords(stage: Props['transfer']['stage'], limit: number, running: boolean, over: boolean): string {
  if (!running)
    return stage === 'probe'
      ? tell('gap-clock.stamp-the-new-cue-then-up-to-s-of', { limit })
      : tell('gap-clock.stamp-the-new-cue-s-later-comes', { limit });
  if (!over)
    return stage === 'probe' ? tell('gap-clock.silence-do-not-help-not-with-a') : tell('gap-clock.wait');
  return stage === 'probe'
    ? tell('gap-clock.over-prompt-once-now-and-do-not')
    : tell('gap-clock.now-the-old-prompt');
}
