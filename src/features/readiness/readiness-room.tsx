import { useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { type Forecast, missingRehearsals, type Readiness, writeShare } from '@/core/readiness';
import { prepareRules, type RuleBook, rulesTotal } from '@/core/rulebooks';
import { daysBetween, type TrialId } from '@/core/shared';
import { type DogState, useDog, useKennelWithDog } from '@/data/live';
import type { Trial } from '@/data/read';
import { Button, buttonClass, Histogram, Notice, PageHead, SelectField, Sheet, writeDay } from '@/ui';
import { AssumptionFields } from './assumption-fields';
import { HelpList } from './help-list';
import { Ledger } from './ledger';
import { NewTrial } from './new-trial';
import { OutlookSheet } from './outlook-sheet';
import {
  failureReasons,
  headline,
  histogramBins,
  ledger,
  neverTrained,
  scoresInWords,
} from './readiness-view';
import { ResultsSheet } from './results-sheet';
import { SideBySide } from './side-by-side';
import { type Forecasting, useForecast } from './use-forecast';
import { WhatIfSheet } from './what-if';

export function ReadinessRoom() {
  const { dog, today } = useKennelWithDog();
  const state = useDog();
  const [chosen, setChosen] = useState<TrialId | null>(null);
  const [ready, setReady] = useState(false);
  if (!state) return <p className="text-lg">Reading the log …</p>;
  const ahead = state.trials.filter((candidate) => candidate.day >= today);
  const trial = state.trials.find((candidate) => candidate.id === chosen) ?? ahead[0] ?? state.trials.at(-1);
  if (!trial) return <NoTrial name={dog.name} state={state} />;
  return (
    <>
      <TrialForecast key={trial.id} trial={trial} state={state} onReady={setReady} />
      <div className="mt-6 grid items-start gap-6 lg:grid-cols-2">
        {state.trials.length > 1 && (
          <Sheet title="Other trials">
            <SelectField
              label="Trial"
              value={trial.id as string}
              options={state.trials.map((one) => ({
                value: one.id as string,
                words: `${writeDay(one.day)}, ${one.title}`,
              }))}
              onChange={(id) => setChosen(id as TrialId)}
            />
          </Sheet>
        )}
        <NewTrial state={state} />
        {ready && <SideBySide />}
      </div>
    </>
  );
}

function NoTrial({ name, state }: { readonly name: string; readonly state: DogState }) {
  return (
    <>
      <PageHead title={`No trial ahead for ${name}`}>
        A forecast needs a rule book, its exercises broken down, and a trial. Without them, the breakdown says
        how sure each element is.
      </PageHead>
      <p className="mb-6 flex flex-wrap gap-3">
        <Link className={buttonClass('ink')} to="../breakdown" relative="path">
          How sure is each element?
        </Link>
        <Link className={buttonClass('plain')} to="/sample/readiness">
          See a forecast in the sample kennel
        </Link>
      </p>
      <NewTrial state={state} />
    </>
  );
}

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
  const { latest, readiness, first, problem } = forecasting;
  const there = readiness !== null;
  useEffect(() => onReady(there), [there, onReady]);
  const book = state.work.ruleBooks.find((record) => record.id === trial.ruleBookId)?.book;
  const days = daysBetween(today, trial.day);
  const when = days === 0 ? 'today' : days > 0 ? `in ${days} days` : `${-days} days ago`;
  return (
    <>
      <PageHead title={`${dog.name} at the ${trial.title}, ${when}`}>If the trial were today.</PageHead>
      {problem && <Notice tone="alert">{problem}</Notice>}
      {stopped ? (
        <p className="mb-4 flex flex-wrap items-center gap-3" role="status">
          <span>The simulation is stopped; what stands here may be of before.</span>
          <Button onClick={() => setStopped(false)}>Go on</Button>
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

/** The coarse forecast, while the fine one is worked out. */
function FirstLook({ forecast, book }: { readonly forecast: Forecast; readonly book: RuleBook }) {
  const { dog } = useKennelWithDog();
  const rules = useMemo(() => prepareRules(book.rules, book.exercises), [book]);
  return (
    <Sheet title="Would it pass?" aside="a first look" label="First look">
      <p className="text-2xl font-bold leading-snug">
        {writeShare(forecast.pass.low)} to {writeShare(forecast.pass.high)} that {dog.name} would pass.
      </p>
      <p className="mt-2 text-lg leading-snug">
        Expected score {(forecast.expectedUnits * rules.pointsPerUnit).toFixed(0)} of{' '}
        {rulesTotal(rules) * rules.pointsPerUnit}; the finer figure follows.
      </p>
    </Sheet>
  );
}

function Working({ share, onStop }: { readonly share: number; readonly onStop: () => void }) {
  return (
    <p className="mb-4 flex items-center gap-3" role="status">
      <span>Running the trial 20,000 times …</span>
      <progress value={share} max={1} aria-label="Simulation" className="w-48 accent-(--ink)" />
      <Button onClick={onStop}>Stop</Button>
    </p>
  );
}

type AnswerProps = {
  readonly readiness: Readiness;
  readonly forecasting: Forecasting;
  readonly book: RuleBook;
  readonly trial: Trial;
  readonly state: DogState;
  readonly fresh: boolean;
};

function Answer({ readiness, forecasting, book, trial, state, fresh }: AnswerProps) {
  const { dog, today } = useKennelWithDog();
  const missing = missingRehearsals(readiness.rehearsals);
  const { forecast } = readiness;
  const rules = useMemo(() => prepareRules(book.rules, book.exercises), [book]);
  const { bins, lineAfter, line } = useMemo(() => histogramBins(forecast, rules), [forecast, rules]);
  const points = (units: number): string => (units * rules.pointsPerUnit).toFixed(1);
  const maximum = rulesTotal(rules) * rules.pointsPerUnit;
  const runs = forecast.size.groups * forecast.size.runs;
  return (
    <div className="grid gap-6">
      <div className="grid gap-6 lg:grid-cols-[5fr_4fr]">
        <Sheet title="Would it pass?" label="Forecast">
          <p
            className="text-2xl font-bold leading-snug"
            data-testid="headline"
            data-fresh={fresh}
            data-exact={JSON.stringify(forecast.pass)}
          >
            {headline(dog.name, forecast, missing)}
          </p>
          <p className="mt-2 text-lg leading-snug">
            Expected score {points(forecast.expectedUnits)} of {maximum}
            {line === null ? '' : `; the pass line is ${line}`}.
          </p>
          <p className="mt-1 text-sm leading-snug text-ink-soft">
            {runs.toLocaleString('en')} simulated trials, scored by the rule book; the dice add ±{' '}
            {(forecast.monteCarloError * 100).toFixed(1)} %. The interval is an 80 % one, as far as the
            assumptions below hold.
          </p>
          <h3 className="mt-4 border-b border-ink font-bold">When it does not pass</h3>
          <ul className="leading-snug">
            {failureReasons(forecast).map((reason) => (
              <li key={reason.key} className="flex justify-between gap-4 border-b border-hair py-1">
                <span>{reason.words}</span>
                <span className="shrink-0 font-semibold">{reason.share} of runs</span>
              </li>
            ))}
          </ul>
        </Sheet>
        <Sheet title="Scores">
          <Histogram
            bins={bins}
            lineAfter={lineAfter}
            lineLabel={line === null ? '' : `pass ${line}`}
            axisLabel="points"
            sentence={scoresInWords(bins, line)}
          />
        </Sheet>
      </div>
      <div className="grid gap-6 lg:grid-cols-[5fr_4fr]">
        <Ledger
          exercises={ledger(readiness, book)}
          expected={points(forecast.expectedUnits)}
          maximum={maximum}
          line={line}
        />
        <div className="grid content-start gap-6">
          <HelpList
            help={readiness.help}
            state={state}
            sessions={trial.assumptions.sessions}
            pointsPerUnit={rules.pointsPerUnit}
          />
          <NotRehearsed lines={neverTrained(readiness, state)} />
          <WhatIfSheet readiness={readiness} forecasting={forecasting} trial={trial} state={state} />
        </div>
      </div>
      <div className="grid items-start gap-6 lg:grid-cols-[5fr_4fr]">
        <div className="grid gap-6">
          <OutlookSheet readiness={readiness} trial={trial} today={today} reduced={missing.length > 0} />
          <ResultsSheet trial={trial} />
        </div>
        <AssumptionFields trial={trial} />
      </div>
    </div>
  );
}

function NotRehearsed({ lines }: { readonly lines: readonly string[] }) {
  return (
    <Sheet title="Not rehearsed yet">
      {lines.length === 0 ? (
        <p>Every element has been away, cold, without pay and as at a trial.</p>
      ) : (
        <ul className="list-inside list-disc leading-snug">
          {lines.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
    </Sheet>
  );
}
