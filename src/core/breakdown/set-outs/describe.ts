import {
  angleAt,
  bearing,
  besideLine,
  corridorWidth,
  distance,
  lateralError,
  type Point,
  pathLength,
  turnBetween,
  wholeTurn,
} from '@/core/geometry';
import { type Sentence, say } from '@/core/shared';
import { type Feature, featureName, type GroundPlan, runsAlong } from './ground-plan';
import { type Lengths, lengthOf } from './lengths';
import { dogOf, nameOf, sentFor, type Thing, type ThingKind } from './things';

/** A thing of the list that is read in place of the drawing: what it is, and where from the dog. */
export type ListedThing = { readonly key: string; readonly name: Sentence; readonly where: Sentence };

/** A bearing of the drawing by the compass, in whole degrees from 0 to 359. */
export const compassOf = (degrees: number, north: number): number =>
  Math.round(wholeTurn(degrees - north)) % 360;

/**
 * Everything on a set-out with where it is, as it is read aloud: the dog first, then what is sent for in its
 * order, then the rest. Distances from the dog; bearings by the compass; what is sent for also by the angle to
 * the one before.
 */
export function listThings(things: readonly Thing[], north: number, lengths: Lengths): ListedThing[] {
  const dog = dogOf(things);
  const sent = sentFor(things);
  const rest = things.filter((one) => one !== dog && !sent.includes(one));
  return [...(dog ? [dog] : []), ...sent, ...rest].map((one) => {
    const before = sent[sent.indexOf(one) - 1];
    return { key: one.key, name: nameOf(one, things), where: whereIs(one, dog, before, north, lengths) };
  });
}

function whereIs(
  one: Thing,
  dog: Thing | null,
  before: Thing | undefined,
  north: number,
  lengths: Lengths,
): Sentence {
  if (!dog || one === dog) return say('set-outs.here-it-starts');
  const on = bearing(dog, one);
  if (on === null) return say('set-outs.at-the-dog');
  const far = { metres: lengthOf(lengths, distance(dog, one)), bearing: compassOf(on, north) };
  const angle = before ? angleAt(dog, before, one) : null;
  return angle === null || Math.abs(angle) < 0.5
    ? say('set-outs.away-on', far)
    : say('set-outs.away-on-beside', { ...far, angle: Math.round(Math.abs(angle)), right: angle > 0 });
}

/** How far the dog runs out and back to all that it is sent for, and how far its handler walks to lay it. */
export function pathsOf(things: readonly Thing[]): { readonly dog: number; readonly handler: number } {
  const dog = dogOf(things);
  if (!dog) return { dog: 0, handler: 0 };
  const out = sentFor(things).reduce((sum, one) => sum + 2 * distance(dog, one), 0);
  const walk = layingOrder(things);
  return { dog: out, handler: pathLength([dog, ...walk, dog]) };
}

/** Which of what is laid comes first: what stands there anyway, then what the dog may not see laid. */
const LAID_AT: Readonly<Partial<Record<ThingKind, number>>> = {
  lane: 0,
  hurdle: 0,
  square: 0,
  platform: 0,
  pole: 0,
  decoy: 1,
  box: 1,
  hide: 2,
  blind: 2,
  article: 2,
  toy: 3,
  helper: 4,
  gun: 4,
  judge: 4,
  steward: 4,
  memory: 5,
};

/** What is laid or placed before the dog works, in the order in which it is: nearest first among its kind. */
function layingOrder(things: readonly Thing[]): Thing[] {
  const dog = dogOf(things);
  const far = (one: Thing): number => (dog ? distance(dog, one) : 0);
  return things
    .filter((one) => LAID_AT[one.kind] !== undefined)
    .sort((a, b) => (LAID_AT[a.kind] ?? 9) - (LAID_AT[b.kind] ?? 9) || far(a) - far(b));
}

/**
 * What a helper does, line by line: from the dog's place so many paces along something of the ground, or by the
 * compass and by the angle to the line before. A mark is not laid: it falls there. `lengths` are the helper's.
 */
