import { create } from 'zustand';
import type { LiveCover, LiveKind, LiveWind } from '@/core/review';

type DayState = {
  /** What happens next; it stays for the one after. */
  readonly what: LiveKind | null;
  readonly distance: string;
  readonly wind: LiveWind | null;
  readonly cover: LiveCover | null;
  readonly set: (change: Partial<Omit<DayState, 'set'>>) => void;
};

/** What is in hand on a live day: chips keep their last value. */
export const useDay = create<DayState>()((set) => ({
  what: null,
  distance: '',
  wind: null,
  cover: null,
  set: (change) => set(change),
}));
