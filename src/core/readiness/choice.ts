import type { Random } from '@/core/shared';
import { drawDirichlet } from '@/core/statistics';

/** A step that is priced by something else: its weight stays, and drawing it charges nothing. */
export const PRICED_ELSEWHERE = -1;

/** What can happen, by steps of the exercise, and how heavy each is. */
export type Weighted = { readonly steps: Int32Array; readonly weights: readonly number[] };

/** The same with shares that were drawn: `upTo` adds them up. */
export type Choice = { readonly steps: Int32Array; readonly upTo: Float64Array };

/** Shares from a Dirichlet of these weights; nothing to choose gives nothing. */
export function drawChoice({ steps, weights }: Weighted, random: Random): Choice {
  return steps.length === 0
    ? { steps, upTo: new Float64Array(0) }
    : choiceOf(steps, drawDirichlet(random, weights));
}

/** A choice by shares that add up to 1. */
export function choiceOf(steps: Int32Array, shares: readonly number[]): Choice {
  let sum = 0;
  return {
    steps,
    upTo: Float64Array.from(shares, (share) => {
      sum += share;
      return sum;
    }),
  };
}

/** The place that a uniform number picks; −1 where there is none to pick. */
export function placeOf({ upTo }: Choice, uniform: number): number {
  const last = upTo.length - 1;
  for (let i = 0; i < last; i++) if (uniform < (upTo[i] as number)) return i;
  return last;
}

/** Within the share of the place it picked, a uniform number is uniform again. */
export function restOf({ upTo }: Choice, place: number, uniform: number): number {
  const low = place === 0 ? 0 : (upTo[place - 1] as number);
  const width = (upTo[place] as number) - low;
  return width > 0 ? Math.min(Math.max((uniform - low) / width, 0), BELOW_ONE) : 0;
}
const BELOW_ONE = 1 - 2 ** -33;
