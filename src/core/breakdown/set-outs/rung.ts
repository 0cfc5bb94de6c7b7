import { bearing, distance, pointAt, turnBetween } from '@/core/geometry';
import { type AxisKey, type Sentence, say } from '@/core/shared';
import type { Axis } from '../axis';
import type { Ladder } from '../ladder';
import { describePlace, writeChange } from '../ladder-words';
import { type Criteria, completed, type Place, placeOn } from '../place';
import { stepSize } from '../scale';
import { endsOf, isAngle, measure, type Reading, type Reads, together } from './readings';
import { type Asked, layOut, type Template } from './templates';
import { AT_HEEL, dogOf, freeKey, sentFor, type Thing } from './things';

/** A drawn length within half a centimetre of what is asked, and an angle within a tenth of a degree, is it. */
const SAME_LENGTH = 0.005;
const SAME_ANGLE = 0.1;

/** What a template is laid by: what the rung asks of what is drawn, and what else was said. */
export const askedOfDrawing = (reads: Reads, criteria: Criteria, more: Asked = {}): Asked => ({
  ...more,
  ...Object.fromEntries(
    Object.entries(reads).flatMap(([axis, reading]) => {
      const value = criteria[axis as AxisKey];
      return value === undefined ? [] : [[reading, value]];
    }),
  ),
});

/** Draws a rung. Fails as `layOut` does. */
export const drawRung = (template: Template, reads: Reads, criteria: Criteria, more: Asked = {}) =>
  layOut(template, askedOfDrawing(reads, criteria, more));

/**
 * What a drawing asks of the dog: the criteria it was laid for, with what is measured on it in place of what
 * was asked. Drawn within half a centimetre or a tenth of a degree of what is asked is what is asked.
 */
export function criteriaOf(things: readonly Thing[], reads: Reads, asked: Criteria): Criteria {
  const read: Record<AxisKey, number> = { ...asked };
  for (const [axis, reading] of Object.entries(reads) as [AxisKey, Reading][]) {
    const value = measure(things, reading);
    if (value === null) continue;
    const wanted = asked[axis];
    const same = isAngle(reading) ? SAME_ANGLE : SAME_LENGTH;
    const near = wanted !== undefined && Math.abs(value - wanted) <= same;
    read[axis] = near ? wanted : Math.round(value * 100) / 100;
  }
  return read;
}

/** Which step of its ladder a drawing is, and what goes up and down against where the dog stands. */
export type DrawnStep = {
  readonly criteria: Criteria;
  readonly place: Place;
  readonly words: Sentence;
  readonly up: readonly Sentence[];
  readonly down: readonly Sentence[];
};

export function drawnStep(ladder: Ladder, criteria: Criteria, stands: Criteria): DrawnStep {
  const full = completed(ladder.axes, criteria);
  const from = completed(ladder.axes, stands);
  const changed = (sign: number): Sentence[] =>
    ladder.axes.flatMap((axis) => {
      const [a, b] = [valueOn(axis, from), valueOn(axis, full)];
      return sign * stepSize(axis, a, b) > 1e-6
        ? [
            say('breakdown.ladder-words.change', {
              title: axis.title.toLowerCase(),
              change: writeChange(axis, a, b),
            }),
          ]
        : [];
    });
  return {
    criteria: full,
    place: placeOn(ladder, full),
    words: describePlace(ladder, full),
    up: changed(1),
    down: changed(-1),
  };
}

const valueOn = (axis: Axis, criteria: Criteria): number => criteria[axis.key] ?? axis.start;

/** How near a thing that is moved has to come to a value that is asked to be taken to it. */
const SNAP_SHARE = 0.04;
const SNAP_METRES = 0.5;
const SNAP_DEGREES = 3;

/**
 * Where a thing is put down that was let go here: at what the rung asks, where that is near (half a metre or
 * 4 % of a length, 3° of an angle), else as it is. Only the dog's lengths and angles draw it; typed values are
 * taken as they are.
 */
export function snapped(
  things: readonly Thing[],
  key: string,
  at: { readonly x: number; readonly y: number },
  asked: Asked,
): { readonly x: number; readonly y: number } {
  const moved = moveThing(things, key, at);
  let place = at;
  for (const [reading, value] of Object.entries(asked) as [Reading, number][]) {
    const now = measure(
      moved.map((one) => (one.key === key ? { ...one, ...place } : one)),
      reading,
    );
    if (now === null) continue;
    if (isAngle(reading)) place = turnedTo(moved, key, place, value - now, reading) ?? place;
    else {
      const ends = endsOf(moved, reading);
      const other = ends?.[0].key === key ? ends[1] : ends?.[1].key === key ? ends[0] : null;
      if (!other || Math.abs(now - value) > Math.max(SNAP_METRES, value * SNAP_SHARE)) continue;
      const on = bearing(other, place);
      if (on !== null) place = pointAt(other, on, value);
    }
  }
  return place;
}

/** Turned about the dog by what lacks of the angle that is asked; null where that is not near. */
function turnedTo(
  things: readonly Thing[],
  key: string,
  place: { readonly x: number; readonly y: number },
  lacks: number,
  reading: Reading,
): { readonly x: number; readonly y: number } | null {
  const dog = dogOf(things);
  const [first, second] = sentFor(things);
  const target = reading === 'cast' ? first : key === first?.key ? first : second;
  if (!dog || !target || target.key !== key || Math.abs(lacks) > SNAP_DEGREES) return null;
  const on = bearing(dog, place);
  const against = reading === 'cast' ? null : target.key === first?.key ? second : first;
  const to = against && bearing(dog, against);
  if (on === null) return null;
  // The angle opens away from the other fall; a cast to the dog's right is a turn to the left from above.
  const sign = reading === 'cast' ? -1 : typeof to === 'number' && turnBetween(to, on) < 0 ? -1 : 1;
  return pointAt(dog, on + sign * lacks, distance(dog, place));
}

