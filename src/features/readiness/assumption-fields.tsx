import { EVIDENCE } from '@/core/evidence';
import { type Assumptions, DEFAULT_ASSUMPTIONS, type LearnedDay } from '@/core/readiness';
import { useKennel } from '@/data/live';
import type { Trial } from '@/data/read';
import { changeTrial } from '@/data/write';
import { Button, Sheet } from '@/ui';
import { Slider } from './assumption-slider';
import { shiftInWords } from './readiness-view';
import { tell } from './words';

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
    label: tell('assumption-fields.strange-place'),
    words: (a) =>
      tell('assumption-fields.until-away-reps-tell-what-is-clean', {
        shiftInWords: shiftInWords(a.place.mean),
      }),
    value: (a) => a.place.mean,
    change: (a, mean) => ({ ...a, place: { ...a.place, mean } }),
    min: -2,
    max: 0.5,
    step: 0.1,
  },
  {
    label: tell('assumption-fields.first-try-of-the-day'),
    words: (a) =>
      tell('assumption-fields.until-cold-reps-tell-90-becomes', { shiftInWords: shiftInWords(a.cold.mean) }),
    value: (a) => a.cold.mean,
    change: (a, mean) => ({ ...a, cold: { ...a.cold, mean } }),
    min: -2,
    max: 0.5,
    step: 0.1,
  },
  {
    label: tell('assumption-fields.nerves-at-a-trial'),
    words: (a) =>
      tell('assumption-fields.all-elements-swing-together-90', {
        shiftInWords: shiftInWords(-a.nervesSd),
        shiftInWords2: shiftInWords(a.nervesSd),
      }),
    value: (a) => a.nervesSd,
    change: (a, nervesSd) => ({ ...a, nervesSd }),
    min: 0,
    max: 1.5,
    step: 0.1,
  },
  {
    label: tell('assumption-fields.days-that-the-whole-dog-has'),
    words: (a) =>
      tell('assumption-fields.of-the-swing-from-day-to-day-is', { round: Math.round(a.sharedDay * 100) }),
    value: (a) => a.sharedDay,
    change: (a, sharedDay) => ({ ...a, sharedDay }),
    min: 0,
    max: 1,
    step: 0.05,
  },
  {
    label: tell('assumption-fields.your-own-slips'),
    words: (a) =>
      tell('assumption-fields.of-the-elements-a-guess-worth-reps', {
        handlerRate: { number: a.handlerRate * 100, digits: 1 },
        handlerWeight: a.handlerWeight,
      }),
    value: (a) => a.handlerRate,
    change: (a, handlerRate) => ({ ...a, handlerRate }),
    min: 0,
    max: 0.2,
    step: 0.005,
  },
  {
    label: tell('assumption-fields.sessions-for-would-help-most'),
    words: (a) =>
      tell('assumption-fields.sessions-more-on-one-element-at', {
        sessions: a.sessions,
        round: Math.round(a.ceiling * 100),
      }),
    value: (a) => a.sessions,
    change: (a, sessions) => ({ ...a, sessions }),
    min: 1,
    max: 20,
    step: 1,
  },
];

type Asked = Assumptions['asked'];

/** What a trial may ask besides its rule book; unpaid, by the usual handler, in usual kit where none is said. */
const ASKED: readonly {
  readonly words: string;
  readonly is: (asked: Asked) => boolean;
  readonly change: (asked: Asked, on: boolean) => Asked;
}[] = [
  {
    words: tell('assumption-fields.somebody-else'),
    is: ({ handler }) => handler === 'another',
    change: (asked, on) => ({ ...asked, handler: on ? 'another' : 'usual' }),
  },
  {
    words: tell('assumption-fields.it-is-paid'),
    is: ({ paid }) => paid,
    change: (asked, paid) => ({ ...asked, paid }),
  },
  {
    words: tell('assumption-fields.other-kit'),
    is: ({ kit }) => kit === 'other',
    change: (asked, on) => ({ ...asked, kit: on ? 'other' : 'usual' }),
  },
];

/**
 * What no rep at home can tell, with its default and why; changed here, and the forecast follows.
 */
