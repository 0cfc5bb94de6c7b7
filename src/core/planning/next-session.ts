import { FEW, type Interval, isThin, tenths } from '@/core/evidence';
import { type Day, daysBetween, type ElementId, type Sentence, say } from '@/core/shared';

/** What is known about an element when the day's work is chosen. */
export type Candidate = {
  readonly element: ElementId;
  readonly title: string;
  /** Chance of a clean rep at the demand. */
  readonly clean: Interval;
  /** The most one mark at it can cost, in points; null where no rule book prices it. */
  readonly stake: number | null;
  readonly counted: number;
  readonly lastDay: Day | null;
};

export type Suggestion = { readonly element: ElementId; readonly title: string; readonly reason: Sentence };

/**
 * Orders elements by what a session would serve: never trained first, then by points at risk = (1 −
 * chance) × stake (stake 1 where none is priced); elements trained today go to the end, since
 * spacing the work keeps it better than doubling it. Deterministic; ties keep the given order. The
 * reason says the grounds.
 */
export function suggestSessions(candidates: readonly Candidate[], today: Day): Suggestion[] {
  const key = (candidate: Candidate): number => {
    if (candidate.lastDay === today) return -1 + risk(candidate) / 1e6;
    return candidate.counted === 0 ? 1e6 : risk(candidate);
  };
  return [...candidates]
    .sort((a, b) => key(b) - key(a))
    .map((candidate) => ({
      element: candidate.element,
      title: candidate.title,
      reason: reasonFor(candidate, today),
    }));
}

const risk = (candidate: Candidate): number => (1 - candidate.clean.mid) * (candidate.stake ?? 1);

function reasonFor(candidate: Candidate, today: Day): Sentence {
  if (candidate.counted === 0) return say('planning.next-session.no-rep-of-it-is-logged-yet-so');
  const { clean, counted } = candidate;
  const stake =
    candidate.stake === null
      ? ''
      : say('planning.next-session.and-one-fault-can-cost-up-to', { stake: candidate.stake });
  const chance = isThin(clean, counted)
    ? say('planning.next-session.no-figure-yet', { few: counted < FEW, counted, stake })
    : say('planning.next-session.about-in-100-clean-at-what-is', {
        tenths: tenths(clean.mid),
        counted,
        stake,
      });
  const days = candidate.lastDay === null ? 0 : daysBetween(candidate.lastDay, today);
  return say('planning.next-session.reason', { chance, last: lastTrained(days) });
}

const lastTrained = (days: number): Sentence =>
  say('planning.next-session.last-trained', {
    when: days === 0 ? 'today' : days === 1 ? 'yesterday' : 'before',
    days,
  });
