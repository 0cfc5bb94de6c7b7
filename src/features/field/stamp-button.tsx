import { useEffect, useState } from 'react';
import { writeDigits } from '@/words';
import { KeyHint } from './keys';
import { latencyOf, markerOf, type Stamps, usePad } from './pad-store';
import { letGo } from './tap-button';
import { tell } from './words';

/**
 * One target for all stamps: the cue, the response, the marker. Silent: the telephone must not
 * become the cue.
 */
export function StampButton({
  named,
  onStamp,
}: {
  /** The words of this element: one is written on the button, several are called. */
  readonly named: readonly string[];
  readonly onStamp: () => void;
}) {
  const { cueAt, responseAt, markerAt } = usePad();
  const running = cueAt !== null && responseAt === null && markerAt === null;
  return (
    <button
      type="button"
      onClick={(event) => {
        letGo(event);
        onStamp();
      }}
      className={`flex min-h-14 items-center lg:min-h-20 justify-between border-2 border-ink px-5 text-2xl font-bold ${running ? 'bg-ink text-paper' : 'bg-sheet'}`}
    >
      <span>
        {nextStamp({ cueAt, responseAt, markerAt })}
        {cueAt === null && named.length === 1 && (
          <span className="font-normal"> {tell('stamp-button.word', { word: named[0] ?? '' })}</span>
        )}
        <KeyHint action="stamp" />
      </span>
      <span className="text-3xl leading-none">
        {running ? <Running since={cueAt} /> : <Stamped stamps={{ cueAt, responseAt, markerAt }} />}
      </span>
    </button>
  );
}

function nextStamp({ cueAt, responseAt, markerAt }: Stamps): string {
  if (cueAt === null) return tell('stamp-button.cue');
  if (markerAt !== null) return tell('stamp-button.cue-again');
  return responseAt === null ? tell('stamp-button.response') : tell('stamp-button.marker');
}

function Stamped({ stamps }: { readonly stamps: Stamps }) {
  const [latency, marker] = [latencyOf(stamps), markerOf(stamps)];
  const after =
    marker === null
      ? ''
      : latency === null
        ? tell('stamp-button.marked-at-s', { marker: { number: marker, digits: 1 } })
        : tell('stamp-button.marked-s-after', { marker: { number: marker - latency, digits: 1 } });
  return (
    <>
      {latency === null ? '' : `${writeDigits(latency, 2)} s`}
      {after !== '' && <span className="block text-right text-base font-normal">{after}</span>}
    </>
  );
}

export function Running({ since }: { readonly since: number }) {
  const [now, setNow] = useState(since);
  useEffect(() => {
    const timer = setInterval(() => setNow(performance.now()), 100);
    return () => clearInterval(timer);
  }, []);
  return <span aria-hidden="true">{writeDigits(Math.max(0, (now - since) / 1000), 1)} s</span>;
}
