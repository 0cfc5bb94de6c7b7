import { type Sentence, say } from '@/core/shared';
import type { Assessed } from './assess';
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

/**
 * "62 in 100 clean at the demand (48–75, from 118 reps)"; with few reps the width says so, with
 * none the words do.
 */
export function chanceInWords({ estimate, grounds }: Assessed): Sentence {
  if (grounds.counted === 0) return say('evidence.thin.no-rep-yet-nothing-is-known');
  const percent = (share: number): number => Math.round(share * 100);
  const { low, mid, high } = estimate.clean;
  const rests = `${grounds.counted} ${grounds.counted === 1 ? 'rep' : 'reps'}`;
  if (isThin(estimate.clean, grounds.counted))
    return say('evidence.thin.anything-from-to-in-100-clean-at', {
      rests,
      percent: percent(low),
      percent2: percent(high),
    });
  return say('evidence.thin.in-100-clean-at-the-demand-from', {
    percent: percent(mid),
    percent2: percent(low),
    percent3: percent(high),
    rests,
  });
}
