/**
 * A place on the ground in metres: x to the right, y up the drawing. Bearings are degrees clockwise from
 * "up", from 0 to below 360; turns are degrees, clockwise positive, from above −180 to 180.
 */
export type Point = { readonly x: number; readonly y: number };

const DEGREE = Math.PI / 180;

/** Metres between two places. `distance({ x: 0, y: 0 }, { x: 3, y: 4 })` → 5. */
export const distance = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y);

/** A bearing within one turn: `wholeTurn(-90)` → 270. */
export const wholeTurn = (degrees: number): number => {
  const rest = ((degrees % 360) + 360) % 360;
  // −1e-17 comes out as 360 itself.
  return rest >= 360 ? 0 : rest;
};

/**
 * The bearing from one place to another in degrees; null where they are one place, which has none.
 * `bearing({ x: 0, y: 0 }, { x: 10, y: 10 })` → 45.
 */
export function bearing(from: Point, to: Point): number | null {
  if (distance(from, to) < 1e-9) return null;
  return wholeTurn(Math.atan2(to.x - from.x, to.y - from.y) / DEGREE);
}

/** The place so many metres from here on a bearing. `pointAt({ x: 0, y: 0 }, 90, 20)` → `{ x: 20, y: 0 }`. */
export const pointAt = (from: Point, degrees: number, metres: number): Point => ({
  x: from.x + metres * Math.sin(degrees * DEGREE),
  y: from.y + metres * Math.cos(degrees * DEGREE),
});

/** The shorter turn from one bearing to another: `turnBetween(350, 20)` → 30, `turnBetween(20, 350)` → −30. */
export function turnBetween(from: number, to: number): number {
  const turn = wholeTurn(to - from);
  return turn > 180 ? turn - 360 : turn;
}

/**
 * The turn at a place from one other place to a second, right positive; null where one of them is the
 * place itself. At the origin from (0, 10) to (10, 10): 45.
 */
export function angleAt(at: Point, first: Point, second: Point): number | null {
  const [a, b] = [bearing(at, first), bearing(at, second)];
  return a === null || b === null ? null : turnBetween(a, b);
}

/**
 * How far beside its goal a line ends that is off by so many degrees: r · sin. 5° at 50 yd (45.72 m) →
 * 3.985 m, which are 4.36 yd.
 */
export const lateralError = (metres: number, degrees: number): number => metres * Math.sin(degrees * DEGREE);

/**
 * The width within which a line of this length stays that is off by at most so many degrees to either
 * side. `corridorWidth(45.72, 5)` → 7.97 m.
 */
export const corridorWidth = (metres: number, degrees: number): number => 2 * lateralError(metres, degrees);

/**
 * A place against a line: `along` it from its start, `side` of it (right positive, of the line without
 * end), and how far from the line between its two ends. All metres. A line without length has no side: 0.
 */
export function besideLine(
  from: Point,
  to: Point,
  place: Point,
): { readonly along: number; readonly side: number; readonly away: number } {
  const length = distance(from, to);
  if (length < 1e-9) return { along: 0, side: 0, away: distance(from, place) };
  const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length];
  const [px, py] = [place.x - from.x, place.y - from.y];
  const along = px * ux + py * uy;
  const nearest = Math.min(length, Math.max(0, along));
  const foot = { x: from.x + ux * nearest, y: from.y + uy * nearest };
  return { along, side: px * uy - py * ux, away: distance(foot, place) };
}

/** Metres along a path through these places. `pathLength` of a square of 10 m walked once round → 40. */
export const pathLength = (places: readonly Point[]): number =>
  places.reduce((sum, place, i) => sum + (i === 0 ? 0 : distance(places[i - 1] as Point, place)), 0);

/** A place turned about another, clockwise. `turned({ x: 0, y: 10 }, 90)` → `{ x: 10, y: 0 }`. */
export function turned(place: Point, degrees: number, about: Point = { x: 0, y: 0 }): Point {
  const [cos, sin] = [Math.cos(degrees * DEGREE), Math.sin(degrees * DEGREE)];
  const [px, py] = [place.x - about.x, place.y - about.y];
  return { x: about.x + px * cos + py * sin, y: about.y - px * sin + py * cos };
}

/**
 * Paces of this length in so many metres, to the nearest whole one: what somebody counts.
 * `pacesIn(30, 0.8)` → 38.
 */
export const pacesIn = (metres: number, pace: number): number => Math.round(metres / pace);
