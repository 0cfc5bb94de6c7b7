import { findCircle, withRaised } from '@/core/breakdown';
import type { RulePart } from '@/core/rulebooks';
import {
  asId,
  type BreakdownId,
  type DogId,
  type ElementId,
  type ExerciseKey,
  type PartKey,
  type Result,
  type RuleBookId,
  say,
} from '@/core/shared';
import { type Kennel, newId } from '@/data/kennel';
import type { Breakdown, ElementRecord, New } from '@/data/records';
import { refuse, transact, type Undo, type Write } from './transact';

/** A link of an exercise in the making: an element that the dog has, or a new one. */
export type LinkPlan = {
  readonly part: PartKey | null;
  readonly element: ElementId | New<ElementRecord>;
  /** What the rule book asks of it: a goal of an element that the dog has goes on to that where it is nearer. */
  readonly asked?: RulePart['demands'] | undefined;
};
export type ExercisePlan = {
  readonly dogId: DogId;
  readonly source:
    | { readonly ruleBookId: RuleBookId; readonly exercise: ExerciseKey }
    | { readonly title: string; readonly goal: string };
  readonly links: readonly LinkPlan[];
  /** Elements that come along: the links build on them, and they are no links themselves. */
  readonly besides?: readonly New<ElementRecord>[];
  /** Of an exercise that is broken down already: its new parts, in the order of all parts. */
  readonly onto?: { readonly breakdown: BreakdownId; readonly order: readonly PartKey[] } | undefined;
};

/**
 * Breaks an exercise down: new elements and the exercise in one transaction. Fails with `empty`,
 * `exists` (that exercise of the rule book is broken down already) or `circle`; nothing is written
 * then.
 */
export function makeExercise(kennel: Kennel, plan: ExercisePlan): Promise<Result<Undo<Breakdown>>> {
  return transact(kennel, ['elements', 'breakdowns'], (write) => make(write, plan));
}

/** The same for several exercises, all of them or none; a later one may name an element of an earlier one. */
export function makeExercises(
  kennel: Kennel,
  plans: readonly ExercisePlan[],
): Promise<Result<Undo<readonly Breakdown[]>>> {
  return transact(kennel, ['elements', 'breakdowns'], async (write) => {
    const made: Breakdown[] = [];
    for (const plan of plans) made.push(await make(write, plan));
    return made;
  });
}

async function make(write: Write, plan: ExercisePlan): Promise<Breakdown> {
  const { source, dogId } = plan;
  if (plan.links.length === 0) refuse('empty', 'links', say('data.reshape.an-exercise-needs-one-link-at'));
  const known = (await write.ofDog('breakdowns', dogId)).filter((one) => !one.putAway);
  if (
    'exercise' in source &&
    !plan.onto &&
    known.some((one) => one.ruleBookId === source.ruleBookId && one.exercise === source.exercise)
  )
    refuse('exists', 'source', say('data.reshape.this-exercise-is-broken-down-for'));
  const linked = plan.links.flatMap((link) => (typeof link.element === 'string' ? [] : [link.element]));
  const made = [...(plan.besides ?? []), ...linked];
  if (findCircle([...(await write.ofDog('elements', dogId)), ...made]))
    refuse('circle', 'links', say('data.reshape.these-prerequisites-go-round-in-a'));
  const id = newId<BreakdownId>();
  const own = 'title' in source;
  for (const element of made) await write.put('elements', element);
  for (const { element, asked } of plan.links)
    if (typeof element === 'string' && asked) await raise(write, element, asked);
  if (plan.onto) return fill(write, plan.onto, plan.links);
  return write.put('breakdowns', {
    id,
    dogId,
    ruleBookId: own ? null : source.ruleBookId,
    exercise: own ? asId<ExerciseKey>(`own-${id}`) : source.exercise,
    own: own ? { title: source.title, goal: source.goal } : null,
    links: plan.links.map((link, i) => ({
      part: link.part ?? asId<PartKey>(`own-${id}-${i + 1}`),
      element: typeof link.element === 'string' ? link.element : link.element.id,
    })),
    putAway: false,
  });
}

/** An element of the dog climbs on to what is asked of it. */
async function raise(write: Write, id: ElementId, asked: RulePart['demands']): Promise<void> {
  const element = await write.get('elements', id);
  const axes = element ? withRaised(element.axes, asked) : [];
  if (element && axes !== element.axes) await write.put('elements', { ...element, axes: [...axes] });
}

/** An exercise with links for parts that its rule book has got. */
async function fill(
  write: Write,
  { breakdown, order }: NonNullable<ExercisePlan['onto']>,
  links: readonly LinkPlan[],
): Promise<Breakdown> {
  const stored =
    (await write.get('breakdowns', breakdown)) ??
    refuse('gone', breakdown, say('data.reshape.this-exercise-is-not-there-any'));
  const fresh = links.flatMap(({ part, element }) =>
    part === null ? [] : [{ part, element: typeof element === 'string' ? element : element.id }],
  );
  const place = ({ part }: { readonly part: PartKey }): number =>
    order.includes(part) ? order.indexOf(part) : order.length;
  return write.put('breakdowns', {
    ...stored,
    links: [...stored.links, ...fresh].sort((a, b) => place(a) - place(b)),
  });
}

type BreakdownChange = Partial<Pick<Breakdown, 'links' | 'own' | 'putAway'>>;

/** Puts an exercise in another order or with other links. Fails with `gone` where there is none. */
export function changeBreakdown(
  kennel: Kennel,
  id: BreakdownId,
  change: BreakdownChange | ((stored: Breakdown) => BreakdownChange),
): Promise<Result<Undo<Breakdown>>> {
  return transact(kennel, ['breakdowns'], async (write) => {
    const stored =
      (await write.get('breakdowns', id)) ??
      refuse('gone', id, say('data.reshape.this-exercise-is-not-there-any'));
    return write.put('breakdowns', {
      ...stored,
      ...(typeof change === 'function' ? change(stored) : change),
    });
  });
}
