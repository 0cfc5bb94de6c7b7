import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { Link } from 'react-router';
import {
  companionsIn,
  LIVE_COVERS,
  LIVE_ENDS,
  LIVE_KINDS,
  LIVE_WINDS,
  type LiveEnd,
  type LiveKind,
  quotaLines,
  tallyOf,
} from '@/core/review';
import { addDays, asId, type Day, type GroundId, isDay, parseOne, type Sentence } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import {
  activeElements,
  asLive,
  type ElementRecord,
  elementOfKind,
  type Ground,
  type LiveDay,
  listGrounds,
  liveDays,
  reachAxis,
  type SeasonEvent,
  scenesBefore,
  seasonOf,
  trainedTo,
  waitingOf,
  weekdayOf,
  workOf,
} from '@/data/read';
import { addEvent, changeEvent, changeLiveDay, countAsRep, removeEvent } from '@/data/write';
import { Button, buttonClass, Notice, PageHead, SelectField, Sheet, TextField } from '@/ui';
import { numberCustom, wordsOf, writeDay } from '@/words';
import { Asked } from './asked';
import { useDay } from './day-store';
import { eventInWords } from './event-words';
import { SceneSheet } from './scene-sheet';
import { useSeasonUnit } from './use-season-unit';
import { tell } from './words';

/** A live day, two taps an event: what it was, how it ended. Another day than today is typed in the same way. */
export function DayPage() {
  const { kennel, dog, today } = useKennelWithDog();
  const [day, setDay] = useState<Day>(today);
  const [before, setBefore] = useState(false);
  const found = useLiveQuery(async () => {
    const work = await workOf(kennel, dog.id);
    const elements = activeElements(work);
    const trained = await trainedTo(kennel, elements, LIVE_KINDS);
    const year = await liveDays(kennel, dog.id, addDays(day, -364), day);
    return {
      live: year.find(({ outing }) => outing.day === day) ?? null,
      // Monday begins the week.
      thisWeek: year.filter(({ outing }) => outing.day > addDays(day, -weekdayOf(day))).length,
      year,
      elements,
      trained,
      waits: await waitingOf(kennel, work, elements),
      season: await seasonOf(kennel, dog.id),
      grounds: await listGrounds(kennel),
      scenes: await scenesBefore(kennel, dog.id),
    };
  }, [kennel, dog.id, day]);
  const unit = useSeasonUnit(found?.elements ?? NOTHING);
  if (!found) return <p className="text-lg">{tell('day.opening')}</p>;
  const { live, elements, grounds, scenes, season, thisWeek, trained, year, waits } = found;
  const lines = quotaLines(season, {
    events: live?.events.map(asLive) ?? [],
    companions: companionsIn(live?.outing.helpers ?? ''),
    daysThisWeek: thisWeek,
  });
  return (
    <>
      <PageHead title={tell('day.title', { name: dog.name })}>{tell('day.how')}</PageHead>
      <div className="mb-4 grid gap-2" aria-live="polite">
        {lines.map((line) => (
          <Notice key={wordsOf(line)} tone="alert">
            {wordsOf(line)}
          </Notice>
        ))}
        {season.first && <Notice>{tell('day.first-season')}</Notice>}
      </div>
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <Taps
          key={dog.id}
          day={before ? null : day}
          unit={unit}
          live={before ? null : live}
          waitsFor={(kind) => {
            const of = elementOfKind(kind, elements);
            return of ? (waits.get(of.id) ?? []) : [];
          }}
          elementFor={(what) => elementOfKind(what, elements)?.id ?? null}
        />
        <div className="grid gap-5">
          <Sheet title={tell('day.the-day')}>
            <div className="grid gap-3 sm:grid-cols-2">
              <TextField
                label={tell('day.which')}
                type="date"
                max={today}
                value={day}
                onChange={(event) => {
                  const { value } = event.target;
                  if (isDay(value) && value <= today) setDay(value);
                }}
              />
              {live && <Companions key={live.outing.id} live={live} />}
              {live && <Where key={`where ${live.outing.id}`} live={live} grounds={grounds} />}
            </div>
            <p className="mt-3 flex flex-wrap gap-3">
              <Button aria-pressed={before} onClick={() => setBefore(!before)}>
                {tell('day.from-before')}
              </Button>
              <Link className={buttonClass('plain')} to={`/${kennel.name}/season`}>
                {tell('day.to-the-season')}
              </Link>
            </p>
          </Sheet>
          <Happened events={before ? scenes : (live?.events ?? [])} elements={elements} unit={unit} />
          <SceneSheet trained={trained} year={year} unit={unit} />
        </div>
      </div>
    </>
  );
}

const NOTHING: readonly ElementRecord[] = [];

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

