import { dogOf, type Lengths, lengthOf, sentFor, type Thing } from '@/core/breakdown';
import {
  distance,
  GO_LEADS,
  goesIn,
  laidTrack,
  layByStart,
  layByTwo,
  type Placement,
  type Point,
  placeAround,
  type State,
  within,
} from '@/core/geometry';
import { fail, ok, type Result, say } from '@/core/shared';
import type { SetOut, Track } from '@/data/read';
import { wordsOf } from '@/words';
import { clockOf } from './track-view';
import { tell } from './words';

export type Lies = NonNullable<Track['lies']>;

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

/** Why a track has no go: it does not lie yet, all that the dog is sent for lies too near, or it never led away. */
export function noGoInWords(lies: Track['lies'], things: readonly Thing[], lengths: Lengths): string {
  if (!lies) return tell('tracks.goes.not-laid');
  const dog = dogOf(things);
  const [least, longest] = [
    GO_LEADS,
    dog ? Math.max(0, ...sentFor(things).map((one) => distance(dog, one))) : 0,
  ];
  const metres = (value: number): string => wordsOf(lengthOf(lengths, value));
  return longest > 0 && longest <= least
    ? tell('tracks.goes.too-near', { longest: metres(longest), least: metres(least) })
    : tell('tracks.goes.none', { least: metres(least) });
}
