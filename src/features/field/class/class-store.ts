import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import type { DogId, ElementId } from '@/core/shared';

type Kept = {
  readonly dogs: readonly DogId[];
  /** What each does, where somebody has said it. */
  readonly elements: Readonly<Partial<Record<DogId, ElementId>>>;
};
const NOBODY: Kept = { dogs: [], elements: {} };

type State = {
  readonly classes: Readonly<Record<string, Kept>>;
  readonly say: (kennel: string, change: Partial<Kept>) => void;
};

/** Who is in the class of this kennel, and what each does: on the screen only, kept through a reload. */
export const useClass = create<State>()(
  persist(
    (set, get) => ({
      classes: {},
      say: (kennel, change) =>
        set({
          classes: { ...get().classes, [kennel]: { ...NOBODY, ...get().classes[kennel], ...change } },
        }),
    }),
    { name: 'regulon-class', storage: createJSONStorage(() => localStorage) },
  ),
);
export const classOf = (state: State, kennel: string): Kept => state.classes[kennel] ?? NOBODY;
