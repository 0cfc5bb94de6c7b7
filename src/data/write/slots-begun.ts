import { addDays, type Day, type DogId, type SlotId } from '@/core/shared';
import type { Bout } from '@/data/records';
import { same } from '@/data/records/same';
import type { Write } from './transact';

/** Planned bouts of a day (and of the evening before, past midnight) of which one has begun. */
export async function begunSlots(write: Write, day: Day): Promise<ReadonlySet<SlotId>> {
  const found = new Set<SlotId>();
  for (const one of [day, addDays(day, -1)])
    for (const outing of await write.outingsOn(one))
      for (const bout of await write.boutsBy('outingId', outing.id)) if (bout.slot) found.add(bout.slot);
  return found;
}

/**
 * The planned bout that a bout is which begins now: the one of its dog and work on that day of which none has
 * begun yet. Null where none was planned.
 */
export async function slotFor(write: Write, on: Bout['on'], dogId: DogId, day: Day): Promise<SlotId | null> {
  const planned = (await write.slotsOn(day)).filter((one) => one.dogId === dogId && same(one.on, on));
  if (planned.length === 0) return null;
  const begun = await begunSlots(write, day);
  return planned.find((one) => !begun.has(one.id))?.id ?? null;
}
