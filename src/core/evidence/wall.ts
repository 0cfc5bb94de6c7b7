import type { Axis, Criteria } from '@/core/breakdown';
import { type AxisKey, type Day, type ElementId, ok, type Result } from '@/core/shared';
import { type ElementEvidence, type Weigh, weighElement } from './assess';
import type { BoutEvidence } from './bout-evidence';
import { estimateElement } from './estimate';

/** No rise in reach over the last sessions, and the axis that holds it. */
export type Wall = {
  readonly sessions: number;
  readonly axis: AxisKey /** How far its reach moved meanwhile, in difficulty. */;
  readonly moved: number;
};

/**
 * Sessions without a rise that make a wall, and the rise that still counts as none (difficulty: 0
 * is the start, 1 the demand).
 */
const WALL = { sessions: 6, rise: 0.08 } as const;

/**
 * Compares the reach of now with that of six sessions ago, both at the same other values. A wall is
 * where no axis that is short of its demand has risen; the axis that stands furthest short of it
 * holds it. Null: no wall, or fewer than twice as many sessions. Fails as the fit does.
 */
export function wallOf(
  id: ElementId,
  axes: readonly Axis[],
  bouts: readonly BoutEvidence[],
  here: Criteria,
  today: Day,
  weigh: Weigh = weighElement,
): Result<Wall | null> {
  const sessions = bouts
    .filter((one) => one.reps > 0)
    .sort((a, b) => (a.day < b.day || (a.day === b.day && a.bout < b.bout) ? -1 : 1));
  if (sessions.length < 2 * WALL.sessions) return ok(null);
  const before = sessions.slice(0, -WALL.sessions);
  const [now, then] = [
    reachAt(weigh, { id, axes, bouts }, here, today),
    reachAt(weigh, { id, axes, bouts: before }, here, before.at(-1)?.day ?? today),
  ];
  if (!now.ok) return now;
  if (!then.ok) return then;
  const short = now.value
    .map((reach, i) => ({
      axis: reach.axis,
      mid: reach.mid,
      moved: reach.mid - (then.value[i]?.mid ?? reach.mid),
    }))
    .filter((one) => one.mid < 1);
  if (short.length === 0 || short.some((one) => one.moved > WALL.rise)) return ok(null);
  const holding = short.reduce((least, one) => (one.mid < least.mid ? one : least));
  return ok({ sessions: WALL.sessions, axis: holding.axis, moved: holding.moved });
}

function reachAt(weigh: Weigh, evidence: ElementEvidence, here: Criteria, day: Day) {
  const weighed = weigh(evidence, day);
  if (!weighed.ok) return weighed;
  const estimate = estimateElement(evidence.axes, weighed.value.posterior, here, here);
  return estimate.ok ? ok(estimate.value.reach) : estimate;
}
