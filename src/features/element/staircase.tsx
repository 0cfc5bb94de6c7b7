import { type Axis, describeRung, difficulties, type Ladder, type Place, writeValue } from '@/core/breakdown';
import { type BoutEvidence, tallyAt } from '@/core/evidence';
import { wordsOf } from '@/words';
import { tell } from './words';

type Props = { readonly ladder: Ladder; readonly place: Place; readonly bouts: readonly BoutEvidence[] };

/** What is written at the rung that is marked, by where the dog's own values lie. */
export const MARKS = {
  on: tell('staircase.here'),
  between: tell('staircase.just-past-it'),
  below: tell('staircase.not-yet-on-it'),
} as const;

/**
 * The whole ladder at a glance: a column for each rung, a band for each axis. The higher the bar,
 * the harder; what a rung raises is solid, what it eases is dashed, what comes back to a value
 * already met is hatched, what stays is grey. Below, what the reps say on each.
 */
export function Staircase({ ladder, place, bouts }: Props) {
  return (
    <section
      className="relative overflow-x-auto"
      aria-label={tell('staircase.staircase-of-the-ladder')}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
      tabIndex={0}
    >
      <table className="border-collapse">
        <caption className="sr-only">{tell('staircase.difficulty-of-each-axis-on-each')}</caption>
        <thead>
          <tr>
            <th className="sticky left-0 bg-sheet pr-3 text-left text-sm font-semibold">
              {tell('staircase.rung')}
            </th>
            {ladder.rungs.map((_, i) => (
              <th
                // biome-ignore lint/suspicious/noArrayIndexKey: a rung is its place on the ladder
                key={i}
                scope="col"
                className={`min-w-11 px-0.5 text-sm ${i === place.rung ? 'bg-signal font-bold text-on-signal' : 'font-normal'}`}
              >
                {i + 1}
                {i === place.rung && <span className="sr-only"> ({MARKS[place.kind]})</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ladder.axes.map((axis, a) => (
            <AxisRow key={axis.key} axis={axis} index={a} ladder={ladder} />
          ))}
          <tr>
            <th scope="row" className="sticky left-0 bg-sheet pr-3 text-left text-sm font-semibold">
              {tell('staircase.clean')}
            </th>
            {ladder.rungs.map((rung, i) => {
              const { reps, clean } = tallyAt(bouts, ladder.axes, rung.criteria);
              return (
                <td
                  // biome-ignore lint/suspicious/noArrayIndexKey: a rung is its place on the ladder
                  key={i}
                  className="px-0.5 pt-1 text-center text-xs leading-tight"
                  title={wordsOf(describeRung(ladder, i))}
                >
                  {reps === 0 ? <span className="text-ink-soft">–</span> : `${clean}/${reps}`}
                </td>
              );
            })}
          </tr>
        </tbody>
      </table>
    </section>
  );
}

const HEIGHT = 54;

function AxisRow({
  axis,
  index,
  ladder,
}: {
  readonly axis: Axis;
  readonly index: number;
  readonly ladder: Ladder;
}) {
  const levels = ladder.rungs.map((rung) => {
    const x = difficulties(ladder.axes, rung.criteria);
    return x.ok ? (x.value[index] ?? 0) : 0;
  });
  const highest = Math.max(1, ...levels);
  return (
    <tr>
      <th
        scope="row"
        className="sticky left-0 min-w-24 bg-sheet sm:min-w-36 pr-3 text-left align-bottom text-sm font-semibold leading-tight"
      >
        {axis.title}
        <span className="block font-normal text-ink-soft">
          {tell('staircase.to', {
            writeValue: writeValue(
              { ...axis, harder: axis.harder === 'both' ? 'more' : axis.harder },
              axis.demand,
            ),
          })}
        </span>
      </th>
      {ladder.rungs.map((rung, i) => {
        const level = levels[i] ?? 0;
        const before = levels[i - 1] ?? level;
        const value = writeValue(axis, rung.criteria[axis.key] ?? axis.start);
        const tone = BARS[changeOf(level - before, rung.raises === axis.key)];
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a rung is its place on the ladder
          <td key={i} className="border-b border-ink px-0.5 align-bottom" style={{ height: HEIGHT + 18 }}>
            <span className="block text-center text-[0.6875rem] leading-none">{short(wordsOf(value))}</span>
            <span
              aria-hidden="true"
              className={`mt-0.5 block w-full ${tone}`}
              style={{ height: 4 + (level / highest) * HEIGHT }}
            />
          </td>
        );
      })}
    </tr>
  );
}

type Change = 'raised' | 'returns' | 'eased' | 'same';
const BARS: Readonly<Record<Change, string>> = {
  raised: 'bg-ink',
  returns: 'hatch border-2 border-b-0 border-ink',
  eased: 'border-2 border-b-0 border-dashed border-ink',
  same: 'bg-hair',
};

function changeOf(by: number, planned: boolean): Change {
  if (planned) return 'raised';
  if (by > 1e-9) return 'returns';
  return by < -1e-9 ? 'eased' : 'same';
}

// A column is narrow; the table below and the title have the whole.
const short = (value: string): string => (value.length > 9 ? `${value.slice(0, 8)}…` : value);
