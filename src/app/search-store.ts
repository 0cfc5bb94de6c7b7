import { create } from 'zustand';

type Search = {
  readonly isOpen: boolean;
  /** What is asked; it takes what is typed before the search is on the page. */
  readonly question: string;
  readonly open: () => void;
  readonly ask: (question: string) => void;
  readonly close: () => void;
};

export const useSearch = create<Search>((set) => ({
  isOpen: false,
  question: '',
  open: () => set({ isOpen: true, question: '' }),
  ask: (question) => set({ question }),
  close: () => set({ isOpen: false, question: '' }),
}));
