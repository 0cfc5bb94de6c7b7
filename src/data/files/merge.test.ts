import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Entry, plainRep } from '@/core/log';
import { asId, type BoutId, type Day, type DeviceId, type DogId, type EntryId, must } from '@/core/shared';
import { CHANGED } from '@/data/kennel.test-helper';
import { type Changed, PLAIN_KIT, type Tables } from '@/data/records';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { readKennelFile } from '.';
import { writeKennelFile } from './files.test-helper';
import { mergeTables } from './merge';

const whole = makeSampleKennel('2026-06-30' as Day, 2);
const { bouts: _bouts, outings: _outings, entries: _entries, ...rest } = whole;
const empty: Tables = { ...rest, outings: [], bouts: [], entries: [] };

/** All rows in the order of their ids: two kennels that say the same. */
const ordered = (tables: Tables) =>
  Object.fromEntries(
    Object.entries(tables).map(([name, rows]) => [name, [...rows].sort((a, b) => (a.id < b.id ? -1 : 1))]),
  );
const merge = (mine: Tables, theirs: Tables): Tables => must(mergeTables(mine, theirs)).tables;

/** Two devices that work on their own kit, dog and bouts, from one beginning. */
type Deed =
  | { readonly do: 'kit'; readonly key: number; readonly title: string }
  | { readonly do: 'drop'; readonly key: number }
  | { readonly do: 'dog'; readonly breed: string }
  | { readonly do: 'rep'; readonly bout: number };
const deeds = fc.array(
  fc.oneof(
    fc.record({
      do: fc.constant('kit' as const),
      key: fc.nat({ max: 4 }),
      title: fc.constantFrom('a', 'b', 'c'),
    }),
    fc.record({ do: fc.constant('drop' as const), key: fc.nat({ max: 4 }) }),
    fc.record({ do: fc.constant('dog' as const), breed: fc.constantFrom('x', 'y', 'z') }),
    fc.record({ do: fc.constant('rep' as const), bout: fc.nat({ max: 2 }) }),
  ),
  { maxLength: 12 },
);
const start = merge(empty, {
  ...whole,
  kit: [],
  entries: whole.entries.filter((entry) => entry.boutId === whole.bouts[0]?.id),
});

/** The kennel after those deeds on that device: a tiny model of what the program writes. */
function worked(tables: Tables, device: string, list: readonly Deed[], clock: number): Tables {
  const by = asId<DeviceId>(device);
  const stamp = (before: Changed | undefined, at: number): Changed => ({
    at,
    by,
    seen: { ...before?.seen, [device]: (before?.seen[device] ?? 0) + 1 },
  });
  const step = (now: Tables, deed: Deed, at: number): Tables => {
    switch (deed.do) {
      case 'kit': {
        const id = asId<Tables['kit'][number]['id']>(`k${deed.key}`);
        const before = now.kit.find((one) => one.id === id);
        const gone = now.gone.find((one) => one.id === `kit/${id}`);
        const row = {
          ...PLAIN_KIT,
          id,
          title: deed.title,
          changed: stamp(before?.changed ?? gone?.changed, at),
        };
        return {
          ...now,
          kit: [...now.kit.filter((one) => one.id !== id), row],
          gone: now.gone.filter((one) => one !== gone),
        };
      }
      case 'drop': {
        const before = now.kit.find((one) => one.id === `k${deed.key}`);
        if (!before) return now;
        const gone = { id: `kit/${before.id}`, changed: stamp(before.changed, at) };
        return { ...now, kit: now.kit.filter((one) => one !== before), gone: [...now.gone, gone] };
      }
      case 'dog':
        return {
          ...now,
          dogs: now.dogs.map((dog, d) =>
            d === 0 ? { ...dog, breed: deed.breed, changed: stamp(dog.changed, at) } : dog,
          ),
        };
      case 'rep': {
        const bout = now.bouts[deed.bout];
        if (!bout) return now;
        const log = now.entries.filter((entry) => entry.boutId === bout.id);
        const entry: Entry = {
          kind: 'rep',
          ...plainRep({}, { outcome: 'clean' }),
          id: asId<EntryId>(`${device}-${at}`),
          boutId: bout.id,
          dogId: bout.dogId,
          seq: Math.max(-1, ...log.map((one) => one.seq)) + 1,
          by,
          at,
          timed: true,
        };
        return { ...now, entries: [...now.entries, entry] };
      }
    }
  };
  let now = tables;
  for (const [i, deed] of list.entries()) now = step(now, deed, clock + i);
  return now;
}

