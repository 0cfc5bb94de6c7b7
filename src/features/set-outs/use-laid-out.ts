import { useLiveQuery } from 'dexie-react-hooks';
import { type Lengths, lengthsBy } from '@/core/breakdown';
import type { SetOutId } from '@/core/shared';
import { useKennel } from '@/data/live';
import { type LaidOut, laidOut, listPeople, type Person, unitOfSetOut } from '@/data/read';
import { useLengthChoice } from '@/ui';

type Found = { readonly laid: LaidOut; readonly lengths: Lengths; readonly people: readonly Person[] };

/** A set-out with all about it, in the lengths of this device; null until read, 'none' where there is none. */
export function useLaidOut(id: SetOutId | null): Found | null | 'none' {
  const { kennel, today } = useKennel();
  const { unit, whose } = useLengthChoice();
  const found = useLiveQuery(
    async () => ({ laid: await laidOut(kennel, id, today), people: await listPeople(kennel) }),
    [kennel, id, today],
  );
  if (!found) return null;
  const { laid, people } = found;
  if (!laid) return 'none';
  return { laid, people, lengths: lengthsBy({ unit, whose }, people, unitOfSetOut(laid)) };
}

/** Lengths where nothing is drawn yet. */
export function useLengths(written: string | null): {
  readonly lengths: Lengths;
  readonly people: readonly Person[];
} {
  const { kennel } = useKennel();
  const { unit, whose } = useLengthChoice();
  const people = useLiveQuery(() => listPeople(kennel), [kennel]) ?? NOBODY;
  return { lengths: lengthsBy({ unit, whose }, people, written), people };
}
const NOBODY: readonly Person[] = [];
