import { angleAt, bearing, distance, type Point, turnBetween } from '@/core/geometry';
import { type AxisKey, type Sentence, say } from '@/core/shared';
import type { Axis } from '../axis';
import { measuredAs } from '../measured';
import { dogOf, ofKind, sentFor, type Thing } from './things';

/** What of a drawing an axis can ask for. Lengths in metres, angles in degrees. */
export const READINGS = [
  'to-object',
  'to-second',
  'to-memory',
  'to-blind',
  'to-handler',
  'to-toy',
  'gap',
  'count',
  'cast',
  'angle',
  'width',
  'side',
] as const;
export type Reading = (typeof READINGS)[number];
/** By axis: what of the drawing its value is. */
export type Reads = Readonly<Record<AxisKey, Reading>>;

const LAID_TOGETHER = ['article', 'box', 'hide'] as const;

/** The things that lie together on this set-out: its articles, else its boxes, else its hides. */
export const together = (things: readonly Thing[]): Thing[] =>
  LAID_TOGETHER.map((kind) => ofKind(things, kind)).find((list) => list.length > 0) ?? [];

/** The two things whose distance a reading is; null where one of them is not there. */
export function endsOf(things: readonly Thing[], reading: Reading): readonly [Thing, Thing] | null {
  const dog = dogOf(things);
  const sent = sentFor(things);
  const seen = sent.find(({ kind }) => kind === 'memory' || kind === 'mark');
  const nearest = (list: readonly Thing[]): Thing | undefined =>
    dog ? [...list].sort((a, b) => distance(dog, a) - distance(dog, b))[0] : undefined;
  const other = {
    'to-object': sent[0],
    'to-second': sent[1],
    'to-memory': seen,
    'to-blind': sent.find(({ kind }) => kind === 'blind'),
    'to-handler': ofKind(things, 'handler')[0],
    'to-toy': nearest(things.filter(({ kind }) => kind === 'toy' || kind === 'decoy')),
  } as Partial<Record<Reading, Thing | undefined>>;
  const end = other[reading];
  return dog && end ? [dog, end] : null;
}

/**
 * What a reading is on these things; null where what it is between is not there. `to-…`: metres from the dog.
 * `gap`: between the two articles (boxes, hides) that lie nearest together. `cast`: degrees between straight
 * back, away from the handler over the dog, and what is sent for; right positive as the dog sits facing its
 * handler. `angle`: degrees between the first two that are sent for, as the dog sees them.
 */
export function measure(things: readonly Thing[], reading: Reading): number | null {
  const dog = dogOf(things);
  const sent = sentFor(things);
  switch (reading) {
    case 'to-object':
    case 'to-second':
    case 'to-memory':
    case 'to-blind':
    case 'to-handler':
    case 'to-toy': {
      const ends = endsOf(things, reading);
      return ends ? distance(...ends) : null;
    }
    case 'gap':
      return smallestGap(together(things));
    case 'count':
      return together(things).length || null;
    case 'cast': {
      const handler = ofKind(things, 'handler')[0];
      const [to] = sent;
      if (!dog || !handler || !to) return null;
      const [back, on] = [bearing(handler, dog), bearing(dog, to)];
      // Whoever faces the handler has the handler's left on the right hand.
      return back === null || on === null ? null : tidyTurn(-turnBetween(back, on));
    }
    case 'angle': {
      const [first, second] = sent;
      const turn = dog && first && second ? angleAt(dog, first, second) : null;
      return turn === null ? null : Math.abs(turn);
    }
    case 'width':
      return ofKind(things, 'lane')[0]?.wide ?? null;
    case 'side':
      return ofKind(things, 'square')[0]?.wide ?? null;
  }
}

/** −0 and −180 are 0 and 180. */
const tidyTurn = (turn: number): number => (turn === -180 ? 180 : turn + 0);

function smallestGap(list: readonly Thing[]): number | null {
  let least = Number.POSITIVE_INFINITY;
  for (const [i, a] of list.entries())
    for (const b of list.slice(i + 1)) least = Math.min(least, distance(a, b));
  return least === Number.POSITIVE_INFINITY ? null : least;
}

export const readingInWords = (reading: Reading): Sentence =>
  say('set-outs.reading', { reading: wordOf(reading) });
/** A key that a message can turn on: without hyphens. */
const wordOf = (reading: Reading): string => reading.replace('-', '');

/** The readings that an axis of this quantity can be. */
export function readingsFor(axis: Pick<Axis, 'quantity' | 'harder' | 'role' | 'measured'>): Reading[] {
  if (axis.role === 'pay' || measuredAs(axis) !== null) return [];
  switch (axis.quantity) {
    case 'distance':
      return ['to-object', 'to-second', 'to-memory', 'to-blind', 'to-handler', 'to-toy', 'gap'];
    case 'offset':
      return ['gap', 'width', 'side', 'to-object', 'to-toy'];
    case 'count':
      return ['count'];
    case 'angle':
      return ['cast', 'angle'];
    default:
      return [];
  }
}

/** Readings in degrees and in pieces; the others are lengths. */
export const isAngle = (reading: Reading): boolean => reading === 'cast' || reading === 'angle';

/** The middle of these places: about which all of it is turned. */
export const middleOf = (places: readonly Point[]): Point => ({
  x: places.reduce((sum, { x }) => sum + x, 0) / Math.max(1, places.length),
  y: places.reduce((sum, { y }) => sum + y, 0) / Math.max(1, places.length),
});
