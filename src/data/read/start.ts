import { buildLadder, type Criteria, standingOn } from '@/core/breakdown';
import { startRung } from '@/core/coaching';
import type { ElementRecord } from '@/data/records';

/**
 * Where a bout of today begins: the first of a day as many rungs below as the pace says, a second one
 * where the first stood.
 */
export function startToday(element: ElementRecord, stands: Criteria | null, workedToday: boolean): Criteria {
  const ladder = buildLadder(element);
  const { criteria, place } = standingOn(ladder, stands);
  const { pace } = element.policy;
  if (workedToday || pace.startBelow === 0) return criteria;
  return ladder.rungs[startRung(pace, place.rung)]?.criteria ?? criteria;
}
