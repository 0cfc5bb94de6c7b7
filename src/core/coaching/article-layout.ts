import type { Random } from '@/core/shared';

/** How articles lie: side by side, round a circle, or scattered. */
export const LAYOUT_SHAPES = ['line', 'circle', 'scatter'] as const;
export type LayoutShape = (typeof LAYOUT_SHAPES)[number];
/** Whether the dog watches while they are laid; `turns` draws it fairly run by run. */
export const LAID = ['hidden', 'seen', 'turns'] as const;
export type Laid = (typeof LAID)[number];

/**
 * Where one article lies: x from 0 (left) to 1 (right), y from 0 (far) to 1 (at the handler's
 * feet).
 */
export type Spot = { readonly x: number; readonly y: number };

/**
 * The share of the picture's width and height that one article may fill without touching the next.
 */
const CELL = 0.9;

/**
 * Spots for `count` articles in a square with the handler below. A line lies across; a circle of
 * them begins at the top and goes round to the dog's right; a scatter puts each somewhere in a cell
 * of its own of a square grid, cells in mixed order, so that none lies on another. The spot of
 * `nearer` (a place, or null) is moved half its way to the handler. Same random numbers, same
 * spots. `spotsOf('line', 3, null, …)` → x of 1/6, 3/6, 5/6.
 */
export function spotsOf(shape: LayoutShape, count: number, nearer: number | null, random: Random): Spot[] {
  const spots =
    shape === 'scatter'
      ? scattered(count, random)
      : Array.from({ length: count }, (_, i) => placed(shape, i, count));
  return spots.map((spot, i) => (i === nearer ? { x: spot.x, y: spot.y + (1 - spot.y) / 2 } : spot));
}

function placed(shape: 'line' | 'circle', i: number, count: number): Spot {
  if (shape === 'line') return { x: (i + 0.5) / count, y: 0.4 };
  const turn = (i / count) * 2 * Math.PI;
  return { x: 0.5 + 0.4 * Math.sin(turn), y: 0.45 - 0.38 * Math.cos(turn) };
}

function scattered(count: number, random: Random): Spot[] {
  const side = Math.ceil(Math.sqrt(count));
  const cells = Array.from({ length: side * side }, (_, cell) => cell);
  const free = Array.from(
    { length: count },
    () => cells.splice(random.integer(cells.length), 1)[0] as number,
  );
  const jitter = (): number => (random.uniform() - 0.5) * (1 - CELL);
  return free.map((cell) => ({
    x: ((cell % side) + 0.5 + jitter()) / side,
    y: (0.85 * (Math.floor(cell / side) + 0.5 + jitter())) / side,
  }));
}
