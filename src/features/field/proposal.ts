import { askedOf, measuredAs, writeValue } from '@/core/breakdown';
import { type Judging, missedOf, type StandingRep } from '@/core/log';
import { type ElementRecord, faultLabel, type NamedFault } from '@/data/read';
import { wordsOf } from '@/words';
import { measuredInWords } from './rep-words';
import { tell } from './words';

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
    const label = faultLabel(faults, fault);
    const name = label === null ? tell('proposal.past-what-is-asked') : wordsOf(label).toLowerCase();
    if (what === 'cues') return tell('proposal.cues-allowed', { value, limit, name });
    const axis = element.axes.find((one) => measuredAs(one) === what);
    return tell('proposal.asked', {
      axis:
        axis && (what === 'angle' || what === 'offset' || what === 'count')
          ? writeValue(axis, Math.abs(value))
          : measuredInWords(what, value),
      axis2: axis ? askedOf(axis, limit) : limit,
      name,
    });
  });
  const held = missed.some(({ what }) => what === 'held');
  const choices: Proposal['otherwise'] =
    judged.outcome === 'flawed'
      ? [
          { as: 'clean', words: tell('proposal.clean-all-the-same') },
          ...(held ? [{ as: 'ended-by-you' as const, words: tell('proposal.i-ended-it') }] : []),
        ]
      : [{ as: 'flawed', words: tell('proposal.flawed') }];
  return { words: `${words.join('; ')}.`, otherwise: choices };
}
