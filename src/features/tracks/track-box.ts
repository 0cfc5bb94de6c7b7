import type { Box } from '@/core/breakdown';
import type { Point } from '@/core/geometry';

/** Room about what was run, metres. */
const ROOM = 4;

/** The box of a drawing made wide enough for what was run on it. */
export function boxOf(box: Box, places: readonly Point[]): Box {
  const xs = places.map(({ x }) => x);
  const ys = places.map(({ y }) => y);
  const [left, below] = [
    Math.min(box.x, ...xs.map((x) => x - ROOM)),
    Math.min(box.y, ...ys.map((y) => y - ROOM)),
  ];
  const right = Math.max(box.x + box.wide, ...xs.map((x) => x + ROOM));
  const above = Math.max(box.y + box.high, ...ys.map((y) => y + ROOM));
  return { x: left, y: below, wide: right - left, high: above - below };
}
