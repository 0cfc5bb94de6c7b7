import { sameFault } from '@/core/rulebooks';
import type { Amendment, Judged, Seen } from './entry';
import type { StandingRep } from './fold';
import { type Judging, judgedByMeasure, missedOf } from './propose';

/**
 * A rep of which something seen is said otherwise, judged again from what a person called it: the amendment.
 * At most 6 s asked, called clean at 5.8 s by a thumb, 6.4 s in a clip → flawed, too slow.
 */
export function judgedAgain(judging: Judging, rep: StandingRep, change: Partial<Seen>): Amendment {
  const called = calledBefore(judging, rep);
  const seen = { ...rep.seen, ...change };
  const { outcome, faults, proposed } = judgedByMeasure(judging, rep.asked, seen, called);
  return { seen: change, judged: { outcome, faults, proposed } };
}

/** What a person called it, without what the measures made of that. */
export function calledBefore(judging: Judging, { judged, asked, seen }: StandingRep): Judged {
  if (judged.proposed === null) return judged;
  const missed = missedOf(judging, asked.criteria, seen).map(({ fault }) => fault);
  const faults = judged.faults.filter((fault) => !missed.some((one) => sameFault(one, fault)));
  const counts = faults.some((fault) => !asked.noted.some((noted) => sameFault(noted, fault)));
  const outcome = judged.outcome === 'miss' ? 'miss' : counts ? 'flawed' : 'clean';
  return { ...judged, faults, outcome, proposed: null };
}

/**
 * A rep that is judged by a grade: the asked one or more is clean, less is flawed, the lowest a miss. Places from 0.
 * `gradedOutcome(1, 2)` → 'flawed'.
 */
export function gradedOutcome(place: number, asked: number): 'clean' | 'flawed' | 'miss' {
  if (place >= asked) return 'clean';
  return place === 0 ? 'miss' : 'flawed';
}
