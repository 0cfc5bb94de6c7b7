import { useLiveQuery } from 'dexie-react-hooks';
import { activeElements, type DogWork, type KeptEvidence, lastKept, workOf } from '@/data/read';
import { useKennelWithDog } from './use-kennel';

/** The dog's work, and what is kept of the last bout on each of its elements; null until first read. */
export function useLastBouts(): {
  readonly work: DogWork;
  readonly last: ReadonlyMap<string, KeptEvidence>;
} | null {
  const { kennel, dog } = useKennelWithDog();
  const work = useLiveQuery(() => workOf(kennel, dog.id), [kennel, dog.id]);
  const last = useLiveQuery(async () => {
    if (!work) return null;
    const found = await Promise.all(activeElements(work).map(({ id }) => lastKept(kennel, id)));
    return new Map(found.flatMap((one) => (one?.element ? [[one.element as string, one] as const] : [])));
  }, [kennel, work]);
  return work && last ? { work, last } : null;
}
