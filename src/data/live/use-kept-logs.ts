import { useLiveQuery } from 'dexie-react-hooks';
import type { BoutId } from '@/core/shared';
import { type KeptLog, keptLogs } from '@/data/read';
import { useKennel } from './use-kennel';

/** What is kept of these bouts rep by rep, by their ids; null until first read. */
export function useKeptLogs(bouts: readonly BoutId[]): ReadonlyMap<BoutId, KeptLog> | null {
  const { kennel } = useKennel();
  return useLiveQuery(() => keptLogs(kennel, bouts), [kennel, bouts.join()]) ?? null;
}
