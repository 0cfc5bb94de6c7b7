import * as v from 'valibot';
import { distance, type Point } from '@/core/geometry';
import { type Sentence, say } from '@/core/shared';

/** What can stand or lie on a set-out. `lane` and `cover` are areas: `wide` across and `long` along `turn`. */
export const THING_KINDS = [
  'dog',
  'handler',
  'helper',
  'steward',
  'judge',
  'gun',
  'mark',
  'memory',
  'blind',
  'article',
  'box',
  'hide',
  'platform',
  'pole',
  'square',
  'hurdle',
  'lane',
  'toy',
  'decoy',
  'cover',
] as const;
export type ThingKind = (typeof THING_KINDS)[number];

/** Twenty kilometres: beyond it a finger has slipped. */
const MOST = 20_000;
const metres = v.pipe(v.number(), v.finite(), v.minValue(-MOST), v.maxValue(MOST));
const size = v.nullable(v.pipe(v.number(), v.finite(), v.gtValue(0), v.maxValue(MOST)));

/** One thing of a set-out: metres on its drawing, and the bearing on it to which it faces or runs. */
export const thingSchema = v.strictObject({
  key: v.pipe(v.string(), v.minLength(1)),
  kind: v.picklist(THING_KINDS),
  x: metres,
  y: metres,
  turn: v.pipe(v.number(), v.finite(), v.minValue(-360), v.maxValue(360)),
  /** In which order it falls or is sent for, from 1; null where it has none. */
  order: v.nullable(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(99))),
  label: v.pipe(v.string(), v.maxLength(60)),
  wide: size,
  long: size,
});
export type Thing = v.InferOutput<typeof thingSchema>;

/** Wind on the drawing: the bearing from which it comes, and metres a second. */
export const windSchema = v.strictObject({
  from: v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(360)),
  speed: v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(60)),
});

/** What a dog is sent to, picks up or searches: these have a line from the dog. */
const SENT: ReadonlySet<ThingKind> = new Set([
  'mark',
  'memory',
  'blind',
  'article',
  'box',
  'hide',
  'platform',
  'pole',
  'square',
  'hurdle',
] as const);
/** What falls or is hidden, and keeps its place in the memory of a ground. */
export const REMEMBERED: ReadonlySet<ThingKind> = new Set(['mark', 'memory', 'blind', 'hide'] as const);
/** Several of them lie together and are one goal. */
const TOGETHER: ReadonlySet<ThingKind> = new Set(['article', 'box'] as const);

export const dogOf = (things: readonly Thing[]): Thing | null => ofKind(things, 'dog')[0] ?? null;
export const ofKind = (things: readonly Thing[], kind: ThingKind): Thing[] =>
  things.filter((one) => one.kind === kind);

/**
 * What the dog is sent for, in the order in which it is: by `order`, then the nearest first. Of articles and
 * boxes that lie together only the first: the dog is sent to the lot.
 */
export function sentFor(things: readonly Thing[]): Thing[] {
  const dog = dogOf(things);
  const far = (one: Point): number => (dog ? distance(dog, one) : 0);
  const ordered = things
    .filter((one) => SENT.has(one.kind))
    .sort((a, b) => (a.order ?? 100) - (b.order ?? 100) || far(a) - far(b));
  const seen = new Set<ThingKind>();
  return ordered.filter((one) => {
    if (!TOGETHER.has(one.kind)) return true;
    const first = !seen.has(one.kind);
    seen.add(one.kind);
    return first;
  });
}

/** What a thing is called: by its own label, else by its kind, numbered where there are several of it. */
export function nameOf(thing: Thing, things: readonly Thing[]): Sentence {
  if (thing.label !== '') return say('shared.name', { name: thing.label });
  const alike = ofKind(things, thing.kind);
  const n = alike.length > 1 ? alike.indexOf(thing) + 1 : 0;
  return say('set-outs.thing', { kind: thing.kind, n });
}

/** A key that no thing of these has: "mark-1", "mark-2". */
export function freeKey(kind: ThingKind, things: readonly Thing[]): string {
  for (let n = 1; ; n++) {
    const key = `${kind}-${n}`;
    if (things.every((one) => one.key !== key)) return key;
  }
}

/** Metres within which somebody stands at the dog's side: no way that it runs. */
export const AT_HEEL = 2;
