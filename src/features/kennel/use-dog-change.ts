import { toast } from 'sonner';
import { changeDog, type Dog, useKennel } from '@/data/repositories';

/** Saves what is written of a dog at once and offers to take it back. */
export function useDogChange(dog: Dog): (change: Partial<Dog>, words: string) => void {
  const { kennel } = useKennel();
  return (change, words) => {
    void changeDog(kennel, { ...dog, ...change }).then((before) => {
      if (before) toast(words, { action: { label: 'Undo', onClick: () => void changeDog(kennel, before) } });
    });
  };
}
