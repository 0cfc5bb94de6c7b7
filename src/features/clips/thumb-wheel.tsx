import { useRef } from 'react';
import { tell } from './words';

/** Pixels of thumb for a frame. */
const NOTCH = 9;

type Props = {
  readonly frame: number;
  readonly count: number;
  readonly at: string;
  readonly onStep: (by: number) => void;
};

/** A wheel under the thumb, a notch a frame: pushed to the left the clip goes on, as a strip of film would. */
export function ThumbWheel({ frame, count, at, onStep }: Props) {
  const from = useRef<{ x: number; done: number } | null>(null);
  return (
    <div
      role="slider"
      tabIndex={0}
      aria-label={tell('wheel.label')}
      aria-valuemin={1}
      aria-valuemax={count}
      aria-valuenow={frame + 1}
      aria-valuetext={tell('wheel.value', { frame: frame + 1, count, at })}
      className="relative h-16 w-full cursor-ew-resize touch-none border-2 border-ink bg-sheet select-none"
      style={{
        backgroundImage: `repeating-linear-gradient(90deg, var(--ink) 0 2px, transparent 2px ${NOTCH}px)`,
        backgroundPosition: `calc(50% - ${frame * NOTCH}px) 0`,
        backgroundSize: '100% 45%',
        backgroundRepeat: 'repeat-x',
      }}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { x: event.clientX, done: 0 };
      }}
      onPointerMove={(event) => {
        if (!from.current) return;
        const notches = Math.trunc((from.current.x - event.clientX) / NOTCH);
        if (notches === from.current.done) return;
        onStep(notches - from.current.done);
        from.current.done = notches;
      }}
      onPointerUp={() => {
        from.current = null;
      }}
      onPointerCancel={() => {
        from.current = null;
      }}
    >
      <span aria-hidden="true" className="pointer-events-none absolute inset-y-0 left-1/2 w-1 bg-signal" />
    </div>
  );
}
