import {
  type Criteria,
  criteriaOf,
  nameOf,
  OLD_DAYS,
  type OldFall,
  REMEMBERED,
  sameCriteria,
} from '@/core/breakdown';
import { addDays, type Day, daysBetween, type GroundId, type SetOutId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { ElementRecord, Ground, SetOut } from '@/data/records';
import { isSameWork } from './same-work';

/** Grounds by name; those put away left out. */
export async function listGrounds({ database }: Kennel): Promise<Ground[]> {
  const all = await database.of('grounds').toArray();
  return all.filter((one) => !one.putAway).sort((a, b) => a.name.localeCompare(b.name));
}

export async function groundOf({ database }: Kennel, id: GroundId | null): Promise<Ground | null> {
  return id === null ? null : ((await database.of('grounds').get(id)) ?? null);
}

/** Set-outs, the last changed first. */
export async function listSetOuts({ database }: Kennel): Promise<SetOut[]> {
  return (await database.of('setOuts').toArray()).sort((a, b) => b.changed.at - a.changed.at);
}

export async function setOutOf({ database }: Kennel, id: SetOutId | null): Promise<SetOut | null> {
  return id === null ? null : ((await database.of('setOuts').get(id)) ?? null);
}

/**
 * Set-outs that are laid for an element, the last changed first, then those of the same work of other dogs: five
 * dogs in a row need one drawing. Those put away left out.
 */
export async function setOutsFor(kennel: Kennel, element: ElementRecord): Promise<SetOut[]> {
  const all = (await listSetOuts(kennel)).filter((one) => !one.putAway && one.asks !== null);
  const own = all.filter((one) => one.asks?.element === element.id);
  const others = all.filter((one) => one.asks?.element !== element.id);
  const asked = await kennel.database
    .of('elements')
    .bulkGet([...new Set(others.flatMap((one) => one.asks?.element ?? []))]);
  const same = new Set(asked.flatMap((one) => (one && isSameWork(one, element) ? [one.id] : [])));
  return [...own, ...others.filter((one) => one.asks && same.has(one.asks.element))];
}

/**
 * The set-out that fits what an element asks today: whose drawing asks the same of all that is drawn; a wait or a
 * help that nobody can draw is nothing against it. The first of several; null where none does.
 */
export function fittingSetOut(
  setOuts: readonly SetOut[],
  element: ElementRecord,
  criteria: Criteria,
): SetOut | null {
  const fits = ({ asks, things }: SetOut): boolean => {
    if (!asks) return false;
    const drawn = element.axes.filter((axis) => asks.reads[axis.key] !== undefined);
    if (drawn.length === 0 && asks.element !== element.id) return false;
    return sameCriteria(drawn, criteriaOf(things, asks.reads, criteria), criteria);
  };
  return setOuts.find(fits) ?? null;
}

/**
 * What fell or lay hidden on a ground in the last days, by the set-outs that were worked on there. `but` is a
 * set-out whose own things are no old ones on the day on which it was laid.
 */
export async function oldFallsOn(
  { database }: Kennel,
  ground: GroundId,
  today: Day,
  but: SetOutId | null,
): Promise<OldFall[]> {
  const setOuts = await database.of('setOuts').where('ground').equals(ground).toArray();
  const bouts = await database
    .of('bouts')
    .where('setOut')
    .anyOf(setOuts.map((one) => one.id))
    .toArray();
  const outings = await database.of('outings').bulkGet([...new Set(bouts.map((one) => one.outingId))]);
  const dayOf = new Map(outings.flatMap((one) => (one ? [[one.id, one.day] as const] : [])));
  const falls = new Map<string, OldFall>();
  for (const bout of bouts) {
    const day = dayOf.get(bout.outingId);
    const setOut = setOuts.find((one) => one.id === bout.setOut);
    if (!day || !setOut || day < addDays(today, -OLD_DAYS) || day > today) continue;
    if (setOut.id === but && day === today) continue;
    for (const thing of setOut.things.filter(({ kind }) => REMEMBERED.has(kind))) {
      const days = daysBetween(day, today);
      const key = `${thing.x.toFixed(1)} ${thing.y.toFixed(1)}`;
      const known = falls.get(key);
      if (!known || known.days > days)
        falls.set(key, { at: { x: thing.x, y: thing.y }, days, name: nameOf(thing, setOut.things) });
    }
  }
  return [...falls.values()].sort((a, b) => a.days - b.days);
}
