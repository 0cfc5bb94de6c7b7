import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Day } from '@/core/shared';
import { must } from '@/core/shared';
import type { Tables } from '@/data/records';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { mergeTables } from './merge';
import { anyHistory, type Deed, Device } from './two-devices.test-helper';

const sample = makeSampleKennel('2026-06-30' as Day, 2);
const [bout] = sample.bouts;
/** One dog, its work and one session: enough for two devices to differ in. */
const start: Tables = {
  ...sample,
  kit: [],
  bouts: sample.bouts.filter((one) => one === bout),
  outings: sample.outings.filter((one) => one.id === bout?.outingId),
  entries: sample.entries.filter((one) => one.boutId === bout?.id),
};

const ordered = (tables: Tables) =>
  Object.fromEntries(
    Object.entries(tables).map(([name, rows]) => [name, [...rows].sort((a, b) => (a.id < b.id ? -1 : 1))]),
  );
const waits = (device: Device): string[] => device.tables.apart.map(({ id }) => id).sort();

/** Lives a history on two devices; files that go on from one that is not there are refused, and are no use. */
function lived(history: readonly Deed[]): [Device, Device] {
  const devices: [Device, Device] = [new Device(start, 'laptop', 1000), new Device(start, 'phone', 5000)];
  let files = 0;
  for (const deed of history) {
    const [mine, other] = deed.on === 0 ? devices : ([devices[1], devices[0]] as const);
    if (deed.does === 'send') {
      files += 1;
      other.take(mine.file(files, deed.whole), mine);
    } else if (deed.does === 'again') {
      // An old file is brought in once more.
      const old = mine.got[0];
      if (old) {
        const before = ordered(mine.tables);
        mine.take(old, mine);
        expect(ordered(mine.tables)).toEqual(before);
      }
    } else mine.does(deed);
  }
  return devices;
}

describe('two devices and the files between them', () => {
  it('come to the same kennel by any files in any order, with exactly what both changed waiting (200 histories)', () => {
    let [conflicts, small] = [0, 0];
    fc.assert(
      fc.property(anyHistory, fc.boolean(), (history, whole) => {
        const [laptop, phone] = lived(history);
        expect(waits(laptop)).toEqual(laptop.apart());
        expect(waits(phone)).toEqual(phone.apart());
        const together = must(mergeTables(laptop.tables, phone.tables)).tables;
        const first = laptop.file(1000, whole);
        expect(phone.take(first, laptop)).toBe(true);
        const second = phone.file(1001, whole);
        expect(laptop.take(second, phone)).toBe(true);
        expect(ordered(laptop.tables)).toEqual(ordered(together));
        expect(ordered(phone.tables)).toEqual(ordered(together));
        expect(waits(laptop)).toEqual(laptop.apart());
        conflicts += laptop.tables.apart.length;
        if (!whole && second.tables.entries.length < start.entries.length) small += 1;
        // Nothing that was logged on either is lost, and what is new next time is nothing.
        for (const entry of [...laptop.tables.entries, ...phone.tables.entries])
          expect(together.entries).toContainEqual(entry);
        const nothing = laptop.file(1002, false).tables;
        expect(Object.values(nothing).flat()).toEqual([]);
      }),
      { numRuns: 200 },
    );
    // Not vacuous: the least of twenty runs was 41 and 130.
    expect(conflicts).toBeGreaterThan(10);
    expect(small).toBeGreaterThan(50);
  });

  it('a file that goes on from one which never came is refused, and a whole one heals it', () => {
    const [laptop, phone] = [new Device(start, 'laptop', 1000), new Device(start, 'phone', 5000)];
    phone.take(laptop.file(1, true), laptop);
    laptop.does({ does: 'rename', on: 0, name: 'Merle' });
    laptop.file(2, false);
    laptop.does({ does: 'rep', on: 0 });
    expect(phone.take(laptop.file(3, false), laptop)).toBe(false);
    expect(phone.take(laptop.file(4, true), laptop)).toBe(true);
    expect(ordered(phone.tables)).toEqual(ordered(laptop.tables));
  });
});
