import { HANDLER_ACTIONS, type HandlerAction, LANDINGS, type Landed } from '@/core/log';
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
  /** Reps with a further cue, of those where it was said. */
  readonly extraCues: Rate;
  /** Reps that were the handler's doing, of all. */
  readonly handlers: Rate;
  readonly landings: readonly Landing[];
  /**
   * Reps that were not clean, by what the handler did meanwhile: a dog that holds while you stand
   * may break when you turn to come back.
   */
  readonly breaks: readonly { readonly did: HandlerAction; readonly rate: Rate }[];
};

/** What the rep after a reward was like, by where that landed: a dog paid ahead creeps ahead. */
export type Landing = { readonly landed: Landed; readonly next: Rate; readonly latency: number | null };

/** Adds up what the bouts counted. `next` counts clean ones, and so `landings` those after a reward. */
export function habitsOf(bouts: readonly BoutEvidence[]): Habits {
  const sum = (of: (one: BoutEvidence) => number): number => bouts.reduce((all, one) => all + of(one), 0);
  const timed = sum((one) => one.habits.timed);
  const all = sum((one) => one.reps);
  return {
    anticipated: { of: timed > 0 ? timed : all, count: sum((one) => one.habits.early) },
    extraCues: { of: sum((one) => one.habits.cued), count: sum((one) => one.habits.extraCues) },
    handlers: { of: all, count: sum((one) => one.habits.handlers) },
    landings: LANDINGS.flatMap((landed) => {
      const found = bouts.flatMap((one) => one.habits.landings.filter((next) => next.landed === landed));
      const times = found.flatMap((next) => next.times);
      return found.length === 0
        ? []
        : [{ landed, next: rate(found, 'clean'), latency: times.length === 0 ? null : quantile(times, 0.5) }];
    }),
    breaks: HANDLER_ACTIONS.flatMap((did) => {
      const found = bouts.flatMap((one) => one.habits.breaks.filter((acted) => acted.did === did));
      return found.length === 0 ? [] : [{ did, rate: rate(found, 'not clean') }];
    }),
  };
}

function rate(
  found: readonly { readonly reps: number; readonly clean: number }[],
  what: 'clean' | 'not clean',
): Rate {
  const of = found.reduce((sum, one) => sum + one.reps, 0);
  const clean = found.reduce((sum, one) => sum + one.clean, 0);
  return { of, count: what === 'clean' ? clean : of - clean };
}
