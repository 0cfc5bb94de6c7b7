import type { Timing } from '@/core/coaching';
import { HANDLED, type Handled, LANDINGS, type Landed } from '@/core/log';
import { quantile } from '@/core/statistics';
import type { BoutEvidence } from './bout-evidence';

/** How often, out of how many. */
export type Rate = { readonly of: number; readonly count: number };

/** Small things that tell more than the clean rate. All are plain counts of what was logged. */
export type Habits = {
  /**
   * Answers before the word, of reps whose timing was kept; and faults that are named anticipation,
   * of all.
   */
  readonly anticipated: Rate;
  /** Reps with a further cue, of those where cues were said, by why it came. */
  readonly cues: { readonly needed: Rate; readonly slip: Rate; readonly meant: Rate };
  /** Answers by when they came, where a new cue takes over from an old prompt. */
  readonly timings: Readonly<Partial<Record<Timing, number>>>;
  /** Silent tests after a gap and other probes that were clean. */
  readonly probes: Rate;
  /** Reps that were the handler's doing, of all. */
  readonly handlers: Rate;
  readonly landings: Compared<Landing>;
  /**
   * Reps that were not clean, by what the handler did meanwhile: a dog that holds while you stand
   * may break when you turn to come back.
   */
  readonly breaks: Compared<{ readonly did: string; readonly rate: Rate }>;
  /** The rep after one that went wrong was clean, by what the handler did about that. */
  readonly handled: Compared<{ readonly handled: Handled; readonly next: Rate }>;
  /** What was asked and what it did instead, most frequent first. */
  readonly instead: readonly { readonly word: string; readonly did: string; readonly count: number }[];
  readonly drive: Rate;
  readonly calm: readonly { readonly moment: 'on' | 'worn' | 'off'; readonly rate: Rate }[];
  /** Clean by the kind of reward of the rep. */
  readonly pay: Compared<{ readonly what: string; readonly rate: Rate }>;
  readonly jackpots: number;
  readonly unasked: number;
};

/**
 * Kinds side by side. `alike`: only reps of criteria at which two kinds or more were done are in it, and
 * the rates may be compared; otherwise kinds never met at like criteria, and only their numbers are told.
 */
export type Compared<T> = { readonly alike: boolean; readonly kinds: readonly T[] };

/** What the rep after a reward was like, by where that landed: a dog paid ahead creeps ahead. */
export type Landing = { readonly landed: Landed; readonly next: Rate; readonly latency: number | null };

/** Adds up what the bouts counted. `next` counts clean ones, and so `landings` those after a reward. */
export function habitsOf(bouts: readonly BoutEvidence[]): Habits {
  const sum = (of: (one: BoutEvidence) => number): number => bouts.reduce((all, one) => all + of(one), 0);
  const timed = sum((one) => one.habits.timed);
  const all = sum((one) => one.reps);
  const cued = sum((one) => one.habits.cued);
  const cues = (kind: 'needed' | 'slip' | 'meant'): Rate => ({
    of: cued,
    count: sum((one) => one.habits.cues[kind]),
  });
  const timings: Partial<Record<Timing, number>> = {};
  for (const bout of bouts)
    for (const [timing, n] of Object.entries(bout.timings) as [Timing, number][])
      timings[timing] = (timings[timing] ?? 0) + n;
  return {
    anticipated: { of: timed > 0 ? timed : all, count: sum((one) => one.habits.early) },
    cues: { needed: cues('needed'), slip: cues('slip'), meant: cues('meant') },
    timings,
    probes: rate(
      bouts.map((one) => one.probes),
      'clean',
    ),
    handlers: { of: all, count: sum((one) => one.habits.handlers) },
    landings: compared(
      bouts.flatMap((one) => one.habits.landings),
      ({ landed }) => LANDINGS.indexOf(landed).toString(),
      (found) => {
        const times = found.flatMap((next) => next.times);
        const { landed } = found[0] as (typeof found)[number];
        const latency = times.length === 0 ? null : quantile(times, 0.5);
        return { landed, next: rate(found, 'clean'), latency };
      },
    ),
    breaks: compared(
      bouts.flatMap((one) => one.habits.breaks),
      ({ did }) => did,
      (found) => ({ did: found[0]?.did ?? '', rate: rate(found, 'not clean') }),
    ),
    handled: compared(
      bouts.flatMap((one) => one.habits.handled),
      ({ handled }) => HANDLED.indexOf(handled).toString(),
      (found) => ({
        handled: (found[0] as (typeof found)[number]).handled,
        next: rate(found, 'clean'),
      }),
    ),
    instead: byWord(
      bouts.flatMap((one) =>
        one.habits.instead.map((pair) => [JSON.stringify([pair.word, pair.did]), pair] as const),
      ),
    )
      .flatMap(([, found]) => {
        const [first] = found;
        return first ? [{ ...first, count: found.reduce((n, pair) => n + pair.count, 0) }] : [];
      })
      .sort((a, b) => b.count - a.count),
    drive: { of: sum((one) => one.habits.drive.of), count: sum((one) => one.habits.drive.count) },
    calm: (['on', 'worn', 'off'] as const).flatMap((moment) => {
      const found = bouts.flatMap((one) => one.habits.calm.filter((said) => said.moment === moment));
      return found.length === 0
        ? []
        : [
            {
              moment,
              rate: {
                of: found.reduce((n, said) => n + said.of, 0),
                count: found.reduce((n, said) => n + said.count, 0),
              },
            },
          ];
    }),
    pay: compared(
      bouts.flatMap((one) => one.habits.pay),
      ({ what }) => what,
      (found) => ({ what: found[0]?.what ?? '', rate: rate(found, 'clean') }),
    ),
    jackpots: sum((one) => one.habits.jackpots),
    unasked: sum((one) => one.habits.unasked),
  };
}

/**
 * Kinds at like criteria: of each set of criteria at which several kinds were done, all that was done there.
 * Where there is none, all of them, not to be compared.
 */
function compared<S extends { readonly at: string }, T>(
  said: readonly S[],
  kindOf: (one: S) => string,
  tell: (found: readonly S[]) => T,
): Compared<T> {
  const kindsAt = new Map<string, Set<string>>();
  for (const one of said) kindsAt.set(one.at, (kindsAt.get(one.at) ?? new Set()).add(kindOf(one)));
  const like = said.filter((one) => (kindsAt.get(one.at)?.size ?? 0) > 1);
  const shown = like.length > 0 ? like : said;
  return {
    alike: like.length > 0,
    kinds: byWord(shown.map((one) => [kindOf(one), one] as const)).map(([, found]) => tell(found)),
  };
}

function byWord<T>(said: readonly (readonly [string, T])[]): (readonly [string, T[]])[] {
  const found = new Map<string, T[]>();
  for (const [word, one] of said) found.set(word, [...(found.get(word) ?? []), one]);
  return [...found].sort(([a], [b]) => (a < b ? -1 : 1));
}

function rate(
  found: readonly { readonly reps: number; readonly clean: number }[],
  what: 'clean' | 'not clean',
): Rate {
  const of = found.reduce((sum, one) => sum + one.reps, 0);
  const clean = found.reduce((sum, one) => sum + one.clean, 0);
  return { of, count: what === 'clean' ? clean : of - clean };
}
