import { useLiveQuery } from 'dexie-react-hooks';
import type { Criteria } from '@/core/breakdown';
import {
  type ElementRecord,
  fittingSetOut,
  type LaidOut,
  laidOut,
  type SetOut,
  setOutsFor,
} from '@/data/read';
import { useKennelWithDog } from './use-kennel';

/**
 * The set-out that fits what an element asks, with all about it; `other`: the last that is drawn for another step
 * of it. Null until read.
 */
export function useFitting(
  element: ElementRecord | null,
  criteria: Criteria,
): { readonly laid: LaidOut | null; readonly other: SetOut | null } | null {
  const { kennel, today } = useKennelWithDog();
  const found = useLiveQuery(async () => {
    if (!element) return { laid: null, other: null };
    const all = await setOutsFor(kennel, element);
    const fits = fittingSetOut(all, element, criteria);
    const other = all.find((one) => one.id !== fits?.id && one.asks?.element === element.id) ?? null;
    return { laid: fits && (await laidOut(kennel, fits.id, today, { element, criteria })), other };
  }, [kennel, today, element, JSON.stringify(criteria)]);
  return found ?? null;
}
