import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import type { Criteria } from '@/core/breakdown';
import type { DogId, ElementId } from '@/core/shared';

/** A sheet as it was printed: which element stands on which line, and what was to be asked. */
export type Tally = {
  readonly number: number;
  readonly kennel: string;
  readonly dog: DogId;
  readonly printedAt: number;
  readonly lines: readonly { readonly element: ElementId; readonly criteria: Criteria }[];
};

/** So many printed sheets are remembered; older paper is typed in on the log of its element. */
const KEPT = 20;

type State = {
  readonly sheets: readonly Tally[];
  readonly print: (sheet: Omit<Tally, 'number'>) => Tally;
};

/** Sheets for a field without a phone, as they were printed: what is typed in later means the same lines. */
export const useTallies = create<State>()(
  persist(
    (set, get) => ({
      sheets: [],
      print: (sheet) => {
        const [last] = get().sheets;
        const next = { ...sheet, number: (last?.number ?? 0) + 1 };
        set({ sheets: [next, ...get().sheets].slice(0, KEPT) });
        return next;
      },
    }),
    { name: 'regulon-tallies', storage: createJSONStorage(() => localStorage) },
  ),
);
