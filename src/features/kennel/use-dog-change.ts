import { useKennel } from '@/data/live';
import type { Dog } from '@/data/read';
import { changeDog } from '@/data/write';

/** Saves what is written of a dog at once; the undo line takes it back. */
export function useDogChange(dog: Dog): (change: Partial<Dog>, words: string) => void {
  const { kennel, done } = useKennel();
  return (change, words) => void done(words, changeDog(kennel, dog.id, change));
}
