import { useMemo } from 'react';
import { Link } from 'react-router';
import { FULL_SIZE, type Readiness } from '@/core/readiness';
import { prepareRules, type RuleBook, rulesTotal } from '@/core/rulebooks';
import { daysBetween } from '@/core/shared';
import { classEvidence, type DogState, type Trial, useDog, useKennelWithDog } from '@/data/repositories';
import { buttonClass, Histogram, Notice, newestOf, PageHead, Sheet, useLatest } from '@/ui';
import { runTask } from '@/workers/client';
import { HelpList } from './help-list';
import { Ledger } from './ledger';
import { assumptionsInWords, failureReasons, headline, histogramBins, ledger, neverTrained, scoresInWords } from './readiness-view';

export function ReadinessRoom() {
  const { dog, today } = useKennelWithDog();
  const state = useDog();
  if (!state) return <p className="text-lg">Reading the log …</p>;
  const trial = state.trials.find((candidate) => candidate.day >= today);
  if (!trial) return <NoTrial name={dog.name} />;
  return <TrialForecast trial={trial} state={state} />;
}

function NoTrial({ name }: { readonly name: string }) {
  return (
    <>
      <PageHead title={`No trial ahead for ${name}`}>
        A forecast needs a rule book, its exercises broken down, and a trial. Without them, the breakdown says how sure each element is.
      </PageHead>
      <p className="flex flex-wrap gap-3">
        <Link className={buttonClass('ink')} to="../breakdown" relative="path">
          How sure is each element?
        </Link>
        <Link className={buttonClass('plain')} to="/sample/readiness">
          See a forecast in the sample kennel
        </Link>
      </p>
    </>
  );
}

function TrialForecast({ trial, state }: { readonly trial: Trial; readonly state: DogState }) {
  const { dog, today } = useKennelWithDog();
  const input = useMemo(() => classEvidence(trial, state.work, state.reps, today), [trial, state, today]);
  const job = useMemo(() => {
    if (!input.ok) return null;
    const task = { kind: 'assess-class', input: input.value, assumptions: trial.assumptions, seed: trial.seed, size: FULL_SIZE } as const;
    return (signal: AbortSignal, onProgress: (share: number) => void) => runTask(task, { signal, onProgress });
  }, [input, trial]);
  const latest = useLatest(job);
  const readiness = newestOf(latest);
  const book = state.work.ruleBooks.find((record) => record.id === trial.ruleBookId)?.book;
  const days = daysBetween(today, trial.day);
  return (
    <>
      <PageHead title={`${dog.name} at the ${trial.title}, ${days === 0 ? 'today' : `in ${days} days`}`}>If the trial were today.</PageHead>
      {!input.ok && <Notice tone="alert">{input.message}</Notice>}
      {latest.state === 'failed' && <Notice tone="alert">{latest.failure.message}</Notice>}
      {latest.state === 'working' && <Working share={latest.share} />}
      {readiness && book && <Answer readiness={readiness} book={book} trial={trial} state={state} fresh={latest.state === 'ready'} />}
    </>
  );
}

function Working({ share }: { readonly share: number }) {
  return (
    <p className="mb-4 flex items-center gap-3" role="status">
      <span>Running the trial 20,000 times …</span>
      <progress value={share} max={1} aria-label="Simulation" className="w-48 accent-(--ink)" />
    </p>
  );
}

type AnswerProps = {
  readonly readiness: Readiness;
  readonly book: RuleBook;
  readonly trial: Trial;
  readonly state: DogState;
  readonly fresh: boolean;
};

function Answer({ readiness, book, trial, state, fresh }: AnswerProps) {
  const { dog } = useKennelWithDog();
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
          <p className="text-2xl font-bold leading-snug" data-testid="headline" data-fresh={fresh} data-exact={JSON.stringify(forecast.pass)}>
            {headline(dog.name, forecast)}
          </p>
          <p className="mt-2 text-lg leading-snug">
            Expected score {points(forecast.expectedUnits)} of {maximum}
            {line === null ? '' : `; the pass line is ${line}`}.
          </p>
          <p className="mt-1 text-sm leading-snug text-ink-soft">
            {runs.toLocaleString('en')} simulated trials, scored by the rule book; the dice add ± {(forecast.monteCarloError * 100).toFixed(1)} %. The
            interval is an 80 % one, as far as the assumptions below hold.
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
        <Ledger exercises={ledger(readiness, book)} expected={points(forecast.expectedUnits)} maximum={maximum} line={line} />
        <div className="grid content-start gap-6">
          <HelpList help={readiness.help} state={state} sessions={trial.assumptions.sessions} pointsPerUnit={rules.pointsPerUnit} />
          <Sheet title="Not rehearsed yet">
            <ul className="list-inside list-disc leading-snug">
              {neverTrained(readiness, state).map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          </Sheet>
          <Sheet title="What this assumes">
            <ul className="list-inside list-disc text-sm leading-snug">
              {assumptionsInWords(trial).map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
          </Sheet>
        </div>
      </div>
    </div>
  );
}
