import { mixSeed, type StarterId } from '@/core/shared';
import { shuffled } from './steward';

export type Starting = {
  readonly id: StarterId;
  readonly handler: string;
  readonly inSeason: boolean;
  readonly withdrawn: boolean;
};

/** Orders that are drawn to choose from: enough that a handler’s dogs are apart where they can be. */
const TRIES = 400;

/**
 * Draws the running order: dogs that are withdrawn are left out, females in season run last, and of 400
 * orders that one is taken which has the most dogs between two of one handler (the first of equals). The
 * same seed gives the same order. Four dogs, two of one handler → never one right after the other.
 */
export function drawOrder(starters: readonly Starting[], seed: number): StarterId[] {
  const running = starters.filter((one) => !one.withdrawn);
  let best: readonly Starting[] = [];
  let widest = -1;
  for (let i = 0; i < TRIES; i++) {
    const order = [
      ...shuffled(
        running.filter((one) => !one.inSeason),
        mixSeed(seed, 2 * i),
      ),
      ...shuffled(
        running.filter((one) => one.inSeason),
        mixSeed(seed, 2 * i + 1),
      ),
    ];
    const between = leastBetween(order) ?? Number.POSITIVE_INFINITY;
    if (between > widest) [best, widest] = [order, between];
    if (between === Number.POSITIVE_INFINITY) break;
  }
  return best.map((one) => one.id);
}

/** The fewest dogs between two of one handler; null where nobody has two. [A, B, A] → 1. */
export function leastBetween(order: readonly Pick<Starting, 'handler'>[]): number | null {
  const gaps = order.flatMap((one, i) => {
    const next = one.handler === '' ? -1 : order.findIndex((it, j) => j > i && it.handler === one.handler);
    return next < 0 ? [] : [next - i - 1];
  });
  return gaps.length === 0 ? null : Math.min(...gaps);
}

/**
 * When each dog of an order is expected, minutes after midnight: so many minutes a dog, from a start, or
 * from the last real time that is known. 9:00, 8 minutes, the second really began at 9:15 → 540, 555, 563.
 */
export function expectedTimes(
  start: number,
  minutesEach: number,
  real: readonly (number | null)[],
): number[] {
  let next = start;
  return real.map((begun) => {
    const at = begun ?? next;
    next = at + minutesEach;
    return at;
  });
}
