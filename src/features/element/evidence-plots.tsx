import type { BoutEvidence, Deviation, Studied } from '@/core/evidence';
import { Plot, Sheet } from '@/ui';

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
        <Sheet title="Quickness">
          <Plot
            name="latency"
            series={[
              { label: 'seconds', kind: 'points', points: times.map((one, i) => ({ x: i + 1, y: one.y })) },
            ]}
            marks={[
              {
                axis: 'y',
                at: latency.limit,
                label: `${latency.asked ? 'wanted' : 'usual'} ${latency.limit} s`,
                strong: latency.asked,
              },
              { axis: 'y', at: latency.median.mid, label: 'its middle' },
            ]}
            xLabel={`rep, the last ${times.length}`}
            yLabel="s"
            sentence={`Response times of the last ${times.length} timed reps; the middle is ${latency.median.mid.toFixed(1)} s.`}
            table={{ head: ['rep', 'day', 'seconds'], rows: times.map((one, i) => [i + 1, one.day, one.y]) }}
          />
        </Sheet>
      )}
      {precision && turns.length > 0 && (
        <Sheet title="Straightness: middle and spread">
          <Plot
            name="straightness"
            series={[
              {
                label: 'measured',
                kind: 'points',
                points: turns.flatMap((one, i) => (one.measured ? [{ x: i + 1, y: one.y }] : [])),
              },
              {
                label: 'by eye',
                kind: 'hollow',
                points: turns.flatMap((one, i) => (one.measured ? [] : [{ x: i + 1, y: one.y }])),
              },
            ]}
            marks={[
              ...precision.within.flatMap(({ limit }) => [
                { axis: 'y' as const, at: limit, label: `${limit}° right` },
                { axis: 'y' as const, at: -limit, label: `${limit}° left` },
              ]),
              { axis: 'y', at: precision.bias.mid, label: 'its middle', strong: true },
            ]}
            xLabel={`rep, the last ${turns.length}`}
            yLabel="degrees, + right"
            sentence={`Deviations of the last ${turns.length} reps, filled where measured, hollow where judged by eye; dashed lines are the ends of the rule book’s bands.`}
            table={{
              head: ['rep', 'day', 'degrees', 'how'],
              rows: turns.map((one, i) => [i + 1, one.day, one.y, one.measured ? 'measured' : 'by eye']),
            }}
          />
        </Sheet>
      )}
    </div>
  );
}

/** How far past an open end a word of the eye is drawn, degrees. */
const PAST = 5;

function drawn({ from, to }: Deviation, day: string) {
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
