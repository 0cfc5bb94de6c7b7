import type { EntryId } from '@/core/shared';
import type { Entry } from './entry';

export type Amend = Extract<Entry, { kind: 'amend' }>;

/** The amendments of a rep that no other has seen: what the next one is written after. */
export function lastAmendments(entries: readonly Entry[], rep: EntryId): EntryId[] {
  const amends = entries.filter((entry): entry is Amend => entry.kind === 'amend' && entry.of === rep);
  const seen = seenBy(amends);
  return amends
    .filter((one) => !amends.some((other) => seen.get(other.id)?.has(one.id)))
    .map((one) => one.id);
}

/** Of each amendment, all that were known where it was written. */
export function seenBy(amends: readonly Amend[]): ReadonlyMap<EntryId, ReadonlySet<EntryId>> {
  const seen = new Map<EntryId, Set<EntryId>>();
  for (const [i, one] of amends.entries()) {
    const own = new Set<EntryId>();
    for (const [j, other] of amends.entries()) {
      const knew = one.after ? one.after.includes(other.id) || (other.by === one.by && j < i) : j < i;
      if (!knew) continue;
      own.add(other.id);
      for (const id of seen.get(other.id) ?? []) own.add(id);
    }
    seen.set(one.id, own);
  }
  return seen;
}
