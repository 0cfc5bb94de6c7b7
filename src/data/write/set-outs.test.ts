import { describe, expect, it } from 'vitest';
import { buildLadder, type Criteria, carried, drawRung, groundFrom, layOut } from '@/core/breakdown';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { addDays, asId, type Day, must } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { CHANGED, DOG, exportTables, kennelWithDog, testElement } from '@/data/kennel.test-helper';
import {
  fittingSetOut,
  laidOut,
  laidOutView,
  listGrounds,
  listPeople,
  setOutsFor,
  workOf,
} from '@/data/read';
import { oldFallsOn } from '@/data/read/set-outs';
import { checkReferences } from '@/data/records/references';
import {
  addGround,
  addSetOut,
  changeGround,
  changeSetOut,
  endBout,
  putSetOutAway,
  type SetOutSaid,
  sayPace,
  startBout,
  takeBack,
} from '.';

const DISTANCE = testAxis().key;
const TODAY = '2026-06-01' as Day;
const READS = { [DISTANCE]: 'to-object' } as const;
const METRES = { unit: 'm', pace: 0.75 } as const;
const element = testElement('fetch');
const ladder = buildLadder(element);
const rung = (i: number): Criteria => ladder.rungs[i]?.criteria ?? {};

async function begin(): Promise<Kennel> {
  const kennel = await kennelWithDog();
  await kennel.database.of('elements').add({ ...element, changed: CHANGED });
  return kennel;
}

const drawn = (i: number, more: Partial<SetOutSaid> = {}): SetOutSaid => ({
  title: `step ${i + 1}`,
  ground: null,
  asks: { element: element.id, criteria: rung(i), reads: READS },
  north: 0,
  wind: null,
  things: must(drawRung('line', READS, rung(i))).map((one) => ({ ...one, x: one.x + 50, y: one.y + 10 })),
  spread: null,
  ...more,
});

const workedOn = async (kennel: Kennel, setOut: Parameters<typeof startBout>[2]['setOut'], day: Day) => {
  const bout = must(
    await startBout(kennel, element, { day, away: false, start: rung(0), setOut: setOut ?? null }),
  ).made;
  must(await endBout(kennel, bout.id));
  return bout;
};

