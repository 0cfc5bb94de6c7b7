import { create } from 'zustand';
import type { DogId } from '@/core/shared';
import type { KennelName } from '@/data/read';

/** Which dog is in hand, in each kennel; the first one until another is chosen. */
type ChosenDog = {
  readonly chosen: Partial<Record<KennelName, DogId>>;
  readonly choose: (kennel: KennelName, dog: DogId) => void;
};

export const useChosenDog = create<ChosenDog>((set) => ({
  chosen: {},
  choose: (kennel, dog) => set((state) => ({ chosen: { ...state.chosen, [kennel]: dog } })),
}));