describe('bringing two kennels together', () => {
  it('does not depend on the order, is done once for all, and loses nothing', () => {
    fc.assert(
      fc.property(deeds, deeds, deeds, fc.boolean(), (first, second, third, late) => {
        const a = worked(start, 'a', first, 1000);
        const b = worked(start, 'b', second, late ? 500 : 2000);
        const c = worked(merge(start, a), 'c', third, 3000);
        const together = merge(merge(a, b), c);
        expect(ordered(merge(b, a))).toEqual(ordered(merge(a, b)));
        expect(ordered(merge(a, merge(b, c)))).toEqual(ordered(together));
        expect(ordered(merge(c, merge(a, b)))).toEqual(ordered(together));
        expect(ordered(merge(together, b))).toEqual(ordered(together));
        expect(ordered(merge(together, together))).toEqual(ordered(together));
        for (const one of [a, b, c])
          for (const entry of one.entries) expect(together.entries).toContainEqual(entry);
      }),
      { numRuns: 60 },
    );
  });

  it('lists what both changed, keeps what one changed, and takes over what one removed', () => {
    fc.assert(
      fc.property(deeds, deeds, (first, second) => {
        const a = worked(start, 'a', first, 1000);
        const b = worked(start, 'b', second, 2000);
        const { tables, apart } = must(mergeTables(a, b));
        const touched = (list: readonly Deed[], key: number, from: Tables) =>
          list.some(
            (deed) => (deed.do === 'kit' || (deed.do === 'drop' && from.gone.length > 0)) && deed.key === key,
          );
        for (let key = 0; key < 5; key++) {
          const id = `kit/k${key}`;
          const both = touched(first, key, a) && touched(second, key, b);
          if (!both) expect(apart).not.toContain(id);
          const waits = tables.apart.find((one) => one.id === id);
          if (waits) expect(waits.versions.length).toBeGreaterThan(1);
        }
        expect(tables.apart.map((one) => one.id).sort()).toEqual([...apart].sort());
      }),
      { numRuns: 60 },
    );
  });

  it('unites a log that both wrote, in one order', () => {
    const a = worked(
      start,
      'a',
      [
        { do: 'rep', bout: 0 },
        { do: 'rep', bout: 0 },
      ],
      10,
    );
    const b = worked(start, 'b', [{ do: 'rep', bout: 0 }], 20);
    const log = merge(a, b)
      .entries.filter((entry) => entry.boutId === start.bouts[0]?.id)
      .slice(-3);
    expect(log.map((entry) => [entry.by, entry.seq - (log[0]?.seq ?? 0)])).toEqual([
      ['a', 0],
      ['b', 0],
      ['a', 1],
    ]);
  });

  it('counts what came, and nothing the second time', () => {
    const once = must(mergeTables(empty, whole));
    expect(once.added).toMatchObject({ bouts: whole.bouts.length, entries: whole.entries.length, dogs: 0 });
    const twice = must(mergeTables(once.tables, whole));
    expect([twice.added.bouts, twice.added.entries, twice.changed, twice.apart]).toEqual([0, 0, 0, []]);
  });

  it('reads back what it brought together', () => {
    const text = writeKennelFile(merge(empty, whole), '2026-06-30T10:00:00.000Z');
    expect(ordered(must(readKennelFile(text)).tables)).toEqual(ordered(merge(empty, whole)));
  });

  it('refuses what would not fit together', () => {
    const stray = {
      ...whole.bouts[0],
      id: asId<BoutId>('stray'),
      dogId: asId<DogId>('ghost'),
    } as Tables['bouts'][number];
    expect(mergeTables(empty, { ...whole, bouts: [...whole.bouts, stray] })).toMatchObject({
      ok: false,
      code: 'reference',
      message: expect.saying('do not fit together'),
    });
    const gone = { id: 'dogs/ghost', changed: CHANGED };
    expect(
      mergeTables({ ...empty, gone: [gone] }, { ...whole, bouts: [...whole.bouts, stray] }),
    ).toMatchObject({ ok: true });
  });
});
