import type { Matrix } from 'ml-matrix';
import { ok, type Result } from '@/core/shared';
import { distance, type Point } from '../plane';
import {
  fitHomography,
  type Homography,
  isMirrored,
  type KnownPoint,
  type Pixel,
  placeBy,
} from './homography';
import { alongBy, fitLine, type KnownLine, type LineMark, slantAt } from './known-line';

/**
 * A finger or a pointer on a picture hits within this share of its width (2 px of 1,280), and a tape laid out by
 * hand within 2 cm: standard deviations.
 */
export const POINTING = 2 / 1280;
const TAPE = 0.02;

/** How a picture is measured: over a whole ground, or along one line only. */
export type PictureGround = {
  readonly kind: 'plane' | 'line';
  /** Standard deviation of a pointed pixel. */
  readonly pixels: number;
  /** The numbers that were fitted, their covariance, and the freedom behind it. */
  readonly numbers: readonly number[];
  readonly covariance: Matrix;
  readonly freedom: number;
  readonly plane: Homography | null;
  readonly line: KnownLine | null;
};

/** A ground from four or more known points in a picture of this width. Fails as `fitHomography`. */
export function planeGround(points: readonly KnownPoint[], width: number): Result<PictureGround> {
  const pixels = POINTING * width;
  const plane = fitHomography(asSeen(points, pixels), { pixels, metres: TAPE });
  if (!plane.ok) return plane;
  const { h, covariance, freedom, worse } = plane.value;
  // The same hand points at what is measured.
  return ok({
    kind: 'plane',
    pixels: pixels * Math.sqrt(worse),
    numbers: h,
    covariance,
    freedom,
    plane: plane.value,
    line: null,
  });
}

/**
 * The points as a camera sees them: typed as in a mirror, distances would be right, but left and right exchanged.
 */
function asSeen(points: readonly KnownPoint[], pixels: number): readonly KnownPoint[] {
  const fitted = fitHomography(points, { pixels, metres: TAPE });
  if (!fitted.ok || !isMirrored(fitted.value)) return points;
  return points.map(({ px, place }) => ({ px, place: { x: -place.x, y: place.y } }));
}

/** A ground along a tape or two poles. Fails as `fitLine`. */
export function lineGround(marks: readonly LineMark[], width: number): Result<PictureGround> {
  const pixels = POINTING * width;
  const line = fitLine(marks, { pixels, metres: TAPE });
  if (!line.ok) return line;
  const { map, covariance, freedom } = line.value;
  return ok({ kind: 'line', pixels, numbers: map, covariance, freedom, plane: null, line: line.value });
}

const placeAt = (ground: PictureGround, numbers: readonly number[], px: Pixel): Point | null => {
  if (ground.plane) return placeBy(ground.plane, numbers, px);
  const along = alongBy(ground.line as KnownLine, numbers, px);
  return along === null ? null : { x: along, y: 0 };
};

/**
 * The place under a pixel, metres; null above the horizon, or beside a line.
 * @internal
 */
export const placeUnder = (ground: PictureGround, px: Pixel): Point | null =>
  placeAt(ground, ground.numbers, px);

/** A measured value and how far it may be off: nine times in ten the truth lies within. */
export type WithError = { readonly value: number; readonly error: number };

/**
 * Something computed from places under pixels (a distance, a path, an angle), with its error: the fitted numbers
 * and every pointed pixel moved a little each, by the delta method, at Student's t of nine in ten. Null where one
 * of the pixels is no place, or the value is none.
 */
