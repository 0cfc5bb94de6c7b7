import { foldLog } from '@/core/log';
import type { Day } from '@/core/shared';
import type { DogState } from '@/data/live';
import { dated } from '@/data/read/bouts';
import { repsByElement } from '@/data/read/reps';
import { elementOf, type Tables } from '@/data/records';
import { makeSampleKennel } from './sample-kennel';

export const TODAY = '2026-06-30' as Day;

/** The state that a room is given, made from tables without a database. */
export function stateOf(all: Tables, dog = all.dogs[0]?.id): DogState {
  const mine = <T extends { readonly dogId: string }>(list: readonly T[]): T[] =>
    list.filter((one) => one.dogId === dog);
  const [elements, breakdowns, trials] = [mine(all.elements), mine(all.breakdowns), mine(all.trials)];
  const outings = new Map(all.outings.map((outing) => [outing.id, outing]));
  const bouts = mine(all.bouts)
    .sort((a, b) => a.startedAt - b.startedAt)
    .flatMap((bout) => dated(bout, outings.get(bout.outingId)));
  const entries = mine(all.entries);
  const stands = new Map(
    bouts.flatMap((bout) => {
      const element = elementOf(bout);
      const log = entries.filter((entry) => entry.boutId === bout.id);
      return element ? [[element, foldLog(bout.start, log).stands] as const] : [];
    }),
  );
  const work = { elements, breakdowns, ruleBooks: all.ruleBooks };
  return { work, reps: repsByElement(bouts, entries, elements), stands, trials, open: [] };
}

export function sampleState(): DogState {
  return stateOf(makeSampleKennel(TODAY, 2));
}
