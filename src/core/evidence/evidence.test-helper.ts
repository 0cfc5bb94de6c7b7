import { testAxis } from '@/core/breakdown/axis.test-helper';
import { asId, type Day, type EntryId, type SessionId } from '@/core/shared';
import type { EvidenceRep } from './rep';

export const TODAY = '2026-06-30' as Day;
export const AXIS = testAxis();
let count = 0;

/** A counted clean rep of today at 5 m, unless changed. */
export const rep = (change: Partial<EvidenceRep> = {}, distance = 5): EvidenceRep => ({
  id: asId<EntryId>(`r${count++}`),
  session: asId<SessionId>('s'),
  day: TODAY,
  at: count,
  away: false,
  outcome: 'clean',
  option: null,
  cause: 'dog',
  aided: false,
  criteria: { [AXIS.key]: distance },
  ...change,
});

export const many = (n: number, change: Partial<EvidenceRep> = {}, distance = 5): EvidenceRep[] =>
  Array.from({ length: n }, () => rep(change, distance));

export const at = (distance: number) => ({ [AXIS.key]: distance });
