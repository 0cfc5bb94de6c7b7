import { useKennel } from '@/data/live';
import type { ElementRecord } from '@/data/read';
import { changeElement } from '@/data/write';

/** Saves a change of an element at once; the undo line takes it back. */
export function useElementChange(
  element: ElementRecord,
): (
  change: Partial<ElementRecord> | ((stored: ElementRecord) => Partial<ElementRecord>),
  words: string,
) => void {
  const { kennel, done } = useKennel();
  return (change, words) => void done(words, changeElement(kennel, element.id, change));
}
