import type { Random } from '@/core/shared';
import type { Point } from '../plane';
import type { Pixel } from './homography';

/** A pinhole camera over flat ground: an oracle that knows nothing of maps between planes. */
export type Camera = {
  readonly at: readonly [number, number, number];
  /** Where it looks on the ground. */
  readonly towards: Point;
  readonly focal: number;
  readonly width: number;
  readonly height: number;
};

type Vector = readonly [number, number, number];
const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const dot = (a: Vector, b: Vector): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const unit = (a: Vector): Vector => {
  const length = Math.hypot(...a);
  return [a[0] / length, a[1] / length, a[2] / length];
};

/** Where a place on the ground is in the picture; null behind the camera or out of the frame. */
export function seenBy(camera: Camera, { x, y }: Point): Pixel | null {
  const forward = unit(minus([camera.towards.x, camera.towards.y, 0], camera.at));
  const right = unit(cross(forward, [0, 0, 1]));
  const down = cross(forward, right);
  const ray = minus([x, y, 0], camera.at);
  const deep = dot(ray, forward);
  if (deep <= 0.1) return null;
  const px: Pixel = [
    camera.width / 2 + (camera.focal * dot(ray, right)) / deep,
    camera.height / 2 + (camera.focal * dot(ray, down)) / deep,
  ];
  return px[0] < 0 || px[1] < 0 || px[0] > camera.width || px[1] > camera.height ? null : px;
}

type Draw = Random['uniform'];

/** A camera as somebody sets one up beside a training ground: on a tripod, a car or a balcony. */
export function someCamera(draw: Draw): Camera {
  const away = 6 + 14 * draw();
  return {
    at: [-3 + 6 * draw(), -away, 1.3 + 3.5 * draw()],
    towards: { x: -2 + 4 * draw(), y: 1 + 4 * draw() },
    focal: 900 + 500 * draw(),
    width: 1280,
    height: 720,
  };
}

/** Places on the ground that this camera sees. */
export function placesSeen(camera: Camera, draw: Draw, count: number): Point[] {
  const found: Point[] = [];
  for (let turn = 0; found.length < count && turn < 4_000; turn++) {
    const place = { x: -6 + 12 * draw(), y: -2 + 12 * draw() };
    if (seenBy(camera, place)) found.push(place);
  }
  return found;
}
