import type { Criteria } from '@/core/breakdown';
import { type Day, fail, ok, type Result, type SessionId } from '@/core/shared';
import { countsAsEvidence, type EvidenceRep } from './rep';

/** Counts of reps that share session, criteria and conditions. Never keyed by rung: editing a ladder must not rewrite history. */
export type Cell = {
  readonly session: SessionId;
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

/**
 * Integer counts of one element's reps. A rep changes one cell; which rep of a day was the cold one is kept beside the cells and taken out of its cell when they are read
 * (`cellsWithCold`), so that a back-dated first rep moves no other.
 */
export type Summary = {
  readonly cells: Readonly<Record<string, Cell>>;
  readonly firsts: Readonly<Record<string, First>>;
  /** Counted reps that were not clean, by the option that was named; unnamed ones are left out. */
  readonly faults: Readonly<Record<string, number>>;
  /** Reps spoiled by the handler, by named option ('' where none was named), out of all reps. */
  readonly handlerFaults: Readonly<Record<string, number>>;
  readonly counted: number;
  readonly notCounted: number;
};

export const EMPTY_SUMMARY: Summary = { cells: {}, firsts: {}, faults: {}, handlerFaults: {}, counted: 0, notCounted: 0 };

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
 * The summary with one more rep: one cell changes. The list of cells is copied, so that the cost grows with cells (sessions × criteria), not with reps. A rep that was there already must be
 * taken out first.
 */
export function withRep(summary: Summary, rep: EvidenceRep): Summary {
  const clean = rep.outcome === 'clean';
  const handlerFaults = rep.cause === 'handler' && !clean ? counted(summary.handlerFaults, rep.option ?? '', 1) : summary.handlerFaults;
  if (!countsAsEvidence(rep)) return { ...summary, handlerFaults, notCounted: summary.notCounted + 1 };
  const key = cellKey(rep);
  return {
    ...summary,
    handlerFaults,
    cells: { ...summary.cells, [key]: plus(summary.cells[key] ?? emptyCell(rep), clean, 1) },
    firsts: isFirst(summary, rep) ? { ...summary.firsts, [rep.day]: { id: rep.id, at: rep.at, cell: key, clean } } : summary.firsts,
    faults: !clean && rep.option !== null ? counted(summary.faults, rep.option, 1) : summary.faults,
    counted: summary.counted + 1,
  };
}

/**
 * The summary without a rep that is in it, as after an undo; a correction is this and `withRep`. `restOfDay` are the reps of that day that stay: the next of
 * them is the cold one if this was.
 */
export function withoutRep(summary: Summary, rep: EvidenceRep, restOfDay: readonly EvidenceRep[]): Summary {
  const clean = rep.outcome === 'clean';
  const handlerFaults = rep.cause === 'handler' && !clean ? counted(summary.handlerFaults, rep.option ?? '', -1) : summary.handlerFaults;
  if (!countsAsEvidence(rep)) return { ...summary, handlerFaults, notCounted: summary.notCounted - 1 };
  const key = cellKey(rep);
  const cell = plus(summary.cells[key] ?? emptyCell(rep), clean, -1);
  const { [key]: _gone, ...others } = summary.cells;
  const less: Summary = {
    ...summary,
    handlerFaults,
    cells: cell.clean + cell.notClean > 0 ? { ...others, [key]: cell } : others,
    faults: !clean && rep.option !== null ? counted(summary.faults, rep.option, -1) : summary.faults,
    counted: summary.counted - 1,
  };
  if (summary.firsts[rep.day]?.id !== rep.id) return less;
  const { [rep.day]: _first, ...firsts } = summary.firsts;
  const bare = { ...less, firsts };
  const next = restOfDay.filter(countsAsEvidence).reduce<EvidenceRep | null>((best, one) => (best === null || earlier(one, best) ? one : best), null);
  if (!next) return bare;
  return { ...bare, firsts: { ...firsts, [rep.day]: { id: next.id, at: next.at, cell: cellKey(next), clean: next.outcome === 'clean' } } };
}

/** Builds the summary anew; independent of the order of the list. Fails with `future` when a rep is dated after `today`. */
export function summarise(reps: readonly EvidenceRep[], today: Day): Result<Summary> {
  const ahead = reps.find((rep) => rep.day > today);
  if (ahead) return fail('future', ahead.id, `A rep is dated ${ahead.day}, after today (${today}). Correct its date or the device's clock.`);
  // The same as withRep one by one, without a copy for each.
  const cells: Record<string, Cell> = {};
  const firsts: Record<string, First> = {};
  const faults: Record<string, number> = {};
  const handlerFaults: Record<string, number> = {};
  let [count, other] = [0, 0];
  for (const rep of reps) {
    const clean = rep.outcome === 'clean';
    if (rep.cause === 'handler' && !clean) handlerFaults[rep.option ?? ''] = (handlerFaults[rep.option ?? ''] ?? 0) + 1;
    if (!countsAsEvidence(rep)) {
      other += 1;
      continue;
    }
    count += 1;
    const key = cellKey(rep);
    cells[key] = plus(cells[key] ?? emptyCell(rep), clean, 1);
    if (isFirst({ firsts }, rep)) firsts[rep.day] = { id: rep.id, at: rep.at, cell: key, clean };
    if (!clean && rep.option !== null) faults[rep.option] = (faults[rep.option] ?? 0) + 1;
  }
  return ok({ cells, firsts, faults, handlerFaults, counted: count, notCounted: other });
}

/** All cells in the order of their keys, each day's cold rep in a cell of its own. */
export function cellsWithCold(summary: Summary): Cell[] {
  const colds = new Map<string, First[]>();
  for (const first of Object.values(summary.firsts)) colds.set(first.cell, [...(colds.get(first.cell) ?? []), first]);
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

export function groundsOf(summary: Summary): Grounds {
  const cells = Object.values(summary.cells);
  return {
    counted: summary.counted,
    notCounted: summary.notCounted,
    sessions: new Set(cells.map((cell) => cell.session)).size,
    awayReps: cells.filter((cell) => cell.away).reduce((sum, cell) => sum + cell.clean + cell.notClean, 0),
    coldReps: Object.keys(summary.firsts).length,
    lastDay: cells.reduce<Day | null>((last, { day }) => (last === null || day > last ? day : last), null),
  };
}

const earlier = (a: { readonly at: number; readonly id: string }, b: { readonly at: number; readonly id: string }): boolean =>
  a.at < b.at || (a.at === b.at && a.id < b.id);

function isFirst({ firsts }: Pick<Summary, 'firsts'>, rep: EvidenceRep): boolean {
  const known = firsts[rep.day];
  return known === undefined || earlier(rep, known);
}

const emptyCell = ({ session, day, criteria, away, conditions = {} }: EvidenceRep): Cell => ({
  session,
  day,
  criteria,
  away,
  conditions,
  cold: false,
  clean: 0,
  notClean: 0,
});

const plus = (cell: Cell, clean: boolean, by: 1 | -1): Cell =>
  clean ? { ...cell, clean: cell.clean + by } : { ...cell, notClean: cell.notClean + by };

function counted(counts: Readonly<Record<string, number>>, key: string, by: 1 | -1): Readonly<Record<string, number>> {
  const { [key]: before = 0, ...others } = counts;
  return before + by === 0 ? others : { ...others, [key]: before + by };
}

function cellKey(rep: EvidenceRep): string {
  const sorted = (record: Readonly<Record<string, unknown>>) => Object.entries(record).sort(([a], [b]) => (a < b ? -1 : 1));
  return JSON.stringify([rep.day, rep.session, sorted(rep.criteria), rep.away, sorted(rep.conditions ?? {})]);
}