function Taps({ day, unit, live, waitsFor, elementFor }: TapsProps) {
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

function Companions({ live }: { readonly live: LiveDay }) {
  const { kennel, done } = useKennelWithDog();
  const [text, setText] = useState(live.outing.helpers);
  const keep = (): void => {
    if (text.trim() === live.outing.helpers) return;
    void done(tell('day.companions-kept'), changeLiveDay(kennel, live.outing.id, { helpers: text.trim() }));
  };
  return (
    <TextField
      label={tell('day.companions')}
      hint={tell('day.companions-hint')}
      maxLength={80}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={keep}
      onKeyDown={(event) => event.key === 'Enter' && keep()}
    />
  );
}

/** On which ground, and what the weather was like, in words. */
function Where({ live, grounds }: { readonly live: LiveDay; readonly grounds: readonly Ground[] }) {
  const { kennel, done } = useKennelWithDog();
  const { outing } = live;
  const [text, setText] = useState(outing.weather?.words ?? '');
  const keep = (change: Parameters<typeof changeLiveDay>[2]): void =>
    void done(tell('day.kept'), changeLiveDay(kennel, outing.id, change));
  const keepWeather = (): void => {
    if (text.trim() === (outing.weather?.words ?? '')) return;
    keep({ weather: { temperature: null, wind: null, ...outing.weather, words: text.trim() } });
  };
  return (
    <>
      <SelectField
        label={tell('day.ground')}
        value={(outing.ground ?? '') as string}
        options={[
          { value: '', words: tell('day.no-ground') },
          ...grounds.map((one) => ({ value: one.id as string, words: one.name })),
        ]}
        onChange={(value) => keep({ ground: value === '' ? null : asId<GroundId>(value) })}
      />
      <TextField
        label={tell('day.weather')}
        maxLength={80}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={keepWeather}
        onKeyDown={(event) => event.key === 'Enter' && keepWeather()}
      />
    </>
  );
}

/** What happened so far, the last first: each said otherwise, tried again, or taken off. */
type HappenedProps = {
  readonly events: readonly SeasonEvent[];
  readonly elements: readonly ElementRecord[];
  readonly unit: 'm' | 'yd';
};

function Happened({ events, elements, unit }: HappenedProps) {
  const { kennel, done } = useKennelWithDog();
  if (events.length === 0)
    return (
      <p className="border-l-[6px] border-rule bg-paper px-3 py-2 leading-snug">{tell('day.nothing-yet')}</p>
    );
  return (
    <Sheet title={tell('day.so-far')}>
      <ol className="divide-y divide-hair">
        {[...events].reverse().map((event) => (
          <li key={event.id} className="grid gap-1 py-2">
            <p className="text-lg leading-snug">{eventInWords(event, unit)}</p>
            {event.words !== '' && <p className="leading-snug text-ink-soft">{event.words}</p>}
            {event.rep !== null ? (
              <p className="leading-snug text-ink-soft">{tell('day.is-counted')}</p>
            ) : (
              <>
                <Asked event={event} />
                <div className="flex flex-wrap items-center gap-2">
                  <Button
                    aria-label={tell('day.one-try-more-of', { event: eventInWords(event, unit) })}
                    onClick={() =>
                      void done(
                        tell('day.tried-again'),
                        changeEvent(kennel, event.id, { tries: event.tries + 1 }),
                      )
                    }
                  >
                    {tell('day.one-try-more')}
                  </Button>
                  <Note event={event} />
                  <CountIt event={event} elements={elements} unit={unit} />
                  <Button
                    look="quiet"
                    aria-label={tell('day.take-off-which', { event: eventInWords(event, unit) })}
                    onClick={() => void done(tell('day.taken-off'), removeEvent(kennel, event.id))}
                  >
                    {tell('day.take-off')}
                  </Button>
                </div>
              </>
            )}
          </li>
        ))}
      </ol>
    </Sheet>
  );
}

/** An event as a rep of the work that it was, where somebody wants that. */
function CountIt({
  event,
  elements,
  unit,
}: {
  readonly event: SeasonEvent;
  readonly elements: readonly ElementRecord[];
  readonly unit: 'm' | 'yd';
}) {
  const { kennel, done } = useKennelWithDog();
  const element = elements.find((one) => one.id === event.element) ?? elementOfKind(event.what, elements);
  if (!element || event.outingId === null) return null;
  const { title } = element;
  return (
    <Button
      aria-label={tell('day.count-which', { title, event: eventInWords(event, unit) })}
      onClick={() =>
        void done(
          tell('day.counted', { title }),
          countAsRep(kennel, event.id, element, reachAxis(element)?.key ?? null),
        )
      }
    >
      {tell('day.count-it')}
    </Button>
  );
}

function Note({ event }: { readonly event: SeasonEvent }) {
  const { kennel, done } = useKennelWithDog();
  const [text, setText] = useState(event.words);
  const keep = (): void => {
    if (text.trim() !== event.words)
      void done(tell('day.noted'), changeEvent(kennel, event.id, { words: text.trim() }));
  };
  return (
    <input
      aria-label={tell('day.what-went-wrong')}
      placeholder={tell('day.what-went-wrong')}
      className="min-h-11 flex-1 border-b-2 border-ink bg-paper px-2 placeholder:text-ink-soft"
      maxLength={500}
      value={text}
      onChange={(change) => setText(change.target.value)}
      onBlur={keep}
      onKeyDown={(key) => key.key === 'Enter' && keep()}
    />
  );
}
