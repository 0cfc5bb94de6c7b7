import type { BodySign } from '@/core/coaching';

/** Signs of the body as a person reads them. */
export const SIGN_WORDS: Readonly<Record<BodySign, string>> = {
  yawning: 'Yawning',
  'lip-licking': 'Lip licking',
  avoiding: 'Avoiding',
  panting: 'Panting',
  circling: 'Circling',
  slowing: 'Slowing',
  sticky: 'Sticky',
  barking: 'Barking',
  distracted: 'Distracted',
  tremor: 'Tremor',
  stiffness: 'Stiffness',
  limping: 'Limping',
  yelp: 'Yelp',
  fell: 'Fell',
  struck: 'Struck the kit',
  growled: 'Growled',
  froze: 'Froze',
};
