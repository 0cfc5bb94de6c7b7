import { type Axis, axisScale, type Criteria, difficulties, gradeAxis, levelPlace } from '@/core/breakdown';
import { HANDLER_CHIP, WORN_CHIP } from '@/core/log';
import { type Day, daysBetween, fail, ok, type Result, say } from '@/core/shared';
import { BLOCK } from './bout-cells';
import { DRAW, LINEAR } from './priors';
import { EVIDENCE } from './settings';
import { type Cell, cellsWithCold, type Summary } from './summary';

/**
 * The counts of an element as flat arrays, session by session. θ holds the parameters of which some rep
 * says something, the others keep their prior. A row has a column for each linear one, then one for
 * each slope (a signed axis has two, left and right), then the goes since the last rest and those before
 * it, where `tiring` says that there are any.
 */
export type Design = {
  /** Which parameter of `DRAW` each place of θ is: linear ones, slopes, tiring (1 or 2), forgetting (2). */
  readonly params: readonly number[];
  readonly linear: number;
  readonly slopes: number;
  readonly tiring: 0 | 1 | 2;
  readonly forgets: boolean;
  /** Columns of a row, and slopes in all, said by some rep or not. */
  readonly width: number;
  readonly allSlopes: number;
  /** Row at which each session begins; one longer than there are sessions. */
  readonly first: Int32Array;
  /** What each session still weighs, 0 … 1, and days since the session before it. */
  readonly weight: Float64Array;
  readonly gap: Float64Array;
  readonly rows: Float64Array;
  readonly clean: Float64Array;
  readonly total: Float64Array;
  readonly graded: readonly Graded[];
  /** The number of the session to come: sessions are counted from 0, left-out ones too. */
  readonly next: number;
  /** Days from the last session to today; 0 before any. */
  readonly idle: number;
};

/**
 * So many reps that showed one response and not the next harder one, `apart` in difficulty on a slope.
 * Such a rep is a clean one at what it showed and one that was not clean at the next, which are the rows,
 * and log(1 − exp(−exp(b) apart)) besides, which hangs on the slope alone: σ(a) − σ(a − d) = σ(a)
 * (1 − σ(a − d)) (1 − e^−d).
 */
export type Graded = {
  readonly session: number;
  /** Place in θ. */
  readonly slope: number;
  readonly apart: number;
  readonly reps: number;
};

/** How many slope columns the axes take: two for a signed one. */
export const columnsOf = (axes: readonly Axis[]): number =>
  axes.reduce((sum, axis) => sum + (axis.harder === 'both' ? 2 : 1), 0);

/** A row before it is known which columns anything is said of. */
type Row = {
  readonly linear: readonly number[];
  readonly slopes: readonly number[];
  readonly late: readonly [number, number];
  readonly clean: number;
  readonly total: number;
};
type Session = {
  readonly weight: number;
  readonly gap: number;
  readonly rows: readonly Row[];
  readonly graded: readonly { readonly column: number; readonly apart: number; readonly reps: number }[];
};

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
  const sorted = [...bySession].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, cells]) => cells);
  const sessions: Session[] = [];
  let before: Day | null = null;
  for (const [number, cells] of sorted.entries()) {
    const [{ day, bout }] = cells as [Cell];
    const age = daysBetween(day, today);
    if (age < 0)
      return fail('future', bout, say('evidence.design.a-session-is-dated-after-today', { day, today }));
    const gap = before === null ? 0 : daysBetween(before, day);
    before = day;
    const weight = 2 ** (-age / EVIDENCE.halfLifeDays);
    if (weight < EVIDENCE.leastWeight) continue;
    const laid = layOutSession(axes, cells, number);
    if (!laid.ok) return laid;
    sessions.push({ weight, gap, ...laid.value });
  }
  const idle = before === null ? 0 : daysBetween(before, today);
  return ok(flattened(sessions, columnsOf(axes), sorted.length, idle));
}

function layOutSession(
  axes: readonly Axis[],
  cells: readonly Cell[],
  number: number,
): Result<Pick<Session, 'rows' | 'graded'>> {
  const rows: Row[] = [];
  const graded: Session['graded'][number][] = [];
  // A session asks few different things, and each is placed once.
  const known = new Map<string, readonly number[]>();
  for (const cell of cells) {
    const asked = axes.map((axis) => cell.criteria[axis.key]).join();
    const placed = known.get(asked);
    const x = placed ? ok(placed) : columnsAt(axes, cell.criteria);
    if (!x.ok) return x;
    known.set(asked, x.value);
    // In the order of DRAW.
    const linear = [
      cell.away ? 1 : 0,
      cell.cold ? 1 : 0,
      cell.conditions[HANDLER_CHIP] === 'another' ? 1 : 0,
      cell.unpaid ? 1 : 0,
      cell.conditions[WORN_CHIP] === 'other' ? 1 : 0,
      1,
      number,
    ];
    // The middle of five goes; the first go of all has none before it.
    const since = cell.cold && cell.block === 0 ? 0 : cell.block * BLOCK + (BLOCK - 1) / 2;
    const row = (slopes: readonly number[], clean: number, total: number): Row => ({
      linear,
      slopes,
      late: [since, cell.rested],
      clean,
      total,
    });
    const shown = shownBy(axes, cell, x.value);
    const plain = { clean: cell.clean - shown.clean, notClean: cell.notClean - shown.notClean };
    if (plain.clean + plain.notClean > 0) rows.push(row(x.value, plain.clean, plain.clean + plain.notClean));
    const reps = shown.clean + shown.notClean;
    if (reps === 0) continue;
    if (shown.at) rows.push(row(shown.at, reps, reps));
    if (shown.next) rows.push(row(shown.next, 0, reps));
    if (shown.at && shown.next) graded.push({ column: shown.column, apart: shown.apart, reps });
  }
  return ok({ rows, graded });
}

