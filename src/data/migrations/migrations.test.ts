import { readFileSync } from 'node:fs';
import Dexie from 'dexie';
import { describe, expect, it } from 'vitest';
import { asEvidence, foldLog } from '@/core/log';
import { type Day, must } from '@/core/shared';
import { KennelDatabase, openDatabase, readTables } from '@/data/database';
import { readKennelFile } from '@/data/files';
import { mergeTables } from '@/data/files/merge';
import type { Bout } from '@/data/records';
import { CURRENT_VERSION, FIRST_VERSION, MIGRATIONS, type Migration, migrateTables } from '.';
import { elementsGrowUp } from './elements-grow-up';
import { forecastsAreKept } from './forecasts-are-kept';
import { rungsOfVersion3 } from './ladder-of-version-3';
import { outingsAndBouts } from './outings-and-bouts';
import { wordsOfAPerson } from './words-of-a-person';

type Loose = { readonly tables: Record<string, Record<string, unknown>[]> };
const savedBy = (version: number): Loose =>
  JSON.parse(readFileSync(`src/data/fixtures/kennel-v${version}.json`, 'utf8')) as Loose;

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

describe('“outings and bouts”', () => {
  const old = savedBy(3);
  const now = outingsAndBouts.migrate(old.tables) as Loose['tables'];
  const [session] = old.tables.sessions ?? [];
  const kinds = (rows: readonly Record<string, unknown>[] | undefined) => (rows ?? []).map((row) => row.kind);

  it('makes of each session a bout of its own id in an outing of its own', () => {
    expect(now.sessions).toBeUndefined();
    expect(now.bouts).toMatchObject([
      {
        id: session?.id,
        outingId: `o-${session?.id}`,
        on: { kind: 'element', element: session?.elementId },
        away: session?.away,
        debrief: session?.debrief,
      },
    ]);
    expect(now.outings).toMatchObject([
      { id: `o-${session?.id}`, day: session?.day, dogs: [session?.dogId], helpers: session?.helper },
    ]);
  });

  it('keeps every entry in its place; corrections and details are amendments', () => {
    const renamed = kinds(old.tables.entries).map((kind) =>
      kind === 'correction' || kind === 'detail' ? 'amend' : kind,
    );
    expect(kinds(now.entries)).toEqual(renamed);
    expect(now.entries?.map((entry) => [entry.id, entry.seq, entry.at])).toEqual(
      old.tables.entries?.map((entry) => [entry.id, entry.seq, entry.at]),
    );
  });

  it('says the same of every rep as before: judgement, measures, pay, place in a run', () => {
    const bout = must(readKennelFile(readFileSync('src/data/fixtures/kennel-v3.json', 'utf8'))).tables;
    const folded = foldLog(bout.bouts[0]?.start ?? {}, bout.entries);
    const reps = asEvidence({ ...(bout.bouts[0] as Bout), day: bout.outings[0]?.day as Day }, folded.reps);
    const undone = new Set(
      old.tables.entries?.flatMap((entry) => (entry.kind === 'undo' ? [entry.supersedes] : [])),
    );
    for (const entry of old.tables.entries ?? []) {
      if (entry.kind !== 'rep' || undone.has(entry.id)) continue;
      const rep = reps.find((one) => one.id === entry.id);
      const said = { ...entry, ...(entry.details as Record<string, unknown>) } as Record<string, unknown>;
      for (const other of old.tables.entries ?? []) {
        if (other.supersedes !== entry.id || undone.has(other.id)) continue;
        if (other.kind === 'correction')
          for (const key of ['outcome', 'option', 'cause', 'aided']) said[key] = other[key];
        if (other.kind === 'detail') Object.assign(said, other.details);
      }
      // Where a new cue takes over, what is evidence today is whether it was answered alone.
      const alone = { 'in-gap': 'clean', unprompted: 'clean', 'before-word': said.outcome };
      const timing = said.timing as keyof typeof alone | null | undefined;
      expect([rep?.outcome, rep?.cause, rep?.aided, rep?.latency, rep?.timing]).toEqual([
        timing ? (alone[timing] ?? 'miss') : said.outcome,
        said.cause,
        timing ? false : said.aided,
        said.latency,
        said.timing,
      ]);
      expect([
        rep?.cues && rep.cues.needed + rep.cues.slip,
        rep?.held,
        rep?.crooked,
        rep?.measured,
        rep?.pay,
        rep?.landed,
        rep?.did,
      ]).toEqual(
        ['extraCues', 'held', 'crooked', 'measured', 'pay', 'landed', 'did'].map((key) => said[key]),
      );
      const [fault] = rep?.faults ?? [];
      expect(fault ? `${fault.key}${fault.step === null ? '' : `:${fault.step}`}` : null).toBe(said.option);
    }
    expect(reps.length).toBeGreaterThan(1);
  });

  it('turns rungs into the values that they asked: of a rep on that rung, else of the ladder of then', () => {
    const axis = {
      key: 'distance',
      title: 'Distance',
      quantity: 'distance',
      unit: 'm',
      harder: 'more',
      role: 'criterion',
      levels: null,
      start: 5,
      demand: 20,
      step: 1,
      limit: 1,
      zeroScale: null,
      margin: 0.2,
      eases: [],
      safety: null,
    };
    const element = {
      id: 'e',
      axes: [axis],
      edits: [{ rung: 1, axis: 'distance', value: 11 }],
      ladderRule: 'one-axis',
      byHand: [],
      countsFrom: [{ fault: 'late:1', rung: 2 }],
      needs: [{ element: 'e', rung: 99 }],
      faults: [],
      form: { kind: 'piece' },
      assigned: [{ session: 's', to: ['e'] }],
    };
    const entry = (seq: number, said: object) => ({
      id: `x${seq}`,
      sessionId: 's',
      elementId: 'e',
      dogId: 'd',
      seq,
      at: seq * 1000,
      ...said,
    });
    const rep = {
      kind: 'rep',
      outcome: 'clean',
      option: null,
      cause: 'dog',
      aided: false,
      latency: null,
      marker: null,
      timing: null,
      details: {},
    };
    const tables = {
      dogs: [{ id: 'd' }],
      elements: [element],
      sessions: [
        { id: 's', dogId: 'd', elementId: 'e', startedAt: 5, endedAt: 9, startRung: 1, temperature: null },
      ],
      entries: [
        entry(0, { kind: 'move', from: 1, to: 2, by: 'advice' }),
        entry(1, { ...rep, rung: 2, criteria: { distance: 17 } }),
        entry(2, { kind: 'move', from: 2, to: 0, by: 'hand' }),
      ],
    };
    const moved = outingsAndBouts.migrate(tables) as Loose['tables'];
    expect(
      rungsOfVersion3(element as never).map((rung) => [rung.planned.distance, rung.criteria.distance]),
    ).toEqual([
      [5, 5],
      [10, 11],
      [20, 20],
    ]);
    expect(moved.bouts?.[0]).toMatchObject({ start: { distance: 11 }, changed: { at: 9, by: 'v3' } });
    expect(moved.entries?.map((one) => one.to ?? null)).toEqual([{ distance: 17 }, null, { distance: 5 }]);
    expect(moved.elements?.[0]).toMatchObject({
      edits: [{ on: { distance: 10 }, axis: 'distance', value: 11 }],
      countsFrom: [{ fault: { exercise: null, key: 'late', step: 1 }, from: { distance: 20 } }],
      needs: [{ element: 'e', at: { distance: 20 } }],
      assigned: [{ bout: 's', to: ['e'] }],
    });
  });

  it('knows reps that no hand can have tapped one by one, and whose the further cues were', () => {
    const rep = (seq: number, at: number, cause: string) => ({
      id: `x${seq}`,
      sessionId: 's',
      elementId: 'e',
      dogId: 'd',
      seq,
      at,
      kind: 'rep',
      outcome: 'flawed',
      option: null,
      cause,
      aided: true,
      rung: 0,
      criteria: {},
      latency: null,
      marker: null,
      timing: null,
      details: { extraCues: 2 },
    });
    const tables = {
      sessions: [{ id: 's', dogId: 'd', elementId: 'e', startedAt: 0, startRung: 0, temperature: 18 }],
      entries: [rep(0, 0, 'dog'), rep(1, 1, 'handler'), rep(2, 60_000, 'dog')],
    };
    const now4 = outingsAndBouts.migrate(tables) as Loose['tables'];
    expect(now4.entries?.map((one) => one.timed)).toEqual([false, false, true]);
    expect(now4.entries?.map((one) => (one.seen as { cues: unknown }).cues)).toEqual([
      { needed: 2, slip: 0 },
      { needed: 0, slip: 2 },
      { needed: 2, slip: 0 },
    ]);
    expect((now4.entries?.[0]?.judged as { aids: unknown }).aids).toEqual(['unsaid']);
    expect(now4.outings?.[0]?.weather).toEqual({ temperature: 18, wind: null, words: '' });
  });

  it('two devices that migrate apart agree, and what they had changed before is found', () => {
    const read = (file: Loose) => must(readKennelFile(JSON.stringify(file))).tables;
    const [here, there] = [structuredClone(old), structuredClone(old)];
    expect(read(here)).toEqual(read(there));
    expect(must(mergeTables(read(here), read(there))).apart).toEqual([]);
    Object.assign(there.tables.dogs?.[0] ?? {}, { breed: 'changed there' });
    expect(must(mergeTables(read(here), read(there))).apart).toEqual([`dogs/${old.tables.dogs?.[0]?.id}`]);
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
