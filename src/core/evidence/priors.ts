import { type Beliefs, EVIDENCE, type Shift } from './settings';

/**
 * Places of the parameters in a draw. Shifts in logits by place, first try, other handler, no pay, other
 * kit; level and gain a session; what a go before takes off, and the logit of the share of that which a
 * rest leaves; what a gap takes off at most, and the log of its days; then the log slopes of the axes, and
 * the swing at the end. The fit climbs on the normal coordinate of the two half-normal ones.
 */
export const DRAW = {
  away: 0,
  cold: 1,
  handler: 2,
  unpaid: 3,
  worn: 4,
  level: 5,
  gain: 6,
  tiring: 7,
  kept: 8,
  loss: 9,
  lasting: 10,
  slopes: 11,
} as const;
/** Parameters that enter η by a factor of their own: those up to the gain. */
export const LINEAR = DRAW.gain + 1;

/** Priors in the order of `DRAW`, the slopes of `columns` at the end; `axes` share the way to the demand. */
export function priorsFor(axes: number, columns: number, beliefs: Beliefs): Shift[] {
  const slope = { mean: Math.log(EVIDENCE.slope.total / Math.max(1, axes)), sd: EVIDENCE.slope.sd };
  return [
    beliefs.away,
    beliefs.cold,
    EVIDENCE.shift,
    beliefs.unpaid ?? EVIDENCE.shift,
    EVIDENCE.shift,
    EVIDENCE.level,
    EVIDENCE.gain,
    HALF,
    EVIDENCE.kept,
    HALF,
    EVIDENCE.lasting,
    ...Array.from({ length: columns }, () => slope),
  ];
}

/** The log density of a normal prior at x up to a constant. N(0, 2²) at 1 → −.125. */
export const priorLog = ({ mean, sd }: Shift, x: number): number => -0.5 * ((x - mean) / sd) ** 2;

/** What half-normal quantities are drawn on; they are scaled by their SD. */
const HALF: Shift = { mean: 0, sd: 1 };
