import { readFileSync } from 'node:fs';
import Dexie from 'dexie';
import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { KennelDatabase, openDatabase, readTables } from '@/data/database';
import { readKennelFile } from '@/data/files';
import { mergeTables } from '@/data/files/merge';
import { CURRENT_VERSION, FIRST_VERSION, MIGRATIONS, type Migration, migrateTables } from './';
import { elementsGrowUp } from './elements-grow-up';
import { forecastsAreKept } from './forecasts-are-kept';
import { type Loose, savedBy } from './saved-by.test-helper';
import { wordsOfAPerson } from './words-of-a-person';

describe('migrations', () => {
  const rename: Migration = {
    to: 2,
    name: 'dogs are hounds',
    migrate: ({ dogs, ...rest }) => ({ ...rest, hounds: dogs ?? [] }),
  };
  const count: Migration = {
    to: 3,
    name: 'count the hounds',
    migrate: (all) => ({ ...all, counted: [all.hounds?.length] }),
  };

  it('run in order from where the data stands', () => {
    expect(must(migrateTables({ dogs: [1] }, 1, [rename, count]))).toEqual({ hounds: [1], counted: [1] });
    expect(must(migrateTables({ hounds: [1, 2] }, 2, [rename, count]))).toEqual({
      hounds: [1, 2],
      counted: [2],
    });
  });

  it('“elements grow up” gives an old element all it needs, and its method’s faults', () => {
    const old = JSON.parse(readFileSync('src/data/fixtures/kennel-v1.json', 'utf8')) as Loose;
    const now = elementsGrowUp.migrate(old.tables) as Loose['tables'];
    expect(old.tables.elements?.[0]).toMatchObject({
      methodId: 'formal-hold',
      policy: { kind: 'run', setSize: 5 },
    });
    expect(now.elements?.[0]).toMatchObject({
      method: { id: 'formal-hold', element: 'still' },
      policy: { rule: { kind: 'run', advanceAfter: 5, dropAfter: 2 }, pace: { setSize: 5 } },
      faults: [{ key: 'mouthed' }, { key: 'spat' }, { key: 'head-drop' }, { key: 'late-mark' }],
      axes: [{ role: 'criterion', levels: null, safety: null, start: 1, demand: 20 }],
    });
    expect(now.elements?.[0]).not.toHaveProperty('methodId');
    expect([now.kit, now.entries?.[0]]).toEqual([
      [],
      expect.objectContaining({ timing: null, latency: 1.25 }),
    ]);
  });

  it('“forecasts are kept” gives version 2 the marker, a set-out, and articles in a line', () => {
    const old = JSON.parse(readFileSync('src/data/fixtures/kennel-v2.json', 'utf8')) as Loose;
    Object.assign(old.tables.elements?.[0] ?? {}, { articles: 6 });
    const run = { laid: [1, 2], target: 0, firstTouch: 0, pick: 0, known: false };
    Object.assign(old.tables.entries?.find((entry) => entry.kind === 'rep') ?? {}, {
      details: { articles: run },
    });
    const now = forecastsAreKept.migrate(old.tables) as Loose['tables'];
    expect(old.tables.elements?.[0]).not.toHaveProperty('setOut');
    expect(now.elements?.[0]).toMatchObject({
      setOut: '',
      articles: { count: 6, shape: 'line', laid: 'hidden', nearer: false },
    });
    expect(now.entries?.find((entry) => entry.kind === 'rep')).toMatchObject({
      marker: null,
      details: { articles: { ...run, shape: 'line', seen: false, nearer: null } },
    });
    expect(now.sessions?.every((session) => session.runsFixed === null)).toBe(true);
    expect([now.forecasts, now.results]).toEqual([[], []]);
  });

  it('refuse newer data and a list with a gap', () => {
    expect(migrateTables({}, 4, [rename, count])).toMatchObject({ ok: false, code: 'newer' });
    expect(() => migrateTables({}, 1, [count])).toThrow('version 2');
  });

  it('have a fixture for every version that was ever current', () => {
    for (let version = FIRST_VERSION; version <= CURRENT_VERSION; version++) {
      expect(JSON.parse(readFileSync(`src/data/fixtures/kennel-v${version}.json`, 'utf8'))).toMatchObject({
        version,
      });
    }
    expect(MIGRATIONS.every((migration) => migration.name.length > 5)).toBe(true);
  });
});

