import type { Advice, BodySign, Happening } from './events';

/** A sign of the body that was seen and not dismissed. */
export type SeenSign = { readonly id: string; readonly sign: BodySign };

/** Signs of pain: the first one stops the work. */
const PAIN: readonly BodySign[] = ['tremor', 'stiffness', 'limping', 'yelp'];
/** Fell, or struck the kit: look, lower; the second one ends it. */
const HURT: readonly BodySign[] = ['fell', 'struck'];
const TIRED: readonly BodySign[] = ['panting', 'circling', 'slowing', 'sticky'];
const STRESS: readonly BodySign[] = ['yawning', 'lip-licking', 'avoiding', 'barking', 'froze'];

/** How a sign is named in a sentence: `signName('lip-licking')` → "lip licking". */
const signName = (sign: BodySign): string =>
  sign === 'fell'
    ? 'a fall'
    : sign === 'struck'
      ? 'that it struck the kit'
      : sign === 'growled'
        ? 'a growl'
        : sign === 'froze'
          ? 'that it froze'
          : sign === 'yelp'
            ? 'a yelp'
            : sign.replace('-', ' ');

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

function reasonOf(sign: BodySign): string {
  const name = signName(sign);
  if (PAIN.includes(sign))
    return `You saw ${name}. That can be pain: stop now, and see a veterinary surgeon if it stays.`;
  if (sign === 'growled')
    return 'It growled: hands away, and end here. It may be pain or fear; find out which, away from the dog’s mouth, with a vet or a trainer.';
  if (HURT.includes(sign))
    return `You saw ${name}, the second time today. End here and look the dog over; if anything is sore, see a veterinary surgeon.`;
  if (TIRED.includes(sign))
    return `You saw ${name}, the second sign of tiredness today. End on something easy.`;
  return `You saw ${name}, the second sign of stress today. End on something sure.`;
}

/** What to do about a sign that does not stand: said once, when it is tapped. */
export function signAdvice(
  { id, sign }: { readonly id: string; readonly sign: BodySign },
  rung: number,
): Advice {
  const name = signName(sign);
  const from = { sign: { id, stands: false } };
  if (HURT.includes(sign)) {
    const reason = `You saw ${name}. Look it over; if nothing is sore, go on lower. A second time ends it.`;
    return rung > 0
      ? { kind: 'drop-back', to: rung - 1, reason, ...from }
      : { kind: 'help', reason, ...from };
  }
  if (TIRED.includes(sign))
    return { kind: 'rest', reason: `You saw ${name}: tired. Shade and water, and a rest.`, ...from };
  if (sign === 'froze')
    return {
      kind: 'filler',
      reason: 'It froze: that is never calm. Room, something easy, and pay it.',
      ...from,
    };
  if (STRESS.includes(sign))
    return {
      kind: 'filler',
      reason: `You saw ${name}: stress. Give something easy and pay it.`,
      ...from,
    };
  return {
    kind: 'filler',
    reason: `You saw ${name}. Give an easy one, or go somewhere quieter.`,
    ...from,
  };
}
