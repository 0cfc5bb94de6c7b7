import type { Crooked } from '@/core/log';
import { gridMean, normalBelow } from '@/core/statistics';
import type { Interval } from './predict';
import { intervalOver, type Measured, type Normal, normalPosterior } from './swaying';

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

/** Degrees: bias around 0, spread in a session around 8, a session’s sway around 3. */
const DEGREES: Normal = {
  middle: { mean: 0, sd: 12 },
  spread: { log: Math.log(8), sd: 0.7 },
  sway: { log: Math.log(3), sd: 0.7 },
};
/** A gain in chance below this is not worth a word. */
const WORTH = 0.05;

/**
 * Bias and spread of signed deviations by a normal model with a sway from session to session, judged ones
 * as intervals, measured ones exact, sessions weighed by age. `spread` is that of a next rep, its
 * session’s sway in it. `limits` are the bands' ends (> 0, smallest first). Null without a deviation.
 */
export function precisionOf(
  sessions: readonly Measured<Deviation>[],
  limits: readonly number[],
): Precision | null {
  const deviations = sessions.flatMap((one) => one.values);
  if (deviations.length === 0) return null;
  const grid = normalPosterior(sessions, DEGREES);
  const inside = (limit: number, bias: number, sd: number): number =>
    normalBelow((limit - bias) / sd) - normalBelow((-limit - bias) / sd);
  const spreadOf = (logSd: number, logSway: number): number => Math.hypot(Math.exp(logSd), Math.exp(logSway));
  const [first] = limits;
  const chance = (f: (bias: number, sd: number) => number): number =>
    gridMean(grid, (bias, logSd, logSway) => f(bias, spreadOf(logSd, logSway)));
  return {
    judged: deviations.length,
    measured: deviations.filter(({ from, to }) => from === to).length,
    bias: intervalOver(grid, (bias) => bias),
    spread: intervalOver(grid, (_, logSd, logSway) => spreadOf(logSd, logSway)),
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

function better(now: number, straight: number, tighter: number): Precision['train'] {
  if (Math.max(straight, tighter) - now < WORTH) return null;
  return straight >= tighter ? 'bias' : 'spread';
}
