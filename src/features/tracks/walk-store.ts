import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import type { Position } from './use-position';

export type Marked = Position & { readonly name: string };
type WalkState = {
  readonly fixes: readonly Position[];
  readonly marks: readonly Marked[];
  readonly walked: (fix: Position) => void;
  readonly mark: (mark: Marked) => void;
  readonly clear: () => void;
};

/** A walk that is not kept yet: it outlives leaving the page and a reload, and is gone once it is kept. */
export const useWalk = create<WalkState>()(
  persist(
    (set, get) => ({
      fixes: [],
      marks: [],
      walked: (fix) => set({ fixes: [...get().fixes, fix] }),
      mark: (mark) => set({ marks: [...get().marks, mark] }),
      clear: () => set({ fixes: [], marks: [] }),
    }),
    { name: 'regulon-walk', storage: createJSONStorage(() => localStorage) },
  ),
);
