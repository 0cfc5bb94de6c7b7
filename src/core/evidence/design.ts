import { type Axis, axisScale, type Criteria, difficulties } from '@/core/breakdown';
import { type Day, daysBetween, fail, ok, type Result, say } from '@/core/shared';
import { EVIDENCE } from './settings';
import { type Cell, cellsWithCold, type Summary } from './summary';

/** Parameters before the slopes: δ (away), κ (cold), α (level), G (gain a session). */
export const FIXED = 4;

/**
 * The counts of an element as flat arrays, session by session. A row's design is (away, cold, 1,
 * session number, difficulty on each slope's column); a signed axis has two columns, left and
 * right.
 */
export type Design = {
  /** Parameters: `FIXED` and one slope for each column. */
  readonly width: number;
  /** Row at which each session begins; one longer than there are sessions. */
  readonly first: Int32Array;
  /** What each session still weighs, 0 … 1. */
  readonly weight: Float64Array;
  readonly rows: Float64Array;
  readonly clean: Float64Array;
  readonly total: Float64Array;
  /** The number of the session to come: sessions are counted from 0, left-out ones too. */
  readonly next: number;
};

/** How many slope columns the axes take: two for a signed one. */
export const columnsOf = (axes: readonly Axis[]): number =>
  axes.reduce((sum, axis) => sum + (axis.harder === 'both' ? 2 : 1), 0);

/**
 * Lays a summary out for the fit. Sessions are numbered by day, and within a day by id. Fails with
 * `future` where a session is dated after `today`, and as `difficulties` does.
 */
export function designOf(axes: readonly Axis[], summary: Summary, today: Day): Result<Design> {
  const bySession = new Map<string, Cell[]>();
  for (const cell of cellsWithCold(summary)) {
    const key = `${cell.day} ${cell.bout}`;
    const known = bySession.get(key);
    if (known) known.push(cell);
    else bySession.set(key, [cell]);
  }
  const columns = columnsOf(axes);
  const width = FIXED + columns;
  const [first, weight, rows, clean, total] = [
    [0],
    [] as number[],
    [] as number[],
    [] as number[],
    [] as number[],
  ];
  const sessions = [...bySession].sort(([a], [b]) => (a < b ? -1 : 1));
  for (const [number, [, cells]] of sessions.entries()) {
    const [{ day, bout }] = cells as [Cell];
    const age = daysBetween(day, today);
    if (age < 0)
      return fail('future', bout, say('evidence.design.a-session-is-dated-after-today', { day, today }));
    const kept = 2 ** (-age / EVIDENCE.halfLifeDays);
    if (kept < EVIDENCE.leastWeight) continue;
    for (const cell of cells) {
      const x = columnsAt(axes, cell.criteria);
      if (!x.ok) return x;
      rows.push(cell.away ? 1 : 0, cell.cold ? 1 : 0, 1, number, ...x.value);
      clean.push(cell.clean);
      total.push(cell.clean + cell.notClean);
    }
    weight.push(kept);
    first.push(total.length);
  }
  return ok({
    width,
    first: Int32Array.from(first),
    weight: Float64Array.from(weight),
    rows: Float64Array.from(rows),
    clean: Float64Array.from(clean),
    total: Float64Array.from(total),
    next: sessions.length,
  });
}

/**
 * Difficulties in columns: a signed axis fills the column of its side, and at 0 half of each. Fails
 * as `difficulties` does.
 */
function columnsAt(axes: readonly Axis[], at: Criteria): Result<number[]> {
  const x = difficulties(axes, at);
  if (!x.ok) return x;
  return ok(
    axes.flatMap((axis, a) => {
      const d = x.value[a] as number;
      if (axis.harder !== 'both') return [d];
      const value = at[axis.key] ?? 0;
      if (value === 0) return [d / 2, d / 2];
      return value < 0 ? [d, 0] : [0, d];
    }),
  );
}

/**
 * Where a chance is asked for: fixed columns, and for each signed axis both of them, of which the
 * weaker side counts.
 */
export type Target = {
  readonly columns: readonly number[];
  readonly either: readonly { readonly left: number; readonly x: number }[];
};

/**
 * A criterion vector as a target. With `sides` "either" a signed axis asks for the dog's weaker
 * side, as a trial may; with "as-said" for the side of the value. Fails as `difficulties` does.
 */
export function targetAt(axes: readonly Axis[], at: Criteria, sides: 'either' | 'as-said'): Result<Target> {
  const columns = columnsAt(axes, at);
  if (!columns.ok || sides === 'as-said')
    return columns.ok ? ok({ columns: columns.value, either: [] }) : columns;
  const found = [...columns.value];
  const either: { left: number; x: number }[] = [];
  let column = 0;
  for (const axis of axes) {
    const scale = axisScale(axis);
    if (axis.harder === 'both' && scale.ok && (at[axis.key] ?? 0) !== 0) {
      either.push({ left: column, x: (found[column] as number) + (found[column + 1] as number) });
      found[column] = 0;
      found[column + 1] = 0;
    }
    column += axis.harder === 'both' ? 2 : 1;
  }
  return ok({ columns: found, either });
}
