import type { Interval } from './estimate';

/** Wider than this, or from fewer reps, a middle figure would promise more than is known. */
const WIDE = 0.45;
const FEW = 10;

/**
 * Whether a chance rests on too little for one figure: fewer than 10 reps that count, or an 80 %
 * interval wider than 0.45. Then its two ends are said. 9 reps → true; 30 reps, .5 to .8 → false.
 */
export const isThin = ({ low, high }: Pick<Interval, 'low' | 'high'>, counted: number): boolean =>
  high - low > WIDE || counted < FEW;
