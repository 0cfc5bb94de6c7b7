import { type Axis, buildLadder, type Criteria, findCircle, rescaleLadder } from '@/core/breakdown';
import {
  asId,
  type BreakdownId,
  type DogId,
  type ElementId,
  type ElementKey,
  type ExerciseKey,
  fail,
  ok,
  type Result,
  type RuleBookId,
  type SessionId,
} from '@/core/shared';
import { type Breakdown, type ElementRecord, PLAIN_ELEMENT } from '@/data/records';
import type { Before } from './elements';
import { type Kennel, newId } from './kennel';

/** A link of an exercise in the making: an element that the dog has, or a new one. */
export type LinkPlan = { readonly part: ElementKey | null; readonly element: ElementId | ElementRecord };
export type ExercisePlan = {
  readonly dogId: DogId;
  readonly source: { readonly ruleBookId: RuleBookId; readonly exercise: ExerciseKey } | { readonly title: string; readonly goal: string };
  readonly links: readonly LinkPlan[];
};

/**
 * Breaks an exercise down: new elements and the exercise in one transaction. Fails with `empty`, `exists` (that exercise of the rule book is broken
 * down already) or `circle`; nothing is written then. Gives back what undoes it.
 */
export async function makeExercise(kennel: Kennel, plan: ExercisePlan): Promise<Result<Before>> {
  const { database } = kennel;
  if (plan.links.length === 0) return fail('empty', 'links', 'An exercise needs one link at least.');
  return database.transaction('rw', database.elements, database.breakdowns, async () => {
    const known = await database.breakdowns.where('dogId').equals(plan.dogId).toArray();
    const { source } = plan;
    if ('exercise' in source && known.some((one) => one.ruleBookId === source.ruleBookId && one.exercise === source.exercise))
      return fail('exists', 'source', 'This exercise is broken down for this dog already.');
    const made = plan.links.flatMap((link) => (typeof link.element === 'string' ? [] : [link.element]));
    const circle = findCircle([...(await database.elements.where('dogId').equals(plan.dogId).toArray()), ...made]);
    if (circle) return fail('circle', 'links', 'These prerequisites go round in a circle: nothing could be begun.');
    const id = newId<BreakdownId>();
    const own = 'title' in source;
    await database.elements.bulkAdd(made);
    await database.breakdowns.add({
      id,
      dogId: plan.dogId,
      ruleBookId: own ? null : source.ruleBookId,
      exercise: own ? asId<ExerciseKey>(`own-${id}`) : source.exercise,
      own: own ? { title: source.title, goal: source.goal } : null,
      links: plan.links.map((link, i) => ({
        part: link.part ?? asId<ElementKey>(`own-${id}-${i + 1}`),
        element: typeof link.element === 'string' ? link.element : link.element.id,
      })),
    });
    return ok({ elements: [], breakdowns: [], made: { elements: made.map((element) => element.id), breakdowns: [id] } });
  });
}

/** Puts an exercise in another order or with other links, or back where it was taken away. Gives back what was there, for undo; null if nothing was. */
export async function changeBreakdown(kennel: Kennel, changed: Breakdown): Promise<Breakdown | null> {
  return kennel.database.transaction('rw', kennel.database.breakdowns, async () => {
    const before = await kennel.database.breakdowns.get(changed.id);
    await kennel.database.breakdowns.put(changed);
    return before ?? null;
  });
}

/** Takes an exercise away; its elements stay. Gives it back, for undo. */
export async function removeBreakdown(kennel: Kennel, id: BreakdownId): Promise<Breakdown | null> {
  return kennel.database.transaction('rw', kennel.database.breakdowns, async () => {
    const before = await kennel.database.breakdowns.get(id);
    await kennel.database.breakdowns.delete(id);
    return before ?? null;
  });
}

export type Part = { readonly title: string; readonly axes: readonly Axis[] };

/**
 * Splits an element in two. Its reps stay with it and count for neither part until they are assigned; exercises get both parts in its place, and what
 * needed it needs both. Fails with `part` where a part has no name or no axis, `running` while a session of it is open.
 */
export async function splitElement(kennel: Kennel, id: ElementId, parts: readonly [Part, Part]): Promise<Result<Before>> {
  const empty = parts.find((part) => part.title.trim() === '' || part.axes.length === 0);
  if (empty) return fail('part', '', 'Each part needs a name and a criterion axis.');
  return reshape(kennel, [id], 'split', ([whole]) =>
    parts.map((part): ElementRecord => ({ ...(whole as ElementRecord), ...FRESH, id: newId(), title: part.title.trim(), axes: [...part.axes] })),
  );
}

