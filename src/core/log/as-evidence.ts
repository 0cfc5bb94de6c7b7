import type { Timing } from '@/core/coaching';
import { asId, type BoutId, type Day } from '@/core/shared';
import { ACTION_CHIP, PLACE_CHIP, TOSS_CHIP, WORD_CHIP } from './entry';
import { countsAsEvidence, type EvidenceRep } from './evidence-rep';
import type { StandingRep } from './fold';

/** The bout that a rep belongs to, as far as evidence goes. */
export type BoutFacts = {
  readonly id: BoutId;
  readonly day: Day;
  readonly away: boolean;
  readonly conditions: Readonly<Record<string, string>>;
};

/**
 * Whether the new cue alone was answered: in the gap or in silence it was; after the prompt or a
 * reminder, or not at all, it was not yet; before the word nothing was asked.
 */
const ALONE: Readonly<Record<Timing, 'clean' | 'miss' | null>> = {
  'in-gap': 'clean',
  unprompted: 'clean',
  prompted: 'miss',
  reminded: 'miss',
  none: 'miss',
  'before-word': null,
};

/**
 * Standing reps as evidence, in their order. A rep that is neither one nor the other says nothing
 * and is left out of what counts: it comes as void, and so does a run among articles whose layout
 * the handler knew or the dog saw.
 */
export function asEvidence(bout: BoutFacts, reps: readonly StandingRep[]): EvidenceRep[] {
  return reps.map((rep): EvidenceRep => {
    const { purpose, asked, seen, judged, paid } = rep;
    const { [ACTION_CHIP]: did, [PLACE_CHIP]: place, ...said } = asked.chips;
    const { chips, tosses } = apart(said);
    const { run, timing } = seen;
    const alone = timing === null ? null : ALONE[timing];
    const outcome = alone ?? judged.outcome;
    const inSight = run?.kind === 'articles' && (run.known || run.seen);
    return {
      id: rep.id,
      bout: bout.id,
      day: bout.day,
      at: rep.at,
      timed: rep.timed,
      away: place === undefined ? bout.away : place === 'away',
      criteria: asked.criteria,
      purpose,
      isVoid: judged.void || judged.outcome === 'none' || inSight || timing === 'before-word',
      conditions: { ...bout.conditions, ...chips },
      tosses,
      outcome: outcome === 'none' ? 'flawed' : outcome,
      faults: judged.faults,
      noted: asked.noted,
      cause: judged.cause,
      // What was prompted is told by its outcome already.
      aided: timing === null && judged.aids.length > 0,
      rested: rep.rested,
      grade: seen.grade,
      latency: seen.measured.latency?.value ?? null,
      timing,
      cues: seen.cues,
      held: seen.measured.held?.value,
      endedBy: seen.endedBy,
      crooked: seen.eye,
      measured: seen.measured.angle?.value,
      offset: seen.measured.offset?.value,
      pay: paid.size,
      landed: paid.where,
      what: paid.what,
      unasked: paid.unasked,
      did,
      handled: seen.handled,
      word: asked.chips[WORD_CHIP] ?? (asked.call?.kind === 'cue' ? asked.call.word : undefined),
      instead: seen.instead,
      drive: seen.drive,
      calm: seen.calm,
      returned: asked.call?.kind === 'return' ? { delay: asked.call.delay } : undefined,
    };
  });
}

/** What was done, and the tosses that it followed: one that was said otherwise afterwards followed none. */
function apart(said: Readonly<Record<string, string>>): {
  readonly chips: Readonly<Record<string, string>>;
  readonly tosses: Readonly<Record<string, string>>;
} {
  const entries = Object.entries(said);
  const isToss = ([key]: [string, string]): boolean => key.startsWith(TOSS_CHIP);
  return {
    chips: Object.fromEntries(entries.filter((one) => !isToss(one))),
    tosses: Object.fromEntries(
      entries
        .filter(isToss)
        .map(([key, value]) => [key.slice(TOSS_CHIP.length), value] as const)
        .filter(([title, value]) => said[title] === value),
    ),
  };
}

/** The same for one rep of which the bout does not matter: whether it counts. */
export const repCounts = (rep: StandingRep): boolean => {
  const [one] = asEvidence(NO_BOUT, [rep]);
  return one !== undefined && countsAsEvidence(one);
};

const NO_BOUT: BoutFacts = { id: asId<BoutId>('-'), day: '2000-01-01' as Day, away: false, conditions: {} };
