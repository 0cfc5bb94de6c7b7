import type { Pixel } from '@/core/geometry';
import { type Camera, seenBy } from '@/core/geometry/picture/camera.test-helper';
import { add, type Clicker, clickOf, noise } from '@/core/review/sound/sounds.test-helper';
import { seeded } from '@/core/shared';
import type { Scene } from './clip-maker';

/**
 * Three goes of a dog that is sent out and told to lie down, as a tripod 12 m away sees them: it starts 0.4 s after the
 * cue, runs straight away from the handler at 3 m/s, lies down after `latency`, creeps on by `crept` until it is
 * released 2 s later, and is back at its place before the next cue. A click comes 0.2 s after it lies.
 */
export const CAMERA: Camera = {
  at: [5.5, -9, 2.6],
  towards: { x: 0.6, y: 3.5 },
  focal: 520,
  width: 640,
  height: 360,
};
export const POLES = [
  { x: -2, y: 0 },
  { x: 2, y: 0 },
  { x: 2, y: 8 },
  { x: -2, y: 8 },
];
export const GOES = [
  { cue: 1, latency: 1.24, crept: 0.5 },
  { cue: 8, latency: 1.48, crept: 0 },
  { cue: 17, latency: 2, crept: 0.3 },
] as const;
const SECONDS = 22;
const START = { x: 0, y: 1 };
const SPEED = 3;
const FIRST = 0.4;
const HELD = 2;

/** 29.97 frames a second, every third one late by 6 ms, as phones write them; whole milliseconds. */
export const TIMES = Array.from(
  { length: Math.floor(SECONDS * 29.97) },
  (_, i) => Math.round((i * 1001) / 30 + (i % 3 === 2 ? 6 : 0)) / 1000,
);

/** Where the dog is, metres. */
export function dogAt(time: number): { readonly x: number; readonly y: number } {
  const go = GOES.findLast(({ cue }) => time >= cue);
  if (!go) return START;
  const since = time - go.cue;
  const ran = SPEED * (Math.min(since, go.latency) - FIRST);
  if (since < FIRST) return START;
  if (since <= go.latency) return { x: START.x, y: START.y + ran };
  if (since <= go.latency + HELD)
    return { x: START.x, y: START.y + ran + (go.crept * (since - go.latency)) / HELD };
  return START;
}

export const onPicture = (place: { readonly x: number; readonly y: number }): Pixel =>
  seenBy(CAMERA, place) as Pixel;

/** The first frame that is shown at a time or after it: there somebody sees that it has happened. */
export const frameOf = (time: number): number => TIMES.findIndex((at) => at >= time - 1e-9);

export const CLICKER: Clicker = [
  { hertz: 2_600, decay: 0.0018, share: 1 },
  { hertz: 5_100, decay: 0.001, share: 0.7 },
];

export function scene(as: Scene['as'] = 'webm'): Scene {
  const random = seeded(4);
  const rate = 48_000;
  const samples = noise(SECONDS, rate, 0.004, random);
  for (const { cue, latency } of GOES)
    add(samples, clickOf(CLICKER, rate, random), cue + latency + 0.2, rate, 0.1);
  return {
    width: CAMERA.width,
    height: CAMERA.height,
    times: TIMES,
    dog: TIMES.map((time) => onPicture(dogAt(time))),
    poles: POLES.map(onPicture),
    sound: { rate, samples },
    as,
  };
}
