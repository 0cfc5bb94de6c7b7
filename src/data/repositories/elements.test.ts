import { describe, expect, it } from 'vitest';
import { axisFrom, METHODS } from '@/core/breakdown';
import { must } from '@/core/shared';
import { openDatabase } from '@/data/database';
import { sampleState } from '@/demo/sample-state.test-helper';
import {
  addDogWithElement,
  changeElement,
  type Kennel,
  lastSession,
  listDogs,
  methodOf,
  namedFaults,
  placesOf,
  recordMove,
  startSession,
  workOf,
} from '.';
import { rungOf } from './elements';

let count = 0;
const empty = async (): Promise<Kennel> => ({ name: 'own', database: must(await openDatabase(`elements-${count++}`)) });
const method = METHODS.find((one) => one.id === 'positions-at-a-distance');
const [part] = method?.elements ?? [];
const [spec] = part?.axes ?? [];
if (!method || !part || !spec) throw new Error('the method has a first element');
const first = { dogName: 'Wren', method, element: part, axes: [must(axisFrom(spec, { start: 1, demand: 15, step: null }))] };

describe('a person’s own element', () => {
  it('is made from a method with start and goal, and has its faults', async () => {
    const kennel = await empty();
    const element = await addDogWithElement(kennel, first);
    const work = await workOf(kennel, element.dogId);
    expect([(await listDogs(kennel)).map((dog) => dog.name), work.elements]).toEqual([['Wren'], [element]]);
    expect(element).toMatchObject({ title: part.title, axes: [{ start: 1, demand: 15 }], policy: { rule: { advanceAfter: 5, dropAfter: 2 } } });
    expect([methodOf(element)?.element.key, placesOf(element.id, work), namedFaults(element, work)]).toEqual(['position', [], part.faults]);
  });

  it('stands where its last session left it, at the start before any', async () => {
    const kennel = await empty();
    const element = await addDogWithElement(kennel, first);
    expect([await lastSession(kennel, element.id), await rungOf(kennel, element.id)]).toEqual([null, 0]);
    const session = await startSession(kennel, element, { now: 5, day: '2026-06-01' as never, away: false, rung: 2 });
    must(await recordMove(kennel, session, { from: 2, to: 3, by: 'hand', at: 6 }));
    expect([await rungOf(kennel, element.id), (await lastSession(kennel, element.id))?.id]).toEqual([3, session.id]);
  });

  it('gives its old ladder back when it is changed', async () => {
    const kennel = await empty();
    const element = await addDogWithElement(kennel, first);
    const axes = element.axes.map((axis) => ({ ...axis, demand: 30 }));
    const before = await changeElement(kennel, element.id, { axes, edits: [{ rung: 1, axis: spec.axis.key, value: 2 }] });
    expect(before).toEqual(element);
    expect((await workOf(kennel, element.dogId)).elements[0]).toMatchObject({ axes: [{ demand: 30 }], edits: [{ rung: 1 }] });
    expect(await changeElement(kennel, 'ghost' as never, {})).toBeNull();
    // Two changes of parts of one thing, the second made before a page has seen the first.
    const articles = { count: 6, shape: 'line', laid: 'hidden', nearer: false } as const;
    await changeElement(kennel, element.id, { articles });
    await Promise.all([
      changeElement(kennel, element.id, (stored) => ({ articles: stored.articles && { ...stored.articles, shape: 'circle' } })),
      changeElement(kennel, element.id, (stored) => ({ articles: stored.articles && { ...stored.articles, nearer: true } })),
    ]);
    expect((await kennel.database.elements.get(element.id))?.articles).toEqual({ ...articles, shape: 'circle', nearer: true });
  });
});

describe('an element that serves several exercises', () => {
  const { work } = sampleState();
  const [first, second] = work.breakdowns;
  const element = work.elements.find((candidate) => candidate.id === 'sample-stop-down');
  if (!first || !second || !element) throw new Error('the sample has two exercises');
  const shared = {
    ...work,
    breakdowns: [first, { ...second, links: second.links.map((link) => (link.part === 'give' ? { ...link, element: element.id } : link)) }],
  };

  it('has the faults of each, and those that both have only once', () => {
    const keys = namedFaults(element, shared).map((fault) => fault.key);
    expect(keys).toEqual(['no-stop', 'slow-down', 'over-tape', 'extra-cue', 'body-help', 'early-step', 'drops', 'holds-on', 'mouthing-front']);
    expect(placesOf(element.id, shared).map((place) => [place.exercise.id, place.part])).toEqual([
      ['square', 'stop-down'],
      ['hurdle', 'give'],
    ]);
  });
});
