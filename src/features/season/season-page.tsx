import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { Link } from 'react-router';
import { holesOf, LIVE_KINDS } from '@/core/review';
import { addDays, type Day, isDay } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import {
  activeElements,
  asLive,
  type ElementRecord,
  keptForecasts,
  liveDays,
  scenesBefore,
  seasonOf,
  trainedTo,
  workOf,
} from '@/data/read';
import { buttonClass, Notice, PageHead, Sheet, TextField } from '@/ui';
import { Compared, tallyOfResults } from './compared';
import { HoleLine } from './hole-line';
import { QuotaSheet } from './quota-sheet';
import { useSeasonUnit } from './use-season-unit';
import { tell } from './words';

const NOTHING: readonly ElementRecord[] = [];

/** Metres of the person's unit. */
const METRES = { m: 1, yd: 0.9144 } as const;

/** A season looked back at: where it went wrong, what it cost, and the work that would mend it. */
export function SeasonPage() {
  const { kennel, dog, today } = useKennelWithDog();
  const [from, setFrom] = useState<Day>(addDays(today, -364));
  const found = useLiveQuery(async () => {
    const elements = activeElements(await workOf(kennel, dog.id));
    const length = 365;
    return {
      elements,
      days: await liveDays(kennel, dog.id, from, today),
      before: await liveDays(kennel, dog.id, addDays(from, -length), addDays(from, -1)),
      trained: await trainedTo(kennel, elements, LIVE_KINDS),
      season: await seasonOf(kennel, dog.id),
      scenes: await scenesBefore(kennel, dog.id),
      results: (await keptForecasts(kennel, dog.id)).results,
    };
  }, [kennel, dog.id, from, today]);
  const unit = useSeasonUnit(found?.elements ?? NOTHING);
  if (!found) return <p className="text-lg">{tell('day.opening')}</p>;
  const { elements, days, before, trained, season, scenes, results } = found;
  const told = scenes.map(asLive);
  const events = [...days.flatMap((one) => one.events.map(asLive)), ...told];
  const holes = holesOf(events, trained, METRES[unit]);
  return (
    <>
      <PageHead title={tell('season.title', { name: dog.name })}>
        {events.length === 0
          ? tell('season.nothing')
          : tell('season.in-all', {
              days: days.length,
              events: events.length - told.length,
              scenes: told.length,
              holes: holes.length,
            })}
      </PageHead>
      <div className="mb-5 flex flex-wrap items-end gap-3">
        <Link className={buttonClass('signal', 'big')} to={`/${kennel.name}/season/day`}>
          {tell('season.a-day-out')}
        </Link>
        <TextField
          label={tell('season.since')}
          type="date"
          max={today}
          value={from}
          onChange={(event) => {
            const { value } = event.target;
            if (isDay(value) && value <= today) setFrom(value);
          }}
        />
      </div>
      <div className="grid items-start gap-5 lg:grid-cols-[1fr_22rem]">
        <Sheet title={tell('season.holes')} aside={tell('season.holes-aside')}>
          {holes.length === 0 && (
            <p className="leading-snug">
              {events.length < 5 ? tell('season.too-few') : tell('season.no-hole')}
            </p>
          )}
          <ol className="divide-y divide-hair">
            {holes.map((hole) => (
              <HoleLine
                key={`${hole.what} ${JSON.stringify(hole.where)}`}
                hole={hole}
                elements={elements}
                trained={trained[hole.what] ?? null}
              />
            ))}
          </ol>
        </Sheet>
        <div className="grid gap-5">
          <Compared
            days={days}
            before={before}
            now={tallyOfResults(results.filter(({ day }) => day >= from))}
            then={tallyOfResults(results.filter(({ day }) => day < from && day >= addDays(from, -365)))}
          />
          <QuotaSheet key={dog.id} season={season} />
        </div>
      </div>
      <Notice>{tell('season.beside-training')}</Notice>
    </>
  );
}
