import { create } from 'zustand';

/** Whether the search is open. */
export const useSearch = create<{
  readonly isOpen: boolean;
  readonly open: () => void;
  readonly close: () => void;
}>((set) => ({
  isOpen: false,
  open: () => set({ isOpen: true }),
  close: () => set({ isOpen: false }),
}));
