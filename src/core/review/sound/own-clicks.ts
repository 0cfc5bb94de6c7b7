import { fail, ok, type Result, say } from '@/core/shared';
import type { Sound } from './listen';

/** So many clicks of one's own are learned. */
export const TO_LEARN = 10;
/** A clicker clicks twice, pressed and let go: what follows within this is the same click, seconds. */
export const SAME_CLICK = 0.4;

/** One's own clicker, as this device hears it: the usual shape of its spectrum, and how alike is alike. */
export type OwnClick = { readonly rate: number; readonly shape: readonly number[]; readonly least: number };

/** How alike two shapes are: 1 the same, 0 nothing in common. */
const alike = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, one, i) => sum + one * (b[i] ?? 0), 0);

/** The first of every click; what comes within 0.4 s after it is its other half. */
export function firstOfEach<T extends { readonly at: number }>(sounds: readonly T[]): T[] {
  const found: T[] = [];
  for (const one of sounds)
    if (one.at - (found.at(-1)?.at ?? Number.NEGATIVE_INFINITY) >= SAME_CLICK) found.push(one);
  return found;
}

/** Noise takes away from the likeness; strangers lie below this. */
const SLACK = 0.06;
const LEAST = 0.8;
/** Ten clicks that are less alike than this are not of one clicker. */
const UNLIKE = 0.85;

/**
 * Learns one's own click from ten: their mean shape, and a likeness a little below that of the least like of them,
 * each against the mean of the others. Fails with `few` and `unlike` (something else clicked in between).
 */
export function learnClick(clicks: readonly Sound[], rate: number): Result<OwnClick> {
  const shapes = clicks.map(({ shape }) => shape).filter((shape) => shape.length > 0);
  if (shapes.length < TO_LEARN)
    return fail('few', '', say('clips.own-click.few', { heard: shapes.length, wanted: TO_LEARN }));
  const left = shapes.map((shape, i) => alike(shape, meanOf(shapes.toSpliced(i, 1))));
  const worst = Math.min(...left);
  if (worst < UNLIKE) return fail('unlike', '', say('clips.own-click.unlike'));
  return ok({ rate, shape: meanOf(shapes), least: Math.max(LEAST, worst - SLACK) });
}

function meanOf(shapes: readonly (readonly number[])[]): number[] {
  const sum = (shapes[0] ?? []).map((_, i) => shapes.reduce((all, shape) => all + (shape[i] ?? 0), 0));
  const length = Math.hypot(...sum);
  return length === 0 ? sum : sum.map((one) => one / length);
}

/** Whether a sound is one's own click. Another rate of samples hears otherwise: then it never is. */
export const isOwnClick = (own: OwnClick, sound: Sound): boolean =>
  sound.kind === 'click' &&
  sound.shape.length === own.shape.length &&
  alike(own.shape, sound.shape) >= own.least;
