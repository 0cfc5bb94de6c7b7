import around from './around.json';
import basics from './basics.json';
import cueTransfer from './cue-transfer.json';
import directionalCasts from './directional-casts.json';
import fieldSeason from './field-season.json';
import formalHold from './formal-hold.json';
import harness from './harness.json';
import heeling from './heeling.json';
import memoryRetrieve from './memory-retrieve.json';
import noseToHand from './nose-to-hand.json';
import platform from './platform.json';
import positionsAtADistance from './positions-at-a-distance.json';
import props from './props.json';
import recallLane from './recall-lane.json';
import rewardBehind from './reward-behind.json';
import scentDiscrimination from './scent-discrimination.json';
import search from './search.json';
import stays from './stays.json';
import toyGame from './toy-game.json';
import tubs from './tubs.json';
import upright from './upright.json';
import waitComeFinish from './wait-come-finish.json';
import wornKit from './worn-kit.json';

/**
 * The methods' files in the order in which they are shown: what most people begin with comes first.
 */
export const METHOD_FILES: readonly unknown[] = [
  formalHold,
  positionsAtADistance,
  memoryRetrieve,
  noseToHand,
  wornKit,
  platform,
  cueTransfer,
  directionalCasts,
  toyGame,
  stays,
  fieldSeason,
  scentDiscrimination,
  tubs,
  search,
  around,
  upright,
  recallLane,
  harness,
  props,
  waitComeFinish,
  rewardBehind,
  heeling,
];

/** What other methods build on. */
export const BASICS_FILE: unknown = basics;
