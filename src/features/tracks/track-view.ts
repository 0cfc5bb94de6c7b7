import { type Lengths, lengthOf, nameOf, type Thing } from '@/core/breakdown';
import { distance } from '@/core/geometry';
import type { MeasuredTrackGo } from '@/data/read';
import { NO_BREAK, wordsOf, writeDigits, writeNumber } from '@/words';
import { tell } from './words';

/** Seconds of a track as minutes and seconds. */
export const clockOf = (t: number): string =>
  `${Math.floor(t / 60)}:${String(Math.floor(t % 60)).padStart(2, '0')}`;

/** A go in words, a line each: out, back, beside its line, where it stood, its casts. */
export function goInWords({ measured, ran, casts, goal }: MeasuredTrackGo, lengths: Lengths): string[] {
  if (!goal) return [tell('tracks.go.no-goal')];
  if (!measured) return [tell('tracks.go.never-left')];
  const metres = (value: number): string => wordsOf(lengthOf(lengths, value));
  const speed = (value: number | null): string =>
    value === null ? '' : `${writeDigits(value, 1)}${NO_BREAK}m/s`;
  const lines: string[] = [];
  if (measured.there !== null && measured.out !== null)
    lines.push(
      tell('tracks.go.out', {
        far: metres(ran ?? measured.meant),
        meant: metres(measured.meant),
        seconds: writeNumber(Math.round(measured.out)),
        speed: speed(measured.speedOut),
      }),
    );
  else
    lines.push(
      tell('tracks.go.never-there', {
        nearest: metres(measured.nearest),
        furthest: metres(measured.furthest),
      }),
    );
  if (measured.home !== null)
    lines.push(
      tell('tracks.go.back', {
        seconds: writeNumber(Math.round(measured.home)),
        speed: speed(measured.speedBack),
      }),
    );
  lines.push(
    tell('tracks.go.beside', {
      mean: metres(measured.beside),
      error: metres(measured.error),
      most: metres(Math.abs(measured.largest)),
      side: measured.largest < 0 ? 'left' : 'right',
    }),
  );
  if (measured.line !== null)
    lines.push(
      tell('tracks.go.line', {
        degrees: writeNumber(Math.round(Math.abs(measured.line))),
        side: sideOf(measured.line),
      }),
    );
  for (const { seconds, stopped, place } of measured.slow)
    lines.push(
      tell('tracks.go.slow', {
        stopped,
        seconds: writeNumber(Math.round(seconds)),
        near: metres(distance(place, goal)),
      }),
    );
  for (const { at, turn, taken } of casts)
    lines.push(
      tell('tracks.go.cast', {
        at: clockOf(at),
        asked: castInWords(turn),
        taken: taken === null ? '' : writeNumber(Math.round(Math.abs(taken))),
        side: taken === null ? 'none' : sideOf(taken),
        off: taken === null ? '' : writeNumber(Math.round(Math.abs(((taken - turn + 540) % 360) - 180))),
      }),
    );
  return lines;
}

const sideOf = (degrees: number): 'left' | 'right' | 'straight' =>
  Math.abs(degrees) < 0.5 ? 'straight' : degrees < 0 ? 'left' : 'right';

const CAST_NAMES = [
  [-90, 'left'],
  [90, 'right'],
  [180, 'back'],
  [-45, 'inleft'],
  [45, 'inright'],
  [-135, 'backleft'],
  [135, 'backright'],
] as const;
/** The casts that can be given, as the turn that is asked, degrees. */
export const CASTS = CAST_NAMES.map(([turn]) => turn);
export const castInWords = (turn: number): string =>
  tell('tracks.cast.turn', { turn: CAST_NAMES.find(([one]) => one === turn)?.[1] ?? 'back' });

export const thingName = (key: string | null, things: readonly Thing[]): string => {
  const thing = things.find((one) => one.key === key);
  return thing ? wordsOf(nameOf(thing, things)) : '';
};
