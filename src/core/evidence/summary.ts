import type { Criteria } from '@/core/breakdown';
import { countsAsEvidence, type EvidenceRep } from '@/core/log';
import { type FaultRef, faultText } from '@/core/rulebooks';
import { type BoutId, type Day, fail, ok, type Result } from '@/core/shared';

/**
 * Counts of reps that share session, criteria and conditions. Never keyed by rung: editing a ladder
 * must not rewrite history.
 */
export type Cell = {
  readonly bout: BoutId;
  readonly day: Day;
  readonly criteria: Criteria;
  readonly away: boolean;
  readonly conditions: Readonly<Record<string, string>>;
  readonly cold: boolean;
  readonly clean: number;
  readonly notClean: number;
};

/** The first counted rep of a day: who it is, in which cell it is counted, and how it went. */
type First = { readonly id: string; readonly at: number; readonly cell: string; readonly clean: boolean };

/** How often each fault was named, by `faultText`; under '' those of which none was. */
export type FaultCounts = Readonly<
  Record<string, { readonly fault: FaultRef | null; readonly count: number }>
>;

/**
 * Integer counts of one element's reps. A rep changes one cell; which rep of a day was the cold one
 * is kept beside the cells and taken out of its cell when they are read (`cellsWithCold`), so that
 * a back-dated first rep moves no other.
 */
export type Summary = {
  readonly cells: Readonly<Record<string, Cell>>;
  readonly firsts: Readonly<Record<string, First>>;
  /** Faults of counted reps that were not clean; one that names several counts once for each. */
  readonly faults: FaultCounts;
  /** Reps spoiled by the handler, by the fault named first, out of all reps. */
  readonly handlerFaults: FaultCounts;
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
 * Builds the summary anew; independent of the order of the list. Fails with `future` when a rep is
 * dated after `today`.
 */
export function summarise(reps: readonly EvidenceRep[], today: Day): Result<Summary> {
  const ahead = reps.find((rep) => rep.day > today);
  if (ahead)
    return fail(
      'future',
      ahead.id,
      `A rep is dated ${ahead.day}, after today (${today}). Correct its date or the device's clock.`,
    );
  const cells: Record<string, Cell> = {};
  const firsts: Record<string, First> = {};
  let [faults, handlerFaults]: [FaultCounts, FaultCounts] = [{}, {}];
  let [count, other] = [0, 0];
  for (const rep of reps) {
    const clean = rep.outcome === 'clean';
    handlerFaults = handlersOf(handlerFaults, rep);
    if (!countsAsEvidence(rep)) {
      other += 1;
      continue;
    }
    count += 1;
    const key = cellKey(rep);
    cells[key] = plus(cells[key] ?? emptyCell(rep), clean);
    if (isFirst({ firsts }, rep)) firsts[rep.day] = { id: rep.id, at: rep.at, cell: key, clean };
    faults = faultsOf(faults, rep);
  }
  return ok({ cells, firsts, faults, handlerFaults, counted: count, notCounted: other });
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

function isFirst({ firsts }: Pick<Summary, 'firsts'>, rep: EvidenceRep): boolean {
  const known = firsts[rep.day];
  return known === undefined || earlier(rep, known);
}

const emptyCell = ({ bout, day, criteria, away, conditions = {} }: EvidenceRep): Cell => ({
  bout,
  day,
  criteria,
  away,
  conditions,
  cold: false,
  clean: 0,
  notClean: 0,
});

const plus = (cell: Cell, clean: boolean): Cell =>
  clean ? { ...cell, clean: cell.clean + 1 } : { ...cell, notClean: cell.notClean + 1 };

/** The counts with this rep's named faults, where it was not clean. */
function faultsOf(counts: FaultCounts, rep: EvidenceRep): FaultCounts {
  return rep.outcome === 'clean' ? counts : rep.faults.reduce((sum, fault) => counted(sum, fault), counts);
}

/** The counts with this rep, where the handler spoiled it. */
function handlersOf(counts: FaultCounts, rep: EvidenceRep): FaultCounts {
  const spoiled = rep.cause === 'handler' && rep.outcome !== 'clean';
  return spoiled ? counted(counts, rep.faults[0] ?? null) : counts;
}

function counted(counts: FaultCounts, fault: FaultRef | null): FaultCounts {
  const key = fault === null ? '' : faultText(fault);
  return { ...counts, [key]: { fault, count: (counts[key]?.count ?? 0) + 1 } };
}

function cellKey(rep: EvidenceRep): string {
  const sorted = (record: Readonly<Record<string, unknown>>) =>
    Object.entries(record).sort(([a], [b]) => (a < b ? -1 : 1));
  return JSON.stringify([rep.day, rep.bout, sorted(rep.criteria), rep.away, sorted(rep.conditions ?? {})]);
}
