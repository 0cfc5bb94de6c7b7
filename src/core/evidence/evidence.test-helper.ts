import { testAxis } from '@/core/breakdown/axis.test-helper';
import type { EvidenceRep } from '@/core/log';
import { asId, type BoutId, type Day, type EntryId } from '@/core/shared';
import { type BoutEvidence, weighBout } from './bout-evidence';

export const TODAY = '2026-06-30' as Day;
export const AXIS = testAxis();
let count = 0;

/** A counted clean rep of today at 5 m, unless changed. */
export const rep = (change: Partial<EvidenceRep> = {}, distance = 5): EvidenceRep => ({
  id: asId<EntryId>(`r${count++}`),
  bout: asId<BoutId>('s'),
  day: TODAY,
  at: count,
  away: false,
  outcome: 'clean',
  faults: [],
  cause: 'dog',
  aided: false,
  criteria: { [AXIS.key]: distance },
  ...change,
});

export const many = (n: number, change: Partial<EvidenceRep> = {}, distance = 5): EvidenceRep[] =>
  Array.from({ length: n }, () => rep(change, distance));

export const at = (distance: number) => ({ [AXIS.key]: distance });

/** Reps as what their bouts say; a bout that a test spreads over days is one for each day. */
export function boutsOf(reps: readonly EvidenceRep[]): BoutEvidence[] {
  const found = new Map<string, EvidenceRep[]>();
  for (const one of reps) {
    const key = `${one.day} ${one.bout}`;
    const list = found.get(key);
    if (list) list.push(one);
    else found.set(key, [one]);
  }
  return [...found.values()].map((list) => {
    const [{ bout: id, day }] = list as [EvidenceRep];
    return weighBout({ id, day }, list);
  });
}
