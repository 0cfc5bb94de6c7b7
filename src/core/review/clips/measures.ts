import {
  angleAt,
  bearing,
  distance,
  distanceIn,
  measuredIn,
  type PictureGround,
  type Pixel,
  POINTING,
  type Point,
  pathLength,
  turnBetween,
  type WithError,
} from '@/core/geometry';
import type { Measure } from '@/core/log';
import type { ClipMark, ClipStamp, Go, Placed } from './marks';

/** What a go in a clip can be measured for, in the order in which it is said. */
export const CLIP_MEASURES = [
  'movement',
  'latency',
  'marker',
  'late',
  'reward',
  'held',
  'away',
  'stopped',
  'offset',
  'crept',
  'path',
  'speed',
  'arrival',
  'straight',
  'line',
  'front',
  'body',
] as const;
export type ClipMeasureKind = (typeof CLIP_MEASURES)[number];

/** A measured value in seconds, metres, metres a second or degrees; the truth lies within `error` nine times in ten. */
export type ClipMeasure = WithError & { readonly kind: ClipMeasureKind };

/** Which of them a rep of the log has a place for. */
export const AS_LOGGED: Readonly<Partial<Record<ClipMeasureKind, Measure>>> = {
  latency: 'latency',
  marker: 'marker',
  held: 'held',
  offset: 'offset',
  path: 'path',
  speed: 'speed',
  line: 'line',
  front: 'angle',
};

/** The times that make a span, and what it is called. */
const SPANS: readonly (readonly [ClipMeasureKind, ClipStamp, ClipStamp])[] = [
  ['movement', 'cue', 'movement'],
  ['latency', 'cue', 'response'],
  ['marker', 'cue', 'marker'],
  ['late', 'response', 'marker'],
  ['reward', 'marker', 'reward'],
  ['held', 'response', 'release'],
];

/** A place within this many seconds of a time is the place at that time. */
const AT_ONCE = 0.35;
/** How long a hold lasts before it can have crept, seconds; and the least way over which a speed is told, metres. */
const HELD = 0.5;
const STRETCH = 2;
/** Nearer to the start than this a bearing says nothing, metres. */
const TOO_NEAR = 1;

/**
 * All that the marks of a go tell. Times are right within the frame of each end (`frame` gives its length at a
 * time, seconds), angles in a picture of this width by a hand's own error. Without a ground there are only times, and angles in the picture.
 * Cue at 2.000 s, response at 3.240 s, 25 frames a second → latency 1.24 s ± 0.04 s.
 */
export function measuresOf(
  go: Go,
  frame: (at: number) => number,
  ground: PictureGround | null,
  width: number,
): ClipMeasure[] {
  const found: ClipMeasure[] = [];
  const add = (kind: ClipMeasureKind, measured: WithError | null): void => {
    if (measured) found.push({ kind, ...measured });
  };
  for (const [kind, from, to] of SPANS) {
    const [a, b] = [go.at[from], go.at[to]];
    if (a === undefined || b === undefined || b < a) continue;
    add(kind, { value: b - a, error: (frame(a) + frame(b)) / 2 });
  }
  if (ground) for (const [kind, measured] of onGround(go, frame, ground)) add(kind, measured);
  for (const mark of go.angles) if (mark.says === 'body') add('body', bodyAngle(mark, POINTING * width));
  return found;
}

type Found = readonly (readonly [ClipMeasureKind, WithError | null])[];

function onGround(go: Go, frame: (at: number) => number, ground: PictureGround): Found {
  const { places, goal, handler } = go;
  const { response, release, cue } = go.at;
  const lay = response === undefined ? null : nearest(places, response);
  const start = cue === undefined ? null : nearest(places, cue);
  const between = (a: Placed | null, b: Placed | null): WithError | null =>
    a && b && a !== b ? distanceIn(ground, a.px, b.px) : null;
  const after =
    lay && response !== undefined
      ? places.findLast(
          (one) => one.at >= response + HELD && (release === undefined || one.at <= release + AT_ONCE),
        )
      : undefined;
  const before = places.filter((one) => response === undefined || one.at <= response + AT_ONCE);
  const onWay = onTheWay(before, frame, ground);
  const stopped = between(start, lay);
  const way = onWay.find(([kind]) => kind === 'path')?.[1];
  // Where it ran straight from the cue to the answer, the way has said it.
  const said = stopped && way && Math.abs(way.value - stopped.value) <= stopped.error;
  return [
    ['away', between(handler, lay)],
    ['stopped', said ? null : stopped],
    ['offset', between(goal, lay ?? places.at(-1) ?? null)],
    ['crept', between(lay, after ?? null)],
    ...onWay,
    ...(ground.kind === 'plane' ? bearings(go, ground) : []),
  ];
}

