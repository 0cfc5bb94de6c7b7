import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { plainRep } from '@/core/log';
import { asId, type Day, type ElementId, must } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { CHANGED, DOG, emptyKennel, exportTables, kennelWithDog } from '@/data/kennel.test-helper';
import { PLAIN_ELEMENT, type Tables, UNKNOWN_DOG } from '@/data/records';
import { makeSampleKennel } from '@/demo/sample-kennel';
import {
  addResult,
  addTables,
  addTrial,
  changeDog,
  decide,
  makeExercise,
  putRuleBook,
  record,
  removeResult,
  replaceTables,
  startBout,
  takeBack,
} from '.';
import { withoutChange } from './undo';

const DAY = '2026-06-30' as Day;
const sample = makeSampleKennel(DAY, 2);
/** What a person would notice: everything but who changed it when, and tombstones of what is there again. */
const seen = (tables: Tables) =>
  Object.fromEntries(
    Object.entries(tables).map(([name, rows]) => [
      name,
      name === 'gone'
        ? []
        : [...rows]
            .map(({ changed: _changed, ...row }: Record<string, unknown>) => row)
            .sort((a, b) => (String(a.id) < String(b.id) ? -1 : 1)),
    ]),
  );

describe('taking a change back by difference', () => {
  const row = fc.dictionary(fc.constantFrom('a', 'b', 'c', 'd'), fc.nat({ max: 3 }));
  it('gives back what was there where nothing else has happened', () => {
    fc.assert(
      fc.property(row, row, (before, after) => {
        const back = withoutChange(after, { table: 'dogs', id: 'x', before, after });
        expect(back ?? after).toEqual(before);
      }),
    );
  });

  it('leaves every key alone that somebody changed since', () => {
    fc.assert(
      fc.property(row, row, row, (before, after, since) => {
        const now: Record<string, number> = { ...after, ...since };
        const back = withoutChange(now, { table: 'dogs', id: 'x', before, after }) ?? now;
        for (const key of new Set([...Object.keys(now), ...Object.keys(back)])) {
          const touched = now[key] !== after[key];
          expect((back as Record<string, unknown>)[key]).toBe(
            touched || before[key] === after[key] ? now[key] : before[key],
          );
        }
      }),
    );
  });
});

describe('two changes of one record', () => {
  type Axis = { readonly key: string; readonly start: number; readonly demand: number };
  type Element = {
    readonly title: string;
    readonly axes: readonly Axis[];
    readonly needs: readonly string[];
  };
  const element: Element = {
    title: 'Wait',
    axes: ['distance', 'time'].map((key) => ({ key, start: 1, demand: 9 })),
    needs: ['a'],
  };
  /** One field that a page sets: of the record, or of one of its axes. */
  const fields = ['title', 'distance.start', 'distance.demand', 'time.start', 'time.demand', 'add', 'remove'];
  const set = (now: Element, field: string, value: number): Element => {
    const [key, part] = field.split('.');
    if (field === 'title') return { ...now, title: `T${value}` };
    if (field === 'add')
      return { ...now, axes: [...now.axes, { key: 'new', start: value, demand: value + 1 }] };
    if (field === 'remove') return { ...now, needs: [] };
    return {
      ...now,
      axes: now.axes.map((axis) => (axis.key === key ? { ...axis, [part as string]: value } : axis)),
    };
  };
  const change = (before: Element, after: Element) => ({
    table: 'elements' as const,
    id: 'x',
    before,
    after,
  });

  it('undone in either order leave the other', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray(fields, { minLength: 2, maxLength: 2 }),
        fc.nat(5),
        fc.nat(5),
        (two, a, b) => {
          const [one = '', other = ''] = two;
          const first = change(element, set(element, one, 20 + a));
          const second = change(first.after, set(first.after, other, 40 + b));
          const undone = (now: Element, done: ReturnType<typeof change>): Element =>
            (withoutChange(now, done) ?? now) as Element;
          expect(undone(second.after, first)).toEqual(set(element, other, 40 + b));
          expect(undone(second.after, second)).toEqual(first.after);
          expect(undone(undone(second.after, first), second)).toEqual(element);
          expect(undone(undone(second.after, second), first)).toEqual(element);
        },
      ),
    );
  });

  it('of one field the later stands when the earlier is taken back', () => {
    const first = change(element, set(element, 'time.start', 3));
    const second = set(first.after, 'time.start', 4);
    expect(withoutChange(second, first)).toBeUndefined();
  });
});

