import { buildLadder, type Criteria, drawnAs } from '@/core/breakdown';
import { endWith, type LiveEvent, type LiveKind } from '@/core/review';
import type { Day, DogId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { type ElementRecord, type Outing, PLAIN_SEASON, type Season, type SeasonEvent } from '@/data/records';
import { standsAt } from './evidence';

/** One live day of a dog with its events in order. */
export type LiveDay = { readonly outing: Outing; readonly events: readonly SeasonEvent[] };

/** The live days of a dog from one day to another, the last first. */
export async function liveDays({ database }: Kennel, dog: DogId, from: Day, to: Day): Promise<LiveDay[]> {
  const events = await database.of('events').where('dogId').equals(dog).toArray();
  const outings = await database
    .of('outings')
    .bulkGet([...new Set(events.flatMap((one) => one.outingId ?? []))]);
  return outings
    .flatMap((outing) =>
      outing && outing.day >= from && outing.day <= to
        ? [
            {
              outing,
              events: events.filter((one) => one.outingId === outing.id).sort((a, b) => a.order - b.order),
            },
          ]
        : [],
    )
    .sort((a, b) => (a.outing.day < b.outing.day ? 1 : -1));
}

/** Scenes of a dog from before this program, in the order in which they were told. */
export async function scenesBefore({ database }: Kennel, dog: DogId): Promise<SeasonEvent[]> {
  const events = await database.of('events').where('dogId').equals(dog).toArray();
  return events.filter((one) => one.outingId === null).sort((a, b) => a.order - b.order);
}

/** What a dog is kept to on live days; nothing where nobody said. */
export async function seasonOf({ database }: Kennel, dog: DogId): Promise<Omit<Season, 'id' | 'changed'>> {
  return (await database.of('seasons').get(dog)) ?? PLAIN_SEASON;
}

/** An event as the holes are looked for in it. */
export const asLive = ({ what, distance, wind, cover, end, faults }: SeasonEvent): LiveEvent => ({
  what,
  distance,
  wind,
  cover,
  end: endWith(end, faults.length),
});

/** What of a dog's work an event of each kind is taken for: elements of methods, the one with a distance first. */
const BY_KIND: Readonly<Partial<Record<LiveKind, readonly string[]>>> = {
  mark: ['field-season/mark', 'memory-retrieve/steady', 'memory-retrieve/memory'],
  blind: ['memory-retrieve/blind', 'field-season/blind', 'directional-casts/cast'],
  flush: ['stays/near', 'stays/actions'],
  stay: ['stays/away', 'stays/actions', 'wait-come-finish/wait'],
  delivery: ['formal-hold/moving', 'formal-hold/still', 'scent-discrimination/deliver'],
};

/** The element of a dog that an event of this kind is, by its method, else by its name; null where none is. */
export function elementOfKind(kind: LiveKind, elements: readonly ElementRecord[]): ElementRecord | null {
  for (const wanted of BY_KIND[kind] ?? []) {
    const found = elements.find((one) => `${one.method?.id}/${one.method?.element}` === wanted);
    if (found) return found;
  }
  return elements.find((one) => one.title.toLowerCase().includes(kind)) ?? null;
}

/** The axis of an element along which a dog is sent further; null where nothing of it is a distance. */
export function reachAxis(element: ElementRecord): ElementRecord['axes'][number] | null {
  const { reads } = drawnAs(element);
  const far = (one: ElementRecord['axes'][number]): boolean =>
    one.quantity === 'distance' && one.harder === 'more';
  return (
    element.axes.find((one) => far(one) && reads[one.key] !== undefined) ?? element.axes.find(far) ?? null
  );
}

/** How far each kind of event was trained, in metres: where the dog stands on the element that it is. */
export async function trainedTo(
  kennel: Kennel,
  elements: readonly ElementRecord[],
  kinds: readonly LiveKind[],
): Promise<Partial<Record<LiveKind, number>>> {
  const found: Partial<Record<LiveKind, number>> = {};
  for (const kind of kinds) {
    const element = elementOfKind(kind, elements);
    const axis = element && reachAxis(element);
    if (!element || !axis) continue;
    const stands: Criteria | undefined =
      (await standsAt(kennel, element.id)) ?? buildLadder(element).rungs[0]?.criteria;
    found[kind] = stands?.[axis.key] ?? axis.start;
  }
  return found;
}
