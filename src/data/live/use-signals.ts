import { useLiveQuery } from 'dexie-react-hooks';
import { listSignals, type Signal } from '@/data/read';
import { useKennel } from './use-kennel';

/** All words and signals of the kennel, in the order of the list; null until first read. */
export function useSignals(): readonly Signal[] | null {
  const { kennel } = useKennel();
  return useLiveQuery(() => listSignals(kennel), [kennel]) ?? null;
}
