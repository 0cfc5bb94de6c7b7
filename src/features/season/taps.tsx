import {
  LIVE_COVERS,
  LIVE_ENDS,
  LIVE_KINDS,
  LIVE_WINDS,
  type LiveEnd,
  type LiveKind,
  tallyOf,
} from '@/core/review';
import { type Day, parseOne, type Sentence } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { asLive, type LiveDay, type SeasonEvent } from '@/data/read';
import { addEvent } from '@/data/write';
import { Button, Notice, Sheet, TextField } from '@/ui';
import { numberCustom, wordsOf, writeDay } from '@/words';
import { useDay } from './day-store';
import { tell } from './words';

type TapsProps = {
  /** Null for scenes from before the program. */
  readonly day: Day | null;
  readonly unit: 'm' | 'yd';
  readonly live: LiveDay | null;
  /** What has to stand before this kind is looked for in the field. */
  readonly waitsFor: (what: LiveKind) => readonly Sentence[];
  readonly elementFor: (
    what: NonNullable<ReturnType<typeof useDay.getState>['what']>,
  ) => SeasonEvent['element'];
};

/** Two taps: what it was, how it ended. What is in hand stays for the next one. */
export function Taps({ day, unit, live, waitsFor, elementFor }: TapsProps) {
  const { kennel, dog, today, now, done } = useKennelWithDog();
  const { what, distance, wind, cover, set } = useDay();
  const read = distance.trim() === '' ? null : parseOne(distance, 'distance', unit, numberCustom());
  const log = async (end: LiveEnd): Promise<void> => {
    if (what === null || (read && !read.ok)) return;
    await done(
      tell('day.logged', { what: tell('event.what', { what }), end: tell('event.end', { end }) }),
      addEvent(
        kennel,
        dog.id,
        day,
        {
          at: day === today ? now() : null,
          what,
          element: elementFor(what),
          distance: read?.ok && read.value > 0 ? read.value : null,
          wind,
          cover,
          end,
          faults: [],
          tries: 1,
          words: '',
        },
        Date.parse(`${day ?? today}T12:00:00`),
      ),
    );
  };
  return (
    <Sheet
      title={
        day === null ? tell('day.what-happened-before') : tell('day.what-happened', { day: writeDay(day) })
      }
    >
      <fieldset className="grid grid-cols-3 gap-2" aria-label={tell('day.what')}>
        {LIVE_KINDS.map((kind) => (
          <Button
            key={kind}
            size="big"
            look={what === kind ? 'ink' : 'plain'}
            aria-pressed={what === kind}
            onClick={() => set({ what: kind })}
          >
            {tell('event.what', { what: kind })}
          </Button>
        ))}
      </fieldset>
      <fieldset className="mt-3 grid grid-cols-3 gap-2" aria-label={tell('day.end')}>
        {LIVE_ENDS.map((end) => (
          <Button
            key={end}
            size="huge"
            look={end === 'right' ? 'signal' : 'plain'}
            aria-disabled={what === null}
            onClick={() => void log(end)}
          >
            {tell('event.end', { end })}
          </Button>
        ))}
      </fieldset>
      {what === null && <p className="mt-2 leading-snug">{tell('day.first-what')}</p>}
      {what !== null && waitsFor(what).length > 0 && (
        <Notice>{tell('day.waits', { waits: { list: waitsFor(what), between: '; ' } })}</Notice>
      )}
      <div className="mt-4 grid gap-3">
        <TextField
          label={tell('day.distance')}
          hint={tell('day.distance-hint', { unit })}
          inputMode="decimal"
          value={distance}
          problem={read && !read.ok ? wordsOf(read.message) : undefined}
          onChange={(event) => set({ distance: event.target.value })}
        />
        <Chips
          label={tell('day.wind')}
          values={LIVE_WINDS}
          value={wind}
          words={(one) => tell('event.wind', { wind: one })}
          onChoose={(one) => set({ wind: one })}
        />
        <Chips
          label={tell('day.cover')}
          values={LIVE_COVERS}
          value={cover}
          words={(one) => tell('event.cover', { cover: one })}
          onChoose={(one) => set({ cover: one })}
        />
      </div>
      {live && live.events.length > 0 && (
        <p className="mt-3 font-semibold" aria-live="polite">
          {tallyOf(live.events.map(asLive))
            .map(({ what: kind, n, right }) =>
              tell('day.tally', { what: tell('event.what', { what: kind }), n, right }),
            )
            .join(' · ')}
        </p>
      )}
      <Notice>{tell('day.stop-name-fix')}</Notice>
    </Sheet>
  );
}

type ChipsProps<T extends string> = {
  readonly label: string;
  readonly values: readonly T[];
  readonly value: T | null;
  readonly words: (value: T) => string;
  readonly onChoose: (value: T | null) => void;
};

/** One of a few, or none: it keeps its last value. */
function Chips<T extends string>({ label, values, value, words, onChoose }: ChipsProps<T>) {
  return (
    <fieldset className="flex flex-wrap gap-2" aria-label={label}>
      {values.map((one) => (
        <Button
          key={one}
          size="big"
          look={value === one ? 'ink' : 'plain'}
          aria-pressed={value === one}
          onClick={() => onChoose(value === one ? null : one)}
        >
          {words(one)}
        </Button>
      ))}
    </fieldset>
  );
}
