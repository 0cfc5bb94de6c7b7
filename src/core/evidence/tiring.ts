import { logistic, shrinkage } from '@/core/statistics';
import type { Target } from './design';
import type { Posterior } from './draw';
import { asTrained, type Interval, interval, isAssumed, predictorOf, swingAt } from './predict';
import { DRAW } from './priors';
import { EVIDENCE } from './settings';

/** What goes of one session cost the next, and what a rest gives back; said only where reps tell. */
export type Tiring = {
  /** Goes after which it is looked at. */
  readonly after: number;
  /** How much less often it is clean after so many goes than at the first. */
  readonly worse: Interval;
  /** Share of that which a rest gives back; null where no rest tells. */
  readonly back: Interval | null;
};

const AFTER = 10;
/** Less than this is not worth a word. */
const WORTH = 0.05;

/**
 * What ten goes take off the chance at `here`, over the draws. Null while it could still be next to
 * nothing: its 80 % interval begins under .05. A rest gives back 1 − c of it; null while that is only assumed.
 */
export function tiringOf(posterior: Posterior, here: Target): Tiring | null {
  const { count, draws, width } = posterior;
  const when = asTrained(posterior);
  const worse = new Float64Array(count);
  const back = new Float64Array(count);
  const kept = new Float64Array(count);
  for (let i = 0; i < count; i++) {
    const eta = predictorOf(posterior, i, here, when);
    const shrink = shrinkage(swingAt(posterior, i) ** 2);
    const lost = AFTER * (draws[i * width + DRAW.tiring] as number);
    worse[i] = logistic(eta * shrink) - logistic((eta - lost) * shrink);
    kept[i] = draws[i * width + DRAW.kept] as number;
    back[i] = 1 - logistic(kept[i] as number);
  }
  const lost = interval(worse);
  if (lost.low < WORTH) return null;
  return { after: AFTER, worse: lost, back: isAssumed(kept, EVIDENCE.kept.sd) ? null : interval(back) };
}
