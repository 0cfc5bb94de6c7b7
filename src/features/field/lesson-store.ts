import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import type { Said } from '@/core/log';
import type { GameTally } from './game';

/** Instants in milliseconds since 1970. */
export type Game = { readonly kind: 'work' | 'rest'; readonly since: number };
type Lesson = {
  /** The warm-up under way: of which bout, since when. */
  readonly warmUp: { readonly bout: string; readonly since: number } | null;
  /** Games with a toy, by bout. */
  readonly games: Readonly<Record<string, Game>>;
  /** What is counted of games and not in the log yet, by bout. */
  readonly tallies: Readonly<Record<string, GameTally>>;
  readonly warm: (warmUp: Lesson['warmUp']) => void;
  readonly play: (bout: string, game: Game) => void;
  /** What is counted of a game now; null once it is in the log. */
  readonly count: (bout: string, tally: GameTally | null) => void;
  /** Stops the clocks of a bout, which goes; gives what they counted. */
  readonly stop: (bout: string, now: number) => readonly Clock[];
};
export type Clock = Extract<Said, { kind: 'clock' }>;

/** Clocks and counts of the lesson that are not in the log yet: they outlive a reload, and another pad between. */
export const useLesson = create<Lesson>()(
  persist(
    (set, get) => ({
      warmUp: null,
      games: {},
      tallies: {},
      warm: (warmUp) => set({ warmUp }),
      // A bout of another day has no game any more.
      play: (bout, game) =>
        set(({ games }) => ({
          games: Object.fromEntries([
            ...Object.entries(games).filter(([, one]) => game.since - one.since < DAY),
            [bout, game],
          ]),
        })),
      count: (bout, tally) =>
        set(({ tallies: { [bout]: _was, ...others } }) => ({
          tallies: tally === null ? others : { ...others, [bout]: tally },
        })),
      stop: (bout, now) => {
        const { warmUp, games } = get();
        const game = games[bout];
        const { [bout]: _gone, ...others } = games;
        set({ warmUp: warmUp?.bout === bout ? null : warmUp, games: others });
        return [
          ...(warmUp?.bout === bout ? [clock('warm-up', warmUp.since, now)] : []),
          ...(game ? [clock(game.kind, game.since, now)] : []),
        ];
      },
    }),
    { name: 'regulon-lesson', storage: createJSONStorage(() => localStorage) },
  ),
);

const DAY = 24 * 3_600_000;

const clock = (what: Clock['what'], since: number, now: number): Clock => ({
  kind: 'clock',
  what,
  seconds: Math.max(0, Math.round((now - since) / 1000)),
});
