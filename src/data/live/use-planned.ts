import { useLiveQuery } from 'dexie-react-hooks';
import { dayAsSaid, listUsuals, type PlannedSlot, slotsBetween } from '@/data/read';
import { useKennelWithDog } from './use-kennel';

/** What is planned for today, all dogs, in the order of the lessons; and whether today’s place is a strange one. */
export type PlannedToday = { readonly slots: readonly PlannedSlot[]; readonly strange: boolean };

/** Null until first read. */
export function usePlannedToday(): PlannedToday | null {
  const { kennel, today } = useKennelWithDog();
  const found = useLiveQuery(async (): Promise<PlannedToday> => {
    const slots = await slotsBetween(kennel, today, today, today);
    if (slots.length === 0) return { slots, strange: false };
    return { slots, strange: dayAsSaid(await listUsuals(kennel), today).strange };
  }, [kennel, today]);
  return found ?? null;
}
