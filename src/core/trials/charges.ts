import type { FaultStep } from '@/core/rulebooks';
import type { PartKey } from '@/core/shared';
import type { ExerciseSheet } from './fold-sheet';
import type { Mark } from './mark';
import type { PartPlace } from './part-taught';

export type Fault = Extract<Mark, { kind: 'fault' }>;

/** A fault as it was written, what it charges, and the part that it is of; null where nobody says. */
export type Charge = { readonly mark: Fault; readonly step: FaultStep; readonly part: PartKey | null };

/**
 * Faults that at least half of the judges wrote: the n-th of a kind counts where so many have an n-th. One
 * judge → all that is on the sheet.
 */
export function agreed(sheets: readonly ExerciseSheet[], judges: number): Fault[] {
  const seen = new Map<string, Fault[]>();
  for (const { faults } of sheets) {
    const here = new Map<string, number>();
    for (const mark of faults) {
      const n = (here.get(mark.fault) ?? 0) + 1;
      here.set(mark.fault, n);
      const key = JSON.stringify([mark.fault, n]);
      seen.set(key, [...(seen.get(key) ?? []), mark]);
    }
  }
  return [...seen.values()].filter((marks) => marks.length * 2 >= judges).flatMap(([first]) => first ?? []);
}

/** The step of a fault that a mark charges: the band that was measured, the judge’s price, or the fault. */
export function stepOf(steps: readonly FaultStep[], { fault, amount }: Fault): FaultStep | null {
  const mine = steps.filter((step) => step.ref.key === fault);
  const [first] = mine;
  if (!first || mine.length === 1) return first ?? null;
  const banded = first.measured !== null || first.charges !== null;
  if (!banded) return mine.find((step) => step.amount === amount) ?? first;
  return (
    mine.findLast((step) => Math.abs(amount) > (step.measured?.beyond ?? step.charges?.from ?? 0)) ?? null
  );
}

export const keyOf = ({ part, time }: Pick<PartPlace, 'part' | 'time'>): string =>
  JSON.stringify([part, time]);

/**
 * Each charge to the go it was of: the time that was said, else the first of its part that no other charge of
 * the same fault has; of counts so many in one go, unless the part is asked several times.
 */
export function spread(places: readonly PartPlace[], charges: readonly Charge[]): Map<string, Charge[]> {
  const found = new Map<string, Charge[]>();
  for (const charge of charges) {
    const { mark, part, step } = charge;
    if (part === null) continue;
    const goes = places.filter((place) => place.part === part);
    const often = goes.length > 1 && !step.cues && step.again === null ? countOf(mark, step) : 1;
    for (let k = 0; k < often; k++) {
      const free = goes.find(
        (place) => !(found.get(keyOf(place)) ?? []).some((one) => one.step.ref.key === step.ref.key),
      );
      const place = goes.find((one) => mark.time !== null && one.time === mark.time) ?? free ?? goes.at(-1);
      if (place) found.set(keyOf(place), [...(found.get(keyOf(place)) ?? []), charge]);
    }
  }
  return found;
}

/** So many times a mark says that it happened: a measure happened once. */
export const countOf = ({ amount }: Fault, step: FaultStep): number =>
  step.measured === null && step.ref.step === null ? Math.max(1, Math.round(amount)) : 1;
