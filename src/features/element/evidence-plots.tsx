import type { BoutEvidence, Deviation, Studied } from '@/core/evidence';
import type { Day } from '@/core/shared';
import { Plot, Sheet } from '@/ui';
import { writeDay } from '@/words';
import { tell } from './words';

/** So many of the last reps are drawn. */
const LAST = 60;

/** Response times and deviations, rep by rep, beside the limits that count. */
export function EvidencePlots({
  bouts,
  studied,
}: {
  readonly bouts: readonly BoutEvidence[];
  readonly studied: Studied;
}) {
  const { latency, precision } = studied;
  const times = bouts.flatMap(({ day, times }) => times.map((y) => ({ y, day }))).slice(-LAST);
  const turns = bouts.flatMap(({ day, turns }) => turns.map((turn) => drawn(turn, day))).slice(-LAST);
  if (times.length === 0 && turns.length === 0) return null;
  return (
    <div className={`grid items-start gap-6 ${times.length > 0 && turns.length > 0 ? 'lg:grid-cols-2' : ''}`}>
      {latency && times.length > 0 && (
        <Sheet title={tell('evidence-plots.quickness')}>
          <Plot
            name="latency"
            series={[
              {
                label: tell('evidence-plots.seconds'),
                kind: 'points',
                points: times.map((one, i) => ({ x: i + 1, y: one.y })),
              },
            ]}
            marks={[
              {
                axis: 'y',
                at: latency.limit,
                label: tell('evidence-plots.limit', { asked: latency.asked, limit: latency.limit }),
                strong: latency.asked,
              },
              { axis: 'y', at: latency.median.mid, label: tell('evidence-plots.its-middle') },
            ]}
            xLabel={tell('evidence-plots.rep-the-last', { timesCount: times.length })}
            yLabel="s"
            sentence={tell('evidence-plots.response-times-of-the-last-timed', {
              timesCount: times.length,
              mid: { number: latency.median.mid, digits: 1 },
            })}
            table={{
              head: [tell('evidence-plots.rep'), tell('evidence-plots.day'), tell('evidence-plots.seconds')],
              rows: times.map((one, i) => [i + 1, { shown: writeDay(one.day), saved: one.day }, one.y]),
            }}
          />
        </Sheet>
      )}
      {precision && turns.length > 0 && (
        <Sheet title={tell('evidence-plots.straightness-middle-and-spread')}>
          <Plot
            name="straightness"
            series={[
              {
                label: tell('evidence-plots.measured'),
                kind: 'points',
                points: turns.flatMap((one, i) => (one.measured ? [{ x: i + 1, y: one.y }] : [])),
              },
              {
                label: tell('evidence-plots.by-eye'),
                kind: 'hollow',
                points: turns.flatMap((one, i) => (one.measured ? [] : [{ x: i + 1, y: one.y }])),
              },
            ]}
            marks={[
              ...precision.within.flatMap(({ limit }) => [
                { axis: 'y' as const, at: limit, label: tell('evidence-plots.right', { limit }) },
                { axis: 'y' as const, at: -limit, label: tell('evidence-plots.left', { limit }) },
              ]),
              { axis: 'y', at: precision.bias.mid, label: tell('evidence-plots.its-middle'), strong: true },
            ]}
            xLabel={tell('evidence-plots.rep-the-last-2', { turnsCount: turns.length })}
            yLabel={tell('evidence-plots.degrees-right')}
            sentence={tell('evidence-plots.deviations-of-the-last-reps-filled', { turnsCount: turns.length })}
            table={{
              head: [
                tell('evidence-plots.rep'),
                tell('evidence-plots.day'),
                tell('evidence-plots.degrees'),
                tell('evidence-plots.how'),
              ],
              rows: turns.map((one, i) => [
                i + 1,
                { shown: writeDay(one.day), saved: one.day },
                one.y,
                one.measured ? tell('evidence-plots.measured') : tell('evidence-plots.by-eye'),
              ]),
            }}
          />
        </Sheet>
      )}
    </div>
  );
}

/** How far past an open end a word of the eye is drawn, degrees. */
const PAST = 5;

function drawn({ from, to }: Deviation, day: Day) {
  if (from === to) return { y: from, measured: true, day };
  // What was only seen is drawn in the middle of what its word may mean.
  const y =
    Number.isFinite(from) && Number.isFinite(to)
      ? (from + to) / 2
      : Number.isFinite(from)
        ? from + PAST
        : to - PAST;
  return { y, measured: false, day };
}
