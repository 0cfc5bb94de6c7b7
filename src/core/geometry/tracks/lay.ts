import { bearing, distance, type Point, turnBetween, turned } from '../plane';
import type { State, Timed } from './smooth';

/** How a track lies on a drawing: turned about the origin, clockwise, then shifted; metres and degrees. */
export type Placement = { readonly turn: number; readonly x: number; readonly y: number };

const LIES: Placement = { turn: 0, x: 0, y: 0 };

/**
 * A track laid by its start: shifted so that a place of it comes to one of the drawing, north as it is.
 * `layByStart({ x: 3, y: 4 }, { x: 0, y: 0 })` → `{ turn: 0, x: -3, y: -4 }`.
 */
export const layByStart = (was: Point, to: Point): Placement => ({
  ...LIES,
  x: to.x - was.x,
  y: to.y - was.y,
});

/**
 * A track laid by two places that are known on the drawing: turned by the angle between the two lines, and shifted
 * so that their middles meet, since a receiver errs at both. `off`: by how much the two lines differ in length,
 * metres, which is the receiver's slow error or a place that is not the one it is taken for. Null where two places
 * are one.
 */
export function layByTwo(
  was: readonly [Point, Point],
  to: readonly [Point, Point],
): { readonly lies: Placement; readonly off: number } | null {
  const [a, b] = [bearing(was[0], was[1]), bearing(to[0], to[1])];
  if (a === null || b === null) return null;
  const turn = turnBetween(a, b);
  const middle = (of: readonly [Point, Point]): Point => ({
    x: (of[0].x + of[1].x) / 2,
    y: (of[0].y + of[1].y) / 2,
  });
  const [from, aim] = [turned(middle(was), turn), middle(to)];
  return {
    lies: { turn, x: aim.x - from.x, y: aim.y - from.y },
    off: Math.abs(distance(...was) - distance(...to)),
  };
}

/** A place of a track where it lies on the drawing. */
export function laidPoint(point: Point, { turn, x, y }: Placement): Point {
  const on = turned(point, turn);
  return { x: on.x + x, y: on.y + y };
}

/** A whole track where it lies: places and speeds. */
export function laidTrack(states: readonly State[], lies: Placement): State[] {
  return states.map((one) => {
    const [on, speed] = [laidPoint(one, lies), turned({ x: one.vx, y: one.vy }, lies.turn)];
    return { t: one.t, x: on.x, y: on.y, vx: speed.x, vy: speed.y };
  });
}

/** Where it was at a time: the middle of what is known within two seconds of it; null where nothing is. */
export function placeAround(states: readonly Timed[], t: number): Point | null {
  const near = states.filter((one) => Math.abs(one.t - t) <= 2);
  if (near.length === 0) return null;
  return {
    x: near.reduce((sum, one) => sum + one.x, 0) / near.length,
    y: near.reduce((sum, one) => sum + one.y, 0) / near.length,
  };
}