export function AssumptionFields({
  trial,
  learned,
}: {
  readonly trial: Trial;
  /** What its runs have taught; null before any, or while it is worked out. */
  readonly learned: LearnedDay | null;
}) {
  const { kennel, done } = useKennel();
  const { assumptions } = trial;
  const take = async (change: (stored: Assumptions) => Assumptions, words: string): Promise<void> => {
    const changing = changeTrial(kennel, trial.id, (stored) => ({ assumptions: change(stored.assumptions) }));
    await done(words, changing);
  };
  const own = assumptions.sessionsPerWeek;
  return (
    <Sheet
      title={tell('assumption-fields.what-this-assumes')}
      aside={
        <Button
          look="quiet"
          onClick={() => void take(() => DEFAULT_ASSUMPTIONS, tell('assumption-fields.back-to-the-defaults'))}
        >
          {tell('assumption-fields.defaults')}
        </Button>
      }
    >
      {learned && (
        <p role="status" className="mb-3 leading-snug">
          {tell('assumption-fields.learned', {
            runs: learned.runs,
            goes: learned.goes,
            place: shiftInWords(learned.place.mean),
            low: shiftInWords(-learned.nerves),
            high: shiftInWords(learned.nerves),
          })}
        </p>
      )}
      <div className="grid gap-3">
        {FIELDS.map((field) => (
          <div key={field.label}>
            <Slider
              label={field.label}
              field={field}
              value={field.value(assumptions)}
              words={(value) => field.words(field.change(assumptions, value))}
              onTake={(value) =>
                void take(
                  (stored) => field.change(stored, value),
                  tell('assumption-fields.changed', { label: field.label }),
                )
              }
            />
            {field.value(assumptions) !== field.value(DEFAULT_ASSUMPTIONS) && (
              <p className="text-sm leading-snug text-ink-soft">
                {tell('assumption-fields.default', { words: field.words(DEFAULT_ASSUMPTIONS) })}
              </p>
            )}
          </div>
        ))}
        <fieldset>
          <legend className="font-semibold">{tell('assumption-fields.at-the-trial')}</legend>
          {ASKED.map(({ words, is, change }) => (
            <label key={words} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="size-5 accent-(--ink)"
                checked={is(assumptions.asked)}
                onChange={(event) => {
                  const on = event.target.checked;
                  void take(
                    (stored) => ({ ...stored, asked: change(stored.asked, on) }),
                    tell('assumption-fields.asked-changed'),
                  );
                }}
              />
              {words}
            </label>
          ))}
          <p className="text-sm leading-snug">
            {tell('assumption-fields.each-of-them-costs', {
              shiftInWords: shiftInWords(EVIDENCE.shift.mean),
            })}
          </p>
        </fieldset>
        <div>
          <label className="inline-flex min-h-11 items-center gap-2 font-semibold">
            <input
              type="checkbox"
              className="size-5 accent-(--ink)"
              checked={own === null}
              onChange={() =>
                void take(
                  (stored) => ({ ...stored, sessionsPerWeek: stored.sessionsPerWeek === null ? 2 : null }),
                  tell('assumption-fields.sessions-a-week-changed'),
                )
              }
            />
            {tell('assumption-fields.sessions-a-week-as-in-the-last')}
          </label>
          {own !== null && (
            <Slider
              label={tell('assumption-fields.sessions-a-week')}
              field={{ min: 0, max: 7, step: 0.5 }}
              value={own}
              words={(value) => tell('assumption-fields.sessions-a-week-on-each-element', { value })}
              onTake={(value) =>
                void take(
                  (stored) => ({ ...stored, sessionsPerWeek: value }),
                  tell('assumption-fields.sessions-a-week-changed'),
                )
              }
            />
          )}
        </div>
        <ul className="list-inside list-disc text-sm leading-snug">
          <li>{tell('assumption-fields.at-the-trial-every-element-is-a')}</li>
          <li>{tell('assumption-fields.which-fault-it-is-when-a-rep-is')}</li>
          <li>{tell('assumption-fields.sessions-lose-half-their-say-every')}</li>
        </ul>
      </div>
    </Sheet>
  );
}
