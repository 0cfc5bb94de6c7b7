import type { BoutEvidence } from '@/core/evidence';
import type { ElementId } from '@/core/shared';

/** Conditions of a trial that reps can meet; rehearsed: as at the trial, the steward's pauses included. */
const CONDITIONS = ['away', 'cold', 'unpaid', 'rehearsed'] as const;
type Condition = (typeof CONDITIONS)[number];

/** Counted reps of each element of a class under each condition of a trial. */
export type Rehearsals = readonly ({ readonly element: ElementId } & Readonly<Record<Condition, number>>)[];

/**
 * How often each element has met the trial's conditions. The first counted rep of a day on it is its cold
 * one; unpaid is what was logged as paid with nothing.
 */
export function rehearsalsOf(
  elements: readonly { readonly id: ElementId; readonly bouts: readonly BoutEvidence[] }[],
): Rehearsals {
  return elements.map(({ id, bouts }) => {
    const sum = (of: (one: BoutEvidence) => number): number => bouts.reduce((all, one) => all + of(one), 0);
    return {
      element: id,
      away: sum((one) =>
        one.cells.reduce((all, cell) => all + (cell.away ? cell.clean + cell.notClean : 0), 0),
      ),
      cold: new Set(bouts.filter((bout) => bout.first).map((bout) => bout.day)).size,
      unpaid: sum((one) => one.unpaid.reps),
      rehearsed: sum((one) => one.rehearsed),
    };
  });
}

/**
 * Conditions without which a single figure would promise more than is known, and the elements that have
 * never met them. A rep of one element says nothing of another.
 */
export function missingRehearsals(
  rehearsals: Rehearsals,
): readonly { readonly condition: 'away' | 'cold' | 'unpaid'; readonly elements: readonly ElementId[] }[] {
  return (['away', 'cold', 'unpaid'] as const).flatMap((condition) => {
    const elements = rehearsals.flatMap((one) => (one[condition] === 0 ? [one.element] : []));
    return elements.length === 0 ? [] : [{ condition, elements }];
  });
}
