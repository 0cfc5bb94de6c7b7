import { buildLadder, type Criteria, isBodyWork, standingOn } from '@/core/breakdown';
import { coldProbe, isLongGap, startRung } from '@/core/coaching';
import { type Day, daysBetween } from '@/core/shared';
import type { Dog, ElementRecord } from '@/data/records';
import type { KeptEvidence } from '@/data/records/kept-evidence';

/** How long an element has not been worked, and what that means. */
export type Gap = {
  /** Days since it was worked; null where it never was. */
  readonly days: number | null;
  /** So long that nobody knows what is left. */
  readonly long: boolean;
  /** The dog was off work since it was last worked. */
  readonly offWork: boolean;
};

/**
 * The gap before a bout of today: long from thirty days on. A half-life of its own is known of few elements
 * (it takes many long gaps), and not here, where no fit is at hand.
 */
export function gapOf(
  bouts: readonly KeptEvidence[],
  dog: Pick<Dog, 'offWork'>,
  today: Day,
  used: readonly Day[] = [],
): Gap {
  const days = [...bouts.filter((bout) => bout.reps > 0).map((bout) => bout.day), ...used];
  const last = days.reduce<Day | null>((a, b) => (a === null || b > a ? b : a), null);
  if (last === null) return { days: null, long: false, offWork: false };
  const since = daysBetween(last, today);
  const offWork = dog.offWork !== null && dog.offWork.since >= last;
  return { days: since, long: isLongGap(since, null) || offWork, offWork };
}

const NO_GAP: Gap = { days: null, long: false, offWork: false };

/**
 * Where a bout of today begins: the first of a day as many rungs below as the pace says, a second one
 * where the first stood. After a long gap, or off work, no old height, hold, pull or run is asked of a
 * body: it begins at the first step.
 */
export function startToday(
  element: ElementRecord,
  stands: Criteria | null,
  workedToday: boolean,
  gap: Gap = NO_GAP,
): Criteria {
  const ladder = buildLadder(element);
  const { criteria, place } = standingOn(ladder, stands);
  const { pace } = element.policy;
  if (gap.long && !workedToday && isBodyWork(element.work)) return ladder.rungs[0]?.criteria ?? criteria;
  if (workedToday || pace.startBelow === 0) return criteria;
  return ladder.rungs[startRung(pace, place.rung)]?.criteria ?? criteria;
}

/**
 * Where a look at what survived begins; null where none is offered: no long gap, a body that has to be
 * built up first, or a person who lowers nothing that was met.
 */
export function probeStart(element: ElementRecord, stands: Criteria | null, gap: Gap): Criteria | null {
  if (!gap.long || stands === null || isBodyWork(element.work)) return null;
  if (element.policy.pace.ratchet === 'keep') return null;
  const ladder = buildLadder(element);
  const probe = coldProbe(standingOn(ladder, stands).place.rung, []);
  return (probe.kind === 'asking' ? ladder.rungs[probe.rung]?.criteria : undefined) ?? null;
}

/** Whether a dog is off work today: hurt, operated, in season, in whelp. */
export const isOffWork = ({ offWork }: Pick<Dog, 'offWork'>, today: Day): boolean =>
  offWork !== null && offWork.since <= today && (offWork.until === null || today < offWork.until);
