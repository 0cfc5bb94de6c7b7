import { useEffect, useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Floor, Forecast } from '@/core/readiness';
import { prepareRules, type RuleBook, rulesTotal } from '@/core/rulebooks';
import { daysBetween } from '@/core/shared';
import { type DogState, useDog, useKennelWithDog } from '@/data/live';
import type { Trial } from '@/data/read';
import { Button, buttonClass, Notice, PageHead, SelectField, Sheet } from '@/ui';
import { writeDay, writeShare } from '@/words';
import { Answer } from './answer';
import { NewTrial } from './new-trial';
import { floorInWords } from './readiness-view';
import { ResultsSheet } from './results-sheet';
import { SideBySide } from './side-by-side';
import { TrialsSheet } from './trials-sheet';
import { useForecast } from './use-forecast';
import { tell } from './words';

export function ReadinessRoom() {
  const { dog, today } = useKennelWithDog();
  const state = useDog();
  const [search, setSearch] = useSearchParams();
  const chosen = search.get('trial');
  const [ready, setReady] = useState(false);
  if (!state) return <p className="text-lg">{tell('readiness-room.reading-the-log')}</p>;
  const ahead = state.trials.filter((candidate) => candidate.day >= today);
  const trial = state.trials.find((candidate) => candidate.id === chosen) ?? ahead[0] ?? state.trials.at(-1);
  if (!trial) return <NoTrial name={dog.name} state={state} />;
  return (
    <>
      <TrialForecast key={trial.id} trial={trial} state={state} onReady={setReady} />
      <div className="mt-6 grid items-start gap-6 lg:grid-cols-2">
        {state.trials.length > 1 && (
          <Sheet title={tell('readiness-room.other-trials')}>
            <SelectField
              label={tell('readiness-room.trial')}
              value={trial.id as string}
              options={state.trials.map((one) => ({
                value: one.id as string,
                words: `${writeDay(one.day)}, ${one.title}`,
              }))}
              onChange={(trial) => setSearch({ trial }, { replace: true })}
            />
          </Sheet>
        )}
        <TrialsSheet books={titlesOf(state)} />
        <NewTrial state={state} />
        {ready && <SideBySide />}
      </div>
    </>
  );
}

function NoTrial({ name, state }: { readonly name: string; readonly state: DogState }) {
  return (
    <>
      <PageHead title={tell('readiness-room.no-trial-ahead-for', { name })}>
        {tell('readiness-room.a-forecast-needs-a-rule-book-its')}
      </PageHead>
      <p className="mb-6 flex flex-wrap gap-3">
        <Link className={buttonClass('ink')} to="../breakdown" relative="path">
          {tell('readiness-room.how-sure-is-each-element')}
        </Link>
        <Link className={buttonClass('plain')} to="/sample/readiness">
          {tell('readiness-room.see-a-forecast-in-the-sample')}
        </Link>
      </p>
      <div className="grid items-start gap-6 lg:grid-cols-2">
        <NewTrial state={state} />
        <TrialsSheet books={titlesOf(state)} />
      </div>
    </>
  );
}

const titlesOf = (state: DogState): ReadonlyMap<string, string> =>
  new Map(state.work.ruleBooks.map(({ id, book }) => [id, book.title]));

type ForecastProps = {
  readonly trial: Trial;
  readonly state: DogState;
  /** The forecast is there: what else the worker is asked may follow. */
  readonly onReady: (ready: boolean) => void;
};

