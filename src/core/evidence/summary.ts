import { faultText } from '@/core/rulebooks';
import { type BoutId, type Day, fail, ok, type Result, say } from '@/core/shared';
import { type BoutCell, cellText } from './bout-cells';
import type { BoutEvidence } from './bout-evidence';
import { addPriced, type FaultCount, NOTHING_PRICED, type Priced } from './priced';

/**
 * Counts of reps that share session, criteria and conditions. Never keyed by rung: editing a ladder
 * must not rewrite history.
 */
export type Cell = BoutCell & { readonly bout: BoutId; readonly day: Day; readonly cold: boolean };

/** The first counted rep of a day: who it is, in which cell it is counted, and how it went. */
type First = { readonly id: string; readonly at: number; readonly cell: string; readonly clean: boolean };

/** How often each fault was named, by `faultText`; under '' those of which none was. */
export type FaultCounts = Readonly<Record<string, FaultCount>>;

/**
 * Integer counts of one element's bouts. Which rep of a day was the cold one is kept beside the cells
 * and taken out of its cell when they are read (`cellsWithCold`), so that a back-dated bout moves no
 * other.
 */
export type Summary = {
  readonly cells: Readonly<Record<string, Cell>>;
  readonly firsts: Readonly<Record<string, First>>;
  /** Faults of counted reps that were not clean; one that names several counts once for each. */
  readonly faults: FaultCounts;
  /** Reps spoiled by the handler, by the fault named first, out of all reps. */
  readonly handlerFaults: FaultCounts;
  readonly priced: Priced;
  readonly counted: number;
  readonly notCounted: number;
};

/** What a figure rests on, in numbers to be read. */
export type Grounds = {
  readonly counted: number;
  readonly notCounted: number;
  readonly sessions: number;
  readonly awayReps: number;
  readonly coldReps: number;
  readonly lastDay: Day | null;
};

/**
 * Adds bouts up; independent of their order. Fails with `future` when a bout is dated after `today`.
 */
export function summarise(bouts: readonly BoutEvidence[], today: Day): Result<Summary> {
  const ahead = bouts.find((one) => one.day > today);
  if (ahead)
    return fail(
      'future',
      ahead.bout,
      say('evidence.summary.a-session-is-dated-after-today', { day: ahead.day, today }),
    );
  const cells: Record<string, Cell> = {};
  const firsts: Record<string, First> = {};
  const faults: Record<string, FaultCount> = {};
  const handlerFaults: Record<string, FaultCount> = {};
  let [counted, all] = [0, 0];
  let priced = NOTHING_PRICED;
  for (const one of bouts) {
    const keys = one.cells.map((cell) => `${one.day} ${one.bout} ${cellText(cell)}`);
    for (const [i, cell] of one.cells.entries())
      cells[keys[i] as string] = { bout: one.bout, day: one.day, ...cell, cold: false };
    const { first } = one;
    const known = firsts[one.day];
    if (first && (known === undefined || earlier(first, known)))
      firsts[one.day] = { ...first, cell: keys[first.cell] as string };
    add(faults, one.faults);
    add(handlerFaults, one.handlerFaults);
    priced = addPriced(priced, one.priced);
    counted += one.counted;
    all += one.reps;
  }
  return ok({
    cells,
    firsts,
    faults,
    handlerFaults,
    priced,
    counted,
    notCounted: all - counted,
  });
}

/** All cells in the order of their keys, each day's cold rep in a cell of its own. */
export function cellsWithCold(summary: Summary): Cell[] {
  const colds = new Map<string, First[]>();
  for (const first of Object.values(summary.firsts))
    colds.set(first.cell, [...(colds.get(first.cell) ?? []), first]);
  return Object.entries(summary.cells)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([key, cell]) => {
      const cold = colds.get(key) ?? [];
      if (cold.length === 0) return [cell];
      const clean = cold.filter((one) => one.clean).length;
      const rest = { ...cell, clean: cell.clean - clean, notClean: cell.notClean - (cold.length - clean) };
      const first = { ...cell, cold: true, clean, notClean: cold.length - clean };
      return rest.clean + rest.notClean > 0 ? [first, rest] : [first];
    });
}

/**
 * What a figure rests on, from its summary. Two reps of one day and bout, one away → `{ counted:
 * 2, sessions: 1, awayReps: 1, coldReps: 1, … }`; of an empty one all 0 and `lastDay` null.
 */
export function groundsOf(summary: Summary): Grounds {
  const cells = Object.values(summary.cells);
  return {
    counted: summary.counted,
    notCounted: summary.notCounted,
    sessions: new Set(cells.map((cell) => cell.bout)).size,
    awayReps: cells.filter((cell) => cell.away).reduce((sum, cell) => sum + cell.clean + cell.notClean, 0),
    coldReps: Object.keys(summary.firsts).length,
    lastDay: cells.reduce<Day | null>((last, { day }) => (last === null || day > last ? day : last), null),
  };
}

const earlier = (
  a: { readonly at: number; readonly id: string },
  b: { readonly at: number; readonly id: string },
): boolean => a.at < b.at || (a.at === b.at && a.id < b.id);

function add(sum: Record<string, FaultCount>, counts: readonly FaultCount[]): void {
  for (const { fault, count } of counts) {
    const key = fault === null ? '' : faultText(fault);
    sum[key] = { fault, count: (sum[key]?.count ?? 0) + count };
  }
}
