import type { Caution } from '@/core/planning';
import { type DogState, useKennelWithDog } from '@/data/live';
import { cautionsOf, type ElementRecord } from '@/data/read';

/** The cautions of an element for the dog in hand, today. */
export function useCautions(element: ElementRecord, state: DogState): Caution[] {
  const { dog, today } = useKennelWithDog();
  return cautionsOf(element, dog, state.evidence, state.work, today);
}
