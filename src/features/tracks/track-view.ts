import { dogOf, type Lengths, lengthOf, metresOf, nameOf, sentFor, type Thing } from '@/core/breakdown';
import {
  distance,
  goesIn,
  laidTrack,
  lateralError,
  layByStart,
  layByTwo,
  type Placement,
  type Point,
  placeAround,
  type State,
  within,
} from '@/core/geometry';
import { type Amendment, type Judging, judgedAgain, type StandingRep } from '@/core/log';
import { type AxisKey, fail, ok, type Result, say } from '@/core/shared';
import type { ElementRecord, MeasuredTrackGo, RunOfDog, SetOut, Track } from '@/data/read';
import { NO_BREAK, wordsOf, writeDigits, writeNumber } from '@/words';
import { tell } from './words';

export type Lies = NonNullable<Track['lies']>;

/** Seconds of a track as minutes and seconds. */
export const clockOf = (t: number): string =>
  `${Math.floor(t / 60)}:${String(Math.floor(t % 60)).padStart(2, '0')}`;

/** What of a set-out a track can be laid by: the dog, and what it is sent for. */
export const layable = (things: readonly Thing[]): Thing[] => {
  const dog = dogOf(things);
  return [...(dog ? [dog] : []), ...sentFor(things)];
};

/** Two times of a track and the things that it was at. */
export type Pair = { readonly t: number; readonly key: string };

/** Laid by where it began: north of the drawing as it is. Fails with `no-dog` and `no-fix`. */
export function layStart(
  states: readonly State[],
  setOut: Pick<SetOut, 'things' | 'north'>,
  at: Pair,
): Result<Lies> {
  const thing = setOut.things.find(({ key }) => key === at.key);
  if (!thing) return fail('no-dog', '', say('tracks.lay.no-dog'));
  // The fixes lie with north up; the drawing may not.
  const north: Placement = { turn: setOut.north, x: 0, y: 0 };
  const place = placeAround(laidTrack(states, north), at.t);
  if (!place) return fail('no-fix', '', say('tracks.lay.no-fix', { at: clockOf(at.t) }));
  const shifted = layByStart(place, thing);
  return ok({ ...shifted, turn: setOut.north, by: 'start', off: null });
}

/** The two places may differ by this share of their distance, and so many metres, before somebody looks again. */
const OFF = { share: 0.15, metres: 4 } as const;
export const isFarOff = (off: number, long: number): boolean => off > OFF.metres + OFF.share * long;

/** Laid by two places that are known. Fails with `no-dog`, `no-fix` and `one-place`. */
export function layTwo(
  states: readonly State[],
  things: readonly Thing[],
  pairs: readonly [Pair, Pair],
): Result<Lies> {
  const was: Point[] = [];
  const to: Point[] = [];
  for (const { t, key } of pairs) {
    const thing = things.find((one) => one.key === key);
    if (!thing) return fail('no-dog', '', say('tracks.lay.no-dog'));
    const place = placeAround(states, t);
    if (!place) return fail('no-fix', '', say('tracks.lay.no-fix', { at: clockOf(t) }));
    was.push(place);
    to.push(thing);
  }
  const laid = layByTwo(was as unknown as [Point, Point], to as unknown as [Point, Point]);
  if (!laid) return fail('one-place', '', say('tracks.lay.one-place'));
  return ok({ ...laid.lies, by: 'two', off: laid.off });
}

/** The usual pairs: the dog where the track begins, and where it is furthest from there what lies as far from the dog. */
export function usualPairs(states: readonly State[], things: readonly Thing[]): [Pair, Pair] {
  const first = states[0];
  const far = states.reduce<State | undefined>(
    (best, one) => (first && (!best || distance(one, first) > distance(best, first)) ? one : best),
    undefined,
  );
  const dog = dogOf(things);
  const long = first && far ? distance(first, far) : 0;
  const apart = (thing: Thing): number => (dog ? Math.abs(distance(dog, thing) - long) : 0);
  const goal = [...sentFor(things)].sort((a, b) => apart(a) - apart(b))[0];
  return [
    { t: (first?.t ?? 0) + 1, key: dog?.key ?? '' },
    { t: far?.t ?? 0, key: goal?.key ?? '' },
  ];
}

