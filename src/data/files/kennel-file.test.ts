import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Day, must } from '@/core/shared';
import { openDatabase } from '@/data/database';
import { CURRENT_VERSION, FIRST_VERSION, MIGRATIONS, type Migration, migrateTables } from '@/data/migrations';
import { exportTables, type Kennel, replaceTables } from '@/data/repositories';
import { makeSampleKennel } from '@/demo/sample-kennel';
import { readKennelFile, writeKennelFile } from '.';

const today = '2026-06-30' as Day;
const tables = makeSampleKennel(today, 2);
const text = writeKennelFile(tables, '2026-06-30T10:00:00.000Z');
type Loose = { [key: string]: unknown; version: unknown; counts: Record<string, number>; tables: Record<string, Record<string, unknown>[]> };
const spoiled = (change: (file: Loose) => void): string => {
  const file = JSON.parse(text) as Loose;
  change(file);
  return JSON.stringify(file);
};
const first = (file: Loose, table: string): Record<string, unknown> => file.tables[table]?.[0] as Record<string, unknown>;

/** Every place in a tree of JSON where a value stands. */
function placesIn(node: unknown): [Record<string, unknown>, string][] {
  if (typeof node !== 'object' || node === null) return [];
  const holder = node as Record<string, unknown>;
  return Object.keys(holder).flatMap((key): [Record<string, unknown>, string][] => [[holder, key], ...placesIn(holder[key])]);
}

describe('the kennel file', () => {
  it('comes back whole, through the database too', async () => {
    expect(must(readKennelFile(text)).tables).toEqual(tables);
    const kennel: Kennel = { name: 'own', database: must(await openDatabase('files')) };
    must(await replaceTables(kennel, must(readKennelFile(text)).tables));
    const again = writeKennelFile(await exportTables(kennel), '2026-06-30T10:00:00.000Z');
    expect(must(readKennelFile(again)).tables.entries).toHaveLength(tables.entries.length);
    const before = must(await replaceTables(kennel, { ...tables, trials: [] }));
    expect(before.trials).toEqual(tables.trials);
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
        first(file, 'entries').outcome = 'perfect';
      }),
      'record',
    ],
    [
      'with a date that is none',
      spoiled((file) => {
        first(file, 'sessions').day = '2026-02-30';
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
        (first(file, 'ruleBooks').book as { rules: { pass: unknown[] } }).rules.pass = [{ kind: 'total', atLeast: 900 }];
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
        first(file, 'sessions').dogId = 'ghost';
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
      'with a gap in a log',
      spoiled((file) => {
        first(file, 'entries').seq = 900;
      }),
      'reference',
    ],
  ])('%s is refused', (_, wrong, code) => {
    const read = readKennelFile(wrong);
    expect(read).toMatchObject({ ok: false, code });
    expect(read.ok ? '' : read.message.length).toBeGreaterThan(20);
  });

  it('never crashes on a file with something else in its place, and never takes it half', () => {
    const saved = [1, 2, 3].map((version) => JSON.parse(readFileSync(`src/data/fixtures/kennel-v${version}.json`, 'utf8')) as Loose);
    const strange = fc.constantFrom<unknown>(null, -1, 0, Number.POSITIVE_INFINITY, '', 'x', [], {}, true, Number.NaN);
    fc.assert(
      fc.property(fc.nat(), strange, fc.constantFrom(...saved), (pick, value, old) => {
        const file = structuredClone(old);
        const places = placesIn(file);
        const [holder, key] = places[pick % places.length] ?? [file, 'version'];
        holder[key] = value;
        const read = readKennelFile(JSON.stringify(file));
        if (!read.ok) expect(read.message.length).toBeGreaterThan(10);
        else expect(readKennelFile(writeKennelFile(read.value.tables, 'x'))).toMatchObject({ ok: true });
      }),
      { numRuns: 1500 },
    );
  });

  it('still reads the first file that was ever saved', () => {
    const old = readFileSync('src/data/fixtures/kennel-v1.json', 'utf8');
    expect(must(readKennelFile(old)).tables).toMatchObject({ dogs: [{ name: 'Wren' }], entries: [{ kind: 'rep', latency: 1.25 }, { kind: 'undo' }] });
  });

  it('reads what version 3 saved, unchanged', () => {
    const saved = JSON.parse(readFileSync('src/data/fixtures/kennel-v3.json', 'utf8')) as Loose;
    expect(must(readKennelFile(JSON.stringify(saved))).tables).toEqual(saved.tables);
  });

  it('“forecasts are kept” gives version 2 the marker, a set-out, and articles in a line', () => {
    const old = JSON.parse(readFileSync('src/data/fixtures/kennel-v2.json', 'utf8')) as Loose;
    Object.assign(old.tables.elements?.[0] ?? {}, { articles: 6 });
    const run = { laid: [1, 2], target: 0, firstTouch: 0, pick: 0, known: false };
    Object.assign(old.tables.entries?.find((entry) => entry.kind === 'rep') ?? {}, { details: { articles: run } });
    const { tables: now } = must(readKennelFile(JSON.stringify(old)));
    expect(old.tables.elements?.[0]).not.toHaveProperty('setOut');
    expect(now.elements[0]).toMatchObject({ setOut: '', articles: { count: 6, shape: 'line', laid: 'hidden', nearer: false } });
    expect(now.entries.find((entry) => entry.kind === 'rep')).toMatchObject({
      marker: null,
      details: { articles: { ...run, shape: 'line', seen: false, nearer: null } },
    });
    expect(now.sessions.every((session) => session.runsFixed === null)).toBe(true);
    expect([now.forecasts, now.results]).toEqual([[], []]);
  });

  it.each([
    ['prerequisites in a circle', (file: Loose) => Object.assign(file.tables.elements?.[1] ?? {}, { needs: [{ element: 'e3', rung: 1 }] }), 'circle'],
    [
      'a chain of an unknown link',
      (file: Loose) => Object.assign(file.tables.elements?.[3] ?? {}, { form: { kind: 'chain', links: ['e2', 'ghost'] } }),
      'ghost',
    ],
    ['an exercise of nobody', (file: Loose) => Object.assign(first(file, 'breakdowns'), { own: null }), 'either'],
  ])('refuses %s', (_, change, words) => {
    const saved = JSON.parse(readFileSync('src/data/fixtures/kennel-v2.json', 'utf8')) as Loose;
    change(saved);
    const read = readKennelFile(JSON.stringify(saved));
    expect(read.ok ? '' : read.message).toContain(words);
  });
});

