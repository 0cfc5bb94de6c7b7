import { describe, expect, it } from 'vitest';
import { axisFrom, METHODS } from '@/core/breakdown';
import { HEIGHT as height, testAxis } from '@/core/breakdown/axis.test-helper';
import { plainRep } from '@/core/log';
import { asId, type Day, type DogId, type ElementId, must } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import {
  DOG,
  emptyKennel,
  evidenceStored,
  exportTables,
  kennelWithDog,
  testElement,
} from '@/data/kennel.test-helper';
import { elementFromMethod, listDogs, namedFaults, placesOf, putAwayOf, workOf } from '@/data/read';
import { standsAt } from '@/data/read/evidence';
import type { ElementRecord } from '@/data/records';
import { sampleState } from '@/demo/sample-state.test-helper';
import {
  addFirstElement,
  assignBout,
  changeBreakdown,
  changeElement,
  copyForDog,
  endBout,
  makeExercise,
  mergeElements,
  putExerciseAway,
  record,
  splitElement,
  startBout,
  takeBack,
} from './';
import { sound } from './sound.test-helper';

const DISTANCE = testAxis().key;
const whole = testElement('fetch', { axes: [testAxis(), height], kit: ['hurdle'] });
const after = testElement('give', {
  needs: [{ element: whole.id, at: { [DISTANCE]: 12, [height.key]: 0.2 } }],
});
const start = { day: '2026-06-01' as Day, away: false, start: { [DISTANCE]: 5, [height.key]: 0.1 } };

/** A kennel with an own exercise of two links, and one bout of three reps on the first. */
async function begin() {
  const kennel = await kennelWithDog();
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
  const bout = must(await startBout(kennel, whole, start)).made;
  const rep = { kind: 'rep' as const, ...plainRep(start.start, { outcome: 'clean' }) };
  for (let i = 0; i < 3; i++) must(await record(kennel, bout, rep));
  return { kennel, made, bout };
}
const portions = [
  { title: 'Out', axes: [testAxis()] },
  { title: 'Jump', axes: [height] },
] as const;
const titles = async (kennel: Kennel) => {
  const { breakdowns, elements } = await workOf(kennel, DOG);
  return breakdowns.map((one) =>
    one.links.map((link) => elements.find((other) => other.id === link.element)?.title),
  );
};

describe('breaking down', () => {
  it('makes the exercise and its elements at once; taken back, what has reps stays', async () => {
    const { kennel, made } = await begin();
    expect(await titles(kennel)).toEqual([['fetch', 'give']]);
    await sound(kennel);
    must(await takeBack(kennel, made));
    const { breakdowns, elements } = await workOf(kennel, DOG);
    expect([breakdowns, elements.map((one) => one.title)]).toEqual([[], ['fetch']]);
    expect((await evidenceStored(kennel, DOG)).get(whole.id)?.[0]?.reps).toBe(3);
    await sound(kennel);
  });

  it.each([
    ['no link', { links: [] }, 'empty'],
    [
      'a circle',
      {
        links: [
          { part: null, element: testElement('a', { needs: [{ element: asId<ElementId>('a'), at: {} }] }) },
        ],
      },
      'circle',
    ],
  ])('refuses %s and writes nothing', async (_, change, code) => {
    const { kennel } = await begin();
    const before = await exportTables(kennel);
    const plan = { dogId: DOG, source: { title: 'X', goal: '' }, ...change };
    expect(await makeExercise(kennel, plan)).toMatchObject({ ok: false, code });
    expect(await exportTables(kennel)).toEqual(before);
  });

  it('changes the order, is put away with its elements kept, and comes back', async () => {
    const { kennel } = await begin();
    const [exercise] = (await workOf(kennel, DOG)).breakdowns;
    if (!exercise) throw new Error('an exercise');
    const turned = must(
      await changeBreakdown(kennel, exercise.id, ({ links }) => ({ links: [...links].reverse() })),
    );
    expect(await titles(kennel)).toEqual([['give', 'fetch']]);
    must(await takeBack(kennel, turned));
    expect(await titles(kennel)).toEqual([['fetch', 'give']]);
    const removed = must(await putExerciseAway(kennel, exercise.id, true));
    expect([await titles(kennel), (await workOf(kennel, DOG)).elements.length]).toEqual([[], 2]);
    expect((await putAwayOf(kennel, DOG)).breakdowns.map((one) => one.id)).toEqual([exercise.id]);
    must(await takeBack(kennel, removed));
    expect(await titles(kennel)).toEqual([['fetch', 'give']]);
    must(await putExerciseAway(kennel, exercise.id, true));
    must(await putExerciseAway(kennel, exercise.id, false));
    expect(await titles(kennel)).toEqual([['fetch', 'give']]);
    expect(await changeBreakdown(kennel, asId('ghost'), {})).toMatchObject({ ok: false, code: 'gone' });
    await sound(kennel);
  });
});

