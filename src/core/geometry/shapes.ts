import { distance, type Point, pointAt } from './plane';

/** A polygon by its corners in order, closed by itself; of fewer than three it holds nothing. */
export type Polygon = readonly Point[];

/**
 * Whether a place lies inside a polygon (even-odd rule, Shimrat 1962); its edge may be either.
 * @internal
 */
export function isInside(polygon: Polygon, { x, y }: Point): boolean {
  let inside = false;
  for (const [a, b] of edgesOf(polygon))
    if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  return inside;
}

const edgesOf = (polygon: Polygon): [Point, Point][] =>
  polygon.map((place, i) => [place, polygon[(i + 1) % polygon.length] as Point]);

/**
 * What a drawn shape covers: its own inside where it is closed, else a strip of `wide` metres along each of
 * its pieces. Strips reach half a width beyond their ends, so that they close at the corners.
 */
export function coveredBy(shape: {
  readonly points: readonly Point[];
  readonly closed: boolean;
  readonly wide: number;
}): Polygon[] {
  const { points, closed, wide } = shape;
  if (closed) return points.length >= 3 ? [points] : [];
  return points.slice(1).flatMap((to, i) => stripAlong(points[i] as Point, to, wide));
}

/** A rectangle of `wide` metres about the line between two places, and half that beyond its ends. */
function stripAlong(from: Point, to: Point, wide: number): Polygon[] {
  const length = distance(from, to);
  if (length < 1e-9) return [];
  const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length];
  const corner = (at: Point, along: number, side: number): Point => ({
    x: at.x + (ux * along + uy * side) * (wide / 2),
    y: at.y + (uy * along - ux * side) * (wide / 2),
  });
  return [[corner(from, -1, -1), corner(to, 1, -1), corner(to, 1, 1), corner(from, -1, 1)]];
}

/**
 * How far a line on this bearing goes until it enters one of the polygons, in metres: 0 from inside, infinite
 * where it never does. From the origin straight up to a square from (−5, 20) to (5, 30) → 20.
 */
export function entersAfter(from: Point, degrees: number, polygons: readonly Polygon[]): number {
  const ahead = pointAt({ x: 0, y: 0 }, degrees, 1);
  let nearest = Number.POSITIVE_INFINITY;
  for (const polygon of polygons) {
    if (isInside(polygon, from)) return 0;
    for (const [a, b] of edgesOf(polygon)) nearest = Math.min(nearest, meets(from, ahead, a, b));
  }
  return nearest;
}

/** How far along a line without end it meets the one between two places; infinite where it does not. */
function meets(from: Point, ahead: Point, a: Point, b: Point): number {
  const [ex, ey] = [b.x - a.x, b.y - a.y];
  const across = ahead.x * ey - ahead.y * ex;
  if (Math.abs(across) < 1e-12) return Number.POSITIVE_INFINITY;
  const [dx, dy] = [a.x - from.x, a.y - from.y];
  const along = (dx * ey - dy * ex) / across;
  const share = (dx * ahead.y - dy * ahead.x) / across;
  return along >= 0 && share >= 0 && share <= 1 ? along : Number.POSITIVE_INFINITY;
}

/** Whether the line between two places touches one of the polygons, or lies inside it. */
export function touches(from: Point, to: Point, polygons: readonly Polygon[]): boolean {
  return distance(from, to) < 1e-9
    ? polygons.some((polygon) => isInside(polygon, from))
    : entersAfter(from, (Math.atan2(to.x - from.x, to.y - from.y) * 180) / Math.PI, polygons) <=
        distance(from, to);
}
