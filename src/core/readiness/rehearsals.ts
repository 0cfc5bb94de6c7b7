import { countsAsEvidence, type EvidenceRep } from '@/core/log';

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
export function rehearsalsOf(elements: readonly { readonly reps: readonly EvidenceRep[] }[]): Rehearsals {
  const counted = elements.map(({ reps }) => reps.filter(countsAsEvidence));
  const count = (wanted: (rep: EvidenceRep) => boolean): number =>
    counted.reduce((sum, reps) => sum + reps.filter(wanted).length, 0);
  return {
    away: count((rep) => rep.away),
    cold: counted.reduce((sum, reps) => sum + new Set(reps.map((rep) => rep.day)).size, 0),
    unpaid: count((rep) => rep.pay === 'none'),
    rehearsed: count((rep) => rep.purpose === 'rehearsal'),
  };
}

/**
 * Conditions without which a single figure would promise more than is known, and that no rep has
 * met.
 */
export function missingRehearsals(rehearsals: Rehearsals): readonly ('away' | 'cold' | 'unpaid')[] {
  return (['away', 'cold', 'unpaid'] as const).filter((condition) => rehearsals[condition] === 0);
}
