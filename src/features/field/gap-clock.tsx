import { useEffect, useRef, useState } from 'react';
import { STAGES, type Stage } from '@/core/coaching';
import { usePad } from './pad-store';
import type { JudgedBy } from './pad-view';
import { signal } from './signal';

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
      signal(stage === 'probe' ? 'twice' : 'once');
      if (stage === 'probe') tell.current();
    }, left);
    return () => clearTimeout(timer);
  }, [running, cueAt, limit, stage]);
  return (
    <>
      <p
        role="status"
        aria-label="Gap clock"
        className={`border-2 border-ink px-4 py-2.5 text-xl font-bold leading-snug ${over ? 'bg-signal text-on-signal' : 'bg-sheet'}`}
      >
        {inWords(stage, limit, running, over)}
      </p>
      <fieldset className="flex gap-1.5" aria-label="Stage, set by hand">
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
  A: 'A, always paid',
  B: 'B, half paid',
  probe: 'Silent test',
};

function inWords(stage: Props['transfer']['stage'], limit: number, running: boolean, over: boolean): string {
  if (!running)
    return stage === 'probe'
      ? `Stamp the new cue; then up to ${limit} s of silence.`
      : `Stamp the new cue; ${limit} s later comes the old prompt.`;
  if (!over) return stage === 'probe' ? 'Silence. Do not help, not with a look.' : 'Wait …';
  return stage === 'probe' ? 'Over: prompt once now, and do not pay it.' : 'Now the old prompt.';
}
