import type { Caution } from '@/core/planning';
import { cautionsOf, type DogState, type ElementRecord, useKennelWithDog } from '@/data/repositories';

/** The cautions of an element for the dog in hand, today. */
export function useCautions(element: ElementRecord, state: DogState): Caution[] {
  const { dog, today } = useKennelWithDog();
  return cautionsOf(element, dog, state.reps, state.work, today);
}
