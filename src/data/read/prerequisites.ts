import { buildLadder, type Criteria, type Ladder, type Node } from '@/core/breakdown';
import type { ElementId } from '@/core/shared';
import { activeElements, type DogWork } from './work';

/** An element with its prerequisites, and its ladder to say where they lie on it. */
export type GraphNode = Node & { readonly ladder: Ladder };

/** The dog's elements as the graph of prerequisites sees them. */
export function prerequisiteGraph(state: {
  readonly work: DogWork;
  readonly stands: ReadonlyMap<ElementId, Criteria>;
}): GraphNode[] {
  return activeElements(state.work).map((element) => ({
    id: element.id,
    title: element.title,
    axes: element.axes,
    needs: element.needs,
    stands: state.stands.get(element.id) ?? null,
    ladder: buildLadder(element),
  }));
}
