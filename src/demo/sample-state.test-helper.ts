import { asEvidence, type EvidenceRep, foldLog, inOrder } from '@/core/log';
import type { Day, ElementId } from '@/core/shared';
import type { DogState } from '@/data/live';
import { dogState } from '@/data/live/use-dog';
import { dated } from '@/data/read/bouts';
import { elementOf, type Tables } from '@/data/records';
import { keptOf } from '@/data/records/kept-evidence';
import { makeSampleKennel } from './sample-kennel';

export const TODAY = '2026-06-30' as Day;

const logOf = (all: Tables, bout: string) => inOrder(all.entries.filter((entry) => entry.boutId === bout));

/** The state that a room is given, made from tables without a database. */
export function stateOf(all: Tables, dog = all.dogs[0]?.id): DogState {
  const mine = <T extends { readonly dogId: string }>(list: readonly T[]): T[] =>
    list.filter((one) => one.dogId === dog);
  const outings = new Map(all.outings.map((outing) => [outing.id, outing]));
  const bouts = mine(all.bouts)
    .sort((a, b) => a.startedAt - b.startedAt)
    .flatMap((bout) => {
      const outing = outings.get(bout.outingId);
      return outing ? keptOf(bout, outing, logOf(all, bout.id)).map((one) => one.evidence) : [];
    });
  const work = { elements: mine(all.elements), breakdowns: mine(all.breakdowns), ruleBooks: all.ruleBooks };
  return dogState(work, mine(all.trials), bouts, TODAY);
}

export function sampleState(): DogState {
  return stateOf(makeSampleKennel(TODAY, 2));
}

/** The reps behind that state, by element, straight from the log. */
export function sampleReps(): Map<ElementId, EvidenceRep[]> {
  const all = makeSampleKennel(TODAY, 2);
  const [dog] = all.dogs;
  const outings = new Map(all.outings.map((outing) => [outing.id, outing]));
  const found = new Map<ElementId, EvidenceRep[]>();
  for (const bout of all.bouts.filter((one) => one.dogId === dog?.id)) {
    const element = elementOf(bout);
    const [on] = dated(bout, outings.get(bout.outingId));
    if (!element || !on) continue;
    const reps = asEvidence(on, foldLog(bout.start, logOf(all, bout.id)).reps);
    found.set(element, [...(found.get(element) ?? []), ...reps]);
  }
  for (const reps of found.values()) reps.sort((a, b) => a.at - b.at);
  return found;
}
