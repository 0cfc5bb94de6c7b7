import type { BoutId, Day } from '@/core/shared';
import { ACTION_CHIP, HANDLER_ACTIONS, type HandlerAction } from './entry';
import type { EvidenceRep } from './evidence-rep';
import type { StandingRep } from './fold';

/** The bout that a rep belongs to, as far as evidence goes. */
export type BoutFacts = {
  readonly id: BoutId;
  readonly day: Day;
  readonly away: boolean;
  readonly conditions: Readonly<Record<string, string>>;
};

/** What was said of place in a chip of the rep itself. */
const PLACE_CHIP = 'place';

const isAction = (text: string | undefined): text is HandlerAction =>
  HANDLER_ACTIONS.some((action) => action === text);

/**
 * Standing reps as evidence, in their order. A rep that is neither one nor the other says nothing
 * and is left out of what counts: it comes as void.
 */
export function asEvidence(bout: BoutFacts, reps: readonly StandingRep[]): EvidenceRep[] {
  return reps.map((rep): EvidenceRep => {
    const { purpose, asked, seen, judged, paid } = rep;
    const { [ACTION_CHIP]: did, [PLACE_CHIP]: place, ...chips } = asked.chips;
    const { outcome } = judged;
    return {
      id: rep.id,
      bout: bout.id,
      day: bout.day,
      at: rep.at,
      timed: rep.timed,
      away: place === undefined ? bout.away : place === 'away',
      criteria: asked.criteria,
      purpose,
      isVoid: judged.void || outcome === 'none',
      conditions: { ...bout.conditions, ...chips },
      outcome: outcome === 'none' ? 'flawed' : outcome,
      faults: judged.faults,
      cause: judged.cause,
      aided: judged.aids.length > 0,
      latency: seen.measured.latency?.value ?? null,
      timing: seen.timing,
      extraCues: seen.cues === undefined ? undefined : seen.cues.needed + seen.cues.slip,
      held: seen.measured.held?.value,
      crooked: seen.eye,
      measured: seen.measured.angle?.value,
      pay: paid.size,
      landed: paid.where,
      did: isAction(did) ? did : undefined,
    };
  });
}
