import { type Point, pointAt } from './plane';

/** Wind as it is said: the bearing on the drawing from which it comes, and metres a second. */
export type Wind = { readonly from: number; readonly speed: number };

/** Where scent lies: downwind of its source, so many degrees to either side, so many metres long. */
export type Wedge = { readonly toward: number; readonly halfAngle: number; readonly length: number };

/**
 * How a plume widens over open country by day, as shares of the way (σy/x and σz/x of Briggs 1973, "Diffusion
 * estimation for small emissions", ATDL 79, classes A to D), by wind under moderate sun (Turner 1970): the
 * lighter the wind, the more the sun stirs it.
 */
const PLUMES = [
  { below: 2, across: 0.22, up: 0.2 },
  { below: 3, across: 0.16, up: 0.12 },
  { below: 5, across: 0.11, up: 0.08 },
  { below: Number.POSITIVE_INFINITY, across: 0.08, up: 0.06 },
] as const;
/** Under this wind scent has no direction worth drawing: it pools and drifts. */
const CALM = 0.5;

/** What is stated, not known: how far downwind a dummy is winded in a breeze of 3 m/s. To be changed. */
const USUAL_SCENT = 20;

/**
 * The wedge of scent from a source in this wind; null when it is calm. Half the angle holds 95 % of the plume
 * across (two standard deviations). The length is where the plume is as thin as at `reach` metres in 3 m/s:
 * concentration falls as 1 / (u · σy · σz), so length = reach · √(3 · .11 · .08 ÷ (u · a · b)). In 3 m/s from
 * the west (270): toward 90, half-angle 12.4°, length 20 m; in 1 m/s half-angle 23.7°, length 15.5 m.
 */
export function scentWedge({ from, speed }: Wind, reach: number = USUAL_SCENT): Wedge | null {
  if (speed < CALM) return null;
  const { across, up } = PLUMES.find(({ below }) => speed < below) as (typeof PLUMES)[number];
  return {
    toward: (from + 180) % 360,
    halfAngle: (Math.atan(2 * across) * 180) / Math.PI,
    length: reach * Math.sqrt((3 * 0.11 * 0.08) / (speed * across * up)),
  };
}

/** The outline of a wedge from its source: the source, and five places along its far end. */
export const wedgeOutline = (source: Point, { toward, halfAngle, length }: Wedge): Point[] => [
  source,
  ...[-1, -0.5, 0, 0.5, 1].map((share) => pointAt(source, toward + share * halfAngle, length)),
];
