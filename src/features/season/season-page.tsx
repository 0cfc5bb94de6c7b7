import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { Link } from 'react-router';
import { type Hole, holesOf, LIVE_KINDS, type LiveKind, tallyOf } from '@/core/review';
import { addDays, type Day, isDay } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import {
  activeElements,
  asLive,
  type ElementRecord,
  elementOfKind,
  keptForecasts,
  type LiveDay,
  liveDays,
  type ResultRecord,
  reachAxis,
  scenesBefore,
  seasonOf,
  trainedTo,
  workOf,
} from '@/data/read';
import { changeElement } from '@/data/write';
import { Button, buttonClass, Notice, PageHead, SelectField, Sheet, TextField } from '@/ui';
import { writeDay, writeNumber, writeShare } from '@/words';
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

type HoleProps = {
  readonly hole: Hole;
  readonly elements: readonly ElementRecord[];
  readonly trained: number | null;
};

/** A hole in one sentence, with its grounds, and the work that it becomes in one tap. */
function HoleLine({ hole, elements, trained }: HoleProps) {
  const { kennel, done } = useKennelWithDog();
  const unit = useSeasonUnit(elements);
  const usual = elementOfKind(hole.what, elements);
  const [chosen, setChosen] = useState<string>(usual?.id ?? '');
  const element = elements.find((one) => one.id === chosen) ?? null;
  const axis = element && reachAxis(element);
  const goal = hole.goal;
  const further = axis !== null && goal !== null && goal > axis.demand + 1e-6;
  const length = (metres: number) => ({ quantity: 'distance', base: metres, unit }) as const;
  const raise = (): void => {
    if (!element || !axis || goal === null) return;
    void done(
      tell('season.is-work', { title: element.title, goal: length(goal) }),
      changeElement(kennel, element.id, {
        axes: element.axes.map((one) => (one.key === axis.key ? { ...one, demand: goal } : one)),
      }),
    );
  };
  return (
    <li className="grid gap-1.5 py-3">
      <p className="text-lg font-semibold leading-snug">
        {tell('season.hole', {
          what: whatOf(hole.what),
          where: whereOf(hole, length),
          right: hole.right,
          n: hole.n,
        })}
      </p>
      <p className="leading-snug">
        {hole.thin
          ? tell('season.thin')
          : tell('season.share', { low: writeShare(hole.low), high: writeShare(hole.high) })}{' '}
        {tell('season.cost', { cost: hole.cost })}{' '}
        {trained !== null && tell('season.trained-to', { trained: length(trained) })}
      </p>
      {elements.length === 0 ? (
        <Link className={buttonClass('ink')} to={`/${kennel.name}/breakdown/methods`}>
          {tell('season.choose-a-method')}
        </Link>
      ) : (
        <div className="flex flex-wrap items-end gap-3">
          <SelectField
            label={tell('season.work-it-with')}
            value={chosen}
            options={[
              { value: '', words: tell('season.nothing-yet') },
              ...elements.map((one) => ({ value: one.id as string, words: one.title })),
            ]}
            onChange={setChosen}
          />
          {further && goal !== null && (
            <Button look="ink" onClick={raise}>
              {tell('season.make-it-work', { goal: length(goal) })}
            </Button>
          )}
          {element && !further && (
            <Link className={buttonClass('ink')} to={`/${kennel.name}/field/${element.id}`}>
              {tell('season.to-its-card')}
            </Link>
          )}
          {element && (
            <Link
              className={buttonClass('plain')}
              to={`/${kennel.name}/set-outs/new?element=${element.id}${goal === null ? '' : `&far=${goal}`}`}
            >
              {tell('season.set-it-up')}
            </Link>
          )}
          {!element && (
            <Link className={buttonClass('plain')} to={`/${kennel.name}/breakdown/methods`}>
              {tell('season.choose-a-method')}
            </Link>
          )}
        </div>
      )}
    </li>
  );
}

const whatOf = (what: LiveKind): string => tell('season.plural', { what });

function whereOf(
  { where }: Hole,
  length: (metres: number) => {
    readonly quantity: 'distance';
    readonly base: number;
    readonly unit: 'm' | 'yd';
  },
): string {
  const parts = [
    where.beyond === null ? '' : tell('season.past', { distance: length(where.beyond) }),
    where.wind === null ? '' : tell('event.wind', { wind: where.wind }),
    where.cover === null ? '' : tell('event.cover', { cover: where.cover }),
  ].filter((one) => one !== '');
  return parts.length > 0 ? ` ${parts.join(', ')}` : '';
}

/** Trials of a time: how many, how many passed, and their points on average; null where nobody kept any. */
type Trialled = { readonly n: number; readonly passed: number; readonly mean: number | null };

function tallyOfResults(results: readonly ResultRecord[]): Trialled {
  const points = results.flatMap((one) => one.points ?? []);
  return {
    n: results.length,
    passed: results.filter(({ passed }) => passed).length,
    mean: points.length > 0 ? points.reduce((sum, one) => sum + one, 0) / points.length : null,
  };
}

type ComparedProps = {
  readonly days: readonly LiveDay[];
  readonly before: readonly LiveDay[];
  readonly now: Trialled;
  readonly then: Trialled;
};

/** What went right of each kind, and trials, this year beside the one before. */
function Compared({ days, before, now: trials, then: trialsBefore }: ComparedProps) {
  const now = tallyOf(days.flatMap((one) => one.events.map(asLive)));
  const then = tallyOf(before.flatMap((one) => one.events.map(asLive)));
  if (now.length === 0 && trials.n === 0) return null;
  const points = ({ mean }: Trialled): string =>
    mean === null ? '–' : writeNumber(Math.round(mean * 10) / 10);
  return (
    <Sheet title={tell('season.beside-the-last')}>
      <table className="w-full text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1">{tell('season.what')}</th>
            <th className="py-1">{tell('season.now')}</th>
            <th className="py-1">{tell('season.year-before')}</th>
          </tr>
        </thead>
        <tbody>
          {now.map(({ what, n, right }) => {
            const last = then.find((one) => one.what === what);
            return (
              <tr key={what} className="border-b border-hair">
                <th scope="row" className="py-1 font-normal">
                  {tell('event.what', { what })}
                </th>
                <td>{tell('season.of', { right, n })}</td>
                <td>{last ? tell('season.of', { right: last.right, n: last.n }) : '–'}</td>
              </tr>
            );
          })}
          {trials.n > 0 && (
            <>
              <tr className="border-b border-hair">
                <th scope="row" className="py-1 font-normal">
                  {tell('season.trials')}
                </th>
                <td>{tell('season.of', { right: trials.passed, n: trials.n })}</td>
                <td>
                  {trialsBefore.n > 0
                    ? tell('season.of', { right: trialsBefore.passed, n: trialsBefore.n })
                    : '–'}
                </td>
              </tr>
              <tr className="border-b border-hair">
                <th scope="row" className="py-1 font-normal">
                  {tell('season.points')}
                </th>
                <td>{points(trials)}</td>
                <td>{points(trialsBefore)}</td>
              </tr>
            </>
          )}
        </tbody>
      </table>
      <p className="mt-2 leading-snug text-ink-soft">
        {tell('season.days', {
          list: { list: days.slice(0, 6).map((one) => writeDay(one.outing.day)), between: ', ' },
          n: days.length,
        })}
      </p>
    </Sheet>
  );
}
