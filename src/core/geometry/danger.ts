import { normalBelow } from '@/core/statistics';
import { bearing, distance, type Point } from './plane';
import { entersAfter, type Polygon } from './shapes';

/**
 * How a dog's runs scatter about the line it is sent on: `line` is the standard deviation of its bearing in
 * degrees, `reach` that of the logarithm of how far it runs ÷ how far it was meant to (0.25: one run in six
 * goes on for more than a quarter of the way beyond).
 */
export type Spread = { readonly line: number; readonly reach: number };

/** Bearings looked at; the chance is out by at most the weight of one of them for each edge met: 1 in 300. */
const BEARINGS = 721;
/** Standard deviations to either side; beyond lies two in a thousand million. */
const FAR = 6;

/**
 * The chance that a dog sent from one place to another gets onto one of the polygons: over bearings
 * b ~ N(planned, line²) and reach r = d · exp(reach · z), z ~ N(0, 1), the chance that r is at least as far
 * as the polygon lies on b, by quadrature over 721 bearings. 0 and 1 where the spread is 0. Null where both
 * places are one. A road 60 m ahead across the whole field, sent to 40 m with reach .25 →
 * 1 − Φ(ln 1.5 / .25) = .052.
 */
export function chanceOfMeeting(
  from: Point,
  to: Point,
  { line, reach }: Spread,
  polygons: readonly Polygon[],
): number | null {
  const planned = bearing(from, to);
  if (planned === null) return null;
  const meant = distance(from, to);
  const goesAsFar = (metres: number): number => {
    if (metres <= 0) return 1;
    if (reach <= 0) return metres <= meant ? 1 : 0;
    return metres === Number.POSITIVE_INFINITY ? 0 : 1 - normalBelow(Math.log(metres / meant) / reach);
  };
  if (line <= 0) return goesAsFar(entersAfter(from, planned, polygons));
  const wide = (2 * FAR) / BEARINGS;
  let chance = 0;
  for (let i = 0; i < BEARINGS; i++) {
    const low = -FAR + i * wide;
    const weight = normalBelow(low + wide) - normalBelow(low);
    const metres = entersAfter(from, planned + (low + wide / 2) * line, polygons);
    if (metres < Number.POSITIVE_INFINITY) chance += weight * goesAsFar(metres);
  }
  return Math.min(1, chance);
}
