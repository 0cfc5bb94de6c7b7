import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import type { ExerciseKey, RunId } from '@/core/shared';

/** A stop-watch that runs: of which exercise of which run, since when (milliseconds since 1970). */
export type Running = { readonly run: RunId; readonly exercise: ExerciseKey; readonly since: number };

type Screen = {
  /** Whether the score is in sight while somebody judges. */
  readonly score: boolean;
  readonly showScore: (score: boolean) => void;
  /** As which judge this device writes; null before it was asked. */
  readonly writesAs: string | null;
  readonly writeAs: (judge: string) => void;
  readonly watch: Running | null;
  readonly runWatch: (watch: Running | null) => void;
};

/** What a judge’s screen shows, and the stop-watch: they outlive a reload. */
export const useScreen = create<Screen>()(
  persist(
    (set) => ({
      score: true,
      showScore: (score) => set({ score }),
      writesAs: null,
      writeAs: (writesAs) => set({ writesAs }),
      watch: null,
      runWatch: (watch) => set({ watch }),
    }),
    { name: 'regulon-judging', storage: createJSONStorage(() => localStorage) },
  ),
);
