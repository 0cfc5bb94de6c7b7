import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Backup, backupName, backupOf, outdated } from './generations';

const DAY = 86_400_000;
const made = (at: number): Backup => ({ file: backupName('own', at), kennel: 'own', at });

describe('generations of backups', () => {
  it('are called by their kennel and time, and are told from other files', () => {
    expect(backupOf(backupName('own', Date.UTC(2026, 1, 29, 23, 59, 58)))).toMatchObject({
      kennel: 'own',
      at: Date.UTC(2026, 2, 1, 23, 59, 58),
    });
    for (const file of [
      'holiday.jpg',
      'regulon-own-2026-11-27.json',
      'regulon-own-backup-20261399T000000Z.json',
    ])
      expect(backupOf(file)).toBeNull();
  });

  it('a year of daily ones leaves the last week whole, then weeks, then months', () => {
    const start = Date.UTC(2026, 0, 1, 18);
    const there = new Map<string, Backup>();
    for (let day = 0; day < 400; day++) {
      const one = made(start + day * DAY);
      there.set(one.file, one);
      for (const old of outdated([...there.values()])) there.delete(old.file);
    }
    const ages = [...there.values()]
      .map(({ at }) => Math.round((start + 399 * DAY - at) / DAY))
      .sort((a, b) => a - b);
    expect(ages.slice(0, 7)).toEqual([0, 1, 2, 3, 4, 5, 6]);
    expect(ages.length).toBeLessThanOrEqual(27);
    expect(ages.at(-1)).toBeGreaterThan(150);
    for (const [younger, older] of [
      [7, 14],
      [14, 35],
      [35, 70],
      [70, 110],
    ] as const)
      expect(ages.some((age) => age >= younger && age <= older)).toBe(true);
  });

  it('never takes the newest, is done once for all, and takes nothing of few (any times)', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 40_000 }), { maxLength: 60 }), (hours) => {
        const all = hours.map((hour) => made(hour * 3_600_000));
        const gone = outdated(all);
        const left = all.filter((one) => !gone.includes(one));
        expect(left.length).toBeLessThanOrEqual(27);
        expect(outdated(left)).toEqual([]);
        if (all.length <= 3) expect(gone).toEqual([]);
        if (all.length > 0)
          expect(Math.max(...left.map(({ at }) => at))).toBe(Math.max(...all.map(({ at }) => at)));
      }),
    );
  });
});
