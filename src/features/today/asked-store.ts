import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import type { Asked } from './one-answer';

type Store = Asked & { readonly say: (change: Partial<Asked>) => void };

/** What somebody has today, as it was said last on this device. */
export const useAsked = create<Store>()(
  persist((set) => ({ minutes: null, place: 'usual', say: (change) => set(change) }), {
    name: 'regulon-today',
    storage: createJSONStorage(() => localStorage),
  }),
);