export function measuredIn(
  ground: PictureGround,
  pixels: readonly Pixel[],
  of: (places: readonly Point[]) => number | null,
): WithError | null {
  const at = (numbers: readonly number[], moved: readonly Pixel[]): number | null => {
    const places: Point[] = [];
    for (const px of moved) {
      const place = placeAt(ground, numbers, px);
      if (!place) return null;
      places.push(place);
    }
    return of(places);
  };
  const value = at(ground.numbers, pixels);
  if (value === null) return null;
  const slopes = ground.numbers.map((number, i) => {
    const step = 1e-5 * Math.max(1, Math.abs(number));
    return slope((by) => at(ground.numbers.with(i, number + by), pixels), step, value);
  });
  let variance = 0;
  for (const [i, a] of slopes.entries())
    for (const [j, b] of slopes.entries()) variance += a * b * ground.covariance.get(i, j);
  for (const [i, px] of pixels.entries())
    for (const axis of [0, 1] as const) {
      const moved = (by: number): readonly Pixel[] =>
        pixels.with(i, axis === 0 ? [px[0] + by, px[1]] : [px[0], px[1] + by]);
      variance += (slope((by) => at(ground.numbers, moved(by)), 0.01, value) * ground.pixels) ** 2;
    }
  const { line } = ground;
  const slant = line
    ? Math.max(0, ...pixels.map((px) => slantAt(line, alongBy(line, ground.numbers, px) ?? 0)))
    : 0;
  return { value, error: nineInTen(ground.freedom) * Math.sqrt(Math.max(0, variance)) + slant };
}

function slope(of: (by: number) => number | null, step: number, value: number): number {
  const [up, down] = [of(step), of(-step)];
  const sides = [
    ...(up === null ? [] : [(up - value) / step]),
    ...(down === null ? [] : [(value - down) / step]),
  ];
  // The steeper side: an angle that is straight just now is off by its size whichever way it moves.
  return sides.reduce((most, one) => (Math.abs(one) > Math.abs(most) ? one : most), 0);
}

/**
 * Student's t within which nine of ten lie (Cornish and Fisher 1938, two terms). `nineInTen(8)` → 1.858.
 * @internal
 */
export function nineInTen(freedom: number): number {
  const z = 1.6448536;
  return z + (z ** 3 + z) / (4 * freedom) + (5 * z ** 5 + 16 * z ** 3 + 3 * z) / (96 * freedom ** 2);
}

/** Metres between two pixels. */
export const distanceIn = (ground: PictureGround, a: Pixel, b: Pixel): WithError | null =>
  measuredIn(ground, [a, b], ([p, q]) => (p && q ? distance(p, q) : null));

/** How the known points fit each other, metres. */
export type LeftOut = {
  /** Each found from the rest: how far off it comes out. */
  readonly typical: number;
  /**
   * The point without which the rest fit best, where all together fit worse than a stated hand can be to blame for;
   * null where they fit, and with five, of which any four fit.
   */
  readonly worst: number | null;
};

/**
 * Each of five or more points found from the others; `typical` is the root mean square of how far off they come
 * out. Which one is wrong is not the one that comes out worst (a wrong one spoils the others at the corners most),
 * but the one without which the rest fit. Null with four, of which none can be spared.
 */
export function leaveOneOut(points: readonly KnownPoint[], width: number): LeftOut | null {
  if (points.length < 5) return null;
  const seen = asSeen(points, POINTING * width);
  const rests = seen.map((point, i) => {
    const rest = planeGround(seen.toSpliced(i, 1), width);
    if (!rest.ok) return { off: null, left: Number.POSITIVE_INFINITY };
    const place = placeUnder(rest.value, point.px);
    return { off: place && distance(place, point.place), left: rest.value.plane?.left ?? 0 };
  });
  const known = rests.flatMap(({ off }) => (off === null ? [] : [off]));
  if (known.length === 0) return null;
  const lefts = rests.map(({ left }) => left);
  return {
    typical: Math.sqrt(known.reduce((sum, one) => sum + one * one, 0) / known.length),
    worst: points.length < 6 || isAsStated(seen, width) ? null : lefts.indexOf(Math.min(...lefts)),
  };
}

/** Whether what the points leave over is no more than three spreads of its chi-squared, by the stated hand. */
function isAsStated(points: readonly KnownPoint[], width: number): boolean {
  const all = planeGround(points, width);
  const free = 2 * points.length - 8;
  return all.ok && (all.value.plane?.left ?? 0) <= free + 3 * Math.sqrt(2 * free);
}
