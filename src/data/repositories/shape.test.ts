import { describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { asId, type Day, type DogId, type ElementId, must } from '@/core/shared';
import { openDatabase } from '@/data/database';
import { readKennelFile, writeKennelFile } from '@/data/files';
import { type ElementRecord, PLAIN_ELEMENT, UNKNOWN_DOG } from '@/data/records';
import {
  assignSession,
  changeBreakdown,
  copyToDog,
  endSession,
  exportTables,
  type Kennel,
  makeExercise,
  mergeElements,
  putBack,
  recordRep,
  removeBreakdown,
  repsOfDog,
  splitElement,
  startSession,
  workOf,
} from '.';

const DOG = asId<DogId>('d');
const height = testAxis({ key: 'height', title: 'Height', quantity: 'height', unit: 'cm', start: 0.1, demand: 0.4, step: 0.1, limit: 0.15 });
const element = (id: string, change: Partial<ElementRecord> = {}): ElementRecord => ({
  ...PLAIN_ELEMENT,
  id: asId<ElementId>(id),
  dogId: DOG,
  title: id,
  axes: [testAxis()],
  ...change,
});
const whole = element('fetch', { axes: [testAxis(), height], kit: ['hurdle'] });
const after = element('give', { needs: [{ element: whole.id, rung: 3 }] });

let count = 0;
/** A kennel with an own exercise of two links, and one session of three reps on the first. */
async function begin() {
  const kennel: Kennel = { name: 'own', database: must(await openDatabase(`shape-${count++}`)) };
  await kennel.database.dogs.add({ ...UNKNOWN_DOG, id: DOG, name: 'Wren' });
  const made = must(
    await makeExercise(kennel, {
      dogId: DOG,
      source: { title: 'Fetch', goal: '' },
      links: [
        { part: null, element: whole },
        { part: null, element: after },
      ],
    }),
  );
  const session = await startSession(kennel, whole, { now: 1, day: '2026-06-01' as Day, away: false, rung: 0 });
  const rep = {
    outcome: 'clean',
    option: null,
    cause: 'dog',
    aided: false,
    rung: 0,
    criteria: { distance: 5, height: 0.1 } as never,
    latency: null,
  } as const;
  for (let at = 0; at < 3; at++) must(await recordRep(kennel, session, { ...rep, at }));
  return { kennel, made, session };
}
const parts = [
  { title: 'Out', axes: [testAxis()] },
  { title: 'Jump', axes: [height] },
] as const;
const titles = async (kennel: Kennel) => {
  const { breakdowns, elements } = await workOf(kennel, DOG);
  return breakdowns.map((one) => one.links.map((link) => elements.find((other) => other.id === link.element)?.title));
};
/** Whatever is done, what is stored can be saved and read. */
const sound = async (kennel: Kennel) => expect(readKennelFile(writeKennelFile(await exportTables(kennel), 'x'))).toMatchObject({ ok: true });

describe('breaking down', () => {
  it('makes the exercise and its elements at once, and is undone at once', async () => {
    const { kennel, made } = await begin();
    expect(await titles(kennel)).toEqual([['fetch', 'give']]);
    await sound(kennel);
    await putBack(kennel, made);
    expect((await workOf(kennel, DOG)).breakdowns).toEqual([]);
  });

  it.each([
    ['no link', { links: [] }, 'empty'],
    ['a circle', { links: [{ part: null, element: element('a', { needs: [{ element: asId<ElementId>('a'), rung: 0 }] }) }] }, 'circle'],
  ])('refuses %s and writes nothing', async (_, change, code) => {
    const { kennel } = await begin();
    const before = await exportTables(kennel);
    expect(await makeExercise(kennel, { dogId: DOG, source: { title: 'X', goal: '' }, ...change })).toMatchObject({ ok: false, code });
    expect(await exportTables(kennel)).toEqual(before);
  });

  it('changes the order, and gives the old one back', async () => {
    const { kennel } = await begin();
    const [exercise] = (await workOf(kennel, DOG)).breakdowns;
    if (!exercise) throw new Error('an exercise');
    const before = await changeBreakdown(kennel, { ...exercise, links: [...exercise.links].reverse() });
    expect([await titles(kennel), before]).toEqual([[['give', 'fetch']], exercise]);
    expect(await removeBreakdown(kennel, exercise.id)).not.toBeNull();
    expect([await titles(kennel), (await workOf(kennel, DOG)).elements.length]).toEqual([[], 2]);
    await changeBreakdown(kennel, exercise);
    expect(await titles(kennel)).toEqual([['fetch', 'give']]);
    await sound(kennel);
  });
});

describe('splitting and merging', () => {
  it('keeps old reps with the undivided element until they are assigned', async () => {
    const { kennel, session } = await begin();
    await endSession(kennel, session.id, 9);
    const before = must(await splitElement(kennel, whole.id, parts));
    expect(await titles(kennel)).toEqual([['Out', 'Jump', 'give']]);
    const { elements } = await workOf(kennel, DOG);
    const [out, jump] = before.made.elements;
    expect(elements.find((one) => one.id === whole.id)?.retired).toEqual({ how: 'split', into: [out, jump] });
    // The need for rung 4 of the whole: both parts, no further than their ladders go.
    expect(elements.find((one) => one.id === after.id)?.needs).toEqual([out, jump].map((id) => ({ element: id, rung: 3 })));
    expect((await repsOfDog(kennel, DOG)).get(out as ElementId)).toBeUndefined();
    expect((await repsOfDog(kennel, DOG)).get(whole.id)).toHaveLength(3);
    await assignSession(kennel, whole.id, session.id, [out as ElementId]);
    const reps = await repsOfDog(kennel, DOG);
    expect([reps.get(out as ElementId)?.length, reps.get(jump as ElementId), reps.get(whole.id)?.length]).toEqual([3, undefined, 3]);
    await sound(kennel);
    await assignSession(kennel, whole.id, session.id, []);
    expect((await repsOfDog(kennel, DOG)).get(out as ElementId)).toBeUndefined();
    await putBack(kennel, before);
    expect(await titles(kennel)).toEqual([['fetch', 'give']]);
    await sound(kennel);
  });

  it('refuses while a session is open, and parts without a name', async () => {
    const { kennel, session } = await begin();
    expect(await splitElement(kennel, whole.id, parts)).toMatchObject({ ok: false, code: 'running' });
    await endSession(kennel, session.id, 9);
    expect(await splitElement(kennel, whole.id, [parts[0], { title: ' ', axes: [height] }])).toMatchObject({ ok: false, code: 'part' });
    must(await splitElement(kennel, whole.id, parts));
    expect(await splitElement(kennel, whole.id, parts)).toMatchObject({ ok: false, code: 'gone' });
  });

  it('joins two with all that either had', async () => {
    const { kennel, session } = await begin();
    await endSession(kennel, session.id, 9);
    must(await mergeElements(kennel, [whole.id, after.id], 'All of it'));
    expect(await titles(kennel)).toEqual([['All of it', 'All of it']]);
    const joined = (await workOf(kennel, DOG)).elements.find((one) => one.title === 'All of it');
    expect([joined?.axes.map((axis) => axis.key), joined?.kit, joined?.needs]).toEqual([['distance', 'height'], ['hurdle'], []]);
    await sound(kennel);
  });
});

describe('another dog', () => {
  it('gets the element with its own start, and none of its past', async () => {
    const { kennel } = await begin();
    const copy = must(await copyToDog(kennel, after, asId<DogId>('other'), { distance: 2 } as never));
    expect(copy).toMatchObject({ dogId: 'other', title: 'give', needs: [], axes: [{ start: 2, demand: 20 }] });
    expect(await copyToDog(kennel, after, asId<DogId>('other'), { distance: 99 } as never)).toMatchObject({ ok: false, code: 'direction' });
    expect(await kennel.database.elements.where('dogId').equals('other').count()).toBe(1);
  });
});
