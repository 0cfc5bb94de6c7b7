import { bearing, distance, type Point, pointAt, type Timed } from '@/core/geometry';
import type { Random } from '@/core/shared';

/** One place of a run: how fast the dog goes there, metres a second, and how long it stands there, seconds. */
export type Leg = { readonly to: Point; readonly speed: number; readonly stands: number };

/** How a simulated dog runs a line: `line` degrees beside it, `reach` times as far, casts given on the way. */
export type RunErrors = {
  readonly line: number;
  readonly speed: number;
  /** Share of the way out after which it stands for so many seconds. */
  readonly hesitates: readonly { readonly after: number; readonly seconds: number }[];
  /** It is stopped after this share of the way, turned by so many degrees, and runs on for so many metres. */
  readonly casts: readonly { readonly after: number; readonly turn: number; readonly runs: number }[];
};

/** A run as it truly was: where the dog is at every tenth of a second, and when it was cast. */
export type TrueRun = {
  readonly truth: readonly Timed[];
  readonly casts: readonly { readonly at: number; readonly turn: number }[];
  /** When it came to its goal, seconds. */
  readonly there: number;
};

/** It waits before it is sent, and stands at its goal while it picks up. */
const WAITS = 5;
const PICKS_UP = 3;
const CAST_STANDS = 3;
const TENTH = 0.1;

/**
 * A dog that is sent from one place to another and comes back: it waits five seconds, runs beside its line until most
 * of the way is behind it, stands where it hesitates, is stopped and cast, comes to its goal, picks up and returns.
 */
export function simulatedRun(from: Point, goal: Point, errors: RunErrors): TrueRun {
  const planned = bearing(from, goal) ?? 0;
  const meant = distance(from, goal);
  const on = (share: number): Point => pointAt(from, planned + errors.line, meant * share);
  const stops = [
    ...errors.hesitates.map((one) => ({ after: one.after, stands: one.seconds, cast: null })),
    ...errors.casts.map((one) => ({ after: one.after, stands: CAST_STANDS, cast: one })),
  ].sort((a, b) => a.after - b.after);
  const legs: Leg[] = [{ to: from, speed: 1, stands: WAITS }];
  const cast: { leg: number; turn: number }[] = [];
  let heading = planned + errors.line;
  for (const stop of stops) {
    const place = on(stop.after);
    legs.push({ to: place, speed: errors.speed, stands: stop.stands });
    if (!stop.cast) continue;
    heading = planned + errors.line + stop.cast.turn;
    cast.push({ leg: legs.length - 1, turn: stop.cast.turn });
    legs.push({ to: pointAt(place, heading, stop.cast.runs), speed: errors.speed, stands: 0 });
  }
  if (stops.every(({ after }) => after < 0.8) && cast.length === 0)
    legs.push({ to: on(0.85), speed: errors.speed, stands: 0 });
  const goalLeg = legs.length;
  legs.push({ to: goal, speed: errors.speed, stands: PICKS_UP });
  legs.push({ to: from, speed: errors.speed * 0.8, stands: WAITS });
  return along(from, legs, cast, goalLeg);
}

function along(
  from: Point,
  legs: readonly Leg[],
  cast: readonly { readonly leg: number; readonly turn: number }[],
  goalLeg: number,
): TrueRun {
  const truth: Timed[] = [];
  const casts: { at: number; turn: number }[] = [];
  let [place, t, there] = [from, 0, 0];
  const at = (x: number, y: number): void => {
    truth.push({ t: Math.round(t * 10) / 10, x, y });
    t += TENTH;
  };
  for (const [i, { to, speed, stands }] of legs.entries()) {
    const steps = Math.round(distance(place, to) / speed / TENTH);
    for (let step = 0; step < steps; step++) {
      const share = step / steps;
      at(place.x + (to.x - place.x) * share, place.y + (to.y - place.y) * share);
    }
    if (i === goalLeg) there = t;
    for (let step = 0; step < stands / TENTH; step++) at(to.x, to.y);
    const given = cast.find((one) => one.leg === i);
    // It is told where to go at the end of its stop.
    if (given) casts.push({ at: t, turn: given.turn });
    place = to;
  }
  return { truth, casts, there };
}

/**
 * What a collar tells of a run: a fix a second, off by a white error of half a metre and a slow one of a metre and a
 * half that changes over a minute (an Ornstein–Uhlenbeck walk), standard deviations along each axis.
 */
export function receiverFixes(
  truth: readonly Timed[],
  random: Random,
  { white = 0.5, slow = 1.5, minute = 60, every = 1 } = {},
): Timed[] {
  let [dx, dy] = [slow * random.normal(), slow * random.normal()];
  const keep = Math.exp(-every / minute);
  const push = slow * Math.sqrt(1 - keep * keep);
  const per = Math.round(every / TENTH);
  return truth
    .filter((_, i) => i % per === 0)
    .map(({ t, x, y }) => {
      dx = keep * dx + push * random.normal();
      dy = keep * dy + push * random.normal();
      return { t, x: x + dx + white * random.normal(), y: y + dy + white * random.normal() };
    });
}
