import { mixSeed, ok, type Random, type Result, seeded } from '@/core/shared';
import { fairOrder, gellermann, returnOrCall, unknownDelays } from './sequences';

/** What can be called to the handler so that the dog cannot foresee it. */
export const CALLS = ['cues', 'left-right', 'return-or-call', 'delay', 'reward', 'false-move'] as const;
export type CallKind = (typeof CALLS)[number];

/** How many calls an order has; a session that goes on longer begins another. */
export const CALLS_AHEAD = 20;
/** Going back to the dog this often keeps it from coming early. */
const RETURNS = 0.7;
const MOST_IN_A_ROW = 3;
const LONGEST_DELAY = 12;
const REWARDS = ['small', 'small', 'small', 'large'];
const FALSE_MOVES = ['none', 'none', 'a step', 'a hand', 'a turn'];

/** The longest wait that is asked, seconds (null: twelve), and the words that were confused of late. */
export type CallLimits = { readonly longest?: number | null; readonly confused?: readonly string[] };

/**
 * A fair order of `CALLS_AHEAD` calls of one kind, as words for the handler. `cues` are the
 * person's own cue words, for that kind only. Same random numbers, same order. Fails with `order`
 * where there is nothing to choose between.
 */
export function callOrder(
  kind: CallKind,
  cues: readonly string[],
  random: Random,
  { longest = null, confused = [] }: CallLimits = {},
): Result<string[]> {
  switch (kind) {
    case 'cues': {
      // A word that was taken for another comes twice where the others come once.
      const again = cues.filter((cue) => confused.includes(cue));
      if (again.length > 0 && again.length < cues.length) return bag([...cues, ...again], random);
      return fairOrder(cues, CALLS_AHEAD, cues.length === 2 ? MOST_IN_A_ROW : 2, random);
    }
    case 'left-right':
      return ok(
        [...gellermann(random), ...gellermann(random)].map((side) => (side === 0 ? 'left' : 'right')),
      );
    case 'return-or-call':
      return ok(
        returnOrCall(CALLS_AHEAD, RETURNS, random).map((back) => (back ? 'go back to it' : 'call it')),
      );
    case 'delay': {
      const most = longest ?? LONGEST_DELAY;
      const delays = unknownDelays(Math.min(1, most / 2), most, CALLS_AHEAD, random);
      return delays.ok ? ok(delays.value.map((seconds) => `${Math.min(seconds, most)} s`)) : delays;
    }
    case 'reward':
      return bag(REWARDS, random);
    case 'false-move':
      return bag(FALSE_MOVES, random);
  }
}

/** Draws from a bag of unequal shares: all of it comes before it is filled again. */
function bag(words: readonly string[], random: Random): Result<string[]> {
  const order: string[] = [];
  while (order.length < CALLS_AHEAD) {
    const turn = fairOrder([...words.keys()], words.length, 1, random);
    if (!turn.ok) return turn;
    order.push(...turn.value.map((i) => words[i] as string));
  }
  return ok(order.slice(0, CALLS_AHEAD));
}

/**
 * Which of these comes next, so that each comes equally often and none twice running: spots that are
 * searched, tubs that are turned. `before` is what was said last; null at the beginning. Same seed and number,
 * same answer; null where there is nothing to choose between.
 */
export function nextDrawn(
  options: readonly string[],
  seed: number,
  number: number,
  before: string | null,
): string | null {
  const round = Math.floor(number / CALLS_AHEAD);
  const order = fairOrder(options, CALLS_AHEAD, 1, seeded(mixSeed(seed, round)));
  if (!order.ok) return null;
  const at = number % CALLS_AHEAD;
  const next = order.value[at] ?? null;
  return next === before ? (order.value.find((one) => one !== before) ?? null) : next;
}
