import { LOADS, type Load } from '@/core/planning';
import type { Day, DogId, ElementId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { OtherWork } from '@/data/records';

/** Work of a dog outside the log, newest first. */
export async function otherWorkOf(kennel: Kennel, dog: DogId): Promise<OtherWork[]> {
  const found = await kennel.database.of('otherWork').where('dogId').equals(dog).toArray();
  return found.sort((a, b) => (a.day > b.day ? -1 : a.day < b.day ? 1 : a.id < b.id ? -1 : 1));
}

export const NO_LOADS: Readonly<Record<Load, number>> = {
  jumps: 0,
  'sharp-turns': 0,
  'upright-holds': 0,
  'run-metres': 0,
};

/** What was done outside the log between two days, in loads. */
export function otherLoads(works: readonly OtherWork[], from: Day, to: Day): Record<Load, number> {
  const sum = { ...NO_LOADS };
  for (const one of works)
    if (one.day >= from && one.day <= to) for (const load of LOADS) sum[load] += one.loads[load] ?? 0;
  return sum;
}

/** Days on which an element was used outside the log. */
export const daysUsed = (works: readonly OtherWork[], element: ElementId): Day[] =>
  works.filter((one) => one.elements.includes(element)).map((one) => one.day);
