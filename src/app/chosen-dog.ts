import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import type { DogId } from '@/core/shared';
import type { KennelName } from '@/data/read';

/**
 * Which dog is in hand, in each kennel; the first one until another is chosen. Kept on this device, so that
 * a reload comes back to the same dog.
 */
type ChosenDog = {
  readonly chosen: Partial<Record<KennelName, DogId>>;
  readonly choose: (kennel: KennelName, dog: DogId) => void;
};

export const useChosenDog = create<ChosenDog>()(
  persist(
    (set) => ({
      chosen: {},
      choose: (kennel, dog) => set((state) => ({ chosen: { ...state.chosen, [kennel]: dog } })),
    }),
    { name: 'regulon-dog', storage: createJSONStorage(() => localStorage) },
  ),
);
