import type { Node } from '@/core/breakdown';
import type { ElementId } from '@/core/shared';
import { activeElements, type DogWork } from './elements';

/** The dog's elements as the graph of prerequisites sees them. */
export function nodesOf(state: { readonly work: DogWork; readonly rungs: ReadonlyMap<ElementId, number> }): Node[] {
  return activeElements(state.work).map(({ id, title, needs }) => ({ id, title, needs, rung: state.rungs.get(id) ?? 0 }));
}
