import {
  bearing,
  distance,
  type Point,
  pointAt,
  type Spread,
  scentWedge,
  type Wind,
  wedgeOutline,
  wholeTurn,
} from '@/core/geometry';
import { type Measured, type Sentence, say } from '@/core/shared';
import { linesOf, type OldFall } from './checks';
import { anglesOf, compassOf } from './describe';
import {
  type Feature,
  type FeatureKind,
  featureName,
  type GroundPlan,
  isHazard,
  isRefused,
} from './ground-plan';
import { type Lengths, lengthOf, metresOf } from './lengths';
import { dogOf, nameOf, sentFor, type Thing, type ThingKind } from './things';

/** A piece of ground in metres: its lower left corner, and how far it goes. */
export type Box = { readonly x: number; readonly y: number; readonly wide: number; readonly high: number };

export type PictureThing = Pick<Thing, 'key' | 'kind' | 'x' | 'y' | 'turn' | 'order' | 'wide' | 'long'> & {
  readonly name: Sentence;
  /** The ground that it takes up; empty where it is only a place. */
  readonly outline: readonly Point[];
};
export type PictureFeature = Pick<Feature, 'key' | 'points' | 'closed' | 'wide'> & {
  readonly kind: FeatureKind;
  readonly name: Sentence;
  readonly level: 'refused' | 'care' | 'plain';
};

/** All of a drawing in metres, for whoever paints it: nothing in it is in pixels. */
export type Picture = {
  readonly box: Box;
  readonly plan: Pick<GroundPlan, 'wide' | 'deep'> | null;
  readonly north: { readonly turn: number; readonly words: Sentence };
  readonly wind: { readonly from: number; readonly words: Sentence } | null;
  readonly features: readonly PictureFeature[];
  readonly things: readonly PictureThing[];
  /** From the dog to each thing with what is written along it. */
  readonly lines: readonly {
    readonly key: string;
    readonly from: Point;
    readonly to: Point;
    readonly words: Sentence;
    readonly run: boolean;
  }[];
  readonly arcs: readonly {
    readonly key: string;
    readonly along: readonly Point[];
    readonly degrees: number;
  }[];
  readonly scent: readonly { readonly key: string; readonly outline: readonly Point[] }[];
  readonly corridors: readonly { readonly key: string; readonly outline: readonly Point[] }[];
  readonly oldFalls: readonly OldFall[];
  /** A bar of the scale: a round length of at most a quarter of the width. */
  readonly scale: { readonly metres: number; readonly words: Measured };
};

export type Pictured = {
  readonly things: readonly Thing[];
  readonly plan: GroundPlan | null;
  readonly north: number;
  readonly wind: Wind | null;
  readonly oldFalls: readonly OldFall[];
  /** Laid over the ground where it has hazards; null draws none. */
  readonly spread: Spread | null;
  readonly lengths: Lengths;
  /** The whole ground, not only what lies about the things. */
  readonly whole?: boolean;
};

/** Metres about the things that are drawn at least. */
const ABOUT = 4;
const ROUND = [0.5, 1, 2, 5, 10, 20, 25, 50, 100, 200, 500, 1000, 2000, 5000] as const;

/** A set-out as it is drawn: to scale, every distance, bearing and angle with it. */
export function pictureOf(given: Pictured): Picture {
  const { things, plan, north, wind, lengths, spread } = given;
  const dog = dogOf(things);
  const box = boxOf(given);
  const runs = linesOf(things);
  const run = new Set(runs.map(({ to }) => to.key));
  const others = dog ? things.filter((one) => WRITTEN.has(one.kind) && !run.has(one.key)) : [];
  const hazards = plan?.features.some(isHazard) === true;
  const wedge = wind && scentWedge(wind);
  const bar = [...ROUND].reverse().find((one) => one * metresOf(lengths) <= box.wide / 4) ?? 0.5;
  return {
    box,
    plan: plan && { wide: plan.wide, deep: plan.deep },
    north: { turn: north, words: say('set-outs.north') },
    wind: wind && { from: wind.from, words: say('set-outs.wind', { speed: wind.speed }) },
    features: (plan?.features ?? []).map((one) => ({
      key: one.key,
      kind: one.kind,
      points: one.points,
      closed: one.closed,
      wide: one.wide,
      name: featureName(one),
      level: isRefused(one) ? 'refused' : isHazard(one) ? 'care' : 'plain',
    })),
    things: things.map((one) => ({ ...one, name: nameOf(one, things), outline: outlineOf(one) })),
    lines: dog
      ? [
          ...runs.map(({ to }) => lineTo(given, dog, to, true)),
          ...others.map((to) => lineTo(given, dog, to, false)),
        ].filter((line) => distance(line.from, line.to) >= SHORTEST)
      : [],
    arcs: dog ? arcsOf(dog, things) : [],
    scent: wedge
      ? runs
          .filter(({ to }) => SMELLS.has(to.kind))
          .map(({ to }) => ({ key: to.key, outline: wedgeOutline(to, wedge) }))
      : [],
    corridors:
      spread && hazards
        ? runs.map(({ from, to }) => ({ key: to.key, outline: corridorOutline(from, to, spread) }))
        : [],
    oldFalls: given.oldFalls,
    scale: { metres: bar * metresOf(lengths), words: lengthOf(lengths, bar * metresOf(lengths)) },
  };
}

