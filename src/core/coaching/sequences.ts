import { fail, ok, type Random, type Result, say } from '@/core/shared';

/** A shuffled copy (Fisher & Yates 1938; Durstenfeld 1964). */
export function shuffled<T>(items: readonly T[], random: Random): T[] {
  const list = [...items];
  for (let i = list.length - 1; i > 0; i--) {
    const j = random.integer(i + 1);
    [list[i], list[j]] = [list[j] as T, list[i] as T];
  }
  return list;
}

/**
 * A fair order of cues, sides, sizes or places: `length` of them, each as often as the others (give
 * or take one), no one more than `most` times in a row. Drawn place by place, each choice weighted
 * by what is left of it and only taken where the rest can still be laid; so that not all orders are
 * equally likely, but each that fits can come. Fails with `order` where none fits.
 */
export function fairOrder<T>(items: readonly T[], length: number, most: number, random: Random): Result<T[]> {
  if (items.length === 0 || !Number.isInteger(length) || length < 0 || !Number.isInteger(most) || most < 1)
    return fail('order', '', say('coaching.sequences.an-order-needs-something-to-call-a'));
  if (items.length === 1 && length > most)
    return fail('order', '', say('coaching.sequences.one-thing-cannot-be-called-times', { length, most }));
  const extra = new Set(shuffled([...items.keys()], random).slice(0, length % items.length));
  const left = items.map((_, i) => Math.floor(length / items.length) + (extra.has(i) ? 1 : 0));
  const order: number[] = [];
  while (order.length < length) {
    const open = items.map((_, i) =>
      (left[i] ?? 0) > 0 && canFollow(order, i, left, most) ? (left[i] ?? 0) : 0,
    );
    let pick = random.uniform() * open.reduce((sum, weight) => sum + weight, 0);
    const chosen = open.findIndex((weight) => {
      pick -= weight;
      return weight > 0 && pick < 0;
    });
    order.push(chosen);
    left[chosen] = (left[chosen] ?? 0) - 1;
  }
  return ok(order.map((i) => items[i] as T));
}

/**
 * Whether item `i` may come next and all that is left can still be laid: each of the others opens
 * room for `most` more of any one.
 */
function canFollow(order: readonly number[], i: number, left: readonly number[], most: number): boolean {
  const row = order.at(-1) === i ? tailLength(order) + 1 : 1;
  if (row > most) return false;
  const after = left.map((count, k) => (k === i ? count - 1 : count));
  const total = after.reduce((sum, count) => sum + count, 0);
  return after.every((count, k) => count <= (total - count) * most + (k === i ? most - row : most));
}

function tailLength(order: readonly number[]): number {
  const last = order.at(-1);
  return order.length - 1 - order.findLastIndex((one) => one !== last);
}

/**
 * Ten choices between two sides after Gellermann (1933, "Chance orders of alternating stimuli"):
 * five of each, at most three in a row, at least two of each in either half, and going in turns or
 * in pairs is right no more than 4 to 6 times in 10. Returns 0 and 1.
 */
export function gellermann(random: Random): number[] {
  return [...(GELLERMANN[random.integer(GELLERMANN.length)] as readonly number[])];
}

const GELLERMANN: readonly (readonly number[])[] = Array.from({ length: 1024 }, (_, bits) =>
  Array.from({ length: 10 }, (__, i) => (bits >> i) & 1),
).filter(isGellermann);

/** @internal */
export function isGellermann(order: readonly number[]): boolean {
  const ones = (list: readonly number[]): number => list.filter((one) => one === 1).length;
  const even = (list: readonly number[]): boolean => ones(list) >= 2 && ones(list) <= 3;
  const turns = [(i: number) => i % 2, (i: number) => (i >> 1) % 2, (i: number) => ((i + 1) >> 1) % 2];
  const guessed = turns.map((turn) => order.filter((one, i) => one === turn(i)).length);
  if (order.length !== 10 || ones(order) !== 5 || longestRow(order) > 3) return false;
  return even(order.slice(0, 5)) && even(order.slice(5)) && guessed.every((hits) => hits >= 4 && hits <= 6);
}

function longestRow(order: readonly unknown[]): number {
  let [longest, row] = [0, 0];
  for (const [i, one] of order.entries()) {
    row = i > 0 && order[i - 1] === one ? row + 1 : 1;
    longest = Math.max(longest, row);
  }
  return longest;
}

/**
 * Return to the dog (true) or call it (false): a share of `length`, in mixed order. Calling often
 * teaches it to come early.
 */
export function returnOrCall(length: number, returnShare: number, random: Random): boolean[] {
  const returns = Math.round(length * returnShare);
  return shuffled(
    Array.from({ length }, (_, i) => i < returns),
    random,
  );
}

/**
 * Unknown waits between `low` and `high` seconds: the range is cut into as many parts as there are
 * waits and one is drawn from each, in mixed order, so that short and long ones all come and none
 * can be counted out. Fails with `range`.
 */
export function unknownDelays(low: number, high: number, length: number, random: Random): Result<number[]> {
  if (!(low >= 0 && high >= low))
    return fail('range', '', say('coaching.sequences.the-longest-wait-must-not-be'));
  const parts = Array.from({ length }, (_, i) => low + ((i + random.uniform()) / length) * (high - low));
  return ok(shuffled(parts, random).map((seconds) => Math.round(seconds * 2) / 2));
}

/**
 * Where the right article lies in each of `runs` runs with `k` places: rows of a Latin square, the
 * rows and places mixed, so that every place comes once in each k runs and never twice running.
 * Places from 0. Needs k of 2 or more.
 */
export function articlePlaces(k: number, runs: number, random: Random): number[] {
  const places: number[] = [];
  while (places.length < runs) {
    const row = shuffled([...Array(k).keys()], random);
    if (row[0] === places.at(-1)) row.push(row.shift() as number);
    places.push(...row);
  }
  return places.slice(0, runs);
}
