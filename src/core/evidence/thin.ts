import { type Sentence, say } from '@/core/shared';
import type { Assessed } from './assess';
import type { Interval } from './predict';

/** Wider than this, or from fewer reps, a middle figure would promise more than is known. */
const WIDE = 0.45;
export const FEW = 10;

/**
 * Whether a chance rests on too little for one figure: fewer than 10 reps that count, or an 80 %
 * interval wider than 0.45. Then its two ends are said. 9 reps → true; 30 reps, .5 to .8 → false.
 */
export const isThin = ({ low, high }: Pick<Interval, 'low' | 'high'>, counted: number): boolean =>
  high - low > WIDE || counted < FEW;

/**
 * "Would do it 6 times in 10 as it is asked in the end (between 5 and 7.5 in 10, from 118 reps)"; with few
 * reps no figure is said, with none that nothing is known.
 */
export function chanceInWords({ estimate, grounds }: Assessed): Sentence {
  if (grounds.counted === 0) return say('evidence.thin.no-rep-yet-nothing-is-known');
  const { low, mid, high } = estimate.clean;
  const rests = say('evidence.thin.reps', { counted: grounds.counted });
  if (grounds.counted < FEW) return say('evidence.thin.too-few', { rests });
  if (isThin(estimate.clean, grounds.counted)) return say('evidence.thin.too-different', { rests });
  return say('evidence.thin.in-100-clean-at-the-demand-from', {
    tenths: tenths(mid),
    low: tenths(low),
    high: tenths(high),
    rests,
  });
}

/** A chance as so many times in ten, to the half: .62 → 6, .66 → 6.5. */
export const tenths = (share: number): number => Math.round(share * 20) / 2;