/** Metres below which a line is no line. */
const SHORTEST = 1.5;

function lineTo(
  { lengths, north }: Pictured,
  from: Thing,
  to: Thing,
  run: boolean,
): Picture['lines'][number] {
  const metres = lengthOf(lengths, distance(from, to));
  const words = run
    ? say('set-outs.line', { metres, bearing: compassOf(bearing(from, to) ?? 0, north) })
    : say('shared.amount', { amount: metres });
  return { key: to.key, from: { x: from.x, y: from.y }, to: { x: to.x, y: to.y }, words, run };
}

/** Pieces of an arc: enough that it looks round. */
const PIECES = 12;

function arcsOf(dog: Thing, things: readonly Thing[]): Picture['arcs'] {
  const radius = Math.min(...sentFor(things).map((one) => distance(dog, one))) * 0.45;
  return anglesOf(things).map(({ key, from, turn }) => ({
    key,
    along: Array.from({ length: PIECES + 1 }, (_, i) => pointAt(dog, from + (turn * i) / PIECES, radius)),
    degrees: Math.round(Math.abs(turn)),
  }));
}

/** Whose distance from the dog is written too. */
const WRITTEN: ReadonlySet<ThingKind> = new Set(['handler', 'toy', 'decoy', 'gun'] as const);
const SMELLS: ReadonlySet<ThingKind> = new Set([
  'mark',
  'memory',
  'blind',
  'hide',
  'box',
  'article',
] as const);

/** Two standard deviations to either side, and as far as five runs of six reach. */
function corridorOutline(from: Point, to: Point, { line, reach }: Spread): Point[] {
  const on = bearing(from, to) ?? 0;
  const far = distance(from, to) * Math.exp(reach);
  return [from, ...[-2, -1, 0, 1, 2].map((share) => pointAt(from, on + share * line, far))];
}

function boxOf({ things, plan, whole }: Pictured): Box {
  const ground =
    plan && (whole || things.length === 0)
      ? [
          { x: 0, y: 0 },
          { x: plan.wide, y: plan.deep },
        ]
      : [];
  // What lies off the plan is in sight too, so that it can be taken back onto it.
  const places: Point[] = [
    ...ground,
    ...things.flatMap((one) => [{ x: one.x, y: one.y }, ...outlineOf(one)]),
  ];
  if (places.length === 0) return { x: -10, y: -10, wide: 20, high: 20 };
  const [left, right] = [Math.min(...places.map(({ x }) => x)), Math.max(...places.map(({ x }) => x))];
  const [low, high] = [Math.min(...places.map(({ y }) => y)), Math.max(...places.map(({ y }) => y))];
  const about = ground.length > 0 ? 2 : Math.max(ABOUT, Math.max(right - left, high - low) * 0.18);
  return {
    x: left - about,
    y: low - about,
    wide: right - left + 2 * about,
    high: high - low + 2 * about,
  };
}

/** The corners of an area; none of what is only a place. */
function outlineOf({ x, y, turn, wide, long }: Pick<Thing, 'x' | 'y' | 'turn' | 'wide' | 'long'>): Point[] {
  if (wide === null && long === null) return [];
  const [across, along] = [(wide ?? 0) / 2, (long ?? 0) / 2];
  return [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([side, ahead]) =>
    pointAt(
      pointAt({ x, y }, turn, along * (ahead as number)),
      wholeTurn(turn + 90),
      across * (side as number),
    ),
  );
}
