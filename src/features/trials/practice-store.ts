import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import type { RunId } from '@/core/shared';

type Shown = {
  /** How many scenes of which practice run have been shown: it outlives a reload. */
  readonly run: RunId | null;
  readonly count: number;
  readonly show: (run: RunId, count: number) => void;
};

export const useShown = create<Shown>()(
  persist((set) => ({ run: null, count: 0, show: (run, count) => set({ run, count }) }), {
    name: 'regulon-practice',
    storage: createJSONStorage(() => localStorage),
  }),
);
