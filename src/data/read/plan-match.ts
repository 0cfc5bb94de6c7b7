import type { PlannedBout } from '@/core/planning';
import type { Day } from '@/core/shared';
import type { New, Slot } from '@/data/records';
import { same } from '@/data/records/same';
import { pieceOf } from './slots';
import { onOf } from './whole';

/** A planned bout as it is to be stored; the criteria of its step with it. */
export type SlotSaid = Pick<
  PlannedBout,
  'day' | 'dog' | 'piece' | 'purpose' | 'goes' | 'sets' | 'minutes' | 'why'
> &
  Pick<Slot, 'at'>;

/** What a new plan makes of the one before: rows with the id of what they were, where they were something. */
export type PlanMatch = {
  readonly added: readonly Omit<New<Slot>, 'id'>[];
  readonly removed: readonly Slot[];
  readonly moved: readonly { readonly row: New<Slot>; readonly from: Day }[];
  readonly changed: readonly New<Slot>[];
};

/**
 * Matches a plan with the open bouts of the one before. The same work of the same dog on the same day is the
 * same bout; then the same work on another day was moved; what is left over is new or gone. `order` counts on
 * after what stays on the day.
 */
export function matchPlan(
  open: readonly Slot[],
  stays: readonly Slot[],
  bouts: readonly SlotSaid[],
): PlanMatch {
  const free = new Set(open);
  const take = (fits: (one: Slot) => boolean): Slot | undefined => {
    const found = [...free].filter(fits).sort((a, b) => (a.day < b.day ? -1 : 1))[0];
    if (found) free.delete(found);
    return found;
  };
  const isOf = (slot: Slot, said: SlotSaid): boolean =>
    slot.dogId === said.dog && pieceOf(slot) === said.piece;
  const placed = inOrder(stays, bouts);
  const kept = placed.map(({ said }) => take((one) => isOf(one, said) && one.day === said.day));
  const before = placed.map(({ said }, i) => kept[i] ?? take((one) => isOf(one, said)));
  const added: Omit<New<Slot>, 'id'>[] = [];
  const moved: { row: New<Slot>; from: Day }[] = [];
  const changed: New<Slot>[] = [];
  for (const [i, { said, order }] of placed.entries()) {
    const old = before[i];
    const row = rowOf(said, order);
    if (!old) added.push(row);
    else if (old.day !== row.day) moved.push({ row: { ...row, id: old.id }, from: old.day });
    else if (!isSame(old, row)) changed.push({ ...row, id: old.id });
  }
  return { added, removed: [...free], moved, changed };
}

/** Bouts with their place in the lesson of their day and dog, after those that stay there. */
function inOrder(
  stays: readonly Slot[],
  bouts: readonly SlotSaid[],
): { readonly said: SlotSaid; readonly order: number }[] {
  const counts = new Map<string, number>();
  for (const one of stays) {
    const key = `${one.day} ${one.dogId}`;
    counts.set(key, Math.max(counts.get(key) ?? 0, one.order + 1));
  }
  return bouts.map((said) => {
    const key = `${said.day} ${said.dog}`;
    const order = counts.get(key) ?? 0;
    counts.set(key, order + 1);
    return { said, order };
  });
}

/** A planned bout as a row without an id. */
export const rowOf = (said: SlotSaid, order: number): Omit<New<Slot>, 'id'> => ({
  day: said.day,
  dogId: said.dog,
  order,
  pinned: false,
  on: onOf(said.piece),
  at: said.at,
  purpose: said.purpose,
  goes: said.goes,
  sets: said.sets,
  minutes: said.minutes,
  why: said.why && { low: rounded(said.why.low), mid: rounded(said.why.mid), high: rounded(said.why.high) },
});

/** What is shown of a reason is a tenth of a hundredth. */
const rounded = (value: number): number => Math.round(value * 1000) / 1000;

/** Whether a plan says the same of a bout; its reason is looked at anew with every rep, and is no change alone. */
function isSame(
  { changed: _changed, id: _id, why: _why, ...old }: Slot,
  { why: _, ...row }: Omit<New<Slot>, 'id'>,
): boolean {
  return same(old, row);
}

export const isEmptyMatch = ({ added, removed, moved, changed }: PlanMatch): boolean =>
  added.length + removed.length + moved.length + changed.length === 0;
