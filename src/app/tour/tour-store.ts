import { create } from 'zustand';
import { persist } from 'zustand/middleware';

type Tour = {
  /** Which step stands open, from 0; null while nobody looks round. */
  readonly step: number | null;
  /** When it was begun: what was done before does not count. */
  readonly since: number;
  readonly begin: (now: number) => void;
  readonly to: (step: number) => void;
  readonly leave: () => void;
};

/** How far somebody has looked round in the sample; it belongs to the device and outlives a reload. */
export const useTour = create<Tour>()(
  persist(
    (set) => ({
      step: null,
      since: 0,
      begin: (now) => set({ step: 0, since: now }),
      to: (step) => set({ step }),
      leave: () => set({ step: null }),
    }),
    { name: 'regulon-tour' },
  ),
);
