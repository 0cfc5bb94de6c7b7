import type { BoutEvidence } from '@/core/evidence';

/** Counted reps under each condition of a trial, over all elements of a class. */
export type Rehearsals = {
  readonly away: number;
  readonly cold: number;
  readonly unpaid: number;
  /** Called a rehearsal: run as at the trial, the steward's pauses included. */
  readonly rehearsed: number;
};

/**
 * How often the trial's conditions have been met. The first counted rep of a day on an element is
 * its cold one; unpaid is what was logged as paid with nothing.
 */
export function rehearsalsOf(elements: readonly { readonly bouts: readonly BoutEvidence[] }[]): Rehearsals {
  const bouts = elements.flatMap((one) => one.bouts);
  const sum = (of: (one: BoutEvidence) => number): number => bouts.reduce((all, one) => all + of(one), 0);
  const reps = (cells: BoutEvidence['cells']): number =>
    cells.reduce((all, cell) => all + cell.clean + cell.notClean, 0);
  return {
    away: sum((one) => reps(one.cells.filter((cell) => cell.away))),
    cold: elements.reduce(
      (all, one) => all + new Set(one.bouts.filter((bout) => bout.first).map((bout) => bout.day)).size,
      0,
    ),
    unpaid: sum((one) => one.unpaid.reps),
    rehearsed: sum((one) => one.rehearsed),
  };
}

/**
 * Conditions without which a single figure would promise more than is known, and that no rep has
 * met.
 */
export function missingRehearsals(rehearsals: Rehearsals): readonly ('away' | 'cold' | 'unpaid')[] {
  return (['away', 'cold', 'unpaid'] as const).filter((condition) => rehearsals[condition] === 0);
}
