import type { ElementId } from '@/core/shared';

/** "Not before that one is at rung 4": rungs counted from 0. */
export type Need = { readonly element: ElementId; readonly rung: number };
export type Node = { readonly id: ElementId; readonly title: string; readonly needs: readonly Need[]; readonly rung: number };

/** Whether work may begin, and what it waits for, in words. A need whose element is gone asks nothing. */
export type Openness = { readonly open: boolean; readonly waits: readonly string[] };

export function openness(node: Pick<Node, 'needs'>, nodes: readonly Node[]): Openness {
  const waits = node.needs.flatMap((need) => {
    const other = nodes.find((candidate) => candidate.id === need.element);
    return other && other.rung < need.rung ? [`not before “${other.title}” is at rung ${need.rung + 1}; it is at ${other.rung + 1}`] : [];
  });
  return { open: waits.length === 0, waits };
}

/** The elements of a circle of prerequisites in order, the first again at the end; null when there is none. */
export function findCircle(nodes: readonly Pick<Node, 'id' | 'needs'>[]): ElementId[] | null {
  const byId = new Map(nodes.map((node) => [node.id, node]));
  const done = new Set<ElementId>();
  const visit = (id: ElementId, path: readonly ElementId[]): ElementId[] | null => {
    const seen = path.indexOf(id);
    if (seen >= 0) return [...path.slice(seen), id];
    if (done.has(id)) return null;
    for (const need of byId.get(id)?.needs ?? []) {
      const circle = visit(need.element, [...path, id]);
      if (circle) return circle;
    }
    done.add(id);
    return null;
  };
  for (const node of nodes) {
    const circle = visit(node.id, []);
    if (circle) return circle;
  }
  return null;
}

/** Nodes in columns for a picture: each stands one column after the last of what it needs. Assumes there is no circle. */
export function layers(nodes: readonly Pick<Node, 'id' | 'needs'>[]): ElementId[][] {
  const byId = new Map(nodes.map((node) => [node.id, node]));
  const depths = new Map<ElementId, number>();
  const depthOf = (id: ElementId): number => {
    const known = depths.get(id);
    if (known !== undefined) return known;
    const below = (byId.get(id)?.needs ?? []).filter((need) => byId.has(need.element)).map((need) => depthOf(need.element));
    const depth = below.length === 0 ? 0 : 1 + Math.max(...below);
    depths.set(id, depth);
    return depth;
  };
  const columns: ElementId[][] = [];
  for (const node of nodes) {
    const depth = depthOf(node.id);
    while (columns.length <= depth) columns.push([]);
    columns[depth]?.push(node.id);
  }
  return columns;
}
