import { pointAt } from '@/core/geometry';
import { fail, ok, type Result, type Sentence, say } from '@/core/shared';
import type { Reading } from './readings';
import type { Thing, ThingKind } from './things';

/** Ways of laying things out, each for a kind of work. */
export const TEMPLATES = [
  'line',
  'memory-and-blind',
  'marks',
  'square',
  'platform',
  'pole',
  'casts',
  'hurdle',
  'lane',
  'stay',
  'toy',
  'article-line',
  'article-circle',
  'article-scatter',
  'boxes',
  'hides',
] as const;
export type Template = (typeof TEMPLATES)[number];

export const templateName = (template: Template): Sentence =>
  say('set-outs.template', { template: template.replaceAll('-', '') });

/** What somebody has to say before it can be drawn; nothing of it is made up. */
export const NEEDS: Readonly<Record<Template, readonly Reading[]>> = {
  line: ['to-object'],
  'memory-and-blind': ['to-memory', 'to-blind'],
  marks: ['to-object', 'to-second', 'angle'],
  square: ['to-object', 'side'],
  platform: ['to-object'],
  pole: ['to-object'],
  casts: ['to-object', 'to-handler', 'cast'],
  hurdle: ['to-object'],
  lane: ['to-handler', 'width'],
  stay: ['to-handler'],
  toy: ['to-handler', 'to-toy'],
  'article-line': ['to-object', 'count', 'gap'],
  'article-circle': ['to-object', 'count', 'gap'],
  'article-scatter': ['to-object', 'count', 'gap'],
  boxes: ['to-object', 'count', 'gap'],
  hides: ['to-object', 'count', 'gap'],
};

export type Asked = Readonly<Partial<Record<Reading, number>>>;

/** Beside the dog: where a handler stands at heel. */
const HEEL = 0.6;
/** A drawing of more would not be read. */
const MOST = 30;

const thing = (kind: ThingKind, key: string, x: number, y: number, more: Partial<Thing> = {}): Thing => ({
  key,
  kind,
  x,
  y,
  turn: 0,
  order: null,
  label: '',
  wide: null,
  long: null,
  ...more,
});

/**
 * Lays a template out by these values: the dog at (0, 0), its line straight up. Fails with `missing` for a
 * value that the template needs and `path` names, and with `value` for one that cannot be laid (no length, a
 * count that is not whole or over 30). `layOut('line', { 'to-object': 20 })` → dog, handler, and a mark
 * 20 m up.
 */
export function layOut(template: Template, asked: Asked): Result<Thing[]> {
  for (const reading of NEEDS[template]) {
    const value = asked[reading];
    if (value === undefined) return fail('missing', reading, say('set-outs.say-how-much', {}));
    const isTurn = reading === 'cast' || reading === 'angle';
    const whole = reading !== 'count' || (Number.isInteger(value) && value >= 1 && value <= MOST);
    if (!Number.isFinite(value) || !whole || (!isTurn && value <= 0) || Math.abs(value) > 20_000)
      return fail('value', reading, say('set-outs.cannot-be-laid', { most: MOST }));
  }
  const needed = (reading: Reading): number => asked[reading] as number;
  return ok(LAID[template](needed));
}

type Lay = (asked: (reading: Reading) => number) => Thing[];

const DOG = thing('dog', 'dog-1', 0, 0);
const atHeel = thing('handler', 'handler-1', HEEL, 0);
const far = (metres: number): Thing => thing('handler', 'handler-1', 0, metres, { turn: 180 });

/** The dog sits facing whoever is ahead. */
const ahead =
  (kind: ThingKind, more: Partial<Thing> = {}): Lay =>
  (asked) => [DOG, atHeel, thing(kind, `${kind}-1`, 0, asked('to-object'), more)];

const numbered = (kind: ThingKind, places: readonly { readonly x: number; readonly y: number }[]): Thing[] =>
  places.map(({ x, y }, i) => thing(kind, `${kind}-${i + 1}`, x, y));

const rowOf =
  (kind: ThingKind): Lay =>
  (asked) => {
    const [count, gap] = [asked('count'), asked('gap')];
    const row = Array.from({ length: count }, (_, i) => ({
      x: (i - (count - 1) / 2) * gap,
      y: asked('to-object'),
    }));
    return [DOG, atHeel, ...numbered(kind, row)];
  };