/** The things with one of them at another place. What is not there stays away. */
const moveThing = (
  things: readonly Thing[],
  key: string,
  at: { readonly x: number; readonly y: number },
): Thing[] => things.map((one) => (one.key === key ? { ...one, x: at.x, y: at.y } : one));

/**
 * The same drawing asking another step: what is asked of it is moved, no further than it must be. Lengths from
 * the dog along their own lines; angles by turning what is sent for about the dog; gaps by drawing the lot apart
 * from the one nearest the dog; a count by taking the last away or laying one more in the same direction. What
 * the step asks and the drawing does not have stays unasked.
 */
export function redrawn(things: readonly Thing[], reads: Reads, criteria: Criteria): Thing[] {
  const order: readonly Reading[] = ['count', 'gap', 'width', 'side'];
  const asked = Object.entries(askedOfDrawing(reads, criteria)) as [Reading, number][];
  const place = (reading: Reading): number =>
    order.includes(reading) ? order.indexOf(reading) : order.length;
  return asked
    .sort((a, b) => place(a[0]) - place(b[0]))
    .reduce<Thing[]>((now, [reading, value]) => askedNow(now, reading, value), [...things]);
}

function askedNow(things: Thing[], reading: Reading, value: number): Thing[] {
  const dog = dogOf(things);
  const now = measure(things, reading);
  if (now === null || !dog) return things;
  switch (reading) {
    case 'to-object':
    case 'to-second':
    case 'to-memory':
    case 'to-blind':
    case 'to-handler':
    case 'to-toy': {
      const ends = endsOf(things, reading);
      const on = ends && bearing(...ends);
      return ends && typeof on === 'number' && value > 0
        ? moveWith(things, ends[1], pointAt(ends[0], on, value))
        : things;
    }
    case 'width':
      return things.map((one) => (one.kind === 'lane' ? { ...one, wide: value } : one));
    case 'side':
      return things.map((one) => (one.kind === 'square' ? { ...one, wide: value, long: value } : one));
    case 'cast':
    case 'angle': {
      const [first, second] = sentFor(things);
      const target = reading === 'cast' ? first : second;
      const on = target && bearing(dog, target);
      if (!target || typeof on !== 'number') return things;
      const against = reading === 'angle' && first ? (bearing(dog, first) ?? 0) : 0;
      const sign = reading === 'cast' || turnBetween(against, on) < 0 ? -1 : 1;
      return moveThing(things, target.key, pointAt(dog, on + sign * (value - now), distance(dog, target)));
    }
    case 'gap': {
      const lot = together(things);
      const nearest = [...lot].sort((a, b) => distance(dog, a) - distance(dog, b))[0];
      if (!nearest || now <= 0) return things;
      const share = value / now;
      const keys = new Set(lot.map(({ key }) => key));
      return things.map((one) =>
        keys.has(one.key)
          ? {
              ...one,
              x: nearest.x + (one.x - nearest.x) * share,
              y: nearest.y + (one.y - nearest.y) * share,
            }
          : one,
      );
    }
    case 'count':
      return counted(things, Math.round(value));
  }
}

/** One of the lot is carried on as far again as the last two are apart; the last is taken away first. */
function counted(things: Thing[], count: number): Thing[] {
  const lot = together(things);
  if (count < 1 || lot.length === 0) return things;
  const gone = new Set(lot.slice(count).map(({ key }) => key));
  const kept = things.filter((one) => !gone.has(one.key));
  while (together(kept).length < count) {
    const now = together(kept);
    const last = now.at(-1) as Thing;
    const before = now.at(-2) ?? { x: last.x - 1, y: last.y };
    kept.push({
      ...last,
      key: freeKey(last.kind, kept),
      x: 2 * last.x - before.x,
      y: 2 * last.y - before.y,
    });
  }
  return kept;
}

/** Articles and boxes that lie together are carried together; a lane is as long as its handler is far. */
function moveWith(
  things: readonly Thing[],
  end: Thing,
  to: { readonly x: number; readonly y: number },
): Thing[] {
  const [dx, dy] = [to.x - end.x, to.y - end.y];
  const lot = new Set(
    end.kind === 'article' || end.kind === 'box' ? together(things).map(({ key }) => key) : [],
  );
  const dog = dogOf(things);
  return things.map((one) => {
    if (one.key === end.key || lot.has(one.key)) return { ...one, x: one.x + dx, y: one.y + dy };
    if (one.kind === 'lane' && end.kind === 'handler' && dog)
      return { ...one, x: (dog.x + to.x) / 2, y: (dog.y + to.y) / 2, long: distance(dog, to) * 0.8 };
    return one;
  });
}

/** As `moveThing`, and whoever stands by the dog goes along with it. */
export function carried(
  things: readonly Thing[],
  key: string,
  at: { readonly x: number; readonly y: number },
): Thing[] {
  const was = things.find((one) => one.key === key);
  const moved = moveThing(things, key, at);
  if (was?.kind !== 'dog') return moved;
  return moved.map((one) =>
    one.kind === 'handler' && distance(was, one) <= AT_HEEL
      ? { ...one, x: one.x + at.x - was.x, y: one.y + at.y - was.y }
      : one,
  );
}
