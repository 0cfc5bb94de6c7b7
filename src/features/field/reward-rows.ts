import type { Landed, Paid } from '@/core/log';
import { tell } from './later-words';
import { type Row, row } from './row-said';

export const PAY = row<NonNullable<Paid['size']>>(
  tell('reward-rows.paid'),
  (rep) => rep.paid.size,
  (size) => ({ paid: { size } }),
  [
    ['none', tell('reward-rows.not')],
    ['small', tell('reward-rows.a-little')],
    ['large', tell('reward-rows.a-lot')],
    ['jackpot', tell('reward-rows.jackpot')],
  ],
);
export const PIECES = row(
  tell('reward-rows.pieces'),
  (rep) => rep.paid.pieces,
  (pieces) => ({ paid: { pieces } }),
  [
    [1, '1'],
    [2, '2'],
    [3, '3'],
    [5, '5'],
    [10, '10'],
  ],
);
export const WHEN = row<string>(
  tell('reward-rows.paid-when'),
  (rep) => rep.paid.when,
  (when) => ({ paid: { when } }),
  [
    ['at the marker', tell('reward-rows.at-the-marker')],
    ['in it', tell('reward-rows.in-it-or-in-the-kit')],
    ['as it comes off', tell('reward-rows.as-it-comes-off')],
    ['afterwards', tell('reward-rows.afterwards')],
  ],
);
export const UNASKED = row(
  tell('reward-rows.it-was-asked'),
  (rep) => rep.paid.unasked,
  (unasked) => ({ paid: { unasked } }),
  [
    [false, tell('detail-rows.yes')],
    [true, tell('reward-rows.no-paid-though-unasked')],
  ],
);
export const MARKER = row<string>(
  tell('reward-rows.marker'),
  (rep) => rep.paid.marker,
  (marker) => ({ paid: { marker } }),
  [
    ['click', tell('reward-rows.click')],
    ['word', tell('reward-rows.word')],
    ['touch', tell('reward-rows.touch')],
    ['none', tell('detail-rows.none')],
  ],
);
/** The kind of the reward, from the dog's own list. */
export const kindRow = (rewards: readonly string[]): Row =>
  row<string>(
    tell('reward-rows.with'),
    (rep) => rep.paid.what,
    (what) => ({ paid: { what } }),
    rewards.map((one) => [one, one] as const),
  );
export const LANDED = row<Landed>(
  tell('reward-rows.reward-landed'),
  (rep) => rep.paid.where,
  (where) => ({ paid: { where } }),
  [
    ['spot', tell('reward-rows.at-the-spot')],
    ['ahead', tell('reward-rows.ahead')],
    ['behind', tell('reward-rows.behind')],
    ['hand', tell('reward-rows.to-hand')],
    ['reset', tell('reward-rows.to-reset')],
  ],
);
