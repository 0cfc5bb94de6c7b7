import type { Load } from '@/core/planning';
import type { ElementId } from '@/core/shared';

/** One bout as a period counts it; rungs from 0, null for an exercise that was run whole. */
export type PeriodBout = {
  readonly piece: ElementId;
  readonly minutes: number | null;
  readonly reps: number;
  readonly clean: number;
  readonly counted: number;
  readonly from: number | null;
  readonly to: number | null;
  readonly loads: Readonly<Record<Load, number>>;
};

/** What a week or a month comes to. Pieces that rose or fell by their steps, from its first bout to its last. */
export type Period = {
  readonly bouts: number;
  readonly reps: number;
  readonly minutes: number;
  /** Bouts of which nobody knows the length: their minutes are not among these. */
  readonly untimed: number;
  readonly loads: Readonly<Record<Load, number>>;
  readonly rose: readonly Moved[];
  readonly fell: readonly Moved[];
  readonly never: readonly ElementId[];
};
export type Moved = { readonly piece: ElementId; readonly from: number; readonly to: number };

/**
 * Adds the bouts of a period up, oldest first; `pieces` are those that are trained, so that those without a bout
 * are named. Two bouts from step 3 to 4 and from 4 to 6 → rose by three.
 */
export function periodOf(bouts: readonly PeriodBout[], pieces: readonly ElementId[]): Period {
  const loads = { jumps: 0, 'sharp-turns': 0, 'upright-holds': 0, 'run-metres': 0 };
  const moves = new Map<ElementId, { from: number; to: number }>();
  for (const bout of bouts) {
    for (const load of Object.keys(loads) as Load[]) loads[load] += bout.loads[load];
    if (bout.from === null || bout.to === null) continue;
    const known = moves.get(bout.piece);
    moves.set(bout.piece, { from: known?.from ?? bout.from, to: bout.to });
  }
  const moved = [...moves].map(([piece, move]) => ({ piece, ...move }));
  const worked = new Set(bouts.map((one) => one.piece));
  return {
    bouts: bouts.length,
    reps: bouts.reduce((sum, one) => sum + one.reps, 0),
    minutes: bouts.reduce((sum, one) => sum + (one.minutes ?? 0), 0),
    untimed: bouts.filter((one) => one.minutes === null).length,
    loads,
    rose: moved.filter((one) => one.to > one.from).sort((a, b) => b.to - b.from - (a.to - a.from)),
    fell: moved.filter((one) => one.to < one.from).sort((a, b) => a.to - a.from - (b.to - b.from)),
    never: pieces.filter((piece) => !worked.has(piece)),
  };
}
