import { type Criteria, measuredAs } from '@/core/breakdown';
import { ACTION_CHIP, type Aid, type Call, type RepSaid, type Said } from '@/core/log';
import { type Failure, type FaultKey, fail, say } from '@/core/shared';
import { filledBy } from './calls';
import { chipsSaid } from './chips';
import type { Stamps } from './pad-store';
import type { PadView } from './pad-view';

/** What is on the pad and not yet in the log when somebody taps; `now` is the page's own clock. */
export type InHand = Stamps & {
  readonly hold: { readonly from: number | null; readonly to: number | null };
  readonly splits: { readonly from: number | null; readonly at: readonly number[] };
  readonly now: number;
  readonly call: Call | null;
  /** What the call asks otherwise than the rung. */
  readonly asks: Criteria;
  /** Help that was said before the rep; it stays until it is taken away. */
  readonly aids: readonly Aid[];
  /** What did not hold of a scene; of any other rep nothing. */
  readonly lost: readonly FaultKey[];
};

/** What a tap comes to: an entry, a choice to make first, or why it cannot be. */
export type Tapped =
  | { readonly ok: true; readonly said: Said }
  | { readonly ok: true; readonly choose: 'flaw' | 'miss' }
  | Failure;

export const said = (one: Said): Tapped => ({ ok: true, said: one });

/** A send for nothing teaches the dog that there is nothing: it is refused rather than logged. */
export const NOTHING_THERE = fail('nothing-laid', '', say('in-hand.nothing-lies-there-lay-one-look'));
/** A pad of another kind said it: nothing is logged by guessing. */
export const NOT_HERE = fail('not-judged-so', '', say('in-hand.this-element-is-not-judged-in-that'));

/** What this rung asks of the rep about to be logged, with the chips and the call of this one. */
export function askedNow(view: PadView, hand: Pick<InHand, 'call' | 'asks'>): RepSaid['asked'] {
  const chips = { ...chipsSaid(view.chips, view.began), ...filledBy(hand.call, view.chips) };
  const held = view.judging.axes.find((axis) => measuredAs(axis) === 'held');
  const { call } = hand;
  // A wait that was drawn is what was asked of this rep, not the longest one of the rung.
  const drawn = held && call !== null && call.delay !== null ? { [held.key]: call.delay } : {};
  const criteria = { ...view.criteria, ...didInstead(view, chips), ...hand.asks, ...drawn };
  return { criteria, chips, noted: view.noted, call };
}

/** Where what you do is what the rung asks, the chip says what was asked of this rep. */
function didInstead({ judging }: PadView, chips: Readonly<Record<string, string>>): Criteria {
  const axis = judging.axes.find((one) => one.key === ACTION_CHIP && one.levels !== null);
  const level = axis?.levels?.find((one) => one.name === chips[ACTION_CHIP]);
  return axis && level ? { [axis.key]: level.id } : {};
}
