import type { Axis } from '@/core/breakdown';
import type { AxisKey } from '@/core/shared';
import type { Posterior } from './draw';
import type { Estimate } from './estimate';
import { DRAW } from './priors';
import type { Summary } from './summary';

/** It does not rise, and the axis that holds it. */
export type Wall = {
  readonly sessions: number;
  readonly axis: AxisKey;
  /** How sure it is that a session adds next to nothing. */
  readonly chance: number;
};

/**
 * Fewer sessions make no wall; what a session adds below this (logits) is next to nothing; and how sure
 * that must be.
 */
const WALL = { sessions: 12, rise: 0.08, sure: 0.9 } as const;

/**
 * Whether the draws say that the level hardly rises: P(gain per session < .08) > .9, while some axis still
 * falls short of its demand; the one that falls furthest short holds it. Of dogs that learn .10 a session it
 * is said of at most one in ten (studies). Null: no wall, or too few sessions.
 */
export function wallOf(
  axes: readonly Axis[],
  summary: Summary,
  posterior: Posterior,
  { reach }: Pick<Estimate, 'reach'>,
): Wall | null {
  const sessions = new Set(Object.values(summary.cells).map((cell) => cell.bout)).size;
  if (sessions < WALL.sessions) return null;
  let slow = 0;
  for (let i = 0; i < posterior.count; i++)
    if ((posterior.draws[i * posterior.width + DRAW.gain] as number) < WALL.rise) slow += 1;
  const chance = slow / posterior.count;
  if (chance <= WALL.sure) return null;
  const short = reach.filter((one) => one.mid < 1 && axes.some((axis) => axis.key === one.axis));
  const [first, ...others] = short;
  if (!first) return null;
  const holding = others.reduce((least, one) => (one.mid < least.mid ? one : least), first);
  return { sessions, axis: holding.axis, chance };
}
