import { angleAt, bearing, besideLine, distance, type Point, turnBetween } from '../plane';
import type { State } from './smooth';

/** What is called what; seconds, metres, metres a second. */
const TOLD = {
  /** Slower than this it hesitates, once it does so for two seconds; for five it has stopped. */
  slow: 0.5,
  /** A fix within so many seconds counts for how fast it is, and running on either side makes a stand look faster. */
  pace: 2,
  rim: 0.3,
  /** It stands as long as it stays within so many metres. */
  step: 1.5,
  /** Faster than this it runs. */
  runs: 1.5,
  hesitates: 2,
  stops: 5,
  /** It has left where it was sent from, and is back there. */
  left: 3,
  /** So near its goal it has come to it. */
  near: 6,
  /** A turn is told by the three seconds of running on either side. */
  around: 3,
  /** The line is told where so much of the way is behind it. */
  share: 0.7,
} as const;

/** Where it stood or dawdled on the way out: from the beginning of the track, seconds. */
export type Slow = {
  readonly at: number;
  readonly seconds: number;
  readonly stopped: boolean;
  readonly place: Point;
};

/** What one go of a track comes to against its line; null where it cannot be told. */
export type TrackGo = {
  /** When it left, came to its goal, and was back; seconds of the track. */
  readonly left: number | null;
  readonly there: number | null;
  readonly back: number | null;
  /** How near it came to its goal. */
  readonly nearest: number;
  /** How far it was sent, on the drawing. */
  readonly meant: number;
  /** How far out it ran, at most, from where it was sent. */
  readonly furthest: number;
  /** The way it ran out. */
  readonly way: number;
  /** Seconds and mean speed out and back. */
  readonly out: number | null;
  readonly home: number | null;
  readonly speedOut: number | null;
  readonly speedBack: number | null;
  /** Beside the line on the way out, metres: the mean without its side, and the largest, right positive. */
  readonly beside: number;
  readonly largest: number;
  /** Degrees beside the line as it was sent, right positive. */
  readonly line: number | null;
  readonly slow: readonly Slow[];
  /** How far what lies beside the line may be off, metres: nine times in ten it is within. */
  readonly error: number;
};

/**
 * A go from where it was sent to its goal, by a laid track. It has left once it is three metres away; it is there where
 * it first comes nearest, if that is within six metres; it is back within three metres of where it left. Beside the
 * line counts up to its goal, or as far out as it got. Null where it never left.
 */
export function trackGo(states: readonly State[], from: Point, goal: Point): TrackGo | null {
  const left = states.findIndex((one) => distance(one, from) > TOLD.left);
  if (left < 0) return null;
  const there = nearestOf(states, left, goal);
  const near = distance(states[there] as State, goal);
  const furthest = states.reduce((most, one) => Math.max(most, distance(one, from)), 0);
  const reached = near <= TOLD.near;
  const outEnd = reached ? there : furthestOf(states, from);
  const out = states.slice(left, outEnd + 1);
  const back = states.findIndex((one, i) => i > outEnd && distance(one, from) <= TOLD.left);
  const home = back < 0 ? [] : states.slice(outEnd, back + 1);
  const sides = out.map((one) => besideLine(from, goal, one).side);
  const [leftAt, thereAt, backAt] = [timeAt(states, left), timeAt(states, outEnd), timeAt(states, back)];
  const outSeconds = reached && leftAt !== null && thereAt !== null ? thereAt - leftAt : null;
  const homeSeconds = backAt !== null && thereAt !== null ? backAt - thereAt : null;
  const way = wayOf(out);
  return {
    left: leftAt,
    there: reached ? thereAt : null,
    back: backAt,
    nearest: near,
    meant: distance(from, goal),
    furthest,
    way,
    out: outSeconds,
    home: homeSeconds,
    speedOut: outSeconds ? way / outSeconds : null,
    speedBack: homeSeconds ? wayOf(home) / homeSeconds : null,
    beside: sides.reduce((sum, one) => sum + Math.abs(one), 0) / Math.max(1, sides.length),
    largest: sides.reduce((most, one) => (Math.abs(one) > Math.abs(most) ? one : most), 0),
    line: lineOf(out, from, goal),
    slow: slowIn(
      out.filter((one) => distance(one, from) > TOLD.near && (distance(one, goal) > TOLD.near || !reached)),
    ),
    error: OFF * Math.sqrt(usualStep(states)),
  };
}

/**
 * A track that was laid by two points, of a receiver at a fix a second, tells how far beside its line a dog ran within
 * a metre in nine of ten; with fewer fixes the error grows with the root of their distance in time.
 */
const OFF = 1;

function usualStep(states: readonly State[]): number {
  const steps = states.slice(1).map((one, i) => one.t - (states[i] as State).t);
  return steps.sort((a, b) => a - b)[steps.length >> 1] ?? 1;
}

const timeAt = (states: readonly State[], i: number): number | null => states[i]?.t ?? null;

/** The first place at which it is nearest: a dog that comes by twice has come the first time. */
function nearestOf(states: readonly State[], from: number, goal: Point): number {
  let best = from;
  for (let i = from; i < states.length; i++) {
    const [now, most] = [distance(states[i] as State, goal), distance(states[best] as State, goal)];
    if (now < most) best = i;
    // Once it was there and is on its way again, it is over.
    if (most <= TOLD.near && now > most + TOLD.near) break;
  }
  // It came while it was nearly there: the nearest fix of a dog that picks up is any of its stand.
  const nearest = distance(states[best] as State, goal);
  for (let i = from; i < best; i++) if (distance(states[i] as State, goal) <= nearest + TOLD.step) return i;
  return best;
}

function furthestOf(states: readonly State[], from: Point): number {
  return states.reduce(
    (best, one, i) => (distance(one, from) > distance(states[best] as State, from) ? i : best),
    0,
  );
}

