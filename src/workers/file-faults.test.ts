import { afterEach, describe, expect, it, vi } from 'vitest';
import { must, type Result } from '@/core/shared';
import { writeKennelFile } from '@/data/files/files.test-helper';
import { openKennel } from '@/data/kennel';
import { exportTables } from '@/data/kennel.test-helper';
import type { KennelName } from '@/data/read';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { TODAY } from '@/demo/sample-state.test-helper';
import { ownAxes } from '@/features/files/own-sheet/own-axes';
import { wordsOf } from '@/words';
import type { FileAnswers, FileTask } from './file-tasks';
import { fileWork } from './file-work';

const NOW = Date.parse('2026-06-30T12:00:00Z');
const sample = makeSampleKennel(TODAY, 2);
const [first, second] = [
  { ...sample, bouts: sample.bouts.slice(0, 40) },
  { ...sample, bouts: sample.bouts.slice(20, 70) },
].map((tables) => {
  const kept = new Set(tables.bouts.map((one) => one.id));
  return new Blob([
    writeKennelFile({ ...tables, entries: sample.entries.filter((one) => kept.has(one.boutId)) }, 'x'),
  ]);
});
const SHEET = new Blob(['Date,Dog,Exercise,Reps,Clean\n1.3.2026,Wren,Sit,5,4\n2.3.2026,Wren,Sit,5,5\n']);
const to = { kennel: 'own', now: NOW } as const;
let count = 0;

/** Two tabs of one browser: a worker each, on one storage. */
function tabs(name = `faults-${count++}`) {
  const open = (kennel: KennelName, now: () => number) => openKennel(kennel, now, name);
  const tab = () => {
    const work = fileWork(open);
    return <T extends FileTask>(task: T) =>
      work(task, () => undefined) as Promise<Result<FileAnswers[T['kind']]>>;
  };
  return { one: tab(), two: tab(), kennel: async () => must(await open('own', () => NOW)) };
}
type Run = ReturnType<typeof tabs>['one'];
const look = (run: Run, file: Blob | undefined) => run({ kind: 'look', file: file ?? new Blob([]) });
const add = (run: Run) => run({ kind: 'bring', how: 'add', ...to });

/** The storage takes so many more rows, and then is full or shut, as browsers say it. */
function failAfter(rows: number, error: string): void {
  let left = rows;
  for (const method of ['add', 'put'] as const) {
    const real = IDBObjectStore.prototype[method];
    vi.spyOn(IDBObjectStore.prototype, method).mockImplementation(function (this: IDBObjectStore, ...row) {
      left -= 1;
      if (left < 0) throw new DOMException('no', error);
      return real.apply(this, row);
    });
  }
}
afterEach(() => vi.restoreAllMocks());

describe('storage that fails in the middle of work on a whole kennel', () => {
  it.each([
    ['full', 'QuotaExceededError', 50, /there is no room left on this device/],
    ['full near the end', 'QuotaExceededError', 300, /there is no room left on this device/],
    ['withdrawn', 'InvalidStateError', 50, /Nothing was stored/],
  ])('%s: adding a file says so and leaves everything as it was; asked again it is done', async (_, error, rows, words) => {
    const { one, kennel } = tabs();
    must(await look(one, first));
    must(await add(one));
    const before = await exportTables(await kennel());
    must(await look(one, second));
    failAfter(rows, error);
    const failed = await add(one);
    vi.restoreAllMocks();
    expect(wordsOf(failed.ok ? '' : failed.message)).toMatch(words);
    expect(await exportTables(await kennel())).toEqual(before);
    // The file is still at hand.
    expect(must(await add(one))).toMatchObject({ bouts: 30 });
  });

  it('replacing, taking back and a sheet leave everything as it was, too', async () => {
    const { one, kennel } = tabs();
    must(await look(one, first));
    must(await add(one));
    const before = await exportTables(await kennel());
    must(await look(one, second));
    failAfter(30, 'QuotaExceededError');
    expect(await one({ kind: 'bring', how: 'replace', ...to })).toMatchObject({ ok: false, code: 'write' });
    vi.restoreAllMocks();
    expect(await exportTables(await kennel())).toEqual(before);

    const opened = must(
      await one({
        kind: 'open-sheet',
        file: SHEET,
        usual: { days: 'day-month-year', decimal: '.', unit: 'm', dog: '' },
      }),
    );
    const bring = {
      kind: 'bring-sheet',
      mapping: opened.guess,
      today: TODAY,
      axes: ownAxes(),
      ...to,
    } as const;
    failAfter(6, 'QuotaExceededError');
    expect(await one(bring)).toMatchObject({ ok: false, code: 'write' });
    vi.restoreAllMocks();
    expect(await exportTables(await kennel())).toEqual(before);
    must(await one(bring));
    const after = await exportTables(await kennel());
    failAfter(0, 'QuotaExceededError');
    const kept = await one({ kind: 'take-back', ...to });
    vi.restoreAllMocks();
    if (!kept.ok) expect(await exportTables(await kennel())).toEqual(after);
    must(kept.ok ? kept : await one({ kind: 'take-back', ...to }));
    expect(await exportTables(await kennel())).toEqual(before);
  });
});

describe('two tabs at work on one kennel', () => {
  it('that add different files at once have both; the same file at once, once', async () => {
    const { one, two, kennel } = tabs();
    must(await look(one, first));
    must(await look(two, second));
    const both = await Promise.all([add(one), add(two)]);
    expect(both.map((result) => result.ok)).toEqual([true, true]);
    expect((await exportTables(await kennel())).bouts).toHaveLength(70);
    must(await look(one, first));
    must(await look(two, first));
    const again = (await Promise.all([add(one), add(two)])).map(must);
    expect(again).toEqual([
      { bouts: 0, entries: 0, changed: 0, apart: 0 },
      { bouts: 0, entries: 0, changed: 0, apart: 0 },
    ]);
  });

  it('of which one takes its file back keeps what the other brought', async () => {
    const { one, two, kennel } = tabs();
    must(await look(one, first));
    must(await add(one));
    must(await look(two, second));
    must(await add(two));
    must(await one({ kind: 'take-back', ...to }));
    const left = await exportTables(await kennel());
    expect(left.bouts.length).toBeGreaterThanOrEqual(30);
    const ids = new Set(left.bouts.map((bout) => bout.id));
    expect(left.entries.every((entry) => ids.has(entry.boutId))).toBe(true);
    expect(sample.bouts.slice(40, 70).every((bout) => ids.has(bout.id))).toBe(true);
  });
});
