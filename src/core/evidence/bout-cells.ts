import type { Criteria } from '@/core/breakdown';
import type { EvidenceRep } from '@/core/log';

/**
 * Counts of reps of one bout that share criteria, place, pay, conditions, the response that was shown
 * and how late in the bout they came. Never keyed by rung.
 */
export type BoutCell = {
  readonly criteria: Criteria;
  readonly away: boolean;
  readonly conditions: Readonly<Record<string, string>>;
  readonly unpaid: boolean;
  /** The response that was shown, by its id; null where none was said. */
  readonly grade: number | null;
  /** Goes since the last rest, by fives (0: the first five), and all goes before that rest. */
  readonly block: number;
  readonly rested: number;
  readonly clean: number;
  readonly notClean: number;
};

/** Goes that count as equally late: one by one each would be a cell of its own. */
export const BLOCK = 5;

/** A record’s entries in the order of their keys. */
export const inKeyOrder = (record: Readonly<Record<string, unknown>>): [string, unknown][] =>
  Object.entries(record).sort(([a], [b]) => (a < b ? -1 : 1));

/** The counts of one bout, and its first counted rep with the cell in which that is counted. */
export type BoutCells = {
  readonly cells: readonly BoutCell[];
  readonly first: {
    readonly id: string;
    readonly at: number;
    readonly cell: number;
    readonly clean: boolean;
  } | null;
};

type Together = Omit<BoutCell, 'clean' | 'notClean'>;

/** Alike for reps that are counted together. */
export const cellText = (cell: Together): string =>
  JSON.stringify([
    inKeyOrder(cell.criteria),
    cell.away,
    inKeyOrder(cell.conditions),
    cell.unpaid,
    cell.grade,
    cell.block,
    cell.rested,
  ]);

/** Where each rep of a bout stands in it: goes since the last rest by fives, and all goes before that. */
function lateness(sorted: readonly EvidenceRep[]): Map<string, Pick<BoutCell, 'block' | 'rested'>> {
  let rested = 0;
  return new Map(
    sorted.map((rep, i) => {
      if (rep.rested) rested = i;
      return [rep.id, { block: Math.floor((i - rested) / BLOCK), rested }] as const;
    }),
  );
}

/**
 * The counts of a bout, and which of them holds its first counted rep. `sorted` are all its reps, which say
 * how late each came.
 */
export function cellsOf(sorted: readonly EvidenceRep[], counted: readonly EvidenceRep[]): BoutCells {
  const late = lateness(sorted);
  const alike = (rep: EvidenceRep): Together => ({
    criteria: rep.criteria,
    away: rep.away,
    conditions: rep.conditions ?? {},
    unpaid: rep.pay === 'none',
    grade: rep.grade ?? null,
    block: late.get(rep.id)?.block ?? 0,
    rested: late.get(rep.id)?.rested ?? 0,
  });
  const found = new Map<string, BoutCell>();
  for (const rep of counted) {
    const same = alike(rep);
    const key = cellText(same);
    const { clean, notClean } = found.get(key) ?? { clean: 0, notClean: 0 };
    const isClean = rep.outcome === 'clean';
    found.set(key, { ...same, clean: clean + (isClean ? 1 : 0), notClean: notClean + (isClean ? 0 : 1) });
  }
  const keys = [...found.keys()].sort();
  const [one] = counted;
  const key = one && cellText(alike(one));
  return {
    cells: keys.map((name) => found.get(name) as BoutCell),
    first: one
      ? { id: one.id, at: one.at, cell: keys.indexOf(key as string), clean: one.outcome === 'clean' }
      : null,
  };
}
