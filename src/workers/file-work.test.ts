import { describe, expect, it } from 'vitest';
import { plainRep } from '@/core/log';
import { must, type Result } from '@/core/shared';
import { readKennelFile } from '@/data/files';
import { writeKennelFile } from '@/data/files/files.test-helper';
import { openKennel } from '@/data/kennel';
import { exportTables } from '@/data/kennel.test-helper';
import type { KennelName } from '@/data/read';
import { kennelCounts } from '@/data/read';
import { record, startBout } from '@/data/write';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { TODAY } from '@/demo/sample-state.test-helper';
import { wordsOf } from '@/words';
import type { FileAnswers, FileSaid, FileTask } from './file-tasks';
import { fileWork } from './file-work';

const NOW = Date.parse('2026-06-30T12:00:00Z');
const sample = makeSampleKennel(TODAY, 2);
const file = new Blob([writeKennelFile(sample, '2026-06-30T10:00:00.000Z')]);
const to = { kennel: 'own', now: NOW } as const;
let count = 0;

/** A worker's work on a database of its own, as the page asks for it. */
function desk() {
  const name = `file-work-${count++}`;
  const open = (kennel: KennelName, now: () => number) => openKennel(kennel, now, name);
  const work = fileWork(open);
  const said: FileSaid[] = [];
  return {
    said,
    open: async () => must(await open('own', () => NOW)),
    run: async <T extends FileTask>(task: T): Promise<Result<FileAnswers[T['kind']]>> =>
      work(task, (one) => said.push(one)) as Promise<Result<FileAnswers[T['kind']]>>,
  };
}

