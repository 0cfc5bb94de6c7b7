import { priceOf } from './families/cost';
import type { PreparedExercise } from './families/family';
import type { Fault } from './families/fault-schema';

/** A fault that a stop-watch can charge, and whether it does at what it shows. */
export type WatchFault = {
  readonly fault: Fault;
  /** Seconds that cost nothing. */
  readonly free: number;
  readonly charged: boolean;
};

/**
 * What a stop-watch at `seconds` (from 0) would charge in this exercise: faults by the second, and bands of
 * a time. At 12.4 s a fault “over 10 s, each second” is charged; at 9 s it is not, and 10 s are free.
 */
export function watchFaults(
  exercise: Pick<PreparedExercise, 'faults'>,
  seconds: number,
): readonly WatchFault[] {
  return exercise.faults.flatMap(({ fault, acts, unit }): WatchFault[] => {
    const { cost } = fault;
    const free =
      cost.kind === 'per-second'
        ? cost.beyond
        : cost.kind === 'band' && (cost.quantity === 'duration' || cost.quantity === 'latency')
          ? (cost.bands[0]?.over ?? 0)
          : null;
    if (free === null) return [];
    const charged = priceOf(cost, seconds, unit) > 0 || (acts !== null && seconds > acts.over);
    return [{ fault, free, charged }];
  });
}
