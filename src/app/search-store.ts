import { create } from 'zustand';

type Search = {
  readonly isOpen: boolean;
  /** What is asked; it takes what is typed before the search is on the page. */
  readonly question: string;
  /** Enter was pressed before anything could be found: the first that is found is gone to. */
  readonly wanted: boolean;
  readonly want: (wanted: boolean) => void;
  readonly open: () => void;
  readonly ask: (question: string) => void;
  readonly close: () => void;
};

export const useSearch = create<Search>((set) => ({
  isOpen: false,
  question: '',
  wanted: false,
  want: (wanted) => set({ wanted }),
  open: () => set({ isOpen: true, question: '', wanted: false }),
  ask: (question) => set({ question, wanted: false }),
  close: () => set({ isOpen: false, question: '', wanted: false }),
}));
