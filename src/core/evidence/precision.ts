import type { Crooked } from '@/core/log';
import { gridMean, gridPosterior, gridQuantiles, normalBelow } from '@/core/statistics';
import type { Interval } from './estimate';

/**
 * A signed deviation: measured (both ends alike), or judged by eye and known only to lie between
 * two ends. Degrees, + to the dog's right.
 */
export type Deviation = { readonly from: number; readonly to: number };

/** What the words of the eye stand for, degrees: declared, and only where nothing was measured. */
export const EYE = { straight: 5, badly: 15 } as const;

/**
 * The degrees that a word of the eye stands for, + to the dog's right: 'straight' → −5 to 5,
 * 'slightly-right' → 5 to 15.
 */
export function byEye(word: Crooked): Deviation {
  switch (word) {
    case 'straight':
      return { from: -EYE.straight, to: EYE.straight };
    case 'slightly-left':
      return { from: -EYE.badly, to: -EYE.straight };
    case 'slightly-right':
      return { from: EYE.straight, to: EYE.badly };
    case 'badly-left':
      return { from: -Infinity, to: -EYE.badly };
    case 'badly-right':
      return { from: EYE.badly, to: Infinity };
  }
}

export type Precision = {
  readonly judged: number;
  readonly measured: number;
  /** Mean signed deviation, and the SD around it. */
  readonly bias: Interval;
  readonly spread: Interval;
  /** Chance that the next lies within each limit on either side, in the order of `limits`. */
  readonly within: readonly { readonly limit: number; readonly chance: number }[];
  /** Which of the two costs more chance of the first limit; null where neither is worth a word. */
  readonly train: 'bias' | 'spread' | null;
};

/** Degrees: bias around 0, spread around 8. */
const PRIOR = { biasSd: 12, spread: Math.log(8), spreadSd: 0.7 } as const;
/** A gain in chance below this is not worth a word. */
const WORTH = 0.05;

/**
 * Bias and spread of signed deviations by a normal model on a grid, judged ones as intervals,
 * measured ones exact: bias ~ N(0, 12²), log spread ~ N(log 8, .7²). `limits` are the bands' ends
 * (> 0, smallest first). Null without a deviation.
 */
export function precisionOf(deviations: readonly Deviation[], limits: readonly number[]): Precision | null {
  if (deviations.length === 0) return null;
  const alike = counted(deviations);
  const log = (bias: number, logSd: number): number => {
    const sd = Math.exp(logSd);
    let sum = -0.5 * (bias / PRIOR.biasSd) ** 2 - 0.5 * ((logSd - PRIOR.spread) / PRIOR.spreadSd) ** 2;
    for (const { from, to, times } of alike) {
      if (from === to) sum -= times * (0.5 * ((from - bias) / sd) ** 2 + logSd);
      else
        sum +=
          times * Math.log(Math.max(1e-300, normalBelow((to - bias) / sd) - normalBelow((from - bias) / sd)));
    }
    return sum;
  };
  const grid = gridPosterior(log, [-40, 40], [PRIOR.spread - 2.2, PRIOR.spread + 1.8]);
  const inside = (limit: number, bias: number, sd: number): number =>
    normalBelow((limit - bias) / sd) - normalBelow((-limit - bias) / sd);
  const quantiles = (f: (bias: number, logSd: number) => number): Interval => {
    const [low = 0, mid = 0, high = 0] = gridQuantiles(grid, f, [0.1, 0.5, 0.9]);
    return { low, mid, high };
  };
  const [first] = limits;
  const chance = (f: (bias: number, sd: number) => number): number =>
    gridMean(grid, (bias, logSd) => f(bias, Math.exp(logSd)));
  return {
    judged: deviations.length,
    measured: deviations.filter(({ from, to }) => from === to).length,
    bias: quantiles((bias) => bias),
    spread: quantiles((_, logSd) => Math.exp(logSd)),
    within: limits.map((limit) => ({ limit, chance: chance((bias, sd) => inside(limit, bias, sd)) })),
    train:
      first === undefined
        ? null
        : better(
            chance((bias, sd) => inside(first, bias, sd)),
            chance((_, sd) => inside(first, 0, sd)),
            chance((bias, sd) => inside(first, bias, sd / 2)),
          ),
  };
}

/** Alike ones once, with how often: words of the eye are few, and the grid is large. */
function counted(deviations: readonly Deviation[]): (Deviation & { readonly times: number })[] {
  const found = new Map<string, Deviation & { readonly times: number }>();
  for (const one of deviations) {
    const key = `${one.from} ${one.to}`;
    found.set(key, { ...one, times: (found.get(key)?.times ?? 0) + 1 });
  }
  return [...found.values()];
}

function better(now: number, straight: number, tighter: number): Precision['train'] {
  if (Math.max(straight, tighter) - now < WORTH) return null;
  return straight >= tighter ? 'bias' : 'spread';
}