describe('set-outs in the kennel', () => {
  it('one that nobody worked on is changed in its place', async () => {
    const kennel = await begin();
    const { made } = must(await addSetOut(kennel, drawn(0)));
    const changed = must(
      await changeSetOut(kennel, made.id, ({ things }) => ({
        things: carried(things, 'mark-1', { x: 0, y: 0 }),
      })),
    );
    expect(changed.made.id).toBe(made.id);
    expect((await exportTables(kennel)).setOuts).toHaveLength(1);
  });

  it('one that dogs worked on keeps its drawing: what is moved becomes another, and Undo takes that back', async () => {
    const kennel = await begin();
    const { made } = must(await addSetOut(kennel, drawn(0)));
    await workedOn(kennel, made, TODAY);
    const renamed = must(await changeSetOut(kennel, made.id, () => ({ title: 'by the pond' })));
    expect(renamed.made.id).toBe(made.id);
    const moved = must(
      await changeSetOut(kennel, made.id, ({ things }) => ({
        things: carried(things, 'mark-1', { x: 1, y: 2 }),
      })),
    );
    expect(moved.made.id).not.toBe(made.id);
    const after = await exportTables(kennel);
    expect(after.setOuts.find((one) => one.id === made.id)).toMatchObject({
      putAway: true,
      things: made.things,
    });
    expect(after.bouts[0]?.setOut).toBe(made.id);
    expect(checkReferences(after)).toBeNull();
    must(await takeBack(kennel, moved));
    const back = (await exportTables(kennel)).setOuts;
    expect(back).toHaveLength(1);
    expect(back[0]).toMatchObject({ id: made.id, putAway: false, title: 'by the pond' });
  });

  it('says in words that it is gone', async () => {
    const kennel = await begin();
    expect(await changeSetOut(kennel, asId('none'), () => ({ title: 'x' }))).toMatchObject({
      ok: false,
      code: 'gone',
    });
    expect(await putSetOutAway(kennel, asId('none'), true)).toMatchObject({ code: 'gone' });
    expect(await changeGround(kennel, asId('none'), () => ({ name: 'x' }))).toMatchObject({ code: 'gone' });
    expect(await laidOut(kennel, asId('none'), TODAY)).toBeNull();
  });

  it('refuses things that could not be read back, and stores nothing', async () => {
    const kennel = await begin();
    const twice = drawn(0);
    const wrong = await addSetOut(kennel, { ...twice, things: [...twice.things, ...twice.things] });
    expect(wrong).toMatchObject({ ok: false, code: 'record' });
    expect((await exportTables(kennel)).setOuts).toEqual([]);
  });

  it('finds the one that is drawn for exactly the step, not one of another step or one put away', async () => {
    const kennel = await begin();
    const [first, second] = [
      must(await addSetOut(kennel, drawn(0))).made,
      must(await addSetOut(kennel, drawn(2))).made,
    ];
    const record = (await workOf(kennel, DOG)).elements[0];
    if (!record) throw new Error('the element is there');
    const fits = async (i: number) =>
      fittingSetOut(await setOutsFor(kennel, record), record, rung(i))?.id ?? null;
    expect([await fits(0), await fits(1), await fits(2)]).toEqual([first.id, null, second.id]);
    must(await putSetOutAway(kennel, first.id, true));
    expect(await fits(0)).toBeNull();
    // Dragged to another distance it is that step’s.
    must(
      await changeSetOut(kennel, second.id, ({ things }) => ({
        things: carried(things, 'mark-1', { x: 50, y: 10 + (rung(1)[DISTANCE] ?? 0) }),
      })),
    );
    expect([await fits(1), await fits(2)]).toEqual([second.id, null]);
  });

  it('one drawing serves the same work of another dog at the same step, and what nobody can draw is nothing against it', async () => {
    const kennel = await begin();
    const wait = testAxis({
      key: asId('wait'),
      title: 'Wait',
      quantity: 'duration',
      unit: 's',
      start: 1,
      demand: 20,
    });
    const mate = {
      ...testElement('of-mate', { title: 'fetch', axes: [testAxis(), wait] }),
      changed: CHANGED,
    };
    await kennel.database.of('elements').add(mate as never);
    const setOut = must(await addSetOut(kennel, drawn(1))).made;
    const all = await setOutsFor(kennel, mate as never);
    expect(all.map((one) => one.id)).toEqual([setOut.id]);
    const fits = (i: number, seconds: number) =>
      fittingSetOut(all, mate as never, { ...rung(i), [wait.key]: seconds })?.id ?? null;
    expect([fits(1, 1), fits(1, 12), fits(0, 1)]).toEqual([setOut.id, setOut.id, null]);
    const laid = await laidOut(kennel, setOut.id, TODAY, {
      element: mate as never,
      criteria: { ...rung(1), [wait.key]: 12 },
    });
    expect(laid && laidOutView(laid, METRES).step?.criteria).toMatchObject({ [wait.key]: 12 });
    const stranger = { ...testElement('else', { title: 'something else' }), changed: CHANGED };
    expect(await setOutsFor(kennel, stranger as never)).toEqual([]);
  });

  it('remembers what fell where on a ground for three days, by what was worked on there', async () => {
    const kennel = await begin();
    const ground = must(await addGround(kennel, { name: 'Field', plan: groundFrom('hedge', 100, 80) })).made;
    const old = must(await addSetOut(kennel, drawn(0, { ground: ground.id }))).made;
    const next = must(await addSetOut(kennel, drawn(1, { ground: ground.id }))).made;
    const fell = async (day: Day, but = next.id) =>
      (await oldFallsOn(kennel, ground.id, day, but)).map(({ days, at }) => [days, at.x]);
    expect(await fell(TODAY)).toEqual([]);
    await workedOn(kennel, old, TODAY);
    expect(await fell(TODAY)).toEqual([[0, 50]]);
    expect(await fell(TODAY, old.id)).toEqual([]);
    expect(await fell(addDays(TODAY, 2), old.id)).toEqual([[2, 50]]);
    expect(await fell(addDays(TODAY, 4))).toEqual([]);
    const laid = await laidOut(kennel, next.id, addDays(TODAY, 1));
    if (!laid) throw new Error('it is there');
    const said = laidOutView(laid, METRES).checks.filter(({ code }) => code === 'old-fall');
    expect(said).toEqual([expect.objectContaining({ say: expect.saying('lay yesterday') })]);
    // Moved since: what fell there still lies where it fell.
    must(
      await changeSetOut(kennel, old.id, ({ things }) => ({
        things: things.map((one) => ({ ...one, x: one.x + 30 })),
      })),
    );
    expect(await fell(addDays(TODAY, 1))).toEqual([[1, 50]]);
  });

  it('a bout takes its set-out and its ground along, and going on with another takes that', async () => {
    const kennel = await begin();
    const ground = must(await addGround(kennel, { name: 'Field', plan: null })).made;
    const one = must(await addSetOut(kennel, drawn(0, { ground: ground.id }))).made;
    const other = must(await addSetOut(kennel, drawn(1))).made;
    const start = { day: TODAY, away: false, start: rung(0) };
    const bout = must(await startBout(kennel, element, { ...start, setOut: one })).made;
    const { outings } = await exportTables(kennel);
    expect([bout.setOut, outings[0]?.ground]).toEqual([one.id, ground.id]);
    const again = must(await startBout(kennel, element, { ...start, setOut: other })).made;
    expect([again.id, again.setOut]).toEqual([bout.id, other.id]);
    const plain = must(await startBout(kennel, element, start)).made;
    expect(plain.setOut).toBe(other.id);
  });

  it('refuses a line over a road that was drawn after the line', async () => {
    const kennel = await begin();
    const ground = must(await addGround(kennel, { name: 'Field', plan: groundFrom('open', 100, 80) })).made;
    const setOut = must(await addSetOut(kennel, drawn(2, { ground: ground.id }))).made;
    const refused = async () => {
      const laid = await laidOut(kennel, setOut.id, TODAY);
      return laid ? laidOutView(laid, METRES).refused : null;
    };
    expect(await refused()).toBe(false);
    must(
      await changeGround(kennel, ground.id, ({ plan }) => ({
        plan: plan && {
          ...plan,
          features: [
            {
              key: 'r',
              kind: 'road',
              title: '',
              closed: false,
              wide: 4,
              points: [
                { x: 0, y: 12 },
                { x: 100, y: 12 },
              ],
            },
          ],
        },
      })),
    );
    expect(await refused()).toBe(true);
    expect((await listGrounds(kennel)).map((one) => one.name)).toEqual(['Field']);
  });

  it('a pace belongs to one person by name, measured again it is corrected', async () => {
    const kennel = await begin();
    must(await sayPace(kennel, 'You', 0.8));
    must(await sayPace(kennel, ' you ', 0.77));
    expect((await listPeople(kennel)).map(({ name, pace }) => [name, pace])).toEqual([['You', 0.77]]);
    expect(await sayPace(kennel, 'You', 9)).toMatchObject({ ok: false, code: 'record' });
  });

  it('a set-out of no element and no ground is whole', async () => {
    const kennel = await begin();
    const things = must(layOut('square', { 'to-object': 25, side: 5 }));
    const { made } = must(await addSetOut(kennel, drawn(0, { asks: null, things })));
    const laid = await laidOut(kennel, made.id, TODAY);
    expect(laid && laidOutView(laid, METRES).step).toBeNull();
  });
});
