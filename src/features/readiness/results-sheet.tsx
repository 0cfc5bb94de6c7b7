import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { calibrate, calibrationInWords, writeShare } from '@/core/readiness';
import { type Day, isDay } from '@/core/shared';
import { useKennelWithDog } from '@/data/live';
import { type ForecastRecord, keptForecasts, type ResultRecord, type Trial } from '@/data/read';
import { addResult, removeResult } from '@/data/write';
import { Button, Notice, SelectField, Sheet, TextField } from '@/ui';

/**
 * How it went, mock or real, against what was said before; and over all dogs how good the forecasts
 * are.
 */
export function ResultsSheet({ trial }: { readonly trial: Trial }) {
  const { kennel, dog } = useKennelWithDog();
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
      title="Said and happened"
      aside={`${forecasts.length} ${forecasts.length === 1 ? 'forecast' : 'forecasts'} of this trial kept`}
    >
      {mine.length > 0 && (
        <ul aria-label="Results" className="mb-3">
          {mine.toReversed().map((result) => (
            <ResultLine
              key={result.id}
              result={result}
              forecast={result.forecastId === null ? null : (given.get(result.forecastId) ?? null)}
            />
          ))}
        </ul>
      )}
      <p role="status" aria-label="How good the forecasts are" className="mb-3 leading-snug">
        {calibration.ok ? calibrationInWords(calibration.value) : calibration.message}
      </p>
      <NewResult trial={trial} />
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
          {result.day}, {result.kind === 'mock' ? 'mock trial' : 'trial'}:{' '}
          {result.passed ? 'passed' : 'did not pass'}
        </span>
        {result.points !== null && `, ${result.points} points`}
        {result.note !== '' && `. ${result.note}`}
        <span className="block text-sm text-ink-soft">
          {forecast
            ? `Said on ${forecast.day}: ${writeShare(forecast.pass.mid)} (${writeShare(forecast.pass.low)} to ${writeShare(forecast.pass.high)})${forecast.points === null ? '' : `, ${forecast.points.toFixed(1)} points`}, from ${forecast.reps} reps.`
            : 'No forecast had been given before that day.'}
        </span>
      </span>
      <Button
        look="quiet"
        aria-label={`Take out the result of ${result.day}`}
        onClick={() => void done('Result taken out.', removeResult(kennel, result.id))}
      >
        Take out
      </Button>
    </li>
  );
}

function NewResult({ trial }: { readonly trial: Trial }) {
  const { kennel, dog, today, done } = useKennelWithDog();
  const [day, setDay] = useState<string>(today);
  const [kind, setKind] = useState<'mock' | 'trial'>('mock');
  const [passed, setPassed] = useState<'yes' | 'no'>('yes');
  const [points, setPoints] = useState('');
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const save = async (): Promise<void> => {
    const scored = points.trim() === '' ? null : Number(points.replace(',', '.'));
    if (!isDay(day)) return setProblem('Say on which day it was.');
    if (scored !== null && !Number.isFinite(scored))
      return setProblem(`“${points}” is not a number of points.`);
    const result = {
      dogId: dog.id,
      trialId: trial.id,
      kind,
      day: day as Day,
      passed: passed === 'yes',
      points: scored,
      note: note.trim(),
    };
    const added = await done('The result is kept.', addResult(kennel, result, today));
    setProblem(added.ok ? null : added.message);
    if (!added.ok) return;
    setPoints('');
    setNote('');
  };
  return (
    <details>
      <summary className="flex min-h-11 cursor-pointer items-center underline underline-offset-4">
        Enter a result
      </summary>
      <form
        className="mt-2 grid gap-3 sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <TextField
          label="Day of the result"
          type="date"
          max={today}
          value={day}
          onChange={(event) => setDay(event.target.value)}
        />
        <SelectField
          label="Kind of run"
          value={kind}
          options={[
            { value: 'mock', words: 'mock trial' },
            { value: 'trial', words: 'trial' },
          ]}
          onChange={setKind}
        />
        <SelectField
          label="Passed"
          value={passed}
          options={[
            { value: 'yes', words: 'yes' },
            { value: 'no', words: 'no' },
          ]}
          onChange={setPassed}
        />
        <TextField
          label="Points, if there were any"
          inputMode="decimal"
          value={points}
          onChange={(event) => setPoints(event.target.value)}
        />
        <TextField
          className="sm:col-span-2"
          label="Note"
          maxLength={2000}
          value={note}
          onChange={(event) => setNote(event.target.value)}
        />
        {problem && (
          <div className="sm:col-span-2">
            <Notice tone="alert" role="alert">
              {problem}
            </Notice>
          </div>
        )}
        <p>
          <Button type="submit" look="ink">
            Keep the result
          </Button>
        </p>
      </form>
    </details>
  );
}
