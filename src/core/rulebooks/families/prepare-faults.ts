import { must, toBase } from '@/core/shared';
import type { Cell, PreparedFault } from './family';
import type { Fault } from './fault-schema';

/** More than any score: as a cap it never holds. */
export const NO_CAP = 0x7fffffff;

export type FaultSetting = {
  /** Units of one point of the file. */
  readonly unit: number;
  readonly cell?: number;
  readonly slot?: string;
  readonly free?: number;
  /** What a major fault leaves of the cell. */
  readonly majorLeaves?: number;
};

/**
 * Lays out one fault; whatever a family does not say is the plain case: its own slot, no allowance,
 * no ceiling.
 */
export function prepareFault(fault: Fault, setting: FaultSetting): PreparedFault {
  const { cost } = fault;
  const cap = 'cap' in cost && cost.cap !== undefined ? Math.round(cost.cap * setting.unit) : NO_CAP;
  const ceiling =
    cost.kind === 'zero' || cost.kind === 'end-run'
      ? 0
      : cost.kind === 'major'
        ? (setting.majorLeaves ?? 0)
        : null;
  return {
    fault,
    cell: setting.cell ?? 0,
    unit: setting.unit,
    slot: setting.slot ?? fault.id,
    cap,
    free: setting.free ?? 0,
    ceiling,
    ends: cost.kind === 'end-run',
    major: cost.kind === 'major',
    gives: cost.kind === 'bonus',
    warnings: fault.warnings ?? 0,
    nth: fault.nth ?? null,
    across: -1,
    acts: 'acts' in cost && cost.acts ? { over: limitOf(cost), does: cost.acts.does } : null,
  };
}

/** Where a limit that acts lies, in base units. */
function limitOf(cost: Extract<Fault['cost'], { acts?: unknown }>): number {
  const over = cost.acts?.over ?? 0;
  return cost.kind === 'band' ? must(toBase(cost.quantity, over, cost.unit)) : over;
}

/** A sheet with one cell of this maximum, in units. `oneCell(40)` → one cell, key ''. */
export const oneCell = (maximum: number): readonly Cell[] => [{ key: '', title: '', maximum }];

/** The values from place `from` up to, not with, `to`. `sum([1, 2, 3], 1)` → 5. */
export function sum(kept: ArrayLike<number>, from = 0, to = kept.length): number {
  let total = 0;
  for (let i = from; i < to; i++) total += kept[i] as number;
  return total;
}

/**
 * The best of awards that are reached, by what they ask; a run that does not pass has only those that
 * are given below the line too.
 */
export function bestAward<T extends { readonly title: string; readonly alsoBelow?: boolean | undefined }>(
  awards: readonly T[],
  passed: boolean,
  asks: (award: T) => number,
  reached: (award: T) => boolean,
): string | null {
  const earned = awards
    .filter((award) => (passed || award.alsoBelow === true) && reached(award))
    .sort((a, b) => asks(b) - asks(a));
  return earned[0]?.title ?? null;
}
