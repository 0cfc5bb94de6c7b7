import type { Day, DogId, ElementId, SlotId } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { Bout, Slot } from '@/data/records';
import { isRunning } from './bouts';
import { exerciseTitle, wholeId } from './whole';

/** What became of a planned bout: still ahead, being worked, done, or its day went by without it. */
export type SlotState = 'ahead' | 'running' | 'done' | 'skipped';
export type PlannedSlot = {
  readonly slot: Slot;
  readonly state: SlotState;
  /** The bout that names it. */
  readonly bout: Bout | null;
};

/** Planned bouts of these days, all dogs, by day, dog and place in the lesson; what became of each by its bout. */
export async function slotsBetween(kennel: Kennel, from: Day, to: Day, today: Day): Promise<PlannedSlot[]> {
  const { database } = kennel;
  const slots = await database.of('slots').where('day').between(from, to, true, true).toArray();
  if (slots.length === 0) return [];
  // A bout that names a slot is of its day, or of a day after it.
  const outings = await database.of('outings').where('day').aboveOrEqual(from).primaryKeys();
  const bouts = await database.of('bouts').where('outingId').anyOf(outings).toArray();
  const bySlot = new Map<SlotId, Bout>();
  for (const bout of bouts) if (bout.slot) bySlot.set(bout.slot, bout);
  const order = new Map((await database.of('dogs').toArray()).map((one) => [one.id, one.order]));
  const place = (id: DogId): number => order.get(id) ?? 0;
  return slots
    .sort(
      (a, b) =>
        (a.day < b.day ? -1 : a.day > b.day ? 1 : 0) ||
        place(a.dogId) - place(b.dogId) ||
        a.order - b.order ||
        (a.id < b.id ? -1 : 1),
    )
    .map((slot) => {
      const bout = bySlot.get(slot.id) ?? null;
      return { slot, bout, state: stateOf(slot, bout, today, kennel.now()) };
    });
}

function stateOf({ day }: Slot, bout: Bout | null, today: Day, now: number): SlotState {
  if (!bout) return day < today ? 'skipped' : 'ahead';
  return isRunning({ ...bout, day }, today, now) ? 'running' : 'done';
}

/** The id under which the work of a slot is found: an element’s, or that of an exercise that is run whole. */
export const pieceOf = ({ on }: Pick<Slot, 'on'>): ElementId =>
  on.kind === 'element' ? on.element : wholeId(on.breakdown);

/** Planned bouts with what they are called, and whose they are; of what is not there any more none. */
export async function plannedWork(
  kennel: Kennel,
  slots: readonly Slot[],
): Promise<{ readonly slot: Slot; readonly title: string; readonly name: string }[]> {
  const found = await Promise.all(
    slots.map(async (slot) => {
      const title = await titleOf(kennel, slot);
      const dog = await kennel.database.of('dogs').get(slot.dogId);
      return title !== undefined && dog ? [{ slot, title, name: dog.name }] : [];
    }),
  );
  return found.flat();
}

async function titleOf({ database }: Kennel, { on }: Slot): Promise<string | undefined> {
  if (on.kind === 'element') return (await database.of('elements').get(on.element))?.title;
  const breakdown = await database.of('breakdowns').get(on.breakdown);
  if (!breakdown) return undefined;
  const book = breakdown.ruleBookId && (await database.of('ruleBooks').get(breakdown.ruleBookId));
  return exerciseTitle(breakdown, { ruleBooks: book ? [book] : [] });
}