/** The path of the dog, how fast it was, and how fast it came in. */
function onTheWay(places: readonly Placed[], frame: (at: number) => number, ground: PictureGround): Found {
  const [first, last] = [places[0], places.at(-1)];
  if (!first || !last || first === last) return [];
  const pixels = places.map(({ px }) => px);
  const way = measuredIn(ground, pixels, pathLength);
  const from = startOfStretch(places, ground);
  return [
    ['path', way],
    ['speed', speedOf(way, first, last, frame)],
    [
      'arrival',
      from > 0
        ? speedOf(measuredIn(ground, pixels.slice(from), pathLength), places[from] as Placed, last, frame)
        : null,
    ],
  ];
}

/** The last place from which there are two metres or more to the end; 0 where that is the whole way. */
function startOfStretch(places: readonly Placed[], ground: PictureGround): number {
  for (let from = places.length - 2; from > 0; from--) {
    const way = measuredIn(
      ground,
      places.slice(from).map(({ px }) => px),
      pathLength,
    );
    if (way && way.value >= STRETCH) return from;
  }
  return 0;
}

function speedOf(
  way: WithError | null,
  from: Placed,
  to: Placed,
  frame: (at: number) => number,
): WithError | null {
  const seconds = to.at - from.at;
  if (!way || seconds <= 0) return null;
  const value = way.value / seconds;
  const late = (frame(from.at) + frame(to.at)) / 2 / seconds;
  return { value, error: Math.hypot(way.error / seconds, value * late) };
}

/** Degrees: how straight it ran, how its line lay to the goal, how crooked it sat. */
function bearings(go: Go, ground: PictureGround): Found {
  const { places, goal } = go;
  const pixels = places.map(({ px }) => px);
  const [first, last] = [pixels[0], pixels.at(-1)];
  const line =
    goal && first && last && first !== last
      ? measuredIn(ground, [first, last, goal.px], ([from, to, aim]) => lineError(from, to, aim))
      : null;
  const straight = pixels.length < 3 ? null : measuredIn(ground, pixels, straightness);
  const fronts = go.angles
    .filter(({ says }) => says === 'front')
    .map((mark) => ['front', measuredIn(ground, mark.px, crooked)] as const);
  return [['straight', straight], ['line', line], ...fronts];
}

/** The largest turn off the way from its start to its end, degrees; null where it ends where it began. */
function straightness(places: readonly Point[]): number | null {
  const [start, end] = [places[0] as Point, places.at(-1) as Point];
  const way = bearing(start, end);
  if (way === null || distance(start, end) < TOO_NEAR) return null;
  const turns = places
    .slice(1, -1)
    .filter((place) => distance(start, place) >= TOO_NEAR)
    .map((place) => Math.abs(turnBetween(way, bearing(start, place) as number)));
  return Math.max(0, ...turns);
}

/** How far its line lay beside the goal, degrees, right positive. */
function lineError(from?: Point, to?: Point, aim?: Point): number | null {
  if (!from || !to || !aim || distance(from, to) < TOO_NEAR || distance(from, aim) < TOO_NEAR) return null;
  return angleAt(from, aim, to);
}

/** How far a dog's line from tail to head points beside the handler, degrees, right positive. */
function crooked([tail, head, middle]: readonly Point[]): number | null {
  if (!tail || !head || !middle) return null;
  const [body, wanted] = [bearing(tail, head), bearing(tail, middle)];
  return body === null || wanted === null ? null : turnBetween(wanted, body);
}

/** In the picture: the angle at the middle point, 180 where the line is straight; a hand's error, pixels, at each end. */
function bodyAngle({ px }: ClipMark, hand: number): WithError | null {
  const [a, middle, b] = px as [Pixel, Pixel, Pixel];
  const [one, two] = [
    Math.hypot(a[0] - middle[0], a[1] - middle[1]),
    Math.hypot(b[0] - middle[0], b[1] - middle[1]),
  ];
  if (one < 1 || two < 1) return null;
  const turn =
    Math.atan2(a[1] - middle[1], a[0] - middle[0]) - Math.atan2(b[1] - middle[1], b[0] - middle[0]);
  const degrees = Math.abs((((turn * 180) / Math.PI + 540) % 360) - 180);
  // An end moves the angle by 1/length, the middle by both together.
  const off = Math.hypot(1 / one, 1 / two, 1 / one + 1 / two) * hand * 1.645;
  return { value: degrees, error: (off * 180) / Math.PI };
}

const nearest = (places: readonly Placed[], at: number): Placed | null => {
  const best = places.reduce<Placed | null>(
    (found, one) => (found && Math.abs(found.at - at) <= Math.abs(one.at - at) ? found : one),
    null,
  );
  return best && Math.abs(best.at - at) <= AT_ONCE ? best : null;
};
