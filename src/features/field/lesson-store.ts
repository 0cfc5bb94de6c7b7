import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

/** Instants in milliseconds since 1970. */
export type Game = { readonly kind: 'work' | 'rest'; readonly since: number };
type Lesson = {
  /** The warm-up under way: of which bout, since when. */
  readonly warmUp: { readonly bout: string; readonly since: number } | null;
  /** Games with a toy, by bout. */
  readonly games: Readonly<Record<string, Game>>;
  readonly warm: (warmUp: Lesson['warmUp']) => void;
  readonly play: (bout: string, game: Game) => void;
};

/** Clocks of the lesson that run and are not in the log yet: they outlive a reload. */
export const useLesson = create<Lesson>()(
  persist(
    (set) => ({
      warmUp: null,
      games: {},
      warm: (warmUp) => set({ warmUp }),
      // A bout of another day has no game any more.
      play: (bout, game) =>
        set(({ games }) => ({
          games: Object.fromEntries([
            ...Object.entries(games).filter(([, one]) => game.since - one.since < DAY),
            [bout, game],
          ]),
        })),
    }),
    { name: 'regulon-lesson', storage: createJSONStorage(() => localStorage) },
  ),
);

const DAY = 24 * 3_600_000;
