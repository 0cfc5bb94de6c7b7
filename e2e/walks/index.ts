import { approachAndPlatform, aroundAndSpin, beg, hoop, muzzle, noseToHand, tubs } from './body';
import { directionalCasts, firstSeason, harness, memoryToBlind, rewardBehind } from './field';
import { foodSearch, scentDiscrimination } from './nose';
import {
  cueTransfer,
  fiveDogsOnTheHold,
  positionsAtADistance,
  recallThroughPoles,
  stayAgainstAToy,
  toyGame,
  waitComePresent,
} from './ring';
import type { Walker } from './walker';

export type Walk = {
  readonly practice: string;
  readonly play: (w: Walker) => Promise<void>;
  /** Played on every run of the tests; the others by `npm run walk`. */
  readonly always: boolean;
};

const walk = (practice: string, play: Walk['play'], always = false): Walk => ({ practice, play, always });

/** The practices, each as its person would go about it. */
export const WALKS: readonly Walk[] = [
  walk('Scent discrimination', scentDiscrimination, true),
  walk('Tubs', tubs),
  walk('Food search, then odour', foodSearch),
  walk('Around, spin, into position', aroundAndSpin),
  walk('Memory to blind', memoryToBlind, true),
  walk('Nose to hand', noseToHand),
  walk('Muzzle', muzzle),
  walk('Approach, platform', approachAndPlatform),
  walk('New word for a known gesture', cueTransfer, true),
  walk('Casts by platform', directionalCasts),
  walk('Toy on a pole', toyGame),
  walk('Stay against a toy', stayAgainstAToy, true),
  walk('First season', firstSeason, true),
  walk('Formal hold, five dogs', fiveDogsOnTheHold, true),
  walk('Positions at a distance', positionsAtADistance),
  walk('Beg', beg),
  walk('Recall through poles', recallThroughPoles),
  walk('Pull into harness', harness),
  walk('Hoop', hoop, true),
  walk('Wait, come, present, finish', waitComePresent, true),
  walk('Disc, reward behind', rewardBehind),
];