describe('work on whole kennels', () => {
  it('looks at a file, brings it in, saves the same again, and takes it back', async () => {
    const { run, open, said } = desk();
    const looked = must(await run({ kind: 'look', file }));
    expect(looked).toMatchObject({
      savedAt: '2026-06-30T10:00:00.000Z',
      counts: { dogs: ['Quill', 'Juniper', 'Otto'], bouts: sample.bouts.length },
    });
    const brought = must(await run({ kind: 'bring', how: 'add', ...to }));
    expect(brought).toEqual({
      bouts: sample.bouts.length,
      entries: sample.entries.length,
      changed: 0,
      apart: 0,
    });
    expect(await kennelCounts(await open())).toEqual(looked.counts);
    const shares = said.flatMap((one) =>
      wordsOf(one.doing) === 'Bringing both together' ? (one.share ?? []) : [],
    );
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(shares.at(-1)).toBeCloseTo(1, 9);

    const saved = must(await run({ kind: 'save', since: null, ...to }));
    expect(saved.aside).toEqual([]);
    const again = must(readKennelFile(await saved.file.text()));
    expect(again.savedAt).toBe('2026-06-30T12:00:00.000Z');
    const byId = (rows: readonly { readonly id: string }[]) =>
      [...rows].sort((a, b) => (a.id < b.id ? -1 : 1));
    for (const [name, rows] of Object.entries(await exportTables(await open())))
      expect([name, byId(again.tables[name as keyof typeof again.tables])]).toEqual([name, byId(rows)]);

    expect(must(await run({ kind: 'take-back', ...to }))).toBeNull();
    expect(await kennelCounts(await open())).toMatchObject({ dogs: [], bouts: 0, reps: 0 });
    expect(await run({ kind: 'take-back', ...to })).toMatchObject({ ok: false, code: 'nothing' });
  });

  it('keeps the log of each bout in its order, also where two devices used one place in it', async () => {
    const { run, open } = desk();
    must(await run({ kind: 'look', file }));
    must(await run({ kind: 'bring', how: 'replace', ...to }));
    const kennel = await open();
    const [element] = await kennel.database.of('elements').toArray();
    if (!element) throw new Error('the sample has elements');
    const bout = must(await startBout(kennel, element, { day: TODAY, away: false, start: {} })).made;
    const first = must(
      await record(kennel, bout, { kind: 'rep', ...plainRep({}, { outcome: 'clean' }) }),
    ).made;
    const twin = { ...first, id: 'twin' as typeof first.id, by: 'other' as typeof first.by };
    await kennel.database.of('entries').add(twin);
    const saved = must(
      readKennelFile(await must(await run({ kind: 'save', since: null, ...to })).file.text()),
    );
    expect(saved.tables.entries.filter((entry) => entry.boutId === bout.id)).toHaveLength(2);
    expect(saved.tables.entries).toHaveLength(sample.entries.length + 2);
  });

  it('sets a record aside that cannot be read back, with all that points at it, and saves the rest', async () => {
    const { run, open } = desk();
    must(await run({ kind: 'look', file }));
    must(await run({ kind: 'bring', how: 'replace', ...to }));
    const { database } = await open();
    const [outing] = await database.of('outings').toArray();
    const on = await database
      .of('bouts')
      .where('outingId')
      .equals(outing?.id ?? '')
      .toArray();
    const weather = { temperature: 99, wind: null, words: '' };
    await database.of('outings').put({ ...outing, weather } as never);
    const { file: whole, aside } = must(await run({ kind: 'save', since: null, ...to }));
    expect(wordsOf(aside[0])).toBe('Outing: weather.temperature is 99; a number of 60 at most is wanted.');
    const read = must(readKennelFile(await whole.text()));
    expect(read.tables.outings).toHaveLength(sample.outings.length - 1);
    expect(read.tables.bouts).toHaveLength(sample.bouts.length - on.length);
    const text = JSON.parse(await whole.text()) as { setAside: { table: string; record: { id: string } }[] };
    expect(text.setAside.map(({ table }) => table)).toEqual(
      expect.arrayContaining(['outings', 'bouts', 'entries']),
    );
    expect(text.setAside[0]?.record.id).toBe(outing?.id);
  });

  it('brings in what was taken back before, as if it had never been there', async () => {
    const { run, open } = desk();
    must(await run({ kind: 'look', file }));
    const once = must(await run({ kind: 'bring', how: 'add', ...to }));
    must(await run({ kind: 'take-back', ...to }));
    must(await run({ kind: 'look', file }));
    expect(must(await run({ kind: 'bring', how: 'add', ...to }))).toEqual(once);
    expect((await kennelCounts(await open())).dogs).toHaveLength(3);
  });

  it('names a file in UTF-16 as what it is', async () => {
    const { run } = desk();
    const utf16 = new Blob([new Uint8Array([0xff, 0xfe, 0x7b, 0, 0x7d, 0])]);
    expect(await run({ kind: 'look', file: utf16 })).toMatchObject({ ok: false, code: 'encoding' });
  });

  it('refuses what is not a kennel, and forgets the file that was looked at before', async () => {
    const { run, open } = desk();
    must(await run({ kind: 'look', file }));
    expect(await run({ kind: 'look', file: new Blob(['{"format": "x"}']) })).toMatchObject({
      ok: false,
      code: 'foreign',
    });
    expect(await run({ kind: 'bring', how: 'replace', ...to })).toMatchObject({ ok: false, code: 'nothing' });
    expect(await kennelCounts(await open())).toMatchObject({ dogs: [] });
  });

  it('brings the same file in twice without doubling, and says what was changed on both sides', async () => {
    const { run } = desk();
    must(await run({ kind: 'look', file }));
    must(await run({ kind: 'bring', how: 'add', ...to }));
    must(await run({ kind: 'look', file }));
    expect(must(await run({ kind: 'bring', how: 'add', ...to }))).toEqual({
      bouts: 0,
      entries: 0,
      changed: 0,
      apart: 0,
    });
    const other = {
      ...sample,
      dogs: sample.dogs.map((dog, i) =>
        i > 0 ? dog : { ...dog, name: 'Quilla', changed: { at: 5, by: 'x' as never, seen: { x: 1 } } },
      ),
    };
    must(await run({ kind: 'look', file: new Blob([writeKennelFile(other, 'x')]) }));
    expect(must(await run({ kind: 'bring', how: 'add', ...to }))).toMatchObject({ apart: 1 });
  });
});