function TrialForecast({ trial, state, onReady }: ForecastProps) {
  const { dog, today } = useKennelWithDog();
  const [stopped, setStopped] = useState(false);
  const forecasting = useForecast(trial, state, stopped);
  const { latest, readiness, first, problem, floor } = forecasting;
  const there = readiness !== null;
  useEffect(() => onReady(there), [there, onReady]);
  const book = state.work.ruleBooks.find((record) => record.id === trial.ruleBookId)?.book;
  const days = daysBetween(today, trial.day);
  const when =
    days < 0 ? tell('readiness-room.days-ago', { days: -days }) : tell('readiness-room.in-days', { days });
  const result = <ResultsSheet trial={trial} />;
  return (
    <>
      <PageHead title={tell('readiness-room.at-the', { name: dog.name, title: trial.title, when })}>
        {days < 0 ? tell('readiness-room.it-has-been') : tell('readiness-room.if-the-trial-were-today')}{' '}
        <a className="underline decoration-rule underline-offset-4" href="#trials">
          {tell('readiness-room.a-wrong-day-or-withdrawn')}
        </a>
      </PageHead>
      {/* Once the day is over nothing else is asked first; and on it a result can be said without a figure. */}
      {days < 0 && <div className="mb-6">{result}</div>}
      {problem && <Notice tone="alert">{problem}</Notice>}
      {floor && <TooLittle floor={floor} state={state} />}
      {(floor || problem) && days === 0 && <div className="mt-6">{result}</div>}
      {floor ? null : stopped ? (
        <p className="mb-4 flex flex-wrap items-center gap-3" role="status">
          <span>{tell('readiness-room.the-simulation-is-stopped-what')}</span>
          <Button onClick={() => setStopped(false)}>{tell('readiness-room.go-on')}</Button>
        </p>
      ) : (
        latest.state === 'working' && <Working share={latest.share} onStop={() => setStopped(true)} />
      )}
      {!readiness && first && book && <FirstLook forecast={first} book={book} />}
      {readiness && book && (
        <Answer
          readiness={readiness}
          forecasting={forecasting}
          book={book}
          trial={trial}
          state={state}
          fresh={latest.state === 'ready'}
        />
      )}
    </>
  );
}

/** Under the floor there is no number: what to do in place of it. */
function TooLittle({ floor, state }: { readonly floor: Floor; readonly state: DogState }) {
  const { dog } = useKennelWithDog();
  return (
    <Sheet
      title={tell('readiness-room.no-figure-yet', { name: dog.name })}
      aside={tell('readiness-room.what-to-do-first')}
    >
      <ul className="list-inside list-disc text-lg leading-snug">
        {floorInWords(floor, state).map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <p className="mt-2 leading-snug">{tell('readiness-room.every-piece-of-the-class-has')}</p>
      <p className="mt-3">
        <Link className={buttonClass('ink')} to="../breakdown" relative="path">
          {tell('readiness-room.break-down')}
        </Link>
      </p>
    </Sheet>
  );
}

/** The coarse forecast, while the fine one is worked out. */
function FirstLook({ forecast, book }: { readonly forecast: Forecast; readonly book: RuleBook }) {
  const { dog } = useKennelWithDog();
  const rules = useMemo(() => prepareRules(book), [book]);
  return (
    <Sheet
      title={tell('readiness-room.would-it-pass')}
      aside={tell('readiness-room.a-first-look')}
      label={tell('readiness-room.first-look')}
    >
      <p className="text-2xl font-bold leading-snug">
        {tell('readiness-room.to-that-would-pass', {
          writeShare: writeShare(forecast.pass.low),
          writeShare2: writeShare(forecast.pass.high),
          name: dog.name,
        })}
      </p>
      <p className="mt-2 text-lg leading-snug">
        {tell('readiness-room.expected-score-of-the-finer-figure', {
          expectedUnits: { number: forecast.expectedUnits * rules.pointsPerUnit, digits: 0 },
          rulesTotal: rulesTotal(rules) * rules.pointsPerUnit,
        })}
      </p>
    </Sheet>
  );
}

function Working({ share, onStop }: { readonly share: number; readonly onStop: () => void }) {
  return (
    <p className="mb-4 flex items-center gap-3" role="status">
      <span>{tell('readiness-room.running-the-trial-20-000-times')}</span>
      <progress
        value={share}
        max={1}
        aria-label={tell('readiness-room.simulation')}
        className="w-48 accent-(--ink)"
      />
      <Button onClick={onStop}>{tell('readiness-room.stop')}</Button>
    </p>
  );
}
