import {
  countsAsEvidence,
  type EvidenceRep,
  HANDLER_ACTIONS,
  type HandlerAction,
  LANDINGS,
  type Landed,
} from '@/core/log';
import { quantile } from '@/core/statistics';

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

/**
 * Counts habits from an element's reps in the order in which they were done. `next` counts clean
 * ones.
 */
export function habitsOf(reps: readonly EvidenceRep[]): Habits {
  const sorted = [...reps].sort((a, b) => a.at - b.at);
  const timed = sorted.filter((rep) => rep.timing !== null && rep.timing !== undefined);
  const said = sorted.filter((rep) => rep.extraCues !== undefined);
  const early = (rep: EvidenceRep): boolean =>
    rep.timing === 'before-word' ||
    rep.faults.some((fault) => /anticipat|before-cue|too-early/.test(fault.key));
  return {
    anticipated: { of: timed.length > 0 ? timed.length : sorted.length, count: sorted.filter(early).length },
    extraCues: { of: said.length, count: said.filter((rep) => (rep.extraCues ?? 0) > 0).length },
    handlers: { of: sorted.length, count: sorted.filter((rep) => rep.cause === 'handler').length },
    landings: landingsOf(sorted),
    breaks: HANDLER_ACTIONS.flatMap((did) => {
      const found = sorted.filter((rep) => rep.did === did && countsAsEvidence(rep));
      return found.length === 0
        ? []
        : [{ did, rate: { of: found.length, count: found.filter((rep) => rep.outcome !== 'clean').length } }];
    }),
  };
}

function landingsOf(sorted: readonly EvidenceRep[]): Landing[] {
  return LANDINGS.flatMap((landed) => {
    const next = sorted.filter((rep, i) => {
      const before = sorted[i - 1];
      return before?.landed === landed && before.bout === rep.bout;
    });
    if (next.length === 0) return [];
    const times = next.flatMap((rep) => rep.latency ?? []);
    return [
      {
        landed,
        next: { of: next.length, count: next.filter((rep) => rep.outcome === 'clean').length },
        latency: times.length === 0 ? null : quantile(times, 0.5),
      },
    ];
  });
}
