import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Day, must } from '@/core/shared';
import { emptyKennel, exportTables } from '@/data/kennel.test-helper';
import { CURRENT_VERSION } from '@/data/migrations';
import { checkReferences } from '@/data/records/references';
import { replaceTables, takeBack } from '@/data/write';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { wordsOf } from '@/words';
import { readKennelFile } from '.';
import { writeKennelFile } from './files.test-helper';

const today = '2026-06-30' as Day;
const tables = makeSampleKennel(today, 2);
const text = writeKennelFile(tables, '2026-06-30T10:00:00.000Z');
type Loose = {
  [key: string]: unknown;
  version: unknown;
  counts: Record<string, number>;
  tables: Record<string, Record<string, unknown>[]>;
};
const spoiled = (change: (file: Loose) => void): string => {
  const file = JSON.parse(text) as Loose;
  change(file);
  return JSON.stringify(file);
};
const first = (file: Loose, table: string): Record<string, unknown> =>
  file.tables[table]?.[0] as Record<string, unknown>;

/** Every place in a tree of JSON where a value stands. */
function placesIn(node: unknown): [Record<string, unknown>, string][] {
  if (typeof node !== 'object' || node === null) return [];
  const holder = node as Record<string, unknown>;
  return Object.keys(holder).flatMap((key): [Record<string, unknown>, string][] => [
    [holder, key],
    ...placesIn(holder[key]),
  ]);
}

