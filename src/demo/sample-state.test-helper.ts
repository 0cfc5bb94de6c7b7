import type { EvidenceRep } from '@/core/evidence';
import type { Day, ElementId } from '@/core/shared';
import type { Tables } from '@/data/records';
import type { DogState } from '@/data/repositories';
import { evidenceReps, standingRung } from '@/data/repositories/fold';
import { makeSampleKennel } from './sample-kennel';

export const TODAY = '2026-06-30' as Day;

/** The state that a room is given, made from tables without a database. */
export function stateOf(all: Tables, dog = all.dogs[0]?.id): DogState {
  const mine = <T extends { readonly dogId: string }>(list: readonly T[]): T[] => list.filter((one) => one.dogId === dog);
  const tables = {
    ...all,
    sessions: mine(all.sessions),
    entries: mine(all.entries),
    elements: mine(all.elements),
    breakdowns: mine(all.breakdowns),
    trials: mine(all.trials),
  };
  const reps = new Map<ElementId, EvidenceRep[]>();
  const rungs = new Map<ElementId, number>();
  for (const session of [...tables.sessions].sort((a, b) => a.startedAt - b.startedAt)) {
    const log = tables.entries.filter((entry) => entry.sessionId === session.id);
    reps.set(session.elementId, [...(reps.get(session.elementId) ?? []), ...evidenceReps(session, log)]);
    rungs.set(session.elementId, standingRung(session, log));
  }
  const { elements, breakdowns, ruleBooks, trials } = tables;
  return { work: { elements, breakdowns, ruleBooks }, reps, rungs, trials, open: [] };
}

export function sampleState(): DogState {
  return stateOf(makeSampleKennel(TODAY, 2));
}
