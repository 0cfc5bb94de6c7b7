import { passesOvernight, type SeenSign, signLine, standingSign } from '@/core/coaching';
import type { Day, ElementId, Sentence } from '@/core/shared';
import type { KeptEvidence } from '@/data/records/kept-evidence';

/** A sign of the body that ended or stopped the work of a bout, and that nobody has dismissed. */
export type StandingSign = SeenSign & {
  readonly kind: 'stop' | 'end';
  readonly bout: KeptEvidence;
  readonly day: Day;
  /** What it may mean and what to do. */
  readonly reason: Sentence;
};

/**
 * All of them, those that stopped the work first, then the newest. What a night's rest mends stands on its
 * own day; later it is only what was seen.
 */
export function standingSigns(bouts: readonly KeptEvidence[], today: Day): StandingSign[] {
  const found = bouts.flatMap((bout): StandingSign[] => {
    const sign = standingSign(bout.signs);
    const reason = signLine(bout.signs)?.reason;
    if (!sign || reason === undefined || (bout.day !== today && passesOvernight(sign.sign))) return [];
    return [{ ...sign, bout, day: bout.day, reason }];
  });
  const grave = (one: StandingSign): number => (one.kind === 'stop' ? 0 : 1);
  return found.sort((a, b) => grave(a) - grave(b) || b.bout.startedAt - a.bout.startedAt);
}

/**
 * Those for which an element does not begin. Pain is the dog's, whatever it did; tiredness and a growl
 * belong to the work in which they were seen.
 */
export const signsAgainst = (
  element: ElementId,
  bouts: readonly KeptEvidence[],
  today: Day,
): StandingSign[] =>
  standingSigns(bouts, today).filter(({ kind, bout }) => kind === 'stop' || bout.element === element);