describe('the kennel file', () => {
  it('comes back whole, through the database too', async () => {
    expect(must(readKennelFile(text)).tables).toEqual(tables);
    const kennel = await emptyKennel();
    must(await replaceTables(kennel, must(readKennelFile(text)).tables));
    const again = writeKennelFile(await exportTables(kennel), '2026-06-30T10:00:00.000Z');
    expect(must(readKennelFile(again)).tables.entries).toHaveLength(tables.entries.length);
    const read = must(await replaceTables(kennel, { ...tables, trials: [], forecasts: [] }));
    must(await takeBack(kennel, read));
    expect((await exportTables(kennel)).trials.map((trial) => trial.title).sort()).toEqual(
      tables.trials.map((trial) => trial.title).sort(),
    );
  });

  it.each<[string, string, string]>([
    ['empty', '', 'json'],
    ['cut off', text.slice(0, text.length / 2), 'json'],
    ['another program’s', '{"format":"something","version":1}', 'foreign'],
    ['a list', '[]', 'foreign'],
    ['null', 'null', 'foreign'],
    [
      'newer',
      spoiled((file) => {
        file.version = CURRENT_VERSION + 1;
      }),
      'newer',
    ],
    [
      'from before the first version',
      spoiled((file) => {
        file.version = 0;
      }),
      'version',
    ],
    [
      'without a version',
      spoiled((file) => {
        delete file.version;
      }),
      'version',
    ],
    [
      'with unknown parts',
      spoiled((file) => {
        file.extra = true;
      }),
      'shape',
    ],
    [
      'short of reps',
      spoiled((file) => {
        file.tables.entries?.pop();
      }),
      'cut',
    ],
    [
      'without a table',
      spoiled((file) => {
        delete file.tables.trials;
      }),
      'cut',
    ],
    [
      'with a rep of no outcome',
      spoiled((file) => {
        (first(file, 'entries').judged as Record<string, unknown>).outcome = 'perfect';
      }),
      'record',
    ],
    [
      'with a date that is none',
      spoiled((file) => {
        first(file, 'outings').day = '2026-02-30';
      }),
      'record',
    ],
    [
      'with a wrong rule book',
      spoiled((file) => {
        first(file, 'ruleBooks').book = {};
      }),
      'record',
    ],
    [
      'with an unsound rule book',
      spoiled((file) => {
        (first(file, 'ruleBooks').book as { rules: { pass: unknown[] } }).rules.pass = [
          { kind: 'total', atLeast: 900 },
        ];
      }),
      'rule-book',
    ],
    [
      'with a unit of another quantity',
      spoiled((file) => {
        for (const axis of first(file, 'elements').axes as { unit: string }[]) axis.unit = 'kg';
      }),
      'record',
    ],
    [
      'with a session of no dog',
      spoiled((file) => {
        first(file, 'bouts').dogId = 'ghost';
      }),
      'reference',
    ],
    [
      'with an id twice',
      spoiled((file) => {
        first(file, 'entries').id = file.tables.entries?.[1]?.id;
      }),
      'reference',
    ],
    [
      'with an undo of nothing',
      spoiled((file) => {
        Object.assign(first(file, 'entries'), { kind: 'undo', of: 'nobody' });
        for (const key of ['purpose', 'asked', 'seen', 'judged', 'paid', 'from'])
          delete first(file, 'entries')[key];
      }),
      'reference',
    ],
  ])('%s is refused', (_, wrong, code) => {
    const read = readKennelFile(wrong);
    expect(read).toMatchObject({ ok: false, code });
    expect(read.ok ? '' : wordsOf(read.message).length).toBeGreaterThan(20);
  });

  it('never crashes on a file with something else in its place, and never takes it half', () => {
    const saved = [1, 2, 3, 4, 5].map(
      (version) => JSON.parse(readFileSync(`src/data/fixtures/kennel-v${version}.json`, 'utf8')) as Loose,
    );
    const strange = fc.constantFrom<unknown>(
      null,
      -1,
      0,
      Number.POSITIVE_INFINITY,
      '',
      'x',
      [],
      {},
      true,
      Number.NaN,
    );
    fc.assert(
      fc.property(fc.nat(), strange, fc.constantFrom(...saved), (pick, value, old) => {
        const file = structuredClone(old);
        const places = placesIn(file);
        const [holder, key] = places[pick % places.length] ?? [file, 'version'];
        holder[key] = value;
        const read = readKennelFile(JSON.stringify(file));
        if (!read.ok) expect(wordsOf(read.message).length).toBeGreaterThan(10);
        else expect(readKennelFile(writeKennelFile(read.value.tables, 'x'))).toMatchObject({ ok: true });
      }),
      { numRuns: 1500 },
    );
  });

  it('finds an id that is used twice in a long list without looking through it again and again', () => {
    const dog = tables.dogs[0];
    const entries = Array.from({ length: 60_000 }, (_, i) => ({ ...tables.entries[0], id: `e${i}` }));
    const twice = [...entries, { ...tables.entries[0], id: 'e59999' }];
    const found = checkReferences({ ...tables, dogs: dog ? [dog] : [], entries: twice } as never);
    expect(found).toMatchObject({ code: 'reference', path: 'tables.entries[60000]' });
  });

  it('still reads the first file that was ever saved', () => {
    const old = readFileSync('src/data/fixtures/kennel-v1.json', 'utf8');
    expect(must(readKennelFile(old)).tables).toMatchObject({
      dogs: [{ name: 'Wren' }],
      entries: [
        { kind: 'rep', seen: { measured: { latency: { value: 1.25, how: 'tap' } } } },
        { kind: 'undo' },
      ],
    });
  });

  it('reads what version 17 saved, unchanged', () => {
    const saved = JSON.parse(readFileSync('src/data/fixtures/kennel-v17.json', 'utf8')) as Loose;
    expect(must(readKennelFile(JSON.stringify(saved))).tables).toEqual(saved.tables);
  });

  it.each([
    [
      'prerequisites in a circle',
      (file: Loose) =>
        Object.assign(file.tables.elements?.[1] ?? {}, { needs: [{ element: 'e3', rung: 1 }] }),
      'circle',
    ],
    [
      'a chain of an unknown link',
      (file: Loose) =>
        Object.assign(file.tables.elements?.[3] ?? {}, { form: { kind: 'chain', links: ['e2', 'ghost'] } }),
      'ghost',
    ],
    [
      'an exercise of nobody',
      (file: Loose) => Object.assign(first(file, 'breakdowns'), { own: null }),
      'either',
    ],
  ])('refuses %s', (_, change, words) => {
    const saved = JSON.parse(readFileSync('src/data/fixtures/kennel-v2.json', 'utf8')) as Loose;
    change(saved);
    const read = readKennelFile(JSON.stringify(saved));
    expect(wordsOf(read.ok ? '' : read.message)).toContain(words);
  });
});

describe('the sample kennel', () => {
  it('is the same for the same seed and day, moves with the day, and ends yesterday', () => {
    expect(makeSampleKennel(today, 2)).toEqual(tables);
    const later = makeSampleKennel('2026-07-01' as Day, 2);
    expect(later.outings.map((outing) => outing.day)).not.toEqual(tables.outings.map((outing) => outing.day));
    expect(tables.outings.every((outing) => outing.day < today)).toBe(true);
  });
});
