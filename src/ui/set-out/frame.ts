import type { Box } from '@/core/breakdown';
import type { Point } from '@/core/geometry';

/** Metres to pixels and back: y goes up on the ground and down on the page. */
export type Frame = {
  readonly wide: number;
  readonly high: number;
  readonly perMetre: number;
  readonly to: (place: Point) => Point;
  readonly back: (pixel: Point) => Point;
};

/** Pixels on the right for north and wind. */
const MARGIN = 62;
/** Pixels of height at least. */
const LEAST = 170;

/** The largest scale at which a box of ground fits a width, and is no higher than allowed. */
export function frameOf(box: Box, width: number, highest: number): Frame {
  const paper = width - MARGIN;
  const perMetre = Math.min(paper / box.wide, highest / box.high);
  // A flat one still has room for north and wind.
  const high = Math.round(Math.min(highest, Math.max(LEAST, box.high * perMetre)));
  const left = (paper - box.wide * perMetre) / 2;
  const below = (high - box.high * perMetre) / 2;
  return {
    wide: width,
    high,
    perMetre,
    to: ({ x, y }) => ({ x: left + (x - box.x) * perMetre, y: high - below - (y - box.y) * perMetre }),
    back: ({ x, y }) => ({ x: box.x + (x - left) / perMetre, y: box.y + (high - below - y) / perMetre }),
  };
}

/** Corners as SVG reads them. */
export const pointsText = (frame: Frame, places: readonly Point[]): string =>
  places
    .map((place) => frame.to(place))
    .map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`)
    .join(' ');
