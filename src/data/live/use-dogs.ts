import { useLiveQuery } from 'dexie-react-hooks';
import type { DogId } from '@/core/shared';
import { type Dog, type DogWork, listDogs, workOf } from '@/data/read';
import { useKennel } from './use-kennel';

/** The dogs that are not put away, in the person's order; null until first read. */
export function useDogs(): readonly Dog[] | null {
  const { kennel } = useKennel();
  return useLiveQuery(() => listDogs(kennel), [kennel]) ?? null;
}

/** What a dog's training is made of; null until first read. */
export function useWork(dog: DogId): DogWork | null {
  const { kennel } = useKennel();
  return useLiveQuery(() => workOf(kennel, dog), [kennel, dog]) ?? null;
}
