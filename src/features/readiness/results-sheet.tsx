import { valibotResolver } from '@hookform/resolvers/valibot';
import { useLiveQuery } from 'dexie-react-hooks';
import { useForm } from 'react-hook-form';
import { Link } from 'react-router';
import { calibrate, calibrationInWords } from '@/core/readiness';
import type { Day } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { type ForecastRecord, keptForecasts, type ResultRecord, type Trial } from '@/data/read';
import { addResult, removeResult } from '@/data/write';
import { Button, SelectField, Sheet, TextField } from '@/ui';
import { wordsOf, writeDay, writeShare } from '@/words';
import { firstResult, type ResultFields, readPoints, resultFields } from './trial-form';
import { tell } from './words';

/**
 * How it went, mock or real, against what was said before; and over all dogs how good the forecasts
 * are.
 */
export function ResultsSheet({ trial }: { readonly trial: Trial }) {
  const { kennel, dog, today } = useKennelWithDog();
  const kept = useLiveQuery(() => keptForecasts(kennel, null), [kennel]);
  if (!kept) return null;
  const mine = kept.results.filter((result) => result.dogId === dog.id);
  const given = new Map(kept.forecasts.map((forecast) => [forecast.id, forecast]));
  const calibration = calibrate(
    kept.results.flatMap((result) => {
      const forecast = result.forecastId === null ? undefined : given.get(result.forecastId);
      return forecast ? [{ said: forecast.pass.mid, passed: result.passed }] : [];
    }),
  );
  const forecasts = kept.forecasts.filter((forecast) => forecast.trialId === trial.id);
  return (
    <Sheet
      title={tell('results-sheet.said-and-happened')}
      aside={tell('results-sheet.forecast', { forecastsCount: forecasts.length })}
    >
      {mine.length > 0 && (
        <ul aria-label={tell('results-sheet.results')} className="mb-3">
          {mine.toReversed().map((result) => (
            <ResultLine
              key={result.id}
              result={result}
              forecast={result.forecastId === null ? null : (given.get(result.forecastId) ?? null)}
            />
          ))}
        </ul>
      )}
      <p
        role="status"
        aria-label={tell('results-sheet.how-good-the-forecasts-are')}
        className="mb-3 leading-snug"
      >
        {wordsOf(calibration.ok ? calibrationInWords(calibration.value) : calibration.message)}
      </p>
      <NewResult
        trial={trial}
        asked={trial.day < today && !mine.some((one) => one.kind === 'trial' && one.trialId === trial.id)}
      />
    </Sheet>
  );
}

function ResultLine({
  result,
  forecast,
}: {
  readonly result: ResultRecord;
  readonly forecast: ForecastRecord | null;
}) {
  const { kennel, done } = useKennelWithDog();
  return (
    <li className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-hair py-1.5 leading-snug">
      <span>
        <span className="font-semibold">
          {tell('results-sheet.mock-trial', {
            writeDay: writeDay(result.day),
            kind: result.kind === 'mock',
            passed: Boolean(result.passed),
          })}
        </span>
        {result.points !== null && tell('results-sheet.points', { points: result.points })}
        {result.note !== '' && `. ${result.note}`}
        {result.run !== null && (
          <Link
            className="ml-2 underline underline-offset-4"
            to={`/${kennel.name}/trials/runs/${result.run}`}
          >
            {tell('results-sheet.its-sheet')}
          </Link>
        )}
        <span className="block text-sm text-ink-soft">
          {forecast
            ? tell('results-sheet.said-on-to-from-reps', {
                writeDay: writeDay(forecast.day),
                writeShare: writeShare(forecast.pass.mid),
                writeShare2: writeShare(forecast.pass.low),
                writeShare3: writeShare(forecast.pass.high),
                points:
                  forecast.points === null
                    ? ''
                    : tell('results-sheet.points', { points: { number: forecast.points, digits: 1 } }),
                reps: forecast.reps,
              })
            : tell('results-sheet.no-forecast-had-been-given-before')}
        </span>
      </span>
      <Button
        look="quiet"
        aria-label={tell('results-sheet.take-out-the-result-of', { writeDay: writeDay(result.day) })}
        onClick={() => void done(tell('results-sheet.result-taken-out'), removeResult(kennel, result.id))}
      >
        {tell('results-sheet.take-out')}
      </Button>
    </li>
  );
}

function NewResult({ trial, asked }: { readonly trial: Trial; readonly asked: boolean }) {
  const { kennel, dog, today, done } = useKennelWithDog();
  const { register, handleSubmit, watch, setValue, resetField, formState } = useForm<ResultFields>({
    resolver: valibotResolver(resultFields(today)),
    defaultValues: firstResult(trial, today),
  });
  const { errors } = formState;
  const save = handleSubmit(async ({ day, kind, passed, points, note }) => {
    const result = {
      dogId: dog.id,
      trialId: trial.id,
      kind,
      day: day as Day,
      passed: passed === 'yes',
      points: readPoints(points) ?? null,
      note,
    };
    const added = await done(tell('results-sheet.the-result-is-kept'), addResult(kennel, result, today));
    if (!added.ok) return;
    resetField('points');
    resetField('note');
  });
  return (
    <details open={asked}>
      <summary className="flex min-h-11 cursor-pointer items-center underline underline-offset-4">
        {tell('results-sheet.enter-a-result')}
      </summary>
      <form className="mt-2 grid gap-3 sm:grid-cols-2" noValidate onSubmit={save}>
        <TextField
          label={tell('results-sheet.day-of-the-result')}
          type="date"
          max={today}
          {...register('day')}
          problem={errors.day?.message}
        />
        <SelectField
          label={tell('results-sheet.kind-of-run')}
          value={watch('kind')}
          options={[
            { value: 'mock', words: tell('results-sheet.mock-trial-2') },
            { value: 'trial', words: tell('results-sheet.trial') },
          ]}
          onChange={(kind) => setValue('kind', kind)}
        />
        <SelectField
          label={tell('results-sheet.passed')}
          value={watch('passed')}
          options={[
            { value: 'yes', words: tell('results-sheet.yes') },
            { value: 'no', words: tell('results-sheet.no') },
          ]}
          onChange={(passed) => setValue('passed', passed)}
        />
        <TextField
          label={tell('results-sheet.points-if-there-were-any')}
          inputMode="decimal"
          {...register('points')}
          problem={errors.points?.message}
        />
        <TextField
          className="sm:col-span-2"
          label={tell('results-sheet.note')}
          maxLength={2000}
          {...register('note')}
          problem={errors.note?.message}
        />
        <p>
          <Button type="submit" look="ink">
            {tell('results-sheet.keep-the-result')}
          </Button>
        </p>
      </form>
    </details>
  );
}
