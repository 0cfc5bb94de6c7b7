import * as v from 'valibot';
import { asId, type ElementId, type Sentence, say, type Value } from '@/core/shared';
import type { Axis } from './axis';
import { askedOf, axisInWords } from './axis-values';
import { criteriaSchema } from './ladder';
import { atLeastAsHard, type Criteria } from './place';

/** "Not before that one stands at these values." */
export const needSchema = v.strictObject({
  element: v.pipe(v.string(), v.minLength(1), v.transform(asId<ElementId>)),
  at: criteriaSchema,
});
export type Need = { readonly element: ElementId; readonly at: Criteria };
export type Node = {
  readonly id: ElementId;
  readonly title: string;
  readonly axes: readonly Axis[];
  readonly needs: readonly Need[];
  /** Where the dog stands; null where it was never worked. */
  readonly stands: Criteria | null;
  /** What clean reps that count were asked, one for each kind of rep that there was. */
  readonly shown: readonly Criteria[];
};

/**
 * Whether work may begin, and what it waits for, in words. A need whose element is gone asks
 * nothing.
 */
export type Openness = { readonly open: boolean; readonly waits: readonly Sentence[] };

/**
 * A need is met where the other element stands at least as hard as asked on every axis, and at least one
 * clean rep that counts was asked as much: a dog that was moved there by hand has shown nothing. One whose
 * values are the other's own start is met from the beginning.
 */
export function openness(node: Pick<Node, 'needs'>, nodes: readonly Node[]): Openness {
  const waits = node.needs.flatMap((need): Sentence[] => {
    const other = nodes.find((candidate) => candidate.id === need.element);
    if (!other || atLeastAsHard(other.axes, {}, need.at)) return [];
    const stands = other.stands ?? {};
    const lacking = other.axes.filter((axis) => !atLeastAsHard([axis], stands, need.at));
    if (lacking.length > 0)
      return [
        say('breakdown.prerequisites.not-before-is-at-it-is-at', {
          title: other.title,
          inWords: inWords(lacking, need.at),
          inWords2: valuesOf(lacking, stands),
        }),
      ];
    if (other.shown.some((asked) => atLeastAsHard(other.axes, asked, need.at))) return [];
    const climbed = other.axes.filter((axis) => !atLeastAsHard([axis], {}, need.at));
    return [
      say('breakdown.prerequisites.not-before-a-clean-rep', {
        title: other.title,
        inWords: inWords(climbed, need.at),
      }),
    ];
  });
  return { open: waits.length === 0, waits };
}

/** A step of a list says by itself what it is; a number needs its axis before it. */
const inWords = (axes: readonly Axis[], criteria: Criteria): Value => ({
  list: axes.map((axis) => {
    const value = criteria[axis.key] ?? axis.start;
    return axis.levels === null
      ? axisInWords({ ...axis, title: lowered(axis.title) }, value)
      : askedOf(axis, value);
  }),
  between: ', ',
});
/** Where it stands, after what it needs: the axes were named there. */
const valuesOf = (axes: readonly Axis[], criteria: Criteria): Value => ({
  list: axes.map((axis) => askedOf(axis, criteria[axis.key] ?? axis.start)),
  between: ', ',
});
const lowered = (words: string): string => words.replace(/^./, (letter) => letter.toLowerCase());

/**
 * The elements of a circle of prerequisites in order, the first again at the end; null when there
 * is none.
 */
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

/**
 * Nodes in columns for a picture: each stands one column after the last of what it needs. Assumes
 * there is no circle.
 */
export function layers(nodes: readonly Pick<Node, 'id' | 'needs'>[]): ElementId[][] {
  const byId = new Map(nodes.map((node) => [node.id, node]));
  const depths = new Map<ElementId, number>();
  const depthOf = (id: ElementId): number => {
    const known = depths.get(id);
    if (known !== undefined) return known;
    const below = (byId.get(id)?.needs ?? [])
      .filter((need) => byId.has(need.element))
      .map((need) => depthOf(need.element));
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