describe('files read in and undone', () => {
  const rep = { kind: 'rep' as const, ...plainRep({}, { outcome: 'clean' }) };
  async function logged(kennel: Kennel) {
    const element = (await exportTables(kennel)).elements[0];
    if (!element) throw new Error('there is an element');
    const bout = must(await startBout(kennel, element, { day: DAY, away: false, start: {} })).made;
    must(await record(kennel, bout, rep));
    return bout;
  }

  it('a kennel replaced by a file comes back whole', async () => {
    const kennel = await kennelWithDog();
    must(await addTrial(kennel, { ...(sample.trials[0] as (typeof sample.trials)[0]), dogId: DOG }));
    const before = await exportTables(kennel);
    const read = must(await replaceTables(kennel, sample));
    expect(seen(await exportTables(kennel))).toEqual(seen(sample));
    must(await takeBack(kennel, read));
    expect(seen(await exportTables(kennel))).toEqual(seen(before));
  });

  it.each([
    ['replacing', replaceTables],
    ['adding', addTables],
  ])('undoing %s later keeps reps that were logged since, with all that they need', async (_, bring) => {
    const kennel = await kennelWithDog();
    const read = must(await bring(kennel, sample));
    const bout = await logged(kennel);
    must(await takeBack(kennel, read));
    const after = await exportTables(kennel);
    const mine = after.entries.filter((entry) => entry.boutId === bout.id);
    expect(mine).toHaveLength(1);
    expect(after.bouts.some((one) => one.id === bout.id)).toBe(true);
    expect(after.dogs.map((dog) => dog.name)).toEqual(expect.arrayContaining(['Wren', 'Quill']));
    expect(after.elements.length).toBeLessThan(sample.elements.length);
    expect(after.trials).toEqual([]);
  });

  it('an undo is taken back too', async () => {
    const kennel = await kennelWithDog();
    const changed = must(await changeDog(kennel, DOG, { breed: 'of no kind' }));
    const back = must(await takeBack(kennel, changed));
    must(await takeBack(kennel, back));
    expect((await exportTables(kennel)).dogs[0]?.breed).toBe('of no kind');
  });
});

describe('what was changed on two devices apart', () => {
  it('waits, the later one standing meanwhile, until somebody decides', async () => {
    const [laptop, phone] = [await kennelWithDog(), await emptyKennel(50_000)];
    must(await addTables(phone, await exportTables(laptop)));
    must(await changeDog(laptop, DOG, { breed: 'laptop' }));
    must(await changeDog(phone, DOG, { breed: 'phone' }));
    const merged = must(await addTables(laptop, await exportTables(phone))).made;
    expect(merged.apart).toEqual([`dogs/${DOG}`]);
    const now = await exportTables(laptop);
    expect([now.dogs[0]?.breed, now.apart[0]?.versions.map((one) => one.record?.breed)]).toEqual([
      'phone',
      ['phone', 'laptop'],
    ]);
    const [waiting] = now.apart;
    const undo = must(await decide(laptop, `dogs/${DOG}`, waiting?.versions[1]?.record ?? null));
    // Taken back, it waits again: a file that comes meanwhile decides nothing.
    must(await takeBack(laptop, undo));
    must(await addTables(laptop, await exportTables(phone)));
    expect((await exportTables(laptop)).apart).toEqual([waiting]);
    must(await decide(laptop, `dogs/${DOG}`, waiting?.versions[1]?.record ?? null));
    expect((await exportTables(laptop)).dogs[0]?.breed).toBe('laptop');
    // The other device takes the decision over, and nothing waits there either.
    const there = must(await addTables(phone, await exportTables(laptop))).made;
    expect([there.apart, (await exportTables(phone)).dogs[0]?.breed]).toEqual([[], 'laptop']);
    expect(await decide(laptop, `dogs/${DOG}`, null)).toMatchObject({ ok: false, code: 'gone' });
  });

  it('a trial that was removed does not come back with an older file', async () => {
    const kennel = await kennelWithDog();
    const trial = must(
      await addTrial(kennel, { ...(sample.trials[0] as (typeof sample.trials)[0]), dogId: DOG }),
    ).made;
    const result = {
      dogId: DOG,
      trialId: trial.id,
      kind: 'mock' as const,
      day: DAY,
      passed: true,
      points: null,
      note: '',
    };
    const made = must(await addResult(kennel, result, DAY)).made;
    const [book] = sample.ruleBooks;
    if (book) must(await putRuleBook(kennel, book.book, 0));
    const older = await exportTables(kennel);
    must(await removeResult(kennel, made.id));
    const merged = must(await addTables(kennel, older)).made;
    expect([merged.apart, (await exportTables(kennel)).results]).toEqual([[], []]);
  });
});

it('an element that others need is made and unmade without leaving a dangling need', async () => {
  const kennel = await kennelWithDog();
  const plain = (id: string) => ({
    ...PLAIN_ELEMENT,
    id: asId<ElementId>(id),
    dogId: DOG,
    title: id,
    axes: [testAxis()],
  });
  const links = [
    { part: null, element: plain('a') },
    { part: null, element: { ...plain('b'), needs: [{ element: asId<ElementId>('a'), at: {} }] } },
  ];
  const made = must(await makeExercise(kennel, { dogId: DOG, source: { title: 'X', goal: '' }, links }));
  must(await takeBack(kennel, made));
  expect(seen(await exportTables(kennel))).toEqual(
    seen({
      ...(await exportTables(await emptyKennel())),
      dogs: [{ ...UNKNOWN_DOG, id: DOG, name: 'Wren', changed: CHANGED }],
    }),
  );
});