export function layingList(
  things: readonly Thing[],
  plan: GroundPlan | null,
  north: number,
  lengths: Lengths,
): Sentence[] {
  const dog = dogOf(things);
  if (!dog) return [];
  const list = layingOrder(things).map((one) => {
    const on = bearing(dog, one) ?? 0;
    const along = featureAlong(dog, one, plan);
    const said = {
      paces: lengthOf(lengths, distance(dog, one)),
      bearing: compassOf(on, north),
      name: nameOf(one, things),
      how: LAID_AT[one.kind] === 4 ? 'stands' : one.kind === 'memory' ? 'seen' : 'laid',
    };
    return along
      ? say('set-outs.lay-along', { ...said, feature: featureName(along) })
      : say('set-outs.lay', said);
  });
  const falls = sentFor(things)
    .filter(({ kind }) => kind === 'mark')
    .map((one) =>
      say('set-outs.falls-at', {
        name: nameOf(one, things),
        paces: lengthOf(lengths, distance(dog, one)),
        bearing: compassOf(bearing(dog, one) ?? 0, north),
      }),
    );
  return [...list, ...falls];
}

/** Metres beside a hedge at which one still walks along it. */
const BESIDE = 6;

/** What of the ground a line runs along, end to end; null where nothing does. */
function featureAlong(from: Point, to: Point, plan: GroundPlan | null): Feature | null {
  const near = (feature: Feature): boolean =>
    feature.points
      .slice(1)
      .some((end, i) => [from, to].every((one) => isBeside(feature.points[i] as Point, end, one)));
  return plan?.features.find((feature) => runsAlong(feature) && near(feature)) ?? null;
}

function isBeside(start: Point, end: Point, place: Point): boolean {
  return besideLine(start, end, place).away <= BESIDE;
}

/**
 * Where to stand with the dog, by what is there to be seen: so far along the nearest line of the ground from
 * one of its ends, and so far from it. Null where the ground has no such line, or nobody drew it.
 */
export function standHere(
  at: Point,
  plan: GroundPlan | null,
  north: number,
  lengths: Lengths,
): Sentence | null {
  if (!plan) return null;
  const pieces = plan.features.filter(runsAlong).flatMap((feature) =>
    feature.points.slice(1).map((end, i) => {
      const start = feature.points[i] as Point;
      return { feature, start, end, ...besideLine(start, end, at) };
    }),
  );
  const [best] = pieces.sort((a, b) => a.away - b.away);
  if (!best) return null;
  const length = distance(best.start, best.end);
  const along = Math.min(length, Math.max(0, best.along));
  const fromStart = along <= length / 2;
  const [from, toward] = fromStart ? [best.start, best.end] : [best.end, best.start];
  return say('set-outs.stand-here', {
    along: lengthOf(lengths, fromStart ? along : length - along),
    feature: featureName(best.feature),
    end: octantOf(bearing(toward, from) ?? 0, north),
    away: lengthOf(lengths, best.away),
    beside: best.away < 1 ? 'at' : 'out',
  });
}

const OCTANTS = ['n', 'ne', 'e', 'se', 's', 'sw', 'w', 'nw'] as const;
/** One of eight winds, by the compass: 45° of the drawing with north up → "ne". */
const octantOf = (degrees: number, north: number): (typeof OCTANTS)[number] =>
  OCTANTS[Math.round(wholeTurn(degrees - north) / 45) % 8] as (typeof OCTANTS)[number];

/** What 5° off the line mean at the end of the longest one: so far beside. Null where nothing is sent for. */
export function besideAtTheEnd(things: readonly Thing[], lengths: Lengths): Sentence | null {
  const dog = dogOf(things);
  const far = dog ? Math.max(0, ...sentFor(things).map((one) => distance(dog, one))) : 0;
  if (far < 10) return null;
  return say('set-outs.five-degrees', {
    metres: lengthOf(lengths, far),
    beside: lengthOf(lengths, lateralError(far, 5)),
    wide: lengthOf(lengths, corridorWidth(far, 5)),
  });
}

/** The angle between neighbouring lines of the dog, for the arcs of the drawing. */
export function anglesOf(
  things: readonly Thing[],
): { readonly key: string; readonly from: number; readonly turn: number }[] {
  const dog = dogOf(things);
  if (!dog) return [];
  const lines = sentFor(things)
    .flatMap((one) => {
      const on = bearing(dog, one);
      return on === null ? [] : [{ key: one.key, on }];
    })
    .sort((a, b) => a.on - b.on);
  // All round: the last one has the first for its neighbour. Two have one angle between them, the smaller.
  const pairs = lines.map((line, i) => [lines[(i + lines.length - 1) % lines.length] ?? line, line] as const);
  return pairs.flatMap(([before, { key, on }]) => {
    const turn = turnBetween(before.on, on);
    return turn >= 1 && turn <= WIDEST ? [{ key, from: before.on, turn }] : [];
  });
}
/** An angle beyond this is read from the bearings, not from an arc. */
const WIDEST = 150;
