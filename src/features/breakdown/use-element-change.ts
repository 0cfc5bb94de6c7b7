import { toast } from 'sonner';
import { changeElement, type ElementRecord, useKennel } from '@/data/repositories';

/** Saves a change of an element at once and offers to take it back. */
export function useElementChange(
  element: ElementRecord,
): (change: Partial<ElementRecord> | ((stored: ElementRecord) => Partial<ElementRecord>), words: string) => void {
  const { kennel } = useKennel();
  return (change, words) => {
    void changeElement(kennel, element.id, change).then((before) => {
      if (before) toast(words, { action: { label: 'Undo', onClick: () => void changeElement(kennel, element.id, before) } });
    });
  };
}
