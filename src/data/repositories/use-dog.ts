import { useLiveQuery } from 'dexie-react-hooks';
import type { ElementId } from '@/core/shared';
import type { Session, Trial } from '@/data/records';
import { trialsOf } from './dogs';
import { type DogWork, rungOf, workOf } from './elements';
import { repsOfDog } from './evidence';
import { isRunning } from './log';
import type { RepsByElement, RungByElement } from './questions';
import { useKennelWithDog } from './use-kennel';

export type DogState = {
  readonly work: DogWork;
  readonly reps: RepsByElement;
  readonly rungs: RungByElement;
  readonly trials: readonly Trial[];
  /** Sessions of today that nobody has ended yet. */
  readonly open: readonly Session[];
};

/** All that the database holds of the dog in hand, read again whenever it changes; null until first read. */
export function useDog(): DogState | null {
  const { kennel, dog, today } = useKennelWithDog();
  const state = useLiveQuery(async (): Promise<DogState> => {
    const [work, reps, trials, sessions] = await Promise.all([
      workOf(kennel, dog.id),
      repsOfDog(kennel, dog.id),
      trialsOf(kennel, dog.id),
      kennel.database.sessions.where('dogId').equals(dog.id).toArray(),
    ]);
    const rungs = await Promise.all(
      work.elements.map(async (element): Promise<[ElementId, number]> => [element.id, await rungOf(kennel, element.id)]),
    );
    return { work, reps, rungs: new Map(rungs), trials, open: sessions.filter((session) => isRunning(session, today)) };
  }, [kennel, dog.id, today]);
  return state ?? null;
}
