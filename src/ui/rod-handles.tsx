import { type PointerEvent, useRef, useState } from 'react';
import type { RodData } from '@/core/evidence';
import { tell } from '@/words/shell';

type Mark = 'start' | 'demand';
type Props = {
  readonly data: RodData;
  readonly left: number;
  readonly right: number;
  readonly onMove: (which: Mark, at: number) => void;
};

/** How far one press of an arrow key goes, as a share of the way from start to demand. */
const NUDGE = 0.05;

/**
 * The two marks of a rod that can be taken hold of: by pointer, or by the arrow keys. The ladder
 * follows when one is let go.
 */
export function RodHandles({ data, left, right, onMove }: Props) {
  return (
    <>
      <Handle
        which="start"
        at={0}
        label={tell('rod-handles.start-of', { title: data.title, start: data.start })}
        left={left}
        right={right}
        onMove={onMove}
      />
      <Handle
        which="demand"
        at={1}
        label={tell('rod-handles.demand-of', { title: data.title, demand: data.demand })}
        left={left}
        right={right}
        onMove={onMove}
      />
    </>
  );
}

type HandleProps = Omit<Props, 'data'> & {
  readonly which: Mark;
  readonly at: number;
  readonly label: string;
};

function Handle({ which, at, label, left, right, onMove }: HandleProps) {
  const button = useRef<HTMLButtonElement>(null);
  const [held, setHeld] = useState<number | null>(null);
  const placeOf = (event: PointerEvent): number => {
    const rod = button.current?.parentElement?.getBoundingClientRect();
    return rod && rod.width > 0 ? left + ((event.clientX - rod.left) / rod.width) * (right - left) : at;
  };
  return (
    <button
      ref={button}
      type="button"
      aria-label={tell('rod-handles.arrow-keys-move-it', { label })}
      className="absolute top-[2.4rem] z-10 grid h-11 w-6 -translate-x-1/2 cursor-ew-resize touch-none place-items-start justify-center"
      style={{ left: `${(((held ?? at) - left) / (right - left)) * 100}%` }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        setHeld(at);
      }}
      onPointerMove={(event) => held !== null && setHeld(Math.min(right, Math.max(left, placeOf(event))))}
      onPointerUp={() => {
        if (held !== null && Math.abs(held - at) > 0.01) onMove(which, held);
        setHeld(null);
      }}
      onPointerCancel={() => setHeld(null)}
      onKeyDown={(event) => {
        const step = event.key === 'ArrowRight' ? NUDGE : event.key === 'ArrowLeft' ? -NUDGE : 0;
        if (step === 0) return;
        event.preventDefault();
        onMove(which, at + step);
      }}
    >
      <span
        className={`mt-0.5 block h-5 w-2 rounded-full border-2 border-ink ${held === null ? 'bg-sheet' : 'bg-signal'}`}
      />
    </button>
  );
}
