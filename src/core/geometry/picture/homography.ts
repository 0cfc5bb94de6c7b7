import { inverse, Matrix, SingularValueDecomposition } from 'ml-matrix';
import { fail, ok, type Result, say } from '@/core/shared';
import type { Point } from '../plane';

/** A point in a picture, in its own pixels: x to the right, y down. */
export type Pixel = readonly [number, number];

/** A point of known place: where it is in the picture, and where on the ground, metres. */
export type KnownPoint = { readonly px: Pixel; readonly place: Point };

/**
 * How well a point is known, as standard deviations: `pixels` of a finger or a pointer in the picture, `metres` of
 * a tape on the ground.
 */
export type PointNoise = { readonly pixels: number; readonly metres: number };

/** Row by row, ground to picture, both centred and scaled (Hartley): the last one is 1. */
type Eight = readonly number[];
type Named = readonly [number, number, number, number, number, number, number, number];
const named = (h: Eight): Named => h as unknown as Named;

/** From the ground to centred picture points by eight numbers; null behind the camera. */
function project(h: Eight, { x, y }: Point): Pixel | null {
  const w = (h[6] as number) * x + (h[7] as number) * y + 1;
  if (w <= 1e-9) return null;
  return [
    ((h[0] as number) * x + (h[1] as number) * y + (h[2] as number)) / w,
    ((h[3] as number) * x + (h[4] as number) * y + (h[5] as number)) / w,
  ];
}

/** A centring: (p − middle) · scale. */
type Centring = { readonly at: Pixel; readonly scale: number };

function centring(points: readonly Pixel[]): Centring {
  const at: Pixel = [mean(points.map(([x]) => x)), mean(points.map(([, y]) => y))];
  const away = mean(points.map(([x, y]) => Math.hypot(x - at[0], y - at[1])));
  return { at, scale: away < 1e-9 ? 1 : Math.SQRT2 / away };
}
const mean = (list: readonly number[]): number => list.reduce((sum, one) => sum + one, 0) / list.length;
const centre = ({ at, scale }: Centring, [x, y]: Pixel): Pixel => [(x - at[0]) * scale, (y - at[1]) * scale];

/** What was fitted, in centred coordinates, with how far the eight numbers may be off. */
export type Homography = {
  readonly picture: Centring;
  readonly ground: Centring;
  readonly h: Eight;
  /** Covariance of the eight, already scaled by how well the points fit. */
  readonly covariance: Matrix;
  /** How much worse the points fit than the stated noise: times its square. 1 where they fit as stated. */
  readonly worse: number;
  /** Degrees of freedom behind that scale. */
  readonly freedom: number;
  /** Weighted squares of what the points leave over: about as large as 2n − 8 where they fit. */
  readonly left: number;
};

/**
 * What the stated noise counts for, beside what the points themselves say of it: four points say nothing, so
 * that without it four points would claim to be exact. Eight degrees of freedom are as much as eight points.
 */
const STATED = 8;
/** Singular values of which the last but one lies below this share of the first leave the ground open. */
const OPEN = 2e-3;

/**
 * Four or more points of known place as a map between picture and ground: the normalised direct linear transform
 * (Hartley 1997), then weighted least squares of what is left in the picture. Fails with `few-points`,
 * `on-a-line` (three of four in a row count) and `mixed-up` (points exchanged: no camera sees them so).
 * The corners of a square of 10 m seen straight from above at 10 px a metre: 100 px are 10 m.
 */
export function fitHomography(points: readonly KnownPoint[], noise: PointNoise): Result<Homography> {
  if (points.length < 4)
    return fail('few-points', 'points', say('clips.ground.few-points', { points: points.length }));
  const picture = centring(points.map(({ px }) => px));
  const ground = centring(points.map(({ place }) => [place.x, place.y]));
  const pairs = points.map(({ px, place }) => {
    const [x, y] = centre(ground, [place.x, place.y]);
    return { px: centre(picture, px), place: { x, y } };
  });
  const first = linearFit(pairs);
  if (first === 'open') return fail('on-a-line', 'points', say('clips.ground.on-a-line'));
  if (first === null) return fail('mixed-up', 'points', say('clips.ground.mixed-up'));
  const scaled = { pixels: noise.pixels * picture.scale, metres: noise.metres * ground.scale };
  const { h, normal, left } = refined(first, pairs, scaled);
  if (pairs.some(({ place }) => project(h, place) === null))
    return fail('mixed-up', 'points', say('clips.ground.mixed-up'));
  const free = 2 * points.length - 8;
  const scale = (STATED + left) / (STATED + free);
  return ok({
    picture,
    ground,
    h,
    covariance: inverse(normal).mul(scale),
    worse: scale,
    freedom: STATED + free,
    left,
  });
}

/** The direct linear transform; null where a point would lie behind the camera, `open` where it is not fixed. */
function linearFit(pairs: readonly KnownPoint[]): Eight | null | 'open' {
  const rows = pairs.flatMap(({ px: [u, v], place: { x, y } }) => [
    [x, y, 1, 0, 0, 0, -u * x, -u * y, -u],
    [0, 0, 0, x, y, 1, -v * x, -v * y, -v],
  ]);
  // Nine columns want nine rows: one of noughts changes nothing.
  if (rows.length < 9) rows.push(Array(9).fill(0));
  const svd = new SingularValueDecomposition(new Matrix(rows));
  const sizes = svd.diagonal;
  if ((sizes[7] as number) < OPEN * (sizes[0] as number)) return 'open';
  const last = svd.rightSingularVectors.getColumn(8);
  const w = last[8] as number;
  if (Math.abs(w) < 1e-9) return null;
  const h = last.slice(0, 8).map((one) => one / w);
  return pairs.every(({ place }) => project(h, place) !== null) ? h : null;
}

