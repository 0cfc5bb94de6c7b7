import { quantile } from '@/core/statistics';

/** What was done on one rung after another: counted reps, and moves by hand. */
export type FeelEvent =
  | { readonly kind: 'rep'; readonly clean: boolean }
  | { readonly kind: 'move'; readonly up: boolean };

/**
 * How somebody goes up and back by feel, as their own log shows it. Shares are of the last reps on
 * the rung before the move.
 */
export type FeelRecord = {
  readonly ups: number;
  readonly downs: number;
  readonly reps: number;
  /** Middle share of clean reps before going up, and before going back; null before the first. */
  readonly cleanBeforeUp: number | null;
  readonly cleanBeforeDown: number | null;
};

/** Reps before a move that are looked at: about a set, since that is what an eye keeps. */
const LOOKED_AT = 5;

/**
 * The operating record of a person who moves by feel: at what share of clean reps they go up and
 * back. Sessions in any order, each in the order of its reps; a move with no rep on the rung before
 * it says nothing and is left out. Two clean reps, then up → cleanBeforeUp 1.
 */
export function feelRecord(sessions: readonly (readonly FeelEvent[])[]): FeelRecord {
  const before: Record<'up' | 'down', number[]> = { up: [], down: [] };
  let reps = 0;
  for (const events of sessions) {
    let here: boolean[] = [];
    for (const event of events) {
      if (event.kind === 'rep') {
        here = [...here, event.clean].slice(-LOOKED_AT);
        reps += 1;
        continue;
      }
      if (here.length > 0) before[event.up ? 'up' : 'down'].push(here.filter(Boolean).length / here.length);
      here = [];
    }
  }
  const middle = (shares: readonly number[]): number | null =>
    shares.length === 0 ? null : quantile(shares, 0.5);
  return {
    ups: before.up.length,
    downs: before.down.length,
    reps,
    cleanBeforeUp: middle(before.up),
    cleanBeforeDown: middle(before.down),
  };
}
