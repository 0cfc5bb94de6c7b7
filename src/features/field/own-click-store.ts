import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import type { OwnClick } from '@/core/review';

type OwnClickState = {
  /** As this device's microphone hears it; null before it was learned. */
  readonly own: OwnClick | null;
  /** Just now clicks are learned: none of them logs a go. */
  readonly learning: boolean;
  readonly keep: (own: OwnClick | null) => void;
  readonly learn: (learning: boolean) => void;
};

/** One's own clicker. It belongs to the device and its microphone; no sound is in it, only a shape. */
export const useOwnClick = create<OwnClickState>()(
  persist(
    (set) => ({
      own: null,
      learning: false,
      keep: (own) => set({ own }),
      learn: (learning) => set({ learning }),
    }),
    { name: 'regulon-own-click', partialize: ({ own }) => ({ own }) },
  ),
);
