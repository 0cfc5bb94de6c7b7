import { useMemo } from 'react';
import { missingRehearsals, type Readiness } from '@/core/readiness';
import { type PreparedRules, pointsOf, prepareRules, type RuleBook, rulesTotal } from '@/core/rulebooks';
import { type DogState, useKennelWithDog } from '@/data/live';
import type { Trial } from '@/data/read';
import { Histogram, Sheet } from '@/ui';
import { writeDigits, writeShare } from '@/words';
import { AssumptionFields } from './assumption-fields';
import { HelpList } from './help-list';
import { InsteadSheet } from './instead-sheet';
import { Ledger } from './ledger';
import { ledger } from './ledger-view';
import { neverTrained } from './not-rehearsed';
import { OutlookSheet } from './outlook-sheet';
import {
  countsDown,
  failureReasons,
  headline,
  histogramBins,
  proofInWords,
  scoreOf,
  scoresInWords,
  takenForGranted,
} from './readiness-view';
import { ResultsSheet } from './results-sheet';
import type { Forecasting } from './use-forecast';
import { WhatIfSheet } from './what-if';
import { tell } from './words';

type AnswerProps = {
  readonly readiness: Readiness;
  readonly forecasting: Forecasting;
  readonly book: RuleBook;
  readonly trial: Trial;
  readonly state: DogState;
  readonly fresh: boolean;
};

export function Answer({ readiness, forecasting, book, trial, state, fresh }: AnswerProps) {
  const { dog, today } = useKennelWithDog();
  const missing = missingRehearsals(readiness.rehearsals);
  const { forecast } = readiness;
  const rules = useMemo(() => prepareRules(book), [book]);
  const { bins, lineAfter, line } = useMemo(() => histogramBins(forecast, rules), [forecast, rules]);
  const points = (units: number): string => writeDigits(units * rules.pointsPerUnit, 1);
  const maximum = rulesTotal(rules) * rules.pointsPerUnit;
  const runs = forecast.size.groups * forecast.size.runs;
  const proof = proofInWords(
    readiness.proofs,
    (id) => state.work.elements.find((element) => element.id === id)?.title ?? id,
  );
  return (
    <div className="grid gap-6">
      <div className="grid gap-6 lg:grid-cols-[5fr_4fr]">
        <Sheet title={tell('readiness-room.would-it-pass')} label={tell('answer.forecast')}>
          <p
            className="text-2xl font-bold leading-snug"
            data-testid="headline"
            data-fresh={fresh}
            data-exact={JSON.stringify(forecast.pass)}
          >
            {headline(dog.name, forecast, missing, readiness.rehearsals.length)}
          </p>
          <p className="mt-2 text-lg leading-snug">
            <Expected rules={rules} units={forecast.expectedUnits} />
          </p>
          <p className="mt-1 text-sm leading-snug text-ink-soft">
            {tell('answer.simulated-trials-scored-by-the', {
              runs,
              monteCarloError: { number: forecast.monteCarloError * 100, digits: 1 },
            })}
            {takenForGranted(book, dog).map((line) => (
              <span key={line}> {line}</span>
            ))}{' '}
            {readiness.ifSelected &&
              tell('answer.if-the-worst-outings', { pass: writeShare(readiness.ifSelected.mid) })}
          </p>
          {proof !== '' && <p className="mt-2 leading-snug">{proof}</p>}
          <h3 className="mt-4 border-b border-ink font-bold">{tell('answer.when-it-does-not-pass')}</h3>
          <ul className="leading-snug">
            {failureReasons(forecast).map((reason) => (
              <li key={reason.key} className="flex justify-between gap-4 border-b border-hair py-1">
                <span>{reason.words}</span>
                <span className="shrink-0 font-semibold">
                  {tell('answer.of-runs', { share: reason.share })}
                </span>
              </li>
            ))}
          </ul>
        </Sheet>
        <Sheet title={tell('answer.scores')}>
          <Histogram
            bins={bins}
            lineAfter={lineAfter}
            lineLabel={line === null ? '' : tell('answer.pass', { line })}
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
          <InsteadSheet trial={trial} state={state} book={book} />
          {trial.day >= today && <ResultsSheet trial={trial} />}
        </div>
        <AssumptionFields trial={trial} learned={readiness.learned} />
      </div>
    </div>
  );
}

/** The score to expect, as people of this way of scoring say it. */
function Expected({ rules, units }: { readonly rules: PreparedRules; readonly units: number }) {
  const line = rules.line === null ? null : scoreOf(rules, rules.line);
  const points = writeDigits(scoreOf(rules, units), 1);
  if (countsDown(rules))
    return tell('answer.expected-of-these', {
      word: rules.word,
      points,
      line: line === null ? '' : tell('answer.passes-with-at-most', { line }),
    });
  return tell('answer.expected-score-of', {
    points,
    maximum: pointsOf(rules, rulesTotal(rules)),
    line: line === null ? '' : tell('answer.the-pass-line-is', { line }),
  });
}

function NotRehearsed({ lines }: { readonly lines: readonly string[] }) {
  return (
    <Sheet title={tell('answer.not-rehearsed-yet')}>
      {lines.length === 0 ? (
        <p>{tell('answer.every-element-has-been-away-cold')}</p>
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