/** Gauss–Newton on the weighted distances in the picture; gives the normal matrix and the weighted rest too. */
function refined(
  first: Eight,
  pairs: readonly KnownPoint[],
  noise: PointNoise,
): { readonly h: Eight; readonly normal: Matrix; readonly left: number } {
  let best = { h: first, ...normals(first, pairs, noise) };
  for (let turn = 0; turn < 8; turn++) {
    const step = inverse(best.normal).mmul(Matrix.columnVector(best.slope)).to1DArray();
    const h = best.h.map((one, i) => one + (step[i] as number));
    if (pairs.some(({ place }) => project(h, place) === null)) break;
    const next = { h, ...normals(h, pairs, noise) };
    if (!(next.left < best.left * (1 - 1e-9))) break;
    best = next;
  }
  return best;
}

function normals(h: Eight, pairs: readonly KnownPoint[], noise: PointNoise) {
  const normal = Matrix.zeros(8, 8);
  const slope: number[] = Array(8).fill(0);
  let left = 0;
  for (const { px, place } of pairs) {
    const seen = project(h, place) as Pixel;
    const rest = [px[0] - seen[0], px[1] - seen[1]] as const;
    const weight = weightAt(h, place, noise);
    const rows = gradient(h, place);
    for (let a = 0; a < 2; a++)
      for (let b = 0; b < 2; b++) {
        const w = weight[a]?.[b] as number;
        left += (rest[a] as number) * w * (rest[b] as number);
        for (let i = 0; i < 8; i++) {
          const left = (rows[a]?.[i] as number) * w;
          slope[i] = (slope[i] as number) + left * (rest[b] as number);
          for (let j = 0; j < 8; j++) normal.set(i, j, normal.get(i, j) + left * (rows[b]?.[j] as number));
        }
      }
  }
  return { normal, slope, left };
}

/** How the place in the picture moves with each of the eight numbers. */
function gradient(h: Eight, { x, y }: Point): readonly [number[], number[]] {
  const w = (h[6] as number) * x + (h[7] as number) * y + 1;
  const [u, v] = project(h, { x, y }) as Pixel;
  return [
    [x / w, y / w, 1 / w, 0, 0, 0, (-u * x) / w, (-u * y) / w],
    [0, 0, 0, x / w, y / w, 1 / w, (-v * x) / w, (-v * y) / w],
  ];
}

/** The inverse of the noise of one point in the picture: the pointer's, and the tape's carried over. */
function weightAt(h: Eight, { x, y }: Point, { pixels, metres }: PointNoise): readonly (readonly number[])[] {
  const w = (h[6] as number) * x + (h[7] as number) * y + 1;
  const [u, v] = project(h, { x, y }) as Pixel;
  const jacobian = [
    [((h[0] as number) - u * (h[6] as number)) / w, ((h[1] as number) - u * (h[7] as number)) / w],
    [((h[3] as number) - v * (h[6] as number)) / w, ((h[4] as number) - v * (h[7] as number)) / w],
  ] as const;
  const [[a, b], [c, d]] = jacobian;
  const [p, m] = [pixels ** 2, metres ** 2];
  const [xx, xy, yy] = [p + m * (a * a + b * b), m * (a * c + b * d), p + m * (c * c + d * d)];
  const size = xx * yy - xy * xy;
  return [
    [yy / size, -xy / size],
    [-xy / size, xx / size],
  ];
}

/** Whether the ground is seen as in a mirror: a camera sees left and right as they are, and away as up. */
export function isMirrored({ h }: Homography): boolean {
  const [a, b, u, d, e, v, g, i] = named(h);
  return (a - u * g) * (e - v * i) - (b - u * i) * (d - v * g) > 0;
}

/** The place on the ground under a pixel, metres; null at or above the horizon. */
export function placeBy({ picture, ground }: Homography, h: Eight, pixel: Pixel): Point | null {
  const [u, v] = centre(picture, pixel);
  const [a, b, c, d, e, f, g, i] = named(h);
  // Two lines that cross at the place: (a − u·g)x + (b − u·i)y = u − c, and the same for v.
  const [p, q, r, s] = [a - u * g, b - u * i, d - v * g, e - v * i];
  const size = p * s - q * r;
  if (Math.abs(size) < 1e-12) return null;
  const x = ((u - c) * s - q * (v - f)) / size;
  const y = (p * (v - f) - (u - c) * r) / size;
  if (g * x + i * y + 1 <= 1e-6) return null;
  return { x: x / ground.scale + ground.at[0], y: y / ground.scale + ground.at[1] };
}

/** The pixel of a place on the ground; null behind the camera. */
export function pixelBy({ picture, ground, h }: Homography, place: Point): Pixel | null {
  const [x, y] = centre(ground, [place.x, place.y]);
  const seen = project(h, { x, y });
  return seen && [seen[0] / picture.scale + picture.at[0], seen[1] / picture.scale + picture.at[1]];
}
