import type { BodySign } from '@/core/coaching';
import { tell } from '@/words/shell';

/** Signs of the body as a person reads them. */
export const SIGN_WORDS: Readonly<Record<BodySign, string>> = {
  yawning: tell('sign-words.yawning'),
  'lip-licking': tell('sign-words.lip-licking'),
  avoiding: tell('sign-words.avoiding'),
  panting: tell('sign-words.panting'),
  circling: tell('sign-words.circling'),
  slowing: tell('sign-words.slowing'),
  sticky: tell('sign-words.sticky'),
  barking: tell('sign-words.barking'),
  distracted: tell('sign-words.distracted'),
  tremor: tell('sign-words.tremor'),
  stiffness: tell('sign-words.stiffness'),
  limping: tell('sign-words.limping'),
  yelp: tell('sign-words.yelp'),
  fell: tell('sign-words.fell'),
  struck: tell('sign-words.struck-the-kit'),
  growled: tell('sign-words.growled'),
  froze: tell('sign-words.froze'),
};
