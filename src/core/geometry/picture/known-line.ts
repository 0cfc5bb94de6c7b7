import { inverse, Matrix } from 'ml-matrix';
import { fail, ok, type Result, say } from '@/core/shared';
import type { Pixel, PointNoise } from './homography';

/** A mark of a tape, or a pole: where it is in the picture, and how far along its line, metres. */
export type LineMark = { readonly px: Pixel; readonly along: number };

/** A line in the picture with its marks: along it metres are known, and nowhere else. */
export type KnownLine = {
  readonly from: Pixel;
  readonly unit: Pixel;
  /** Of pixels along the line: (a·t + b) / (c·t + 1) metres, t in lengths of the line in the picture. */
  readonly map: readonly [number, number, number];
  readonly covariance: Matrix;
  readonly freedom: number;
  /** Pixels and metres between the outermost marks, and the least of the marks. */
  readonly pixels: number;
  readonly metres: number;
  readonly least: number;
  /** Two marks cannot tell whether the line goes away from the camera. */
  readonly two: boolean;
};

/** The share of the line's length in the picture that a point may lie beside it. */
const BESIDE = 0.15;
/**
 * Two poles only: if their line runs 15° towards the camera from as far away as it is long, its middle is off by
 * L · sin 15° / 4, 6.5 % of it; nothing at the poles themselves.
 */
const SLANT = 0.065;
const STATED = 8;

/**
 * Two poles, or a tape with three marks or more, as metres along their line. With three or more the perspective
 * along the line is known (a map of one dimension keeps the cross-ratio); with two it is taken to go straight
 * across the picture, which the error says. Fails with `few-points` and `same-place`.
 * Poles at 100 px (0 m) and 500 px (8 m): 300 px are 4 m.
 */
export function fitLine(marks: readonly LineMark[], noise: PointNoise): Result<KnownLine> {
  if (marks.length < 2)
    return fail('few-points', 'points', say('clips.ground.two-poles', { points: marks.length }));
  const sorted = [...marks].sort((a, b) => a.along - b.along);
  const [first, last] = [sorted[0] as LineMark, sorted.at(-1) as LineMark];
  const pixels = Math.hypot(last.px[0] - first.px[0], last.px[1] - first.px[1]);
  const metres = last.along - first.along;
  if (pixels < 1 || metres <= 0) return fail('same-place', 'points', say('clips.ground.same-place'));
  const unit: Pixel = [(last.px[0] - first.px[0]) / pixels, (last.px[1] - first.px[1]) / pixels];
  const on = (px: Pixel): number => alongOf(first.px, unit, px) / pixels;
  const two = marks.length === 2;
  const rows = sorted.map((one) => ({ t: on(one.px), s: (one.along - first.along) / metres }));
  if (!two && rows.some((one, i) => i > 0 && one.t <= (rows[i - 1]?.t as number)))
    return fail('mixed-up', 'points', say('clips.ground.mixed-up'));
  const columns = ({ t, s }: { t: number; s: number }): number[] => (two ? [t, 1] : [t, 1, -s * t]);
  const design = new Matrix(rows.map(columns));
  const normal = design.transpose().mmul(design);
  const fitted = inverse(normal)
    .mmul(design.transpose())
    .mmul(Matrix.columnVector(rows.map(({ s }) => s)));
  const [a, b, c] = [fitted.get(0, 0), fitted.get(1, 0), two ? 0 : fitted.get(2, 0)];
  if (1 + c <= 1e-6) return fail('mixed-up', 'points', say('clips.ground.mixed-up'));
  const left = rows.reduce((sum, { t, s }) => sum + (s - (a * t + b) / (c * t + 1)) ** 2, 0);
  const free = rows.length - (two ? 2 : 3);
  const stated = (noise.pixels / pixels) ** 2 + (noise.metres / metres) ** 2;
  const scale = (STATED * stated + left) / (STATED + free);
  const covariance = Matrix.zeros(3, 3);
  covariance.setSubMatrix(inverse(normal).mul(scale), 0, 0);
  return ok({
    from: first.px,
    unit,
    map: [a, b, c],
    covariance,
    freedom: STATED + free,
    pixels,
    metres,
    least: first.along,
    two,
  });
}

const alongOf = (from: Pixel, unit: Pixel, px: Pixel): number =>
  (px[0] - from[0]) * unit[0] + (px[1] - from[1]) * unit[1];

/** Metres along the line under a pixel; null where it lies beside the line, or past where it vanishes. */
export function alongBy(line: KnownLine, map: readonly number[], px: Pixel): number | null {
  const [a, b, c] = map as unknown as [number, number, number];
  const t = alongOf(line.from, line.unit, px) / line.pixels;
  const side = (px[0] - line.from[0]) * line.unit[1] - (px[1] - line.from[1]) * line.unit[0];
  if (Math.abs(side) > BESIDE * line.pixels || c * t + 1 <= 1e-3) return null;
  return line.least + ((a * t + b) / (c * t + 1)) * line.metres;
}

/** What perspective that nobody can see may do to a place on a line of two poles, metres. */
export function slantAt(line: KnownLine, along: number): number {
  if (!line.two) return 0;
  const share = (along - line.least) / line.metres;
  return 4 * Math.abs(share * (1 - share)) * SLANT * line.metres;
}
