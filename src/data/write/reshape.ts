import type { Axis, Criteria } from '@/core/breakdown';
import { type BoutId, type ElementId, type Result, say } from '@/core/shared';
import { type Kennel, newId } from '@/data/kennel';
import { type Breakdown, type ElementRecord, elementOf, type New, PLAIN_ELEMENT } from '@/data/records';
import { refuse, transact, type Undo, type Write } from './transact';

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
