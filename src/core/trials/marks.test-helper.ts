import { asId, type DeviceId, type MarkId, type PersonId, type RunId } from '@/core/shared';
import type { Mark, MarkSaid } from './mark';

/** What is said, and the place in the list of what it names, where it names something. */
export type Short = readonly [said: MarkSaid, of?: number];

/** Marks of one judge, one second apart, with ids k0, k1, … from `from`. */
export function sheetMarks(list: readonly Short[], judge: PersonId | null = null, from = 0): Mark[] {
  return list.map(([said, of], i) => ({
    ...said,
    id: asId<MarkId>(`k${from + i}`),
    runId: asId<RunId>('run'),
    judge,
    seq: from + i,
    by: asId<DeviceId>('phone'),
    at: (from + i) * 1000,
    of: of === undefined ? null : asId<MarkId>(`k${from + of}`),
    reason: '',
  }));
}