/** The goes of a track once it lies: each to what it came nearest to. Goes that are known keep their reps and casts. */
export function goesOf(
  states: readonly State[],
  lies: Placement,
  things: readonly Thing[],
  known: Track['goes'] = [],
): Track['goes'] {
  const dog = dogOf(things);
  if (!dog) return [];
  const laid = laidTrack(states, lies);
  return goesIn(laid, dog).map((span) => {
    const own = within(laid, span);
    const near = (thing: Thing): number => Math.min(...own.map((one) => distance(one, thing)));
    const goal = [...sentFor(things)].sort((a, b) => near(a) - near(b))[0];
    const was = known.find(
      (one) => Math.min(one.to, span.to) - Math.max(one.from, span.from) > (span.to - span.from) / 2,
    );
    return { ...span, goal: goal?.key ?? null, rep: was?.rep ?? null, casts: was?.casts ?? [] };
  });
}

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

/** What a track has for a rep: its measures, and how far it was where that differs from what was asked. */
export type TrackCorrection = {
  readonly change: Amendment;
  /** Whether the rep has none of these measures yet, or others. */
  readonly isNew: boolean;
  /** What the rep asked, and how far it was by the track; null where they are the same within the error. */
  readonly distance: { readonly asked: number; readonly was: number } | null;
};

/** A receiver tells a distance within so many metres. */
const NEAR_ENOUGH = 2.5;

/**
 * The correction of a rep by its go: way, line, times and speed as measured, judged again by them; and where the
 * element goes by distance, the distance that it was. Null where nothing was measured or the rep has it all.
 */
export function trackCorrection(
  { measured, ran }: MeasuredTrackGo,
  rep: StandingRep,
  judging: Judging,
  axis: ElementRecord['axes'][number] | null,
): TrackCorrection | null {
  if (!measured) return null;
  const values = {
    path: measured.way,
    line: measured.line,
    out: measured.out,
    back: measured.home,
    speed: measured.speedOut,
  } as const;
  const round = (value: number): number => Math.round(value * 100) / 100;
  const news = Object.entries(values).flatMap(([key, value]) =>
    value === null ? [] : [[key, { value: round(value), how: 'track' as const }] as const],
  );
  const asked = axis ? (rep.asked.criteria[axis.key] ?? axis.start) : null;
  const was = ran === null ? null : Math.round(ran * 10) / 10;
  const differs = asked !== null && was !== null && Math.abs(was - asked) > NEAR_ENOUGH;
  const same = news.every(([key, { value }]) => {
    const known = rep.seen.measured[key as 'path'];
    return known?.how === 'track' && known.value === value;
  });
  if (news.length === 0 || (same && !differs)) return null;
  const change = judgedAgain(judging, rep, {
    measured: { ...rep.seen.measured, ...Object.fromEntries(news) },
  });
  return { change, isNew: !same, distance: differs ? { asked, was } : null };
}

/** The same with the distance that it was in place of what was asked. */
export const atItsDistance = (
  { change, distance }: TrackCorrection,
  rep: StandingRep,
  axis: { readonly key: AxisKey },
): Amendment =>
  distance ? { ...change, asked: { criteria: { ...rep.asked.criteria, [axis.key]: distance.was } } } : change;

const YARD = metresOf({ unit: 'yd', pace: 1 });

/** How a dog's lines went over the weeks: in all, and into and across the wind where that is known. */
export function linesInWords(runs: readonly RunOfDog[], enough: number): string[] {
  if (runs.length === 0) return [tell('tracks.history.none')];
  if (runs.length < enough) return [tell('tracks.history.few', { n: runs.length, enough })];
  const yardsAt = (list: readonly RunOfDog[]): number => {
    const degrees = Math.sqrt(list.reduce((sum, one) => sum + one.line ** 2, 0) / list.length);
    return lateralError(50, degrees);
  };
  const at = (list: readonly RunOfDog[]): string => writeDigits(yardsAt(list), 1);
  const half = Math.floor(runs.length / 2);
  const angle = ({ wind }: RunOfDog): number | null =>
    wind && Math.abs(((wind.from - wind.bearing + 540) % 360) - 180);
  const across = runs.filter((one) => {
    const turn = angle(one);
    return turn !== null && turn > 45 && turn < 135;
  });
  const along = runs.filter((one) => angle(one) !== null && !across.includes(one));
  return [
    tell('tracks.history.all', {
      n: runs.length,
      yards: at(runs),
      metres: writeDigits(yardsAt(runs) * YARD, 1),
    }),
    ...(runs.length >= 2 * enough
      ? [tell('tracks.history.halves', { before: at(runs.slice(0, half)), after: at(runs.slice(half)) })]
      : []),
    ...(across.length >= enough
      ? [tell('tracks.history.across', { n: across.length, yards: at(across) })]
      : []),
    ...(along.length >= enough ? [tell('tracks.history.along', { n: along.length, yards: at(along) })] : []),
  ];
}

export const thingName = (key: string | null, things: readonly Thing[]): string => {
  const thing = things.find((one) => one.key === key);
  return thing ? wordsOf(nameOf(thing, things)) : '';
};
