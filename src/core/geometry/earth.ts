import type { Point } from './plane';
import { turned } from './plane';

/** A place on the earth in degrees: north and east positive (WGS 84). */
export type Fix = { readonly lat: number; readonly lon: number };

/** Mean radius of the earth in metres (IUGG 1980: 6,371,008.8). */
const RADIUS = 6_371_008.8;
const DEGREE = Math.PI / 180;

/**
 * A place on the drawing as one on the earth: `anchor` is where (0, 0) lies, `north` the turn of north
 * clockwise from "up". Equirectangular about the anchor: at 1 km from it and under 60° of latitude out by
 * less than 0.2 m, besides the 0.6 % that a round earth differs from the true one. Up 100 m from 50° N with
 * north up → 50.000899° N.
 */
export function toEarth(anchor: Fix, north: number, place: Point): Fix {
  const east = turned(place, -north);
  return {
    lat: anchor.lat + east.y / RADIUS / DEGREE,
    lon: anchor.lon + east.x / (RADIUS * Math.cos(anchor.lat * DEGREE)) / DEGREE,
  };
}

/** The way back: a place on the earth as one on the drawing. `toPlane(anchor, 0, anchor)` → (0, 0). */
export function toPlane(anchor: Fix, north: number, fix: Fix): Point {
  const lon = ((((fix.lon - anchor.lon + 180) % 360) + 360) % 360) - 180;
  return turned(
    {
      x: lon * DEGREE * RADIUS * Math.cos(anchor.lat * DEGREE),
      y: (fix.lat - anchor.lat) * DEGREE * RADIUS,
    },
    north,
  );
}

/** The anchor that puts a place of the drawing onto this place of the earth. */
export function anchorFor(place: Point, north: number, fix: Fix): Fix {
  const back = turned({ x: -place.x, y: -place.y }, -north);
  const lat = fix.lat + back.y / RADIUS / DEGREE;
  return { lat, lon: fix.lon + back.x / (RADIUS * Math.cos(lat * DEGREE)) / DEGREE };
}
