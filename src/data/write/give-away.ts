import { type Criteria, rescaleLadder } from '@/core/breakdown';
import { type BreakdownId, type DogId, type ElementId, type Result, say } from '@/core/shared';
import { type Kennel, newId } from '@/data/kennel';
import { isSameWork } from '@/data/read/same-work';
import { type Breakdown, type ElementRecord, type New, PLAIN_ELEMENT } from '@/data/records';
import { refuse, transact, type Undo, type Write } from './transact';

/**
 * Gives another dog the same element, its ladder begun where that dog can. Its history,
 * prerequisites and fate are its own. Fails as rescaling does.
 */
export async function copyForDog(
  kennel: Kennel,
  element: ElementRecord,
  dogId: DogId,
  starts: Criteria,
): Promise<Result<Undo<ElementRecord>>> {
  const rescaled = rescaleLadder(element, starts);
  if (!rescaled.ok) return rescaled;
  return transact(kennel, ['elements'], (write) =>
    write.put('elements', fresh({ ...element, ...rescaled.value }, dogId)),
  );
}

/**
 * Gives another dog whole exercises: their links, and an element of its own for each, begun where the
 * ladder begins. An element that it has already (the same piece of a method, or the same name) serves in
 * place of a copy; an exercise that it has already is left as it is. Gives the exercises that were made.
 * Fails with `gone` where one of them is not there.
 */
export function copyExercises(
  kennel: Kennel,
  ids: readonly BreakdownId[],
  dogId: DogId,
): Promise<Result<Undo<readonly Breakdown[]>>> {
  return transact(kennel, ['elements', 'breakdowns'], async (write) => {
    const own = (await write.ofDog('elements', dogId)).filter((one) => one.retired === null && !one.putAway);
    const known = (await write.ofDog('breakdowns', dogId)).filter((one) => !one.putAway);
    const twins = new Map<ElementId, ElementId>();
    const copied: ElementRecord[] = [];
    const made: Breakdown[] = [];
    for (const id of ids) {
      const stored =
        (await write.get('breakdowns', id)) ??
        refuse('gone', id, say('data.reshape.this-exercise-is-not-there-any'));
      if ([...known, ...made].some((one) => isSameExercise(one, stored))) continue;
      for (const { element } of stored.links) {
        if (twins.has(element)) continue;
        const source = await write.get('elements', element);
        if (!source) continue;
        const twin = own.find((one) => isSameWork(one, source));
        if (twin) twins.set(element, twin.id);
        else {
          const copy = await write.put('elements', fresh(source, dogId));
          twins.set(element, copy.id);
          copied.push(source);
        }
      }
      const copyId = newId<BreakdownId>();
      made.push(
        await write.put('breakdowns', {
          ...stored,
          id: copyId,
          dogId,
          links: stored.links.flatMap(({ part, element }) => {
            const twin = twins.get(element);
            return twin ? [{ part, element: twin }] : [];
          }),
        }),
      );
    }
    for (const source of copied) await relate(write, source, twins);
    return made;
  });
}

const isSameExercise = (one: Breakdown, other: Breakdown): boolean =>
  other.ruleBookId === null
    ? one.own?.title.toLowerCase() === other.own?.title.toLowerCase()
    : one.ruleBookId === other.ruleBookId && one.exercise === other.exercise;

/** The same element for another dog: no history, and nothing of what it hangs on yet. */
const fresh = (source: ElementRecord, dogId: DogId): New<ElementRecord> => ({
  ...source,
  id: newId<ElementId>(),
  dogId,
  form: source.form.kind === 'chain' ? PLAIN_ELEMENT.form : source.form,
  needs: [],
  wait: null,
  retired: null,
  assigned: [],
});

/** What a copied element waits for, where that was copied too. */
async function relate(
  write: Write,
  source: ElementRecord,
  twins: ReadonlyMap<ElementId, ElementId>,
): Promise<void> {
  const copy = await write.get('elements', twins.get(source.id) ?? source.id);
  if (!copy) return;
  const needs = source.needs.flatMap((need) => {
    const element = twins.get(need.element);
    return element ? [{ ...need, element }] : [];
  });
  const wait = (source.wait && twins.get(source.wait)) ?? null;
  if (needs.length > 0 || wait) await write.put('elements', { ...copy, needs, wait });
}
