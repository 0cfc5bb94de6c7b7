import { type ElementRecord, reachAxis } from '@/data/read';
import { useLengthChoice } from '@/ui';

/** In what somebody counts on drawings; else yards where the dog's own work is written in them; else metres. */
export function useSeasonUnit(elements: readonly ElementRecord[]): 'm' | 'yd' {
  const chosen = useLengthChoice((state) => state.unit);
  if (chosen === 'yd' || chosen === 'm') return chosen;
  return elements.some((one) => reachAxis(one)?.unit === 'yd') ? 'yd' : 'm';
}