type Shown = {
  /** How many of the cell's reps are told by the response that they showed. */
  readonly clean: number;
  readonly notClean: number;
  readonly column: number;
  readonly apart: number;
  /** The response's columns and those of the next harder one; null where the list ends. */
  readonly at: readonly number[] | null;
  readonly next: readonly number[] | null;
};
const NOT_SHOWN: Shown = { clean: 0, notClean: 0, column: 0, apart: 0, at: null, next: null };

/**
 * What a cell's response says in place of clean or not. Only of reps that were judged as it was: one that
 * showed enough and was spoiled by something else is not clean, whatever it showed.
 */
function shownBy(axes: readonly Axis[], cell: Cell, x: readonly number[]): Shown {
  const axis = gradeAxis(axes);
  if (cell.grade === null || !axis?.levels) return NOT_SHOWN;
  const scale = axisScale(axis);
  const place = levelPlace(axis.levels, cell.grade);
  if (!scale.ok || scale.value.held || place < 0) return NOT_SHOWN;
  const asked = levelPlace(axis.levels, cell.criteria[axis.key] ?? axis.start);
  const column = columnsOf(axes.slice(0, axes.indexOf(axis)));
  const difficulty = (at: number): number => scale.value.difficulty((axis.levels?.[at] as { id: number }).id);
  const with_ = (at: number): number[] => x.map((value, j) => (j === column ? difficulty(at) : value));
  const isLast = place === axis.levels.length - 1;
  return {
    clean: place >= asked ? cell.clean : 0,
    notClean: place >= asked ? 0 : cell.notClean,
    column,
    apart: isLast ? 0 : difficulty(place + 1) - difficulty(place),
    at: with_(place),
    next: isLast ? null : with_(place + 1),
  };
}

/** Sessions as flat arrays of the columns that some rep says something of. */
function flattened(sessions: readonly Session[], allSlopes: number, next: number, idle: number): Design {
  const rows = sessions.flatMap((session) => session.rows);
  const said = (of: (row: Row) => number): boolean => rows.some((row) => of(row) !== 0);
  const places = (count: number, of: (row: Row, j: number) => number): number[] =>
    Array.from({ length: count }, (_, j) => j).filter((j) => said((row) => of(row, j)));
  const linear = places(LINEAR, (row, j) => row.linear[j] as number);
  const slopes = places(allSlopes, (row, j) => row.slopes[j] as number);
  const tiring = said((row) => row.late[1]) ? 2 : said((row) => row.late[0]) ? 1 : 0;
  const forgets = sessions.some((session) => session.gap > 0);
  const width = linear.length + slopes.length + tiring;
  const flat = new Float64Array(rows.length * width);
  for (const [r, row] of rows.entries()) {
    let at = r * width;
    for (const j of linear) flat[at++] = row.linear[j] as number;
    for (const j of slopes) flat[at++] = row.slopes[j] as number;
    for (let j = 0; j < tiring; j++) flat[at++] = row.late[j] as number;
  }
  const first = [0];
  for (const session of sessions) first.push((first.at(-1) as number) + session.rows.length);
  return {
    params: [
      ...linear,
      ...slopes.map((j) => DRAW.slopes + j),
      ...[DRAW.tiring, DRAW.kept].slice(0, tiring),
      ...(forgets ? [DRAW.loss, DRAW.lasting] : []),
    ],
    linear: linear.length,
    slopes: slopes.length,
    tiring,
    forgets,
    width,
    allSlopes,
    first: Int32Array.from(first),
    weight: Float64Array.from(sessions, (session) => session.weight),
    gap: Float64Array.from(sessions, (session) => session.gap),
    rows: flat,
    clean: Float64Array.from(rows, (row) => row.clean),
    total: Float64Array.from(rows, (row) => row.total),
    graded: sessions.flatMap((session, k) =>
      session.graded.map(({ column, apart, reps }) => ({
        session: k,
        slope: linear.length + slopes.indexOf(column),
        apart,
        reps,
      })),
    ),
    next,
    idle,
  };
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
