import { useEffect, useState } from 'react';
import { KeyHint } from './keys';
import { latencyOf, usePad } from './pad-store';

/** One target for both stamps: first the cue, then the response. Silent: the telephone must not become the cue. */
export function StampButton({ onStamp }: { readonly onStamp: () => void }) {
  const { cueAt, responseAt } = usePad();
  const latency = latencyOf({ cueAt, responseAt });
  const running = cueAt !== null && responseAt === null;
  const label = cueAt === null ? 'Cue' : running ? 'Response' : 'Cue again';
  return (
    <button
      type="button"
      onClick={(event) => {
        if (event.detail > 0) event.currentTarget.blur();
        onStamp();
      }}
      className={`flex min-h-16 items-center lg:min-h-20 justify-between border-2 border-ink px-5 text-2xl font-bold ${running ? 'bg-ink text-paper' : 'bg-sheet'}`}
    >
      <span>
        {label}
        <KeyHint action="stamp" />
      </span>
      <span className="text-3xl">{running ? <Running since={cueAt} /> : latency === null ? '' : `${latency.toFixed(2)} s`}</span>
    </button>
  );
}

function Running({ since }: { readonly since: number }) {
  const [now, setNow] = useState(since);
  useEffect(() => {
    const timer = setInterval(() => setNow(performance.now()), 100);
    return () => clearInterval(timer);
  }, []);
  return <span aria-hidden="true">{Math.max(0, (now - since) / 1000).toFixed(1)} s</span>;
}
