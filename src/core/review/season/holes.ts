import { binomialTail } from '@/core/statistics';
import {
  LIVE_COVERS,
  LIVE_KINDS,
  LIVE_WINDS,
  type LiveCover,
  type LiveEvent,
  type LiveKind,
  type LiveWind,
} from './events';

/** Where a hole lies: further than so many metres, with the wind so, in such cover; null where that says nothing. */
export type HoleWhere = {
  readonly beyond: number | null;
  readonly wind: LiveWind | null;
  readonly cover: LiveCover | null;
};
/**
 * A kind of event that goes wrong under some conditions: how many there were and how many went right, the share
 * that would with its 80 % interval, what it cost (a lost one 1, one with a fault ½), and how far it would have to
 * be trained. `thin`: too few to be more than a hint.
 */
export type Hole = {
  readonly what: LiveKind;
  readonly where: HoleWhere;
  readonly n: number;
  readonly right: number;
  readonly low: number;
  readonly high: number;
  readonly thin: boolean;
  readonly cost: number;
  readonly goal: number | null;
};

/** Fewer events than this are a hint. */
const FEW = 5;
/** Once wrong is once wrong: a hole begins at two. */
const LEAST_WRONG = 2;
/** A condition tells two groups apart where the odds for it, all that were tried counted, are over 3. */
const TELLS = Math.log(3);

/**
 * The holes of a season, those that cost most first. Events of a kind are parted by the condition that tells
 * right from wrong best, if any does: by exact marginal likelihoods of two shares against one (uniform
 * beforehand), divided by the number of conditions that were tried. What is left is looked through again. `metres` is
 * the person's unit of length, in which distances are rounded. Seven
 * blinds past 60 m into the wind, two right, among thirty that mostly were → one hole, 2 of 7.
 */
export function holesOf(
  events: readonly LiveEvent[],
  trainedTo: Readonly<Partial<Record<LiveKind, number>>> = {},
  metres = 1,
): Hole[] {
  const holes = LIVE_KINDS.flatMap((what) => {
    const own = events.filter((one) => one.what === what);
    return holesAmong(what, own, trainedTo[what] ?? null, metres);
  });
  return holes.sort((a, b) => b.cost - a.cost || a.high - b.high);
}

function holesAmong(
  what: LiveKind,
  events: readonly LiveEvent[],
  trained: number | null,
  metres: number,
): Hole[] {
  if (wrongIn(events) < LEAST_WRONG) return [];
  const best = bestCondition(events, trained);
  if (!best) return [holeOf(what, NOWHERE, events)];
  const inside = events.filter((one) => lies(one, best));
  const rest = events.filter((one) => !lies(one, best));
  const found = wrongIn(inside) >= LEAST_WRONG ? [holeOf(what, roundly(best, events, metres), inside)] : [];
  return [...found, ...holesAmong(what, rest, trained, metres)];
}

const NOWHERE: HoleWhere = { beyond: null, wind: null, cover: null };
const wrongIn = (events: readonly LiveEvent[]): number => events.filter(({ end }) => end !== 'right').length;

const lies = (event: LiveEvent, { beyond, wind, cover }: HoleWhere): boolean =>
  (beyond === null || (event.distance !== null && event.distance > beyond + 1e-9)) &&
  (wind === null || event.wind === wind) &&
  (cover === null || event.cover === cover);

/** The condition that tells most, if one tells enough, and in the bad direction. */
function bestCondition(events: readonly LiveEvent[], trained: number | null): HoleWhere | null {
  const tried = conditionsOf(events, trained);
  let [best, most] = [null as HoleWhere | null, TELLS + Math.log(Math.max(1, tried.length))];
  const all = evidenceOf(events);
  for (const where of tried) {
    const inside = events.filter((one) => lies(one, where));
    const rest = events.filter((one) => !lies(one, where));
    if (shareRight(inside) >= shareRight(rest)) continue;
    const tells = evidenceOf(inside) + evidenceOf(rest) - all;
    if (tells > most + 1e-12) [best, most] = [where, tells];
  }
  return best;
}

/**
 * The distance that is said: between the furthest event that is not of it and the nearest one that is, a whole ten
 * of the person's unit if one lies there, else a whole five, else as it was.
 */
function roundly(where: HoleWhere, events: readonly LiveEvent[], metres: number): HoleWhere {
  if (where.beyond === null) return where;
  const alike = events.flatMap((one) =>
    one.distance !== null && lies(one, { ...where, beyond: null }) ? [one.distance] : [],
  );
  const from = Math.max(0, ...alike.filter((distance) => distance <= (where.beyond ?? 0) + 1e-9));
  const to = Math.min(...alike.filter((distance) => distance > (where.beyond ?? 0) + 1e-9));
  for (const step of [10 * metres, 5 * metres]) {
    const round = Math.ceil(from / step - 1e-9) * step;
    if (round < to - 1e-9) return { ...where, beyond: round };
  }
  return where;
}

const shareRight = (events: readonly LiveEvent[]): number =>
  (events.length - wrongIn(events)) / events.length;

/** ln of the marginal likelihood of so many right and wrong, the share uniform beforehand: ln B(1 + r, 1 + w). */
function evidenceOf(events: readonly LiveEvent[]): number {
  const wrong = wrongIn(events);
  return logFactorial(events.length - wrong) + logFactorial(wrong) - logFactorial(events.length + 1);
}
const logFactorial = (n: number): number => {
  let sum = 0;
  for (let i = 2; i <= n; i++) sum += Math.log(i);
  return sum;
};

/** Every condition that parts the events, alone and distance with one other. */
function conditionsOf(events: readonly LiveEvent[], trained: number | null): HoleWhere[] {
  const distances = [...new Set(events.flatMap(({ distance }) => distance ?? []))].sort((a, b) => a - b);
  const beyonds: (number | null)[] = [
    null,
    ...new Set([...distances.slice(0, -1), ...(trained === null ? [] : [trained])]),
  ];
  const others: Pick<HoleWhere, 'wind' | 'cover'>[] = [
    { wind: null, cover: null },
    ...LIVE_WINDS.map((wind) => ({ wind, cover: null })),
    ...LIVE_COVERS.map((cover) => ({ wind: null, cover })),
  ];
  return beyonds
    .flatMap((beyond) => others.map((other) => ({ beyond, ...other })))
    .filter((where) => {
      const n = events.filter((one) => lies(one, where)).length;
      return n > 0 && n < events.length;
    });
}

function holeOf(what: LiveKind, where: HoleWhere, events: readonly LiveEvent[]): Hole {
  const [n, wrong] = [events.length, wrongIn(events)];
  const right = n - wrong;
  const lost = events.filter(({ end }) => end === 'lost').length;
  const reached = events.flatMap(({ distance, end }) =>
    end !== 'right' && distance !== null ? [distance] : [],
  );
  return {
    what,
    where,
    n,
    right,
    low: shareBelow(0.1, right, n),
    high: shareBelow(0.9, right, n),
    thin: n < FEW,
    cost: lost + (wrong - lost) / 2,
    goal: reached.length > 0 ? Math.max(...reached) : null,
  };
}

/**
 * The share below which the true one lies with this chance, from so many right of n and a uniform belief: the
 * quantile of Beta(1 + right, 1 + wrong), whose distribution is a binomial tail. Halved 40 times.
 */
function shareBelow(chance: number, right: number, n: number): number {
  let [low, high] = [0, 1];
  for (let i = 0; i < 40; i++) {
    const mid = (low + high) / 2;
    if (binomialTail(n + 1, right + 1, mid) < chance) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}
