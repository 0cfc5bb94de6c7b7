import { useEffect, useRef, useState } from 'react';
import { type Assumptions, DEFAULT_ASSUMPTIONS } from '@/core/readiness';
import { useKennel } from '@/data/live';
import type { Trial } from '@/data/read';
import { changeTrial } from '@/data/write';
import { Button, Sheet } from '@/ui';
import { shiftInWords } from './readiness-view';

type Field = {
  readonly label: string;
  /** What the number means, in words with the number. */
  readonly words: (a: Assumptions) => string;
  readonly value: (a: Assumptions) => number;
  readonly change: (a: Assumptions, value: number) => Assumptions;
  readonly min: number;
  readonly max: number;
  readonly step: number;
};

const FIELDS: readonly Field[] = [
  {
    label: 'Strange place',
    words: (a) =>
      `Until away reps tell: what is clean 90 % of the time at home is clean ${shiftInWords(a.place.mean)} away.`,
    value: (a) => a.place.mean,
    change: (a, mean) => ({ ...a, place: { ...a.place, mean } }),
    min: -2,
    max: 0.5,
    step: 0.1,
  },
  {
    label: 'First try of the day',
    words: (a) => `Until cold reps tell: 90 % becomes ${shiftInWords(a.cold.mean)}.`,
    value: (a) => a.cold.mean,
    change: (a, mean) => ({ ...a, cold: { ...a.cold, mean } }),
    min: -2,
    max: 0.5,
    step: 0.1,
  },
  {
    label: 'Nerves at a trial',
    words: (a) =>
      `All elements swing together: 90 % becomes ${shiftInWords(-a.nervesSd)} on one day and ${shiftInWords(a.nervesSd)} on another.`,
    value: (a) => a.nervesSd,
    change: (a, nervesSd) => ({ ...a, nervesSd }),
    min: 0,
    max: 1.5,
    step: 0.1,
  },
  {
    label: 'Days that the whole dog has',
    words: (a) =>
      `${Math.round(a.sharedDay * 100)} % of the swing from day to day is the dog’s, the rest is each element’s own. How wide it swings is measured.`,
    value: (a) => a.sharedDay,
    change: (a, sharedDay) => ({ ...a, sharedDay }),
    min: 0,
    max: 1,
    step: 0.05,
  },
  {
    label: 'Your own slips',
    words: (a) =>
      `${(a.handlerRate * 100).toFixed(1)} % of the elements, a guess worth ${a.handlerWeight} reps of your log.`,
    value: (a) => a.handlerRate,
    change: (a, handlerRate) => ({ ...a, handlerRate }),
    min: 0,
    max: 0.2,
    step: 0.005,
  },
  {
    label: 'Sessions for “would help most”',
    words: (a) =>
      `${a.sessions} sessions more on one element, at the rate at which this dog learns it, and never past ${Math.round(a.ceiling * 100)} % clean.`,
    value: (a) => a.sessions,
    change: (a, sessions) => ({ ...a, sessions }),
    min: 1,
    max: 20,
    step: 1,
  },
];

/**
 * What no rep at home can tell, with its default and why; changed here, and the forecast follows.
 */
export function AssumptionFields({ trial }: { readonly trial: Trial }) {
  const { kennel, done } = useKennel();
  const { assumptions } = trial;
  const take = async (change: (stored: Assumptions) => Assumptions, words: string): Promise<void> => {
    const changing = changeTrial(kennel, trial.id, (stored) => ({ assumptions: change(stored.assumptions) }));
    await done(words, changing);
  };
  const own = assumptions.sessionsPerWeek;
  return (
    <Sheet
      title="What this assumes"
      aside={
        <Button look="quiet" onClick={() => void take(() => DEFAULT_ASSUMPTIONS, 'Back to the defaults.')}>
          Defaults
        </Button>
      }
    >
      <div className="grid gap-3">
        {FIELDS.map((field) => (
          <div key={field.label}>
            <Slider
              label={field.label}
              field={field}
              value={field.value(assumptions)}
              words={(value) => field.words(field.change(assumptions, value))}
              onTake={(value) =>
                void take((stored) => field.change(stored, value), `${field.label} changed.`)
              }
            />
            {field.value(assumptions) !== field.value(DEFAULT_ASSUMPTIONS) && (
              <p className="text-sm leading-snug text-ink-soft">
                Default: {field.words(DEFAULT_ASSUMPTIONS)}
              </p>
            )}
          </div>
        ))}
        <div>
          <label className="inline-flex min-h-11 items-center gap-2 font-semibold">
            <input
              type="checkbox"
              className="size-5 accent-(--ink)"
              checked={own === null}
              onChange={() =>
                void take(
                  (stored) => ({ ...stored, sessionsPerWeek: stored.sessionsPerWeek === null ? 2 : null }),
                  'Sessions a week changed.',
                )
              }
            />
            Sessions a week as in the last four weeks
          </label>
          {own !== null && (
            <Slider
              label="Sessions a week"
              field={{ min: 0, max: 7, step: 0.5 }}
              value={own}
              words={(value) => `${value} sessions a week on each element.`}
              onTake={(value) =>
                void take((stored) => ({ ...stored, sessionsPerWeek: value }), 'Sessions a week changed.')
              }
            />
          )}
        </div>
        <ul className="list-inside list-disc text-sm leading-snug">
          <li>
            At the trial every element is a first try in a strange place. What no pay at the ring does is not
            estimated: it shows only in what was rehearsed.
          </li>
          <li>
            Which fault it is when a rep is not clean: as your log says, with two imagined reps spread over
            all faults that can happen; how crooked and how slow by what was measured.
          </li>
          <li>
            Sessions lose half their say every 21 days; a level may have drifted a little since, and drifts
            on.
          </li>
        </ul>
      </div>
    </Sheet>
  );
}

type SliderProps = {
  readonly label: string;
  readonly field: Pick<Field, 'min' | 'max' | 'step'>;
  readonly value: number;
  readonly words: (value: number) => string;
  readonly onTake: (value: number) => void;
};

/**
 * The words move with the hand; what is let go is taken. Every step on the way would be a forecast
 * of its own.
 */
function Slider({ label, field, value, words, onTake }: SliderProps) {
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
