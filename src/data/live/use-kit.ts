import { useLiveQuery } from 'dexie-react-hooks';
import { type Kit, listKit } from '@/data/read';
import { useKennel } from './use-kennel';

/** The kit list, by name; null until first read. */
export function useKit(): readonly Kit[] | null {
  const { kennel } = useKennel();
  return useLiveQuery(() => listKit(kennel), [kennel]) ?? null;
}