/** Joins two elements of a dog into one, with the axes, faults and kit of both. Their reps stay with them until they are assigned. Fails as splitting does. */
export async function mergeElements(kennel: Kennel, ids: readonly [ElementId, ElementId], title: string): Promise<Result<Before>> {
  if (title.trim() === '') return fail('part', '', 'The joined element needs a name.');
  return reshape(kennel, ids, 'merged', ([first, second]) => {
    if (!first || !second) return [];
    const more = <T>(of: (element: ElementRecord) => readonly T[], key: (one: T) => unknown): T[] => {
      const mine = of(first);
      return [...mine, ...of(second).filter((one) => !mine.some((other) => key(other) === key(one)))];
    };
    const joined: ElementRecord = {
      ...first,
      ...FRESH,
      id: newId(),
      title: title.trim(),
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
      needs: more(
        (element) => element.needs,
        (need) => need.element,
      ).filter((need) => !ids.includes(need.element)),
      method: null,
    };
    return [joined];
  });
}

/** What parts do not take from the whole: values that stood on rungs of its ladder, and its own fate. */
const FRESH = {
  edits: [],
  byHand: [],
  countsFrom: [],
  ladderRule: 'one-axis',
  form: PLAIN_ELEMENT.form,
  retired: null,
  assigned: [],
} satisfies Partial<ElementRecord>;

async function reshape(
  kennel: Kennel,
  ids: readonly ElementId[],
  how: 'split' | 'merged',
  make: (wholes: readonly ElementRecord[]) => readonly ElementRecord[],
): Promise<Result<Before>> {
  const { database } = kennel;
  return database.transaction('rw', database.elements, database.breakdowns, database.sessions, async () => {
    const wholes = (await database.elements.bulkGet([...ids])).filter((one) => one !== undefined);
    if (wholes.length < ids.length || wholes.some((one) => one.retired !== null || one.dogId !== wholes[0]?.dogId))
      return fail('gone', '', 'These elements are not (or no longer) elements of one dog.');
    const running = await database.sessions
      .where('elementId')
      .anyOf([...ids])
      .filter((session) => session.endedAt === null)
      .count();
    if (running > 0) return fail('running', '', 'A session of it is still open. End it first, so that its reps are where they belong.');
    const made = make(wholes);
    const dogId = (wholes[0] as ElementRecord).dogId;
    const others = (await database.elements.where('dogId').equals(dogId).toArray()).filter((one) => !ids.includes(one.id));
    const needing = others.filter((one) => one.needs.some((need) => ids.includes(need.element)));
    const breakdowns = (await database.breakdowns.where('dogId').equals(dogId).toArray()).filter((one) =>
      one.links.some((link) => ids.includes(link.element)),
    );
    await database.elements.bulkAdd([...made]);
    await database.elements.bulkPut(wholes.map((one) => ({ ...one, retired: { how, into: made.map((part) => part.id) } })));
    await database.elements.bulkPut(needing.map((one) => ({ ...one, needs: renamed(one.needs, ids, made) })));
    await database.breakdowns.bulkPut(breakdowns.map((one) => ({ ...one, links: relinked(one.links, ids, made) })));
    return ok({ elements: [...wholes, ...needing], breakdowns, made: { elements: made.map((part) => part.id), breakdowns: [] } });
  });
}

/** A need of what is gone becomes a need of all that came of it, no further up than their ladders go. */
function renamed(needs: ElementRecord['needs'], gone: readonly ElementId[], made: readonly ElementRecord[]): ElementRecord['needs'] {
  const kept = needs.filter((need) => !gone.includes(need.element));
  const rung = Math.max(...needs.filter((need) => gone.includes(need.element)).map((need) => need.rung));
  return [...kept, ...made.map((part) => ({ element: part.id, rung: Math.min(rung, buildLadder(part).rungs.length - 1) }))];
}

function relinked(links: Breakdown['links'], gone: readonly ElementId[], made: readonly ElementRecord[]): Breakdown['links'] {
  const all = links.flatMap((link) => (gone.includes(link.element) ? made.map((part) => ({ part: link.part, element: part.id })) : [link]));
  // Two neighbours that were joined are one link, unless a rule book prices them apart.
  return all.filter((link, i) => i === 0 || all[i - 1]?.element !== link.element || all[i - 1]?.part !== link.part);
}

/** Says for which parts a session of an undivided element counts; none takes it back. */
export async function assignSession(kennel: Kennel, whole: ElementId, session: SessionId, to: readonly ElementId[]): Promise<ElementRecord | null> {
  return kennel.database.transaction('rw', kennel.database.elements, async () => {
    const before = await kennel.database.elements.get(whole);
    if (!before) return null;
    const others = before.assigned.filter((one) => one.session !== session);
    await kennel.database.elements.put({ ...before, assigned: to.length === 0 ? others : [...others, { session, to: [...to] }] });
    return before;
  });
}

/** Gives another dog the same element, its ladder begun where that dog can. Its history, prerequisites and fate are its own. Fails as rescaling does. */
export async function copyToDog(kennel: Kennel, element: ElementRecord, dogId: DogId, starts: Criteria): Promise<Result<ElementRecord>> {
  const rescaled = rescaleLadder(element, starts);
  if (!rescaled.ok) return rescaled;
  const form = element.form.kind === 'chain' ? PLAIN_ELEMENT.form : element.form;
  const copy: ElementRecord = { ...element, ...rescaled.value, id: newId(), dogId, form, needs: [], retired: null, assigned: [] };
  await kennel.database.elements.add(copy);
  return ok(copy);
}
