import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import type { Day } from '@/core/shared';
import type { Asked } from './one-answer';

type Store = Asked & {
  /** When it was said: what was said yesterday is not said of today. */
  readonly day: Day | null;
  readonly say: (change: Partial<Asked>, day: Day) => void;
};

const NOTHING: Asked = { minutes: null, place: 'usual' };

const useStore = create<Store>()(
  persist(
    (set, get) => ({
      ...NOTHING,
      day: null,
      say: (change, day) => set({ ...saidOn(get(), day), ...change, day }),
    }),
    { name: 'regulon-today', storage: createJSONStorage(() => localStorage) },
  ),
);

const saidOn = ({ minutes, place, day }: Asked & Pick<Store, 'day'>, today: Day): Asked =>
  day === today ? { minutes, place } : NOTHING;

/** What somebody has today, as it was said last on this device, and how to say it. */
export function useAsked(today: Day): Asked & { readonly say: (change: Partial<Asked>) => void } {
  const store = useStore();
  return { ...saidOn(store, today), say: (change) => store.say(change, today) };
}
