import { useEffect, useRef, useState } from 'react';

type SliderProps = {
  readonly label: string;
  readonly field: { readonly min: number; readonly max: number; readonly step: number };
  readonly value: number;
  readonly words: (value: number) => string;
  readonly onTake: (value: number) => void;
};

/**
 * The words move with the hand; what is let go is taken. Every step on the way would be a forecast
 * of its own.
 */
export function Slider({ label, field, value, words, onTake }: SliderProps) {
  const [at, setAt] = useState(value);
  // What was taken last: letting go tells in several ways, and only a change from elsewhere (undo,
  // defaults) moves the slider.
  const taken = useRef(value);
  useEffect(() => {
    if (value === taken.current) return;
    taken.current = value;
    setAt(value);
  }, [value]);
  const letGo = (): void => {
    if (at === taken.current) return;
    taken.current = at;
    onTake(at);
  };
  return (
    <>
      <label className="block font-semibold">
        {label}
        <input
          type="range"
          className="block h-11 w-full accent-(--ink)"
          aria-valuetext={words(at)}
          min={field.min}
          max={field.max}
          step={field.step}
          value={at}
          onChange={(event) => setAt(Number(event.target.value))}
          onPointerUp={letGo}
          onKeyUp={letGo}
          onBlur={letGo}
        />
      </label>
      <p className="text-sm leading-snug">{words(at)}</p>
    </>
  );
}