describe('splitting and merging', () => {
  it('keeps old reps with the undivided element until they are assigned', async () => {
    const { kennel, bout } = await begin();
    must(await endBout(kennel, bout.id));
    const split = must(await splitElement(kennel, whole.id, portions));
    expect(await titles(kennel)).toEqual([['Out', 'Jump', 'give']]);
    const { elements } = await workOf(kennel, DOG);
    const [out, jump] = elements.find((one) => one.id === whole.id)?.retired?.into ?? [];
    // What needed the whole needs each portion, on the axes that it has.
    expect(elements.find((one) => one.id === after.id)?.needs).toEqual([
      { element: out, at: { [DISTANCE]: 12 } },
      { element: jump, at: { [height.key]: 0.2 } },
    ]);
    expect((await evidenceStored(kennel, DOG)).get(out as ElementId)).toBeUndefined();
    const assigned = must(await assignBout(kennel, whole.id, bout.id, [out as ElementId]));
    const reps = await evidenceStored(kennel, DOG);
    expect([out, jump, whole.id].map((id) => reps.get(id as ElementId)?.[0]?.reps)).toEqual([
      3,
      undefined,
      3,
    ]);
    await sound(kennel);
    must(await takeBack(kennel, assigned));
    expect((await evidenceStored(kennel, DOG)).get(out as ElementId)).toBeUndefined();
    must(await takeBack(kennel, split));
    expect(await titles(kennel)).toEqual([['fetch', 'give']]);
    await sound(kennel);
  });

  it('refuses while a bout is open, and portions without a name', async () => {
    const { kennel, bout } = await begin();
    expect(await splitElement(kennel, whole.id, portions)).toMatchObject({ ok: false, code: 'running' });
    must(await endBout(kennel, bout.id));
    const nameless = [portions[0], { title: ' ', axes: [height] }] as const;
    expect(await splitElement(kennel, whole.id, nameless)).toMatchObject({ ok: false, code: 'part' });
    must(await splitElement(kennel, whole.id, portions));
    expect(await splitElement(kennel, whole.id, portions)).toMatchObject({ ok: false, code: 'gone' });
  });

  it('joins two with all that either had', async () => {
    const { kennel, bout } = await begin();
    must(await endBout(kennel, bout.id));
    must(await mergeElements(kennel, [whole.id, after.id], 'All of it'));
    expect(await titles(kennel)).toEqual([['All of it', 'All of it']]);
    const joined = (await workOf(kennel, DOG)).elements.find((one) => one.title === 'All of it');
    expect([joined?.axes.map((axis) => axis.key), joined?.kit, joined?.needs]).toEqual([
      ['distance', 'height'],
      ['hurdle'],
      [],
    ]);
    await sound(kennel);
  });

  it('another dog gets the element with its own start, and none of its past', async () => {
    const { kennel } = await begin();
    const [stored] = (await workOf(kennel, DOG)).elements.filter((one) => one.id === after.id);
    const other = asId<DogId>('other');
    const copy = must(await copyForDog(kennel, stored as ElementRecord, other, { [DISTANCE]: 2 })).made;
    expect(copy).toMatchObject({
      dogId: 'other',
      title: 'give',
      needs: [],
      axes: [{ start: 2, demand: 20 }],
    });
    const far = copyForDog(kennel, stored as ElementRecord, other, { [DISTANCE]: 99 });
    expect(await far).toMatchObject({ ok: false, code: 'direction' });
    expect(await kennel.database.of('elements').where('dogId').equals('other').count()).toBe(1);
  });
});

