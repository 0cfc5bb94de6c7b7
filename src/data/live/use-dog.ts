import { useLiveQuery } from 'dexie-react-hooks';
import type { Criteria } from '@/core/breakdown';
import type { ElementId } from '@/core/shared';
import {
  type DatedBout,
  type DogWork,
  isRunning,
  type RepsByElement,
  repsOfDog,
  type StandsByElement,
  type Trial,
  trialsOf,
  workOf,
} from '@/data/read';
import { boutsOfDog, standsAt } from '@/data/read/bouts';
import { useKennelWithDog } from './use-kennel';

export type DogState = {
  readonly work: DogWork;
  readonly reps: RepsByElement;
  /** Where the dog stands, by element; elements that were never worked are not there. */
  readonly stands: StandsByElement;
  readonly trials: readonly Trial[];
  /** Bouts of today that nobody has ended yet. */
  readonly open: readonly DatedBout[];
};

/**
 * All that the database holds of the dog in hand, read again whenever it changes; null until first
 * read.
 */
export function useDog(): DogState | null {
  const { kennel, dog, today } = useKennelWithDog();
  const state = useLiveQuery(async (): Promise<DogState> => {
    const [work, reps, trials, bouts] = await Promise.all([
      workOf(kennel, dog.id),
      repsOfDog(kennel, dog.id),
      trialsOf(kennel, dog.id),
      boutsOfDog(kennel, dog.id),
    ]);
    const stands = new Map<ElementId, Criteria>();
    for (const element of work.elements) {
      const at = await standsAt(kennel, element.id);
      if (at) stands.set(element.id, at);
    }
    return { work, reps, stands, trials, open: bouts.filter((bout) => isRunning(bout, today)) };
  }, [kennel, dog.id, today]);
  return state ?? null;
}
