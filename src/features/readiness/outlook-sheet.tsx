import { entryAdvice, type Readiness, readyBy } from '@/core/readiness';
import { addDays, type Day, daysBetween } from '@/core/shared';
import type { Trial } from '@/data/read';
import { Plot, Sheet } from '@/ui';
import { outlookInWords } from './readiness-view';

const ADVICE = {
  enter: 'Enter.',
  wait: 'Wait.',
  unsure: 'It can go either way.',
  over: 'It is over.',
} as const;

/**
 * The chance from today to the trial if training goes on, as a fan, with the closing of entries.
 */
export function OutlookSheet({
  readiness,
  trial,
  today,
  reduced,
}: {
  readonly readiness: Readiness;
  readonly trial: Trial;
  readonly today: Day;
  readonly reduced: boolean;
}) {
  const { outlook } = readiness;
  if (outlook.length === 0) return null;
  const advice = entryAdvice(outlook);
  const ready = readyBy(outlook);
  const x = (day: Day): number => daysBetween(today, day);
  const perWeek = readiness.perWeek.map(([, sessions]) => sessions);
  const average = perWeek.reduce((a, b) => a + b, 0) / Math.max(1, perWeek.length);
  const share = (value: number): number => Math.round(value * 1000) / 10;
  const last = x(trial.day);
  return (
    <Sheet title="Up to the trial" aside="if training goes on as it does">
      <p className="mb-2 text-lg leading-snug">
        {reduced ? (
          'Rehearse what is missing first; an advice to enter would rest on guesses.'
        ) : (
          <>
            <span className="font-bold">{ADVICE[advice.what]}</span> {advice.reason}
          </>
        )}
      </p>
      <p className="mb-3 leading-snug">
        {ready === null
          ? 'On this path it does not come to 70 in 100 before the day.'
          : ready === today
            ? 'It stands at 70 in 100 or more already.'
            : `It comes to 70 in 100 about ${ready}, in ${x(ready)} days.`}{' '}
        Counted on: {average.toFixed(1)} sessions a week on each element
        {trial.assumptions.sessionsPerWeek === null ? ', as in the last four weeks' : ', as you said'}.
      </p>
      <Plot
        name="outlook"
        series={[
          {
            label: 'chance',
            kind: 'line',
            points: outlook.map((point) => ({ x: x(point.day), y: share(point.pass.mid) })),
          },
        ]}
        band={{
          label: '80 % interval',
          low: outlook.map((point) => ({ x: x(point.day), y: share(point.pass.low) })),
          high: outlook.map((point) => ({ x: x(point.day), y: share(point.pass.high) })),
        }}
        marks={[
          ...(trial.entryCloses !== null && x(trial.entryCloses) >= 0
            ? [{ axis: 'x' as const, at: x(trial.entryCloses), label: 'entries close' }]
            : []),
          { axis: 'x', at: last, label: 'trial', strong: true },
        ]}
        xTicks={[0, Math.round(last / 2), last].map((at) => ({
          at,
          words: at === 0 ? 'today' : addDays(today, at).slice(5),
        }))}
        xLabel="day"
        yLabel="chance, %"
        yRange={[0, 100]}
        sentence={outlookInWords(outlook)}
        table={{
          head: ['day', 'low, %', 'middle, %', 'high, %'],
          rows: outlook.map((point) => [
            point.day,
            share(point.pass.low),
            share(point.pass.mid),
            share(point.pass.high),
          ]),
        }}
      />
    </Sheet>
  );
}
