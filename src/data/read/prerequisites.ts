import {
  atLeastAsHard,
  buildLadder,
  type Criteria,
  type Ladder,
  type Node,
  openness,
} from '@/core/breakdown';
import type { ElementId, Sentence } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import type { ElementRecord } from '@/data/records';
import type { KeptEvidence } from '@/data/records/kept-evidence';
import { type EvidenceByElement, lastKept } from './evidence';
import { activeElements, type DogWork } from './work';

/** An element with its prerequisites, and its ladder to say where they lie on it. */
export type GraphNode = Node & { readonly ladder: Ladder };

/** The dog's elements as the graph of prerequisites sees them. */
export function prerequisiteGraph(state: {
  readonly work: DogWork;
  readonly stands: ReadonlyMap<ElementId, Criteria>;
  readonly evidence: EvidenceByElement;
}): GraphNode[] {
  return activeElements(state.work).map((element) => ({
    ...nodeOf(element, state.stands.get(element.id) ?? null),
    shown: (state.evidence.get(element.id) ?? []).flatMap(shownIn),
    ladder: buildLadder(element),
  }));
}

const nodeOf = ({ id, title, axes, needs }: ElementRecord, stands: Criteria | null) => ({
  id,
  title,
  axes,
  needs,
  stands,
});

const shownIn = ({ cells }: Pick<KeptEvidence, 'cells'>): Criteria[] =>
  cells.filter((cell) => cell.clean > 0).map((cell) => cell.criteria);

/**
 * What each of these elements waits for, in words; those that wait for nothing are not there. Of what they
 * need it looks, newest first, only until a clean rep is found that asked as much.
 */
export async function waitingOf(
  kennel: Kennel,
  work: DogWork,
  elements: readonly ElementRecord[],
): Promise<ReadonlyMap<ElementId, readonly Sentence[]>> {
  const found = await Promise.all(
    elements.map(async (element) => {
      const nodes = await Promise.all(
        element.needs.map(async ({ element: id, at }): Promise<Node[]> => {
          const other = work.elements.find((one) => one.id === id);
          if (!other) return [];
          const last = await lastKept(kennel, id);
          return [{ ...nodeOf(other, last?.stands ?? null), shown: await shownAt(kennel, other, at) }];
        }),
      );
      return [element.id, openness(element, nodes.flat()).waits] as const;
    }),
  );
  return new Map(found.filter(([, waits]) => waits.length > 0));
}

/** One clean rep that asked as much, as a list; empty where there is none. */
async function shownAt(kennel: Kennel, { id, axes }: ElementRecord, at: Criteria): Promise<Criteria[]> {
  const asked = (one: Pick<KeptEvidence, 'cells'>): Criteria[] =>
    shownIn(one).filter((criteria) => atLeastAsHard(axes, criteria, at));
  const row = await kennel.database.kept
    .where('[element+startedAt]')
    .between([id, 0], [id, Number.POSITIVE_INFINITY])
    .reverse()
    .filter((one) => asked(one).length > 0)
    .first();
  return row ? asked(row) : [];
}
