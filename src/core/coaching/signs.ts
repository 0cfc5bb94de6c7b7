import { type Sentence, say } from '@/core/shared';
import type { Advice, BodySign, Happening } from './events';

/** A sign of the body that was seen and not dismissed. */
export type SeenSign = { readonly id: string; readonly sign: BodySign };

/** Signs of pain: the first one stops the work. */
const PAIN: readonly BodySign[] = ['tremor', 'stiffness', 'limping', 'yelp'];
/** Fell, or struck the kit: look, lower; the second one ends it. */
const HURT: readonly BodySign[] = ['fell', 'struck'];
const TIRED: readonly BodySign[] = ['panting', 'circling', 'slowing', 'sticky'];
const STRESS: readonly BodySign[] = ['yawning', 'lip-licking', 'avoiding', 'barking', 'froze'];

/**
 * Tiredness and stress are over after a night; pain, a blow and a growl stand until somebody says why not.
 * `passesOvernight('panting')` → true.
 */
export const passesOvernight = (sign: BodySign): boolean => TIRED.includes(sign) || STRESS.includes(sign);

/** How a sign is named in a sentence: `signName('lip-licking')` → "lip licking". */
const SEEN: Readonly<Record<BodySign, Sentence>> = {
  tremor: say('coaching.signs.tremor'),
  stiffness: say('coaching.signs.stiffness'),
  limping: say('coaching.signs.limping'),
  yelp: say('coaching.signs.a-yelp'),
  fell: say('coaching.signs.a-fall'),
  struck: say('coaching.signs.that-it-struck-the-kit'),
  panting: say('coaching.signs.panting'),
  circling: say('coaching.signs.circling'),
  slowing: say('coaching.signs.slowing'),
  sticky: say('coaching.signs.sticky'),
  yawning: say('coaching.signs.yawning'),
  'lip-licking': say('coaching.signs.lip-licking'),
  avoiding: say('coaching.signs.avoiding'),
  barking: say('coaching.signs.barking'),
  distracted: say('coaching.signs.distracted'),
  growled: say('coaching.signs.a-growl'),
  froze: say('coaching.signs.that-it-froze'),
};
const signName = (sign: BodySign): Sentence => SEEN[sign];

/** The signs after one more event: a new one, one that somebody dismissed, one said otherwise. */
export function afterSigns(signs: readonly SeenSign[], event: Happening): readonly SeenSign[] {
  switch (event.kind) {
    case 'sign':
      return [...signs, { id: event.id, sign: event.sign }];
    case 'sign-over':
      return signs.filter((one) => one.id !== event.of);
    case 'sign-again':
      return signs.map((one) => (one.id === event.of ? { ...one, sign: event.sign } : one));
    default:
      return signs;
  }
}

/**
 * Which sign ends or stops the work until somebody dismisses it with a reason, the gravest first; null
 * where none does. Pain stops at once, a growl ends at once; tiredness, stress, and a fall or a blow end
 * at the second one. `standingSign([panting, circling])` → circling, "end".
 */
export function standingSign(
  signs: readonly SeenSign[],
): (SeenSign & { readonly kind: 'stop' | 'end' }) | null {
  const of = (list: readonly BodySign[]): readonly SeenSign[] =>
    signs.filter((one) => list.includes(one.sign));
  const pain = of(PAIN).at(-1);
  if (pain) return { ...pain, kind: 'stop' };
  const growl = of(['growled']).at(-1);
  if (growl) return { ...growl, kind: 'end' };
  for (const list of [HURT, TIRED, STRESS]) {
    const found = of(list);
    const last = found.at(-1);
    if (last && found.length >= 2) return { ...last, kind: 'end' };
  }
  return null;
}

/** The line of the sign that stands. */
export function signLine(signs: readonly SeenSign[]): Advice | null {
  const standing = standingSign(signs);
  if (!standing) return null;
  const { id, sign, kind } = standing;
  return { kind, reason: reasonOf(sign), sign: { id, stands: true } };
}

function reasonOf(sign: BodySign): Sentence {
  const name = signName(sign);
  if (PAIN.includes(sign)) return say('coaching.signs.you-saw-that-can-be-pain-stop-now', { name });
  if (sign === 'growled') return say('coaching.signs.it-growled-hands-away-and-end-here');
  if (HURT.includes(sign)) return say('coaching.signs.you-saw-the-second-time-today-end', { name });
  if (TIRED.includes(sign)) return say('coaching.signs.you-saw-the-second-sign-of', { name });
  return say('coaching.signs.you-saw-the-second-sign-of-stress', { name });
}

/** What to do about a sign that does not stand: said once, when it is tapped. */
export function signAdvice(
  { id, sign }: { readonly id: string; readonly sign: BodySign },
  rung: number,
): Advice {
  const name = signName(sign);
  const from = { sign: { id, stands: false } };
  if (HURT.includes(sign)) {
    const reason = say('coaching.signs.you-saw-look-it-over-if-nothing-is', { name });
    return rung > 0
      ? { kind: 'drop-back', to: rung - 1, reason, ...from }
      : { kind: 'help', reason, ...from };
  }
  if (TIRED.includes(sign))
    return {
      kind: 'rest',
      reason: say('coaching.signs.you-saw-tired-shade-and-water-and', { name }),
      ...from,
    };
  if (sign === 'froze')
    return {
      kind: 'filler',
      reason: say('coaching.signs.it-froze-that-is-never-calm-room'),
      ...from,
    };
  if (STRESS.includes(sign))
    return {
      kind: 'filler',
      reason: say('coaching.signs.you-saw-stress-give-something-easy', { name }),
      ...from,
    };
  return {
    kind: 'filler',
    reason: say('coaching.signs.you-saw-give-an-easy-one-or-go', { name }),
    ...from,
  };
}