describe('migrations', () => {
  const rename: Migration = { to: 2, name: 'dogs are hounds', migrate: ({ dogs, ...rest }) => ({ ...rest, hounds: dogs ?? [] }) };
  const count: Migration = { to: 3, name: 'count the hounds', migrate: (all) => ({ ...all, counted: [all.hounds?.length] }) };

  it('run in order from where the data stands', () => {
    expect(must(migrateTables({ dogs: [1] }, 1, [rename, count]))).toEqual({ hounds: [1], counted: [1] });
    expect(must(migrateTables({ hounds: [1, 2] }, 2, [rename, count]))).toEqual({ hounds: [1, 2], counted: [2] });
  });

  it('“elements grow up” gives an old element all it needs, and its method’s faults', () => {
    const old = JSON.parse(readFileSync('src/data/fixtures/kennel-v1.json', 'utf8')) as Loose;
    const now = must(migrateTables(old.tables, 1));
    expect(old.tables.elements?.[0]).toMatchObject({ methodId: 'formal-hold', policy: { kind: 'run', setSize: 5 } });
    expect(now.elements?.[0]).toMatchObject({
      method: { id: 'formal-hold', element: 'still' },
      policy: { rule: { kind: 'run', advanceAfter: 5, dropAfter: 2 }, pace: { setSize: 5 } },
      faults: [{ key: 'mouthed' }, { key: 'spat' }, { key: 'head-drop' }, { key: 'late-mark' }],
      axes: [{ role: 'criterion', levels: null, safety: null, start: 1, demand: 20 }],
    });
    expect(now.elements?.[0]).not.toHaveProperty('methodId');
    expect([now.kit, now.entries?.[0]]).toEqual([[], expect.objectContaining({ timing: null, latency: 1.25 })]);
  });

  it('refuse newer data and a list with a gap', () => {
    expect(migrateTables({}, 4, [rename, count])).toMatchObject({ ok: false, code: 'newer' });
    expect(() => migrateTables({}, 1, [count])).toThrow('version 2');
  });

  it('have a fixture for every version that was ever current', () => {
    for (let version = FIRST_VERSION; version <= CURRENT_VERSION; version++) {
      expect(JSON.parse(readFileSync(`src/data/fixtures/kennel-v${version}.json`, 'utf8'))).toMatchObject({ version });
    }
    expect(MIGRATIONS.every((migration) => migration.name.length > 5)).toBe(true);
  });
});

describe('the sample kennel', () => {
  it('is the same for the same seed and day, moves with the day, and ends yesterday', () => {
    expect(makeSampleKennel(today, 2)).toEqual(tables);
    const later = makeSampleKennel('2026-07-01' as Day, 2);
    expect(later.sessions.map((session) => session.day)).not.toEqual(tables.sessions.map((session) => session.day));
    expect(tables.sessions.every((session) => session.day < today)).toBe(true);
  });
});
