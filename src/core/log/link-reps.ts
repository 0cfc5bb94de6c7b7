import { asId, type ElementId, type EntryId } from '@/core/shared';
import { VALUES_CHIP } from './entry';
import type { StandingRep } from './fold';

/**
 * What whole runs say of each link, as reps of that link at the values that were asked of it: those before
 * the link that broke held, that one has the run's outcome and faults, and those after it were not reached
 * and say nothing. A clean run of three links → one clean rep of each. A run that came to the end without
 * being clean says of no link how it was: which one was at fault is not known, and all were done. A run whose
 * links have no values says nothing of them. Its own cues, times and pay belong to the run, not to a link.
 */
export function linkReps(reps: readonly StandingRep[]): Map<ElementId, StandingRep[]> {
  const found = new Map<ElementId, StandingRep[]>();
  for (const rep of reps) {
    const { run } = rep.seen;
    if (run?.kind !== 'chain') continue;
    const reached = run.brokeAt === null ? run.links : run.links.slice(0, run.brokeAt + 1);
    for (const [place, { element, criteria }] of reached.entries()) {
      if (Object.keys(criteria).length === 0) continue;
      const list = found.get(element) ?? [];
      list.push(asLink(rep, place, criteria, place === run.brokeAt));
      found.set(element, list);
    }
  }
  return found;
}

function asLink(
  rep: StandingRep,
  place: number,
  criteria: StandingRep['asked']['criteria'],
  broke: boolean,
): StandingRep {
  const { [VALUES_CHIP]: _values, ...chips } = rep.asked.chips;
  const open = rep.seen.run?.kind === 'chain' && rep.seen.run.brokeAt === null;
  const held = {
    outcome: open && rep.judged.outcome !== 'clean' ? 'none' : 'clean',
    faults: [],
    cause: 'dog',
    proposed: null,
  } as const;
  return {
    ...rep,
    id: asId<EntryId>(`${rep.id}/${place}`),
    asked: { ...rep.asked, criteria, chips, call: null },
    seen: { measured: {}, timing: null, endedBy: null, run: null },
    judged: { ...rep.judged, ...(broke ? {} : held) },
    paid: {},
  };
}
