import { describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { plainRep } from '@/core/log';
import { addDays, asId, type Day, type ElementId, must } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { DOG, exportTables, kennelWithDog, testElement } from '@/data/kennel.test-helper';
import { gapOf, keptSince, loadsOf, otherWorkOf, type SlotSaid, slotsBetween, workOf } from '@/data/read';
import { daysUsed } from '@/data/read/other-work';
import {
  addOtherWork,
  addSlot,
  endBout,
  moveSlot,
  pinSlot,
  putDogPlan,
  putUsual,
  record,
  removeOtherWork,
  removeSlot,
  removeUsual,
  startBout,
  takeBack,
  takePlan,
} from '.';

const DISTANCE = testAxis().key;
const TODAY = '2026-06-01' as Day;
const on = (count: number): Day => addDays(TODAY, count);
const [fetch, give] = [testElement('fetch', { work: ['jump'] }), testElement('give')];

async function begin(): Promise<Kennel> {
  const kennel = await kennelWithDog();
  for (const one of [fetch, give])
    await kennel.database
      .of('elements')
      .add({ ...one, changed: { at: 0, by: asId('t'), seen: { t: 1 } } } as never);
  return kennel;
}
const said = (piece: ElementId, day: Day, change: Partial<SlotSaid> = {}): SlotSaid => ({
  day,
  dog: DOG,
  piece,
  purpose: 'build',
  goes: 10,
  sets: 2,
  minutes: 8,
  why: { low: 0.001, mid: 0.0123, high: 0.02 },
  at: { [DISTANCE]: 5 },
  ...change,
});
const stored = async (kennel: Kennel) =>
  (await slotsBetween(kennel, TODAY, on(30), TODAY)).map(({ slot, state }) => [
    slot.id,
    slot.on.kind === 'element' ? slot.on.element : slot.on.breakdown,
    slot.day,
    state,
    slot.pinned,
  ]);

describe('taking a plan', () => {
  it('writes nothing where nothing changed, whatever the reasons have come to', async () => {
    const kennel = await begin();
    const plan = [said(fetch.id, on(1)), said(give.id, on(1)), said(fetch.id, on(3))];
    must(await takePlan(kennel, plan, TODAY));
    const before = await exportTables(kennel);
    const again = must(
      await takePlan(
        kennel,
        plan.map((one) => ({ ...one, why: { low: 0, mid: 0.5, high: 1 } })),
        TODAY,
      ),
    );
    expect(again.rows).toEqual([]);
    expect(await exportTables(kennel)).toEqual(before);
  });

  it('keeps the id of a bout that is moved, takes out what is gone, and is undone in one step', async () => {
    const kennel = await begin();
    const first = must(await takePlan(kennel, [said(fetch.id, on(1)), said(give.id, on(2))], TODAY));
    const before = await stored(kennel);
    const change = must(
      await takePlan(kennel, [said(fetch.id, on(5)), said(give.id, on(2), { purpose: 'keep' })], TODAY),
    );
    expect(change.made.moved.map(({ row, from }) => [row.id, from, row.day])).toEqual([
      [before[0]?.[0], on(1), on(5)],
    ]);
    expect(change.made.changed).toMatchObject([{ purpose: 'keep' }]);
    expect(first.made.added).toHaveLength(2);
    must(await takeBack(kennel, change));
    expect(await stored(kennel)).toEqual(before);
    const less = must(await takePlan(kennel, [said(give.id, on(2))], TODAY));
    expect(less.made.removed).toHaveLength(1);
  });

  it('leaves what is pinned, what has begun and what is past', async () => {
    const kennel = await begin();
    must(await takePlan(kennel, [said(fetch.id, TODAY), said(give.id, on(2))], TODAY));
    const [begun, pinned] = await stored(kennel);
    must(await pinSlot(kennel, pinned?.[0] as never, true));
    must(await startBout(kennel, fetch, { day: TODAY, away: false, start: { [DISTANCE]: 5 } }));
    must(await takePlan(kennel, [], TODAY));
    expect((await stored(kennel)).map(([id]) => id)).toEqual([begun?.[0], pinned?.[0]]);
    must(await takePlan(kennel, [said(give.id, on(9))], on(3)));
    expect(await stored(kennel)).toHaveLength(3);
  });
});

describe('what became of it', () => {
  it('is read from the bout that names it: done, or skipped once its day is past; a bout finds its slot by itself', async () => {
    const kennel = await begin();
    must(await takePlan(kennel, [said(fetch.id, TODAY), said(give.id, TODAY)], TODAY));
    const start = { day: TODAY, away: false, start: { [DISTANCE]: 5 } };
    const bout = must(await startBout(kennel, fetch, start)).made;
    expect((await stored(kennel)).map((one) => one[3])).toEqual(['running', 'ahead']);
    must(await record(kennel, bout, { kind: 'rep', ...plainRep(start.start, { outcome: 'clean' }) }));
    must(await endBout(kennel, bout.id));
    expect((await slotsBetween(kennel, TODAY, TODAY, on(1))).map((one) => one.state)).toEqual([
      'done',
      'skipped',
    ]);
  });

  it('is nothing for a bout of another day, or a second one of the same work', async () => {
    const kennel = await begin();
    must(await takePlan(kennel, [said(fetch.id, on(1))], TODAY));
    const early = must(await startBout(kennel, fetch, { day: TODAY, away: false, start: { [DISTANCE]: 5 } }));
    expect(early.made.slot).toBeNull();
    must(await endBout(kennel, early.made.id));
    const right = must(await startBout(kennel, fetch, { day: on(1), away: false, start: { [DISTANCE]: 5 } }));
    expect(right.made.slot).not.toBeNull();
  });
});

describe('by hand', () => {
  it('moves and stays, is planned, is taken out, and each can be undone', async () => {
    const kennel = await begin();
    must(await takePlan(kennel, [said(fetch.id, on(1))], TODAY));
    const [[id]] = (await stored(kennel)) as [[never]];
    const moved = must(await moveSlot(kennel, id, on(4)));
    expect(await stored(kennel)).toEqual([[id, fetch.id, on(4), 'ahead', true]]);
    must(await takeBack(kennel, moved));
    expect(await stored(kennel)).toEqual([[id, fetch.id, on(1), 'ahead', false]]);
    must(await addSlot(kennel, said(give.id, on(1))));
    expect((await stored(kennel)).map((one) => one[4])).toEqual([false, true]);
    must(await removeSlot(kennel, id));
    expect(await moveSlot(kennel, id, on(2))).toMatchObject({ ok: false, code: 'gone' });
  });

  it('keeps one row for a weekday and one for how a dog is planned for', async () => {
    const kennel = await begin();
    const monday = {
      on: { kind: 'weekday', weekday: 1 },
      strange: false,
      where: '',
      helper: false,
      hot: false,
    } as const;
    must(await putUsual(kennel, { ...monday, minutes: 20 }));
    must(await putUsual(kennel, { ...monday, minutes: 40 }));
    must(await putDogPlan(kennel, DOG, { daysAWeek: 4, warmUp: 8, weight: 2 }));
    must(await putDogPlan(kennel, DOG, { daysAWeek: 5, warmUp: 8, weight: 2 }));
    const tables = await exportTables(kennel);
    expect([tables.usuals.length, tables.usuals[0]?.minutes, tables.dogPlans.length]).toEqual([1, 40, 1]);
    must(await removeUsual(kennel, asId('weekday-1')));
    expect((await exportTables(kennel)).usuals).toEqual([]);
  });
});

describe('work outside the log', () => {
  const line = {
    dogId: DOG,
    day: TODAY,
    minutes: 30,
    elements: [give.id],
    loads: { jumps: 6 },
    words: ' a walk with ditches ',
  };

  it('counts for loads and for gaps, and goes again', async () => {
    const kennel = await begin();
    const made = must(await addOtherWork(kennel, line, TODAY)).made;
    expect(made.words).toBe('a walk with ditches');
    const { elements } = await workOf(kennel, DOG);
    const other = await otherWorkOf(kennel, DOG);
    const dog = { limits: [{ of: 'jumps', per: 'day', most: 10, source: 'me' } as const] };
    const kept = await keptSince(kennel, elements, TODAY);
    const jumper = elements.find((one) => one.id === fetch.id);
    if (!jumper) throw new Error('it is there');
    expect(loadsOf(jumper, dog, kept, elements, TODAY, other)).toMatchObject([
      { of: 'jumps', done: 6, left: 4 },
    ]);
    expect(gapOf([], { offWork: null }, on(4), daysUsed(other, give.id))).toMatchObject({
      days: 4,
      long: false,
    });
    expect(gapOf([], { offWork: null }, on(4), daysUsed(other, fetch.id)).days).toBeNull();
    must(await removeOtherWork(kennel, made.id));
    expect(await otherWorkOf(kennel, DOG)).toEqual([]);
  });

  it('is refused for a day to come, and where nothing is said', async () => {
    const kennel = await begin();
    expect(await addOtherWork(kennel, { ...line, day: on(1) }, TODAY)).toMatchObject({
      ok: false,
      code: 'ahead',
    });
    const nothing = { ...line, minutes: 0, elements: [], loads: {}, words: '  ' };
    expect(await addOtherWork(kennel, nothing, TODAY)).toMatchObject({ ok: false, code: 'empty' });
  });
});
