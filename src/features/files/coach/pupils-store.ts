import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import type { KennelName } from '@/data/read';

/** A pupil whose packet was opened in this browser. */
export type KnownPupil = {
  readonly kennel: KennelName;
  readonly by: string;
  readonly dogs: readonly string[];
  readonly openedAt: number;
};

type State = {
  /** How the person signs what they send. */
  readonly name: string;
  readonly pupils: readonly KnownPupil[];
  readonly sign: (name: string) => void;
  readonly add: (pupil: KnownPupil) => void;
};

/** Which pupils' kennels are in this browser; what they hold is in their own databases. */
export const usePupils = create<State>()(
  persist(
    (set, get) => ({
      name: '',
      pupils: [],
      sign: (name) => set({ name }),
      add: (pupil) =>
        set({ pupils: [pupil, ...get().pupils.filter(({ kennel }) => kennel !== pupil.kennel)] }),
    }),
    { name: 'regulon-pupils', storage: createJSONStorage(() => localStorage) },
  ),
);
