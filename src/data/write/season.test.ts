import { describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { holesOf, LIVE_KINDS, tallyOf } from '@/core/review';
import { ownFault } from '@/core/rulebooks';
import { addDays, asId, type Day, type DogId, must } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import {
  CHANGED,
  DOG,
  exportTables,
  kennelWithDog,
  repsStored,
  testElement,
} from '@/data/kennel.test-helper';
import {
  asLive,
  type ElementRecord,
  elementOfKind,
  liveDays,
  reachAxis,
  scenesBefore,
  seasonOf,
  trainedTo,
} from '@/data/read';
import { checkReferences } from '@/data/records/references';
import {
  addEvent,
  changeEvent,
  changeLiveDay,
  countAsRep,
  type EventSaid,
  endBout,
  removeEvent,
  saySeason,
  startBout,
  takeBack,
} from '.';

const TODAY = '2026-11-20' as Day;
const NOON = Date.parse('2026-11-20T12:00:00Z');
const said = (change: Partial<EventSaid> = {}): EventSaid => ({
  at: null,
  what: 'blind',
  element: null,
  distance: 50,
  wind: 'into',
  cover: null,
  end: 'right',
  faults: [],
  tries: 1,
  words: '',
  ...change,
});
const add = async (kennel: Kennel, change: Partial<EventSaid> = {}, day = TODAY, dog = DOG) =>
  must(await addEvent(kennel, dog, day, said(change), NOON));

describe('live days in the kennel', () => {
  it('a day begins with its first event, two dogs share it, and each has its own order', async () => {
    const kennel = await kennelWithDog();
    const mate = asId<DogId>('mate');
    await kennel.database.of('dogs').add({
      ...((await kennel.database.of('dogs').get(DOG)) as never as object),
      id: mate,
      name: 'Mate',
    } as never);
    await add(kennel);
    await add(kennel, { end: 'lost' });
    await add(kennel, {}, TODAY, mate);
    const tables = await exportTables(kennel);
    expect(tables.outings).toMatchObject([{ kind: 'hunt', day: TODAY, dogs: [DOG, mate] }]);
    expect(tables.events.map(({ dogId, order, end }) => [dogId, order, end]).sort()).toEqual([
      [DOG, 1, 'right'],
      [DOG, 2, 'lost'],
      [mate, 1, 'right'],
    ]);
    expect(checkReferences(tables)).toBeNull();
    const [own] = await liveDays(kennel, DOG, TODAY, TODAY);
    expect(own?.events).toHaveLength(2);
  });

  it('is said otherwise, tried again, taken off and taken back', async () => {
    const kennel = await kennelWithDog();
    const { made } = await add(kennel);
    must(await changeEvent(kennel, made.id, { tries: 2, words: 'gave up at the hedge', end: 'fault' }));
    const gone = must(await removeEvent(kennel, made.id));
    expect((await liveDays(kennel, DOG, TODAY, TODAY)).length).toBe(0);
    must(await takeBack(kennel, gone));
    const [day] = await liveDays(kennel, DOG, TODAY, TODAY);
    expect(day?.events).toMatchObject([{ tries: 2, words: 'gave up at the hedge', end: 'fault' }]);
    must(await changeLiveDay(kennel, made.outingId ?? asId('none'), { helpers: 'Ada, Bo' }));
    expect((await liveDays(kennel, DOG, TODAY, TODAY))[0]?.outing.helpers).toBe('Ada, Bo');
    expect(await changeEvent(kennel, asId('none'), {})).toMatchObject({ ok: false, code: 'gone' });
    expect(await changeLiveDay(kennel, asId('none'), {})).toMatchObject({ ok: false, code: 'gone' });
    expect(await addEvent(kennel, DOG, TODAY, said({ distance: -3 }), NOON)).toMatchObject({
      ok: false,
      code: 'record',
    });
  });

  it('training on the same day is a lesson of its own, and its reps are no events', async () => {
    const kennel = await kennelWithDog();
    const element = { ...testElement('blind'), changed: CHANGED };
    await kennel.database.of('elements').add(element as never);
    await add(kennel);
    const bout = must(await startBout(kennel, element as never, { day: TODAY, away: false, start: {} })).made;
    must(await endBout(kennel, bout.id));
    const { outings, events } = await exportTables(kennel);
    expect(outings.map(({ kind }) => kind).sort()).toEqual(['hunt', 'training']);
    expect(events).toHaveLength(1);
  });

  it('what a dog is kept to is said piece by piece, and nothing is the program’s', async () => {
    const kennel = await kennelWithDog();
    expect(await seasonOf(kennel, DOG)).toEqual({ first: false, birds: null, companions: null, days: null });
    must(await saySeason(kennel, DOG, { first: true }));
    const birds = must(await saySeason(kennel, DOG, { birds: 4 }));
    expect(await seasonOf(kennel, DOG)).toMatchObject({ first: true, birds: 4, companions: null });
    must(await takeBack(kennel, birds));
    expect(await seasonOf(kennel, DOG)).toMatchObject({ first: true, birds: null });
    expect(await saySeason(kennel, DOG, { birds: 0 })).toMatchObject({ ok: false, code: 'record' });
    expect(checkReferences(await exportTables(kennel))).toBeNull();
  });

  it('a fault that is said afterwards and taken back leaves the end as it was tapped', async () => {
    const kennel = await kennelWithDog();
    const ends = async () =>
      ((await liveDays(kennel, DOG, TODAY, TODAY))[0]?.events ?? []).map((one) => asLive(one).end);
    const right = (await add(kennel)).made;
    const faulty = (await add(kennel, { end: 'fault' })).made;
    const lost = (await add(kennel, { end: 'lost' })).made;
    for (const { id } of [right, faulty, lost])
      must(await changeEvent(kennel, id, { faults: [ownFault('ran-in')] }));
    expect(await ends()).toEqual(['fault', 'fault', 'lost']);
    for (const { id } of [right, faulty, lost]) must(await changeEvent(kennel, id, { faults: [] }));
    expect(await ends()).toEqual(['right', 'fault', 'lost']);
  });

  it('a scene from before the program belongs to no day', async () => {
    const kennel = await kennelWithDog();
    must(await addEvent(kennel, DOG, null, said({ words: 'the ditch behind the mill' }), NOON));
    must(await addEvent(kennel, DOG, null, said({ end: 'lost' }), NOON));
    const { outings, events } = await exportTables(kennel);
    expect([outings, events.length]).toEqual([[], 2]);
    expect((await scenesBefore(kennel, DOG)).map(({ order, end }) => [order, end])).toEqual([
      [1, 'right'],
      [2, 'lost'],
    ]);
    expect(await liveDays(kennel, DOG, '2000-01-01' as Day, TODAY)).toEqual([]);
    expect(checkReferences(await exportTables(kennel))).toBeNull();
  });

  it('days of a season by their dates, the last first', async () => {
    const kennel = await kennelWithDog();
    for (const back of [0, 10, 400]) await add(kennel, {}, addDays(TODAY, -back));
    const days = await liveDays(kennel, DOG, addDays(TODAY, -364), TODAY);
    expect(days.map(({ outing }) => outing.day)).toEqual([TODAY, addDays(TODAY, -10)]);
  });
});

describe('a live event as a rep, where somebody says so', () => {
  const element = { ...testElement('blind'), changed: CHANGED } as unknown as ElementRecord;
  const axis = element.axes[0]?.key ?? null;
  const evidence = async (kennel: Kennel) => (await repsStored(kennel, DOG)).get(element.id) ?? [];

  it('is none by itself; counted it is away, unpaid, at its own distance, and Undo takes it back', async () => {
    const kennel = await kennelWithDog();
    await kennel.database.of('elements').add(element);
    const { made } = await add(kennel, { distance: 50, end: 'lost' });
    expect(await evidence(kennel)).toEqual([]);
    const counted = must(await countAsRep(kennel, made.id, element, axis));
    const [rep] = await evidence(kennel);
    expect(rep?.criteria).toMatchObject({ [axis as string]: 50 });
    expect(rep).toMatchObject({ outcome: 'miss', away: true });
    const { bouts, outings, events } = await exportTables(kennel);
    expect([bouts.length, outings.length, events[0]?.rep]).toEqual([1, 1, counted.made.rep]);
    expect(bouts[0]).toMatchObject({ outingId: outings[0]?.id, endedAt: expect.any(Number) });
    expect(await countAsRep(kennel, made.id, element, axis)).toMatchObject({ ok: false, code: 'counted' });
    // A second one of the day joins the same bout, and the dog stands where it stood.
    const second = await add(kennel, { distance: 30 });
    must(await countAsRep(kennel, second.made.id, element, axis));
    expect((await evidence(kennel)).length).toBe(2);
    expect((await exportTables(kennel)).bouts).toHaveLength(1);
    expect(checkReferences(await exportTables(kennel))).toBeNull();
  });

  it('is taken back whole', async () => {
    const kennel = await kennelWithDog();
    await kennel.database.of('elements').add(element);
    const { made } = await add(kennel);
    const counted = must(await countAsRep(kennel, made.id, element, axis));
    must(await takeBack(kennel, counted));
    expect(await evidence(kennel)).toEqual([]);
    const after = await exportTables(kennel);
    expect(after.events[0]?.rep).toBeNull();
    expect(checkReferences(after)).toBeNull();
    // Counted again it is one rep, not two.
    must(await countAsRep(kennel, made.id, element, axis));
    expect((await evidence(kennel)).length).toBe(1);
  });

  it('a scene of no day is none, and what is gone is said', async () => {
    const kennel = await kennelWithDog();
    await kennel.database.of('elements').add(element);
    const scene = must(await addEvent(kennel, DOG, null, said(), NOON)).made;
    expect(await countAsRep(kennel, scene.id, element, axis)).toMatchObject({ ok: false, code: 'day' });
    expect(await countAsRep(kennel, asId('none'), element, axis)).toMatchObject({ ok: false, code: 'gone' });
  });
});

describe('what a live event is of the dog’s work', () => {
  const element = (id: string, method: string | null, title = id): ElementRecord =>
    ({
      ...testElement(id, { title }),
      method: method === null ? null : { id: method.split('/')[0], element: method.split('/')[1] },
      changed: CHANGED,
    }) as never;

  it('by its method first, by its name else, and nothing where nothing fits', () => {
    const scene = element('scene', 'field-season/blind');
    const memory = element('far', 'memory-retrieve/blind');
    const named = element('my', null, 'Flush and stop');
    expect(elementOfKind('blind', [scene, memory])?.id).toBe('far');
    expect(elementOfKind('blind', [scene])?.id).toBe('scene');
    expect(elementOfKind('flush', [scene, named])?.id).toBe('my');
    expect(elementOfKind('delivery', [scene, memory])).toBeNull();
    expect(reachAxis(memory)?.key).toBe(testAxis().key);
  });

  it('trained to where the dog stands; the holes of its days become the goal that is furthest of what went wrong', async () => {
    const kennel = await kennelWithDog();
    const blind = element('far', 'memory-retrieve/blind');
    await kennel.database.of('elements').add(blind as never);
    const [axis] = blind.axes;
    expect(await trainedTo(kennel, [blind], LIVE_KINDS)).toEqual({ blind: axis?.start });
    for (const [distance, end] of [
      [20, 'right'],
      [25, 'right'],
      [30, 'right'],
      [35, 'right'],
      [28, 'right'],
      [33, 'right'],
      [62, 'lost'],
      [70, 'lost'],
      [66, 'lost'],
      [75, 'lost'],
      [64, 'lost'],
    ] as const)
      await add(kennel, { distance, end });
    const events = (await liveDays(kennel, DOG, TODAY, TODAY)).flatMap((one) => one.events.map(asLive));
    expect(tallyOf(events)).toEqual([{ what: 'blind', n: 11, right: 6 }]);
    expect(holesOf(events, await trainedTo(kennel, [blind], LIVE_KINDS))).toMatchObject([
      {
        what: 'blind',
        where: { beyond: 40, wind: null, cover: null },
        n: 5,
        right: 0,
        goal: 75,
        thin: false,
      },
    ]);
  });
});
