import type { Node } from '@/core/breakdown';
import { activeElements, type DogState } from '@/data/repositories';

/** The dog's elements as the graph of prerequisites sees them. */
export function nodesOf(state: Pick<DogState, 'work' | 'rungs'>): Node[] {
  return activeElements(state.work).map(({ id, title, needs }) => ({ id, title, needs, rung: state.rungs.get(id) ?? 0 }));
}
