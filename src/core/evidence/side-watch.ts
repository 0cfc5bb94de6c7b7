import type { Axis } from '@/core/breakdown';
import { addDays, type Day } from '@/core/shared';
import type { BoutEvidence } from './bout-evidence';

/** A lasting change to one side: of how straight it is, or of how clean it is left against right. */
export type SideChange = {
  readonly what: 'front' | 'sides';
  /** Where it now sits further, or on which side it is worse than it used to be. */
  readonly towards: 'left' | 'right';
  readonly since: Day;
  readonly sessions: number;
};

/**
 * What is usual is learned from the sessions before, at least so many; in what measure a side is watched a
 * spread is guessed with the weight of four of them. A session counts for at most three spreads. Constants
 * by simulation: at most one false alarm in a year of six watched elements, three sessions a week each.
 */
const WATCH = {
  least: 8,
  guessed: 4,
  over: 0.75,
  limit: 6,
  most: 3,
  lasting: 4,
  spread: { front: 4, sides: 0.25 },
} as const;
/** Days for which it is said; after that what it changed to is its usual. */
const SAID = 42;

type Point = { readonly day: Day; readonly value: number };

/**
 * A change to one side that lasted several sessions, by two cumulative sums (Page 1954) of how far each
 * session lies from what was usual before; said for six weeks and then taken as usual, so that it is said
 * once. Degrees of deviation by session; and clean on the right less clean on the left, at like criteria.
 * Null while there is none, or before eight sessions. Ten sessions around 0°, then six around −9° → front,
 * left.
 */
export function sideWatch(
  bouts: readonly Pick<BoutEvidence, 'day' | 'turns' | 'cells'>[],
  axes: readonly Axis[],
  today: Day,
): SideChange | null {
  const sorted = [...bouts].sort((a, b) => (a.day < b.day ? -1 : 1));
  const front = sorted.flatMap(({ day, turns }): Point[] =>
    turns.length === 0 ? [] : [{ day, value: mean(turns.map(degreesOf)) }],
  );
  const sides = sorted.flatMap(({ day, cells }): Point[] => {
    const value = rightLessLeft(cells, axes);
    return value === null ? [] : [{ day, value }];
  });
  for (const [what, points] of [
    ['front', front],
    ['sides', sides],
  ] as const) {
    const found = lastChange(points, WATCH.spread[what]);
    // A higher share on the right is a worse left.
    if (found && addDays(found.raised, SAID) >= today)
      return {
        what,
        since: found.since,
        sessions: found.sessions,
        towards: found.up === (what === 'front') ? 'right' : 'left',
      };
  }
  return null;
}

const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

/** What was only seen counts as the middle of what its word means; past its open end, as a little more. */
const PAST = 5;
const degreesOf = ({ from, to }: { readonly from: number; readonly to: number }): number =>
  Number.isFinite(from) && Number.isFinite(to)
    ? (from + to) / 2
    : Number.isFinite(from)
      ? from + PAST
      : to - PAST;

/** Clean on the right less clean on the left at values of the same size; null where one side is missing. */
function rightLessLeft(cells: BoutEvidence['cells'], axes: readonly Axis[]): number | null {
  const signed = axes.find((axis) => axis.harder === 'both');
  if (!signed) return null;
  const sums = new Map<string, { left: [number, number]; right: [number, number] }>();
  for (const cell of cells) {
    const value = cell.criteria[signed.key] ?? 0;
    if (value === 0) continue;
    const like = { ...cell.criteria, [signed.key]: Math.abs(value) };
    const key = JSON.stringify(Object.entries(like).sort());
    const sum = sums.get(key) ?? { left: [0, 0], right: [0, 0] };
    const side = value < 0 ? sum.left : sum.right;
    side[0] += cell.clean;
    side[1] += cell.clean + cell.notClean;
    sums.set(key, sum);
  }
  const both = [...sums.values()].filter(({ left, right }) => left[1] > 0 && right[1] > 0);
  if (both.length === 0) return null;
  return mean(both.map(({ left, right }) => right[0] / right[1] - left[0] / left[1]));
}

type Changed = {
  readonly since: Day;
  readonly raised: Day;
  readonly up: boolean;
  readonly sessions: number;
};

function lastChange(points: readonly Point[], guess: number): Changed | null {
  let last: Changed | null = null;
  let usual: number[] = [];
  let sums = { up: 0, down: 0 };
  let began = { up: 0, down: 0 };
  for (const [i, { day, value }] of points.entries()) {
    if (usual.length >= WATCH.least) {
      const z = Math.max(-WATCH.most, Math.min(WATCH.most, away(usual, value, guess)));
      if (sums.up === 0) began = { ...began, up: i };
      if (sums.down === 0) began = { ...began, down: i };
      sums = {
        up: Math.max(0, sums.up + z - WATCH.over),
        down: Math.max(0, sums.down - z - WATCH.over),
      };
      const up = sums.up >= sums.down;
      const from = up ? began.up : began.down;
      if (Math.max(sums.up, sums.down) >= WATCH.limit && i - from + 1 >= WATCH.lasting) {
        last = { since: (points[from] as Point).day, raised: day, up, sessions: i - from + 1 };
        // What it changed to is its usual from here on.
        usual = points.slice(from, i).map((one) => one.value);
        sums = { up: 0, down: 0 };
      }
    }
    usual.push(value);
  }
  return last;
}

/** How many spreads a session lies from what was usual. */
function away(usual: readonly number[], value: number, guess: number): number {
  const centre = mean(usual);
  const squares = usual.reduce((sum, one) => sum + (one - centre) ** 2, 0);
  const spread = Math.sqrt((squares + WATCH.guessed * guess ** 2) / (usual.length - 1 + WATCH.guessed));
  return (value - centre) / (spread * Math.sqrt(1 + 1 / usual.length));
}