describe('“words of a person”', () => {
  const old = savedBy(5);
  const now = wordsOfAPerson.migrate(old.tables) as Loose['tables'];

  it('makes of each cue of a dog a word of its own, and leaves the rest of the dog', () => {
    const [dog] = old.tables.dogs ?? [];
    expect(dog?.cues).toEqual([{ word: 'Out', means: 'go out' }]);
    expect(now.signals).toEqual([
      {
        id: expect.stringMatching(new RegExp(`^s-${dog?.id}-[0-9a-f]{8}$`)),
        dogId: dog?.id,
        kind: 'cue',
        word: 'Out',
        means: 'go out',
        stays: null,
        elements: [],
        changed: { at: 0, by: 'v5', seen: expect.any(Object) },
      },
    ]);
    const { cues: _cues, ...rest } = dog ?? {};
    expect(now.dogs?.[0]).toEqual(rest);
  });

  const wordsIn = (tables: Loose['tables']) =>
    (tables.signals ?? []).map((one) => `${one.dogId}: ${one.word}, ${one.means}`).sort();

  it('takes the cues of a version that waits for a decision along, each once', () => {
    const waits = structuredClone(old.tables);
    const [dog] = waits.dogs ?? [];
    const record = { ...dog, cues: [...(dog?.cues as object[]), { word: 'Down', means: 'lie down' }] };
    waits.apart = [
      {
        id: `dogs/${dog?.id}`,
        versions: [
          { changed: {}, record },
          { changed: {}, record: null },
        ],
      },
    ];
    const found = wordsOfAPerson.migrate(waits) as Loose['tables'];
    expect(wordsIn(found)).toEqual([`${dog?.id}: Down, lie down`, `${dog?.id}: Out, go out`]);
    const versions = (found.apart ?? []).flatMap((one) => one.versions as { record: object | null }[]);
    expect(versions).toHaveLength(2);
    expect(versions.filter((one) => one.record && 'cues' in one.record)).toEqual([]);
  });

  it('two devices agree on a cue that they had alike, and of one that they had not both stay', () => {
    const read = (file: Loose) => must(readKennelFile(JSON.stringify(file))).tables;
    const [here, there] = [structuredClone(old), structuredClone(old)];
    expect(wordsIn(must(mergeTables(read(here), read(there))).tables)).toEqual(['d1: Out, go out']);
    Object.assign(there.tables.dogs?.[0] ?? {}, { cues: [{ word: 'Out', means: 'leave it' }] });
    const both = must(mergeTables(read(here), read(there)));
    expect(wordsIn(both.tables)).toEqual(['d1: Out, go out', 'd1: Out, leave it']);
    expect(both.apart.filter((id) => id.startsWith('signals/'))).toEqual([]);
  });
});

describe('a database of version 3', () => {
  const file = JSON.parse(readFileSync('src/data/fixtures/sample-v3.json', 'utf8')) as Loose;
  /** Written as version 3 wrote it: its stores, its indexes, its version row. */
  async function written(name: string, spoil: (tables: Loose['tables']) => void = () => {}): Promise<void> {
    const tables = structuredClone(file.tables);
    spoil(tables);
    const database = new Dexie(name);
    database.version(3).stores({
      dogs: 'id',
      ruleBooks: 'id',
      breakdowns: 'id, dogId',
      elements: 'id, dogId',
      sessions: 'id, dogId, elementId',
      entries: 'id, &[sessionId+seq], dogId, elementId',
      trials: 'id, dogId',
      kit: 'id',
      forecasts: 'id, dogId, trialId',
      results: 'id, dogId, trialId',
      meta: 'key',
    });
    for (const [table, rows] of Object.entries(tables)) await database.table(table).bulkAdd(rows);
    await database.table('meta').put({ key: 'version', value: 3 });
    database.close();
  }

  it('opens, and has every rep, session and dog that it had', async () => {
    await written('real-v3');
    const database = must(await openDatabase('real-v3'));
    const tables = await readTables(database);
    const { entries = [], sessions = [], dogs = [] } = file.tables;
    expect(tables.entries.filter((entry) => entry.kind === 'rep')).toHaveLength(
      entries.filter((entry) => entry.kind === 'rep').length,
    );
    expect(new Set(tables.entries.map((entry) => entry.id as string))).toEqual(
      new Set(entries.map((entry) => entry.id)),
    );
    expect(new Set(tables.bouts.map((bout) => bout.id as string))).toEqual(
      new Set(sessions.map((one) => one.id)),
    );
    expect(tables.dogs.map((dog) => dog.name).sort()).toEqual(dogs.map((dog) => dog.name).sort());
    expect((await database.meta.get('version'))?.value).toBe(CURRENT_VERSION);
    database.close();
    must(await openDatabase('real-v3')).close();
  });

  it('that does not fit is refused in words, and is left as it was', async () => {
    await written('spoilt-v3', (tables) => {
      Object.assign(tables.entries?.[0] ?? {}, { outcome: 'perfect' });
    });
    const opened = await openDatabase('spoilt-v3');
    expect(opened).toMatchObject({
      ok: false,
      code: 'record',
      message: expect.saying('Nothing was changed'),
    });
    const plain = new KennelDatabase('spoilt-v3');
    expect((await plain.meta.get('version'))?.value).toBe(3);
    expect(await plain.table('sessions').count()).toBe(file.tables.sessions?.length);
    expect(await plain.of('entries').count()).toBe(file.tables.entries?.length);
    plain.close();
  });
});

describe('opening', () => {
  it('refuses a database that a newer program wrote, and leaves it alone', async () => {
    const database = must(await openDatabase('newer'));
    await database.meta.put({ key: 'version', value: 99 });
    database.close();
    expect(await openDatabase('newer')).toMatchObject({ ok: false, code: 'newer' });
    const plain = new KennelDatabase('newer');
    expect((await plain.meta.get('version'))?.value).toBe(99);
    plain.close();
  });

  it('refuses one whose indexes are newer', async () => {
    await new Promise<void>((resolve) => {
      const request = indexedDB.open('newer-indexes', 10 * CURRENT_VERSION + 10);
      request.onsuccess = () => {
        request.result.close();
        resolve();
      };
    });
    expect(await openDatabase('newer-indexes')).toMatchObject({ ok: false, code: 'newer' });
  });

  it('does not create anything by looking', async () => {
    const before = (await indexedDB.databases()).length;
    must(await openDatabase('fresh')).close();
    must(await openDatabase('fresh')).close();
    expect((await indexedDB.databases()).length).toBe(before + 1);
  });
});