/** Metres run: a still collar wanders in its receiver's error, which is no way. */
function wayOf(states: readonly State[]): number {
  const pace = paces(states);
  return states.reduce((sum, one, i) => {
    const before = states[i - 1];
    return before && (pace[i] as number) > TOLD.slow ? sum + distance(before, one) : sum;
  }, 0);
}

/** Degrees beside the line where most of the way is behind it. */
function lineOf(out: readonly State[], from: Point, goal: Point): number | null {
  const reach =
    TOLD.share * Math.min(distance(from, goal), Math.max(0, ...out.map((one) => distance(one, from))));
  if (reach < 2 * TOLD.left) return null;
  const there = out.find((one) => distance(one, from) >= reach);
  return there ? angleAt(from, goal, there) : null;
}

/**
 * How fast it went at a fix: the slope of a straight line through all fixes within two seconds of it. At a fix a
 * second that is right within 0.2 m/s, where the difference of two is off by 0.7.
 */
function paces(states: readonly State[]): number[] {
  return states.map(({ t }) => {
    const near = states.filter((one) => Math.abs(one.t - t) <= TOLD.pace);
    const middle = near.reduce((sum, one) => sum + one.t, 0) / near.length;
    let [tt, tx, ty] = [0, 0, 0];
    for (const one of near) {
      tt += (one.t - middle) ** 2;
      tx += (one.t - middle) * one.x;
      ty += (one.t - middle) * one.y;
    }
    return tt === 0 ? 0 : Math.hypot(tx, ty) / tt;
  });
}

/** Where it stood: about a fix at which it hardly moved, as long as it stayed within a step or two of it. */
function slowIn(states: readonly State[]): Slow[] {
  const pace = paces(states);
  const found: Slow[] = [];
  let after = Number.NEGATIVE_INFINITY;
  for (const [i, one] of states.entries()) {
    if (one.t <= after || (pace[i] as number) >= TOLD.slow + TOLD.rim) continue;
    // The slowest fix of this stand is its middle.
    let middle = i;
    for (let j = i; j < states.length && (states[j] as State).t <= one.t + TOLD.stops; j++)
      if ((pace[j] as number) < (pace[middle] as number)) middle = j;
    const place = states[middle] as State;
    const stays = (j: number): boolean => {
      const other = states[j];
      return other !== undefined && distance(other, place) <= TOLD.step;
    };
    let [from, to] = [middle, middle];
    while (stays(from - 1)) from--;
    while (stays(to + 1)) to++;
    const [begin, end] = [states[from] as State, states[to] as State];
    const seconds = end.t - begin.t;
    after = Math.max(one.t, end.t);
    if (seconds < TOLD.hesitates) continue;
    found.push({ at: begin.t, seconds, stopped: seconds >= TOLD.stops, place: { x: place.x, y: place.y } });
  }
  return found;
}

/** Whether it ran in the seconds after a fix, or before it where they are negative. */
function ranWithin(states: readonly State[], at: State, seconds: number): boolean {
  const near = states.filter(
    (one) => Math.sign(one.t - at.t) === Math.sign(seconds) && Math.abs(one.t - at.t) <= Math.abs(seconds),
  );
  const other = seconds < 0 ? near[0] : near.at(-1);
  return other !== undefined && distance(other, at) / Math.abs(other.t - at.t) >= TOLD.runs;
}

/**
 * The turn that a dog took at a time, degrees, right positive: the heading of the three seconds that it ran after
 * against those that it ran before, whatever it stood between. Null where it did not run on both sides.
 */
export function turnTaken(states: readonly State[], at: number): number | null {
  // Only what came before tells whether it ran then: where it stands, what comes next goes another way.
  const before = states.filter((one) => one.t <= at && ranWithin(states, one, -TOLD.pace));
  const after = states.filter((one) => one.t > at && ranWithin(states, one, TOLD.pace));
  const first = after[0];
  const last = before.at(-1);
  if (!first || !last) return null;
  const heading = (list: readonly State[]): number | null => {
    const [a, b] = [list[0], list.at(-1)];
    return a && b ? bearing(a, b) : null;
  };
  const was = heading(before.filter((one) => one.t >= last.t - TOLD.around));
  const now = heading(after.filter((one) => one.t <= first.t + TOLD.around));
  return was === null || now === null ? null : turnBetween(was, now);
}

/** One going out and coming back, seconds of the track. */
export type Span = { readonly from: number; readonly to: number };

/** Nearer than this to where it is sent from it is at home, metres. */
const HOME = 5;
/** A go leads further away than this, metres: what a receiver strays by itself, some metres, is no go. */
export const GO_LEADS = 12;
/** Seconds of waiting before it leaves that belong to a go. */
const BEFORE = 5;

/**
 * The goes of a laid track: each from a few seconds before it leaves where it is sent from until it is back there, or
 * until the track ends. What never leads twelve metres away is none.
 */
export function goesIn(states: readonly State[], from: Point): Span[] {
  const found: Span[] = [];
  let [begin, far] = [null as number | null, false];
  for (const one of states) {
    const away = distance(one, from);
    if (away > HOME && begin === null) begin = one.t;
    if (away > GO_LEADS) far = true;
    if (away <= HOME && begin !== null) {
      if (far) found.push({ from: begin - BEFORE, to: one.t + BEFORE });
      [begin, far] = [null, false];
    }
  }
  const last = states.at(-1);
  if (begin !== null && far && last) found.push({ from: begin - BEFORE, to: last.t });
  return found;
}

/** What of a track lies within a span. */
export const within = <T extends { readonly t: number }>(states: readonly T[], { from, to }: Span): T[] =>
  states.filter((one) => one.t >= from && one.t <= to);