/** Round a middle: neighbours lie one gap apart, the nearest of them as far as asked. */
function circle(asked: (reading: Reading) => number): Thing[] {
  const [count, gap] = [asked('count'), asked('gap')];
  const radius = count < 2 ? 0 : gap / (2 * Math.sin(Math.PI / count));
  const middle = { x: 0, y: asked('to-object') + radius };
  return [
    DOG,
    atHeel,
    ...numbered(
      'article',
      Array.from({ length: count }, (_, i) => pointAt(middle, 180 + (i * 360) / count, radius)),
    ),
  ];
}

/**
 * Strewn, with no two nearer than the gap and the first of them as far as asked: a sunflower's spiral
 * (Vogel 1979), which keeps every two apart without dice. Its seeds n lie √n · c from the middle at n · 137.5°,
 * neighbours never nearer than 1.6 c.
 */
const scatterOf =
  (kind: ThingKind): Lay =>
  (asked) => {
    const [count, gap] = [asked('count'), asked('gap')];
    const seeds = Array.from({ length: count }, (_, n) => pointAt({ x: 0, y: 0 }, n * 137.508, Math.sqrt(n)));
    let least = Number.POSITIVE_INFINITY;
    for (const [i, a] of seeds.entries())
      for (const b of seeds.slice(i + 1)) least = Math.min(least, Math.hypot(a.x - b.x, a.y - b.y));
    const scale = Number.isFinite(least) ? gap / least : 1;
    const strewn = seeds.map(({ x, y }) => ({ x: x * scale, y: y * scale }));
    return [DOG, atHeel, ...numbered(kind, putAt(strewn, asked('to-object')))];
  };

/** Moved straight up until the nearest of them lies so far from the origin. */
function putAt(places: readonly { x: number; y: number }[], metres: number): { x: number; y: number }[] {
  const nearest = (up: number): number => Math.min(...places.map(({ x, y }) => Math.hypot(x, y + up)));
  const spread = Math.max(...places.map(({ x, y }) => Math.hypot(x, y)));
  // Beyond the spread the nearest one draws away with every step up: halving finds the place.
  let [low, high] = [spread, spread + metres + spread];
  if (nearest(low) > metres) low = 0;
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (nearest(mid) < metres) low = mid;
    else high = mid;
  }
  return places.map(({ x, y }) => ({ x, y: y + high }));
}

const LAID: Readonly<Record<Template, Lay>> = {
  line: ahead('mark', { order: 1 }),
  'memory-and-blind': (asked) => [
    DOG,
    atHeel,
    thing('memory', 'memory-1', 0, asked('to-memory'), { order: 1 }),
    thing('blind', 'blind-1', 0, asked('to-blind'), { order: 2 }),
  ],
  marks: (asked) => {
    const half = asked('angle') / 2;
    return [
      DOG,
      atHeel,
      thing('mark', 'mark-1', 0, 0, { ...pointAt(DOG, -half, asked('to-object')), order: 1 }),
      thing('mark', 'mark-2', 0, 0, { ...pointAt(DOG, half, asked('to-second')), order: 2 }),
    ];
  },
  square: (asked) => {
    const side = asked('side');
    return [
      DOG,
      atHeel,
      thing('square', 'square-1', 0, asked('to-object'), { order: 1, wide: side, long: side }),
    ];
  },
  platform: ahead('platform', { order: 1 }),
  pole: ahead('pole', { order: 1 }),
  hurdle: ahead('hurdle', { order: 1 }),
  casts: (asked) => {
    const [metres, cast] = [asked('to-object'), asked('cast')];
    const handler = thing('handler', 'handler-1', 0, -asked('to-handler'));
    const dog = { ...DOG, turn: 180 };
    // The one that is asked for first; the others are there to be told from it.
    const wide = Math.abs(cast) < 1 || Math.abs(cast) > 179 ? 90 : Math.abs(cast);
    const turns = [cast, ...[0, wide, -wide].filter((one) => Math.abs(one - cast) > 1)];
    return [
      dog,
      handler,
      ...turns.map((turn, i) =>
        thing('platform', `platform-${i + 1}`, 0, 0, {
          ...pointAt(DOG, -turn, metres),
          order: i === 0 ? 1 : null,
        }),
      ),
    ];
  },
  lane: (asked) => {
    const [metres, wide] = [asked('to-handler'), asked('width')];
    return [DOG, far(metres), thing('lane', 'lane-1', 0, metres / 2, { wide, long: metres * 0.8 })];
  },
  stay: (asked) => [DOG, far(asked('to-handler'))],
  toy: (asked) => [DOG, far(asked('to-handler')), thing('toy', 'toy-1', asked('to-toy'), 0)],
  'article-line': rowOf('article'),
  'article-circle': circle,
  'article-scatter': scatterOf('article'),
  boxes: rowOf('box'),
  hides: scatterOf('hide'),
};
