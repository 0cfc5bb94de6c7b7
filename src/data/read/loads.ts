import { LOADS, type Load, type LoadToday, loadsDone, loadsOfWork, loadsToday } from '@/core/planning';
import { addDays, type Day } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Dog, ElementRecord, OtherWork } from '@/data/records';
import type { KeptEvidence } from '@/data/records/kept-evidence';
import { otherLoads } from './other-work';
import { isWhole } from './whole';
import { activeElements, type DogWork } from './work';

/** Days that a number "in a week" looks back over, today among them. */
const WEEK = 7;

/**
 * The loads of a piece of work against the dog's own numbers, counted over all that it did today and this
 * week. An exercise that is run whole has those of its pieces.
 */
export function loadsOf(
  element: ElementRecord,
  dog: Pick<Dog, 'limits'>,
  kept: readonly KeptEvidence[],
  elements: readonly ElementRecord[],
  today: Day,
  other: readonly OtherWork[] = [],
): LoadToday[] {
  const loads = loadsIn(element, elements);
  if (loads.length === 0) return [];
  const since = (from: Day): Record<Load, number> => {
    const [logged, outside] = [doneSince(kept, elements, from, today), otherLoads(other, from, today)];
    return Object.fromEntries(LOADS.map((load) => [load, logged[load] + outside[load]])) as Record<
      Load,
      number
    >;
  };
  return loadsToday(loads, dog.limits, since(today), since(addDays(today, 1 - WEEK)));
}

/** Which loads a piece of work has; an exercise that is run whole has those of its pieces. */
export function loadsIn(element: ElementRecord, elements: readonly ElementRecord[]): readonly Load[] {
  const { form } = element;
  const pieces =
    isWhole(element) && form.kind === 'chain'
      ? elements.filter((one) => form.links.includes(one.id))
      : [element];
  const found = new Set(pieces.flatMap(loadsOfWork));
  return LOADS.filter((load) => found.has(load));
}

function doneSince(
  kept: readonly KeptEvidence[],
  elements: readonly ElementRecord[],
  from: Day,
  to: Day,
): Record<Load, number> {
  const byId = new Map(elements.map((one) => [one.id, one]));
  const sum = { jumps: 0, 'sharp-turns': 0, 'upright-holds': 0, 'run-metres': 0 };
  for (const bout of kept) {
    const element = bout.element && byId.get(bout.element);
    if (!element || bout.day < from || bout.day > to) continue;
    const done = loadsDone(element, bout.effort);
    for (const load of LOADS) sum[load] += done[load];
  }
  return sum;
}

/** What is kept of all elements that have a load, over the days that a number may look back. */
export async function keptSince(
  kennel: Kennel,
  elements: readonly ElementRecord[],
  today: Day,
): Promise<KeptEvidence[]> {
  const from = Date.parse(`${addDays(today, -WEEK)}T00:00:00Z`);
  const heavy = elements.filter((one) => loadsOfWork(one).length > 0);
  const found = await Promise.all(
    heavy.map(({ id }) =>
      kennel.database.kept
        .where('[element+startedAt]')
        .between([id, from], [id, Number.POSITIVE_INFINITY])
        .toArray(),
    ),
  );
  return found.flat();
}

/** What can be worked instead: elements of the dog that have none of these loads. */
export const stillWork = (work: DogWork, loads: readonly Load[]): ElementRecord[] =>
  activeElements(work).filter((one) => !loadsOfWork(one).some((load) => loads.includes(load)));
