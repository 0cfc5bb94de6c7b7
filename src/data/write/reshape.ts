import { type Axis, type Criteria, findCircle, withRaised } from '@/core/breakdown';
import type { RulePart } from '@/core/rulebooks';
import {
  asId,
  type BoutId,
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
import { type Breakdown, type ElementRecord, elementOf, type New, PLAIN_ELEMENT } from '@/data/records';
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

type Change = Partial<Omit<ElementRecord, 'id' | 'dogId' | 'changed'>>;

/**
 * Changes an element. A change of a part of something goes by a function of what is stored: the page
 * may not have seen the last change yet. Fails with `gone` where there is none.
 */
export function changeElement(
  kennel: Kennel,
  id: ElementId,
  change: Change | ((stored: ElementRecord) => Change),
): Promise<Result<Undo<ElementRecord>>> {
  return transact(kennel, ['elements'], async (write) => {
    const stored =
      (await write.get('elements', id)) ??
      refuse('gone', id, say('data.reshape.this-element-is-not-there-any-more'));
    return write.put('elements', { ...stored, ...(typeof change === 'function' ? change(stored) : change) });
  });
}

export type Portion = { readonly title: string; readonly axes: readonly Axis[] };

/**
 * Splits an element in two. Its reps stay with it and count for neither portion until they are
 * assigned; exercises get both in its place, and what needed it needs both. Fails with `part` where
 * one has no name or no axis, `running` while a bout of it is open.
 */
export function splitElement(
  kennel: Kennel,
  id: ElementId,
  portions: readonly [Portion, Portion],
): Promise<Result<Undo>> {
  return transact(kennel, RESHAPED, async (write) => {
    if (portions.some((one) => one.title.trim() === '' || one.axes.length === 0))
      refuse('part', '', say('data.reshape.each-part-needs-a-name-and-a'));
    await reshape(write, [id], 'split', ([whole]) =>
      portions.map(
        (portion): New<ElementRecord> => ({
          ...(whole as ElementRecord),
          ...FRESH,
          id: newId<ElementId>(),
          title: portion.title.trim(),
          axes: [...portion.axes],
        }),
      ),
    );
  });
}

/**
 * Joins two elements of a dog into one, with the axes, faults and kit of both. Their reps stay with
 * them until they are assigned. Fails as splitting does.
 */
export function mergeElements(
  kennel: Kennel,
  ids: readonly [ElementId, ElementId],
  title: string,
): Promise<Result<Undo>> {
  return transact(kennel, RESHAPED, async (write) => {
    if (title.trim() === '') refuse('part', '', say('data.reshape.the-joined-element-needs-a-name'));
    await reshape(write, ids, 'merged', ([first, second]) =>
      first && second ? [joinedOf(first, second, title.trim())] : [],
    );
  });
}

function joinedOf(first: ElementRecord, second: ElementRecord, title: string): New<ElementRecord> {
  const more = <T>(of: (element: ElementRecord) => readonly T[], key: (one: T) => unknown): T[] => {
    const mine = of(first);
    return [...mine, ...of(second).filter((one) => !mine.some((other) => key(other) === key(one)))];
  };
  const needs = more(
    (element) => element.needs,
    (need) => need.element,
  );
  return {
    ...first,
    ...FRESH,
    id: newId<ElementId>(),
    title,
    axes: more(
      (element) => element.axes,
      (axis) => axis.key,
    ),
    faults: more(
      (element) => element.faults,
      (fault) => fault.key,
    ),
    kit: more(
      (element) => element.kit,
      (thing) => thing,
    ),
    work: more(
      (element) => element.work,
      (tag) => tag,
    ),
    needs: needs.filter((need) => need.element !== first.id && need.element !== second.id),
    method: null,
  };
}

/**
 * What portions do not take from the whole: values that stood on rungs of its ladder, and its own
 * fate.
 */
const FRESH = {
  edits: [],
  byHand: [],
  countsFrom: [],
  skips: [],
  ladderRule: 'one-axis',
  form: PLAIN_ELEMENT.form,
  retired: null,
  assigned: [],
} satisfies Partial<ElementRecord>;

const RESHAPED = ['elements', 'breakdowns', 'bouts'] as const;

async function reshape(
  write: Write,
  ids: readonly ElementId[],
  how: 'split' | 'merged',
  make: (wholes: readonly ElementRecord[]) => readonly New<ElementRecord>[],
): Promise<void> {
  const wholes: ElementRecord[] = [];
  for (const id of ids) wholes.push(...[await write.get('elements', id)].filter((one) => one !== null));
  const [first] = wholes;
  if (
    !first ||
    wholes.length < ids.length ||
    wholes.some((one) => one.retired !== null || one.dogId !== first.dogId)
  )
    return refuse('gone', '', say('data.reshape.these-elements-are-not-or-no'));
  const bouts = await write.ofDog('bouts', first.dogId);
  if (bouts.some((bout) => bout.endedAt === null && ids.some((id) => elementOf(bout) === id)))
    refuse('running', '', say('data.reshape.a-session-of-it-is-still-open-end'));
  const made: ElementRecord[] = [];
  for (const element of make(wholes)) made.push(await write.put('elements', element));
  const into = made.map((one) => one.id);
  for (const whole of wholes) await write.put('elements', { ...whole, retired: { how, into } });
  for (const other of await write.ofDog('elements', first.dogId))
    if (!ids.includes(other.id) && other.needs.some((need) => ids.includes(need.element)))
      await write.put('elements', { ...other, needs: renamed(other.needs, ids, made) });
  for (const breakdown of await write.ofDog('breakdowns', first.dogId))
    if (breakdown.links.some((link) => ids.includes(link.element)))
      await write.put('breakdowns', { ...breakdown, links: relinked(breakdown.links, ids, made) });
}

/** A need of what is gone becomes a need of all that came of it, on the axes that each has. */
function renamed(
  needs: ElementRecord['needs'],
  gone: readonly ElementId[],
  made: readonly ElementRecord[],
): ElementRecord['needs'] {
  const kept = needs.filter((need) => !gone.includes(need.element));
  const asked: Criteria = Object.assign(
    {},
    ...needs.filter((need) => gone.includes(need.element)).map((need) => need.at),
  );
  const of = (element: ElementRecord): Criteria =>
    Object.fromEntries(
      element.axes.flatMap(({ key }) => (asked[key] === undefined ? [] : [[key, asked[key]]])),
    );
  return [...kept, ...made.map((element) => ({ element: element.id, at: of(element) }))];
}

function relinked(
  links: Breakdown['links'],
  gone: readonly ElementId[],
  made: readonly ElementRecord[],
): Breakdown['links'] {
  const all = links.flatMap((link) =>
    gone.includes(link.element) ? made.map((part) => ({ part: link.part, element: part.id })) : [link],
  );
  // Two neighbours that were joined are one link, unless a rule book prices them apart.
  return all.filter(
    (link, i) => i === 0 || all[i - 1]?.element !== link.element || all[i - 1]?.part !== link.part,
  );
}

/** Says for which portions a bout of an undivided element counts; none takes it back. */
export function assignBout(
  kennel: Kennel,
  whole: ElementId,
  bout: BoutId,
  to: readonly ElementId[],
): Promise<Result<Undo>> {
  return changeElement(kennel, whole, ({ assigned }) => {
    const others = assigned.filter((one) => one.bout !== bout);
    return { assigned: to.length === 0 ? others : [...others, { bout, to: [...to] }] };
  });
}
