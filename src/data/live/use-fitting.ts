import { useLiveQuery } from 'dexie-react-hooks';
import type { Criteria } from '@/core/breakdown';
import { type ElementRecord, fittingSetOut, type LaidOut, laidOut, setOutsFor } from '@/data/read';
import { useKennelWithDog } from './use-kennel';

/**
 * The set-out that fits what an element asks, with all about it; `others`: how many are drawn for other steps of
 * it. Null until read.
 */
export function useFitting(
  element: ElementRecord | null,
  criteria: Criteria,
): { readonly laid: LaidOut | null; readonly others: number } | null {
  const { kennel, today } = useKennelWithDog();
  const found = useLiveQuery(async () => {
    if (!element) return { laid: null, others: 0 };
    const all = await setOutsFor(kennel, element);
    const fits = fittingSetOut(all, element, criteria);
    return {
      laid: fits && (await laidOut(kennel, fits.id, today, { element, criteria })),
      others: all.length - (fits ? 1 : 0),
    };
  }, [kennel, today, element, JSON.stringify(criteria)]);
  return found ?? null;
}
