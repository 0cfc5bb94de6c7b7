import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { asEvidence, foldLog } from '@/core/log';
import { type Day, must } from '@/core/shared';
import { readKennelFile } from '@/data/files';
import { mergeTables } from '@/data/files/merge';
import type { Bout } from '@/data/records';
import { rungsOfVersion3 } from './ladder-of-version-3';
import { outingsAndBouts } from './outings-and-bouts';
import { type Loose, savedBy } from './saved-by.test-helper';

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
