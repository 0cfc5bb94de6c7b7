import { entryAdvice, type Readiness, readyBy } from '@/core/readiness';
import { addDays, type Day, daysBetween } from '@/core/shared';
import type { Trial } from '@/data/read';
import { Plot, Sheet } from '@/ui';
import { wordsOf, writeDay } from '@/words';
import { GoFrom } from './go-from';
import { outlookInWords } from './readiness-view';
import { tell } from './words';

const ADVICE = {
  enter: tell('outlook-sheet.enter'),
  wait: tell('outlook-sheet.wait'),
  unsure: tell('outlook-sheet.it-can-go-either-way'),
  over: tell('outlook-sheet.it-is-over'),
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
  const { goFrom } = trial.assumptions;
  const advice = entryAdvice(outlook, goFrom);
  const ready = readyBy(outlook, goFrom);
  const x = (day: Day): number => daysBetween(today, day);
  const perWeek = readiness.perWeek.map(([, sessions]) => sessions);
  const average = perWeek.reduce((a, b) => a + b, 0) / Math.max(1, perWeek.length);
  const share = (value: number): number => Math.round(value * 1000) / 10;
  const last = x(trial.day);
  const from = Math.round(goFrom * 100);
  return (
    <Sheet
      title={tell('outlook-sheet.up-to-the-trial')}
      aside={tell('outlook-sheet.if-training-goes-on-as-it-does')}
    >
      <p className="mb-2 text-lg leading-snug">
        <span className="font-bold">{ADVICE[advice.what]}</span> {wordsOf(advice.reason)}
      </p>
      {reduced && (
        <p className="mb-2 leading-snug">{tell('outlook-sheet.rehearse-what-is-missing-first-an')}</p>
      )}
      <p className="mb-3 leading-snug">
        {tell('outlook-sheet.counted-on-sessions-a-week-on-each', {
          ready:
            ready === null
              ? tell('outlook-sheet.on-this-path-it-does-not-come-to', { from })
              : ready === today
                ? tell('outlook-sheet.it-stands-at-70-in-100-or-more', { from })
                : tell('outlook-sheet.it-comes-to-70-in-100-about-in', {
                    from,
                    ready: writeDay(ready),
                    x: x(ready),
                  }),
          average: { number: average, digits: 1 },
          sessionsPerWeek: trial.assumptions.sessionsPerWeek === null,
        })}
      </p>
      <GoFrom trial={trial} />
      <Plot
        name="outlook"
        series={[
          {
            label: tell('outlook-sheet.chance'),
            kind: 'line',
            points: outlook.map((point) => ({ x: x(point.day), y: share(point.pass.mid) })),
          },
        ]}
        band={{
          label: tell('outlook-sheet.80-interval'),
          low: outlook.map((point) => ({ x: x(point.day), y: share(point.pass.low) })),
          high: outlook.map((point) => ({ x: x(point.day), y: share(point.pass.high) })),
        }}
        marks={[
          ...(trial.entryCloses !== null && x(trial.entryCloses) >= 0
            ? [{ axis: 'x' as const, at: x(trial.entryCloses), label: tell('outlook-sheet.entries-close') }]
            : []),
          { axis: 'x', at: last, label: tell('outlook-sheet.trial'), strong: true },
        ]}
        xTicks={[0, Math.round(last / 2), last].map((at) => ({
          at,
          words: at === 0 ? 'today' : addDays(today, at).slice(5),
        }))}
        xLabel={tell('outlook-sheet.day')}
        yLabel={tell('outlook-sheet.chance-2')}
        yRange={[0, 100]}
        sentence={outlookInWords(outlook)}
        table={{
          head: [
            tell('outlook-sheet.day'),
            tell('outlook-sheet.low'),
            tell('outlook-sheet.middle'),
            tell('outlook-sheet.high'),
          ],
          rows: outlook.map((point) => [
            { shown: writeDay(point.day), saved: point.day },
            share(point.pass.low),
            share(point.pass.mid),
            share(point.pass.high),
          ]),
        }}
      />
    </Sheet>
  );
}
