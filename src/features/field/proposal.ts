import { askedOf, measuredAs, writeValue } from '@/core/breakdown';
import { type Judging, missedOf, type StandingRep } from '@/core/log';
import { type ElementRecord, faultLabel, type NamedFault } from '@/data/read';
import { measuredInWords } from './rep-words';

/** What the measures make of the last rep, in words, and what one tap can say instead. */
export type Proposal = {
  readonly words: string;
  readonly otherwise: readonly { readonly as: 'clean' | 'flawed' | 'ended-by-you'; readonly words: string }[];
};

/** What was measured past what was asked, and what one tap makes of it. */
export function proposalOf(
  rep: StandingRep,
  judging: Judging,
  faults: readonly NamedFault[],
  element: ElementRecord,
): Proposal | null {
  const { judged, seen, asked } = rep;
  if (judged.proposed === null) return null;
  const missed = missedOf(judging, asked.criteria, seen);
  const words = missed.map(({ what, value, asked: limit, fault }) => {
    const name = faultLabel(faults, fault)?.toLowerCase() ?? 'past what is asked';
    if (what === 'cues') return `${value} cues, ${limit} allowed: ${name}`;
    const axis = element.axes.find((one) => measuredAs(one) === what);
    return `${axis && (what === 'angle' || what === 'offset' || what === 'count') ? writeValue(axis, Math.abs(value)) : measuredInWords(what, value)}, asked ${axis ? askedOf(axis, limit) : limit}: ${name}`;
  });
  const held = missed.some(({ what }) => what === 'held');
  const choices: Proposal['otherwise'] =
    judged.outcome === 'flawed'
      ? [
          { as: 'clean', words: 'Clean all the same' },
          ...(held ? [{ as: 'ended-by-you' as const, words: 'I ended it' }] : []),
        ]
      : [{ as: 'flawed', words: 'Flawed' }];
  return { words: `${words.join('; ')}.`, otherwise: choices };
}