describe('a person’s own element', () => {
  const method = METHODS.find((one) => one.id === 'positions-at-a-distance');
  const [part] = method?.elements ?? [];
  const [spec] = part?.axes ?? [];
  if (!method || !part || !spec) throw new Error('the method has a first element');
  const axes = [must(axisFrom(spec, { start: 1, demand: 15, step: null }))];
  const first = {
    element: (id: ElementId, dogId: DogId) => elementFromMethod(id, dogId, method, part, axes),
  };
  const add = (kennel: Kennel, name = 'Wren') => addFirstElement(kennel, { name }, first);

  it('is made from a method, has its faults, and stands where its last bout left it', async () => {
    const kennel = await emptyKennel();
    const { made } = must(await add(kennel));
    const work = await workOf(kennel, made.dogId);
    expect([(await listDogs(kennel)).map((dog) => dog.name), work.elements]).toEqual([['Wren'], [made]]);
    expect(made).toMatchObject({ axes: [{ start: 1, demand: 15 }], policy: { rule: { advanceAfter: 5 } } });
    expect([made.method?.element, placesOf(made.id, work)]).toEqual(['position', []]);
    expect(namedFaults(made, work).map(({ ref }) => [ref.exercise, ref.key])).toEqual(
      part.faults.map((fault) => [null, fault.key]),
    );
    expect(await standsAt(kennel, made.id)).toBeNull();
    const bout = must(await startBout(kennel, made, { ...start, start: { [spec.axis.key]: 3 } })).made;
    must(await record(kennel, bout, { kind: 'move', to: { [spec.axis.key]: 4 }, because: 'hand' }));
    expect(await standsAt(kennel, made.id)).toEqual({ [spec.axis.key]: 4 });
    // A second dog comes after the first, in the person's order.
    must(await add(kennel, 'Abel'));
    expect((await listDogs(kennel)).map((dog) => dog.name)).toEqual(['Wren', 'Abel']);
  });

  it('two changes of parts of one thing keep both, and a change is taken back by difference', async () => {
    const kennel = await emptyKennel();
    const { made } = must(await add(kennel));
    const articles: ElementRecord['articles'] = {
      count: 6,
      shape: 'line',
      laid: 'hidden',
      nearer: false,
      names: [],
      aidedAgain: false,
    };
    must(await changeElement(kennel, made.id, { articles }));
    const [circle] = await Promise.all([
      changeElement(kennel, made.id, (stored) => ({
        articles: stored.articles && { ...stored.articles, shape: 'circle' },
      })),
      changeElement(kennel, made.id, (stored) => ({
        articles: stored.articles && { ...stored.articles, nearer: true },
      })),
    ]);
    const stored = async () => (await workOf(kennel, made.dogId)).elements[0];
    expect((await stored())?.articles).toEqual({ ...articles, shape: 'circle', nearer: true });
    const retitled = must(await changeElement(kennel, made.id, { title: 'Other' }));
    must(await changeElement(kennel, made.id, { kit: ['whistle'] }));
    must(await takeBack(kennel, retitled));
    expect(await stored()).toMatchObject({ title: made.title, kit: ['whistle'] });
    // What somebody changed since is not taken back with it.
    must(await takeBack(kennel, must(circle as never)));
    expect((await stored())?.articles).toMatchObject({ nearer: true });
    expect(await changeElement(kennel, asId('ghost'), {})).toMatchObject({ ok: false, code: 'gone' });
  });

  it('that serves two exercises has the faults of each, and those that both have only once', () => {
    const { work } = sampleState();
    const [one, two] = work.breakdowns;
    const stop = work.elements.find((candidate) => candidate.id === 'sample-stop-down');
    if (!one || !two || !stop) throw new Error('the sample has two exercises');
    const links = two.links.map((link) => (link.part === 'give' ? { ...link, element: stop.id } : link));
    const shared = { ...work, breakdowns: [one, { ...two, links }] };
    expect(namedFaults(stop, shared).map(({ ref }) => `${ref.exercise ?? 'both'}/${ref.key}`)).toEqual([
      'square/no-stop',
      'square/slow-down',
      'square/over-tape',
      'both/extra-cue',
      'both/body-help',
      'both/early-step',
      'hurdle/drops',
      'hurdle/holds-on',
      'hurdle/mouthing-front',
    ]);
    expect(placesOf(stop.id, shared).map((place) => [place.exercise.id, place.part])).toEqual([
      ['square', 'stop-down'],
      ['hurdle', 'give'],
    ]);
  });
});
