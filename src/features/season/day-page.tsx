import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { Link } from 'react-router';
import { companionsIn, LIVE_KINDS, quotaLines } from '@/core/review';
import { addDays, type Day, isDay } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import {
  activeElements,
  asLive,
  type ElementRecord,
  elementOfKind,
  listGrounds,
  liveDays,
  scenesBefore,
  seasonOf,
  trainedTo,
  waitingOf,
  weekOf,
  workOf,
} from '@/data/read';
import { Button, buttonClass, Notice, PageHead, Sheet, TextField } from '@/ui';
import { weekStart, wordsOf } from '@/words';
import { Happened } from './happened';
import { SceneSheet } from './scene-sheet';
import { Taps } from './taps';
import { useSeasonUnit } from './use-season-unit';
import { Companions, Where } from './where';
import { tell } from './words';

const NOTHING: readonly ElementRecord[] = [];

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
      thisWeek: year.filter(({ outing }) => outing.day >= weekOf(day, weekStart())).length,
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
