import { describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { asId, type Day, type DogId, type ElementId, must } from '@/core/shared';
import { KennelDatabase, openDatabase } from '@/data/database';
import { DEFAULT_POLICY, type ElementRecord, PLAIN_ELEMENT, type Session } from '@/data/records';
import {
  evidenceReps,
  isRunning,
  type Kennel,
  lastSession,
  recordCorrection,
  recordMove,
  recordRep,
  recordRest,
  recordUndo,
  replay,
  sessionEntries,
  standingReps,
  standingRung,
  startSession,
} from '.';

const element: ElementRecord = {
  ...PLAIN_ELEMENT,
  id: asId<ElementId>('e'),
  dogId: asId<DogId>('d'),
  title: 'Hold',
  policy: { ...DEFAULT_POLICY, rule: { kind: 'run', advanceAfter: 2, dropAfter: 2 } },
  axes: [testAxis({ key: 't', title: 'Time', quantity: 'duration', unit: 's', start: 1, demand: 8, step: 1, limit: 1 })],
};
let databases = 0;
const begin = async (): Promise<{ kennel: Kennel; session: Session }> => {
  const database = must(await openDatabase(`log-${databases++}`));
  const kennel: Kennel = { name: 'own', database };
  return { kennel, session: await startSession(kennel, element, { now: 0, day: '2026-06-01' as Day, away: false, rung: 1 }) };
};
const draft = (at: number, outcome: 'clean' | 'flawed' | 'miss' = 'clean') => ({
  at,
  outcome,
  option: null,
  cause: 'dog' as const,
  aided: false,
  rung: 1,
  criteria: { t: 2 },
  latency: null,
});

describe('the log', () => {
  it('keeps every entry, in order, and shows what stands', async () => {
    const { kennel, session } = await begin();
    const first = must(await recordRep(kennel, session, draft(1)));
    must(await recordRep(kennel, session, draft(2, 'miss')));
    must(await recordUndo(kennel, session, 3));
    must(await recordCorrection(kennel, session, first.id, { outcome: 'flawed', option: 'x', cause: 'handler', aided: false }, 4));
    const entries = await sessionEntries(kennel, session.id);
    expect(entries.map((entry) => [entry.seq, entry.kind])).toEqual([
      [0, 'rep'],
      [1, 'rep'],
      [2, 'undo'],
      [3, 'correction'],
    ]);
    expect(standingReps(entries)).toMatchObject([{ id: first.id, outcome: 'flawed', cause: 'handler', corrected: true }]);
    expect(evidenceReps(session, entries)).toMatchObject([{ option: 'x', day: '2026-06-01', criteria: { t: 2 } }]);
  });

  it('takes back step by step: correction, then move, then rep, then nothing', async () => {
    const { kennel, session } = await begin();
    const rep = must(await recordRep(kennel, session, draft(1)));
    must(await recordMove(kennel, session, { from: 1, to: 2, by: 'advice', at: 2 }));
    must(await recordCorrection(kennel, session, rep.id, { outcome: 'miss', option: null, cause: 'dog', aided: true }, 3));
    must(await recordRest(kennel, session, 4));
    const states: [number, (string | boolean)[]][] = [];
    for (let i = 0; i < 3; i++) {
      must(await recordUndo(kennel, session, 5 + i));
      const entries = await sessionEntries(kennel, session.id);
      states.push([standingRung(session, entries), standingReps(entries).map((standing) => standing.outcome)]);
    }
    expect(states).toEqual([
      [2, ['clean']],
      [1, ['clean']],
      [1, []],
    ]);
    expect(await recordUndo(kennel, session, 9)).toMatchObject({ ok: false, code: 'nothing' });
  });

  it('replays the coach from the log alone', async () => {
    const { kennel, session } = await begin();
    must(await recordRep(kennel, session, draft(1)));
    must(await recordRep(kennel, session, { ...draft(2), aided: true }));
    must(await recordRep(kennel, session, draft(3)));
    const entries = await sessionEntries(kennel, session.id);
    expect(replay(element.policy, session, { top: 3 }, entries).advice[0]).toMatchObject({ kind: 'advance', to: 2 });
  });

  it('writes two reps at once without losing one', async () => {
    const { kennel, session } = await begin();
    await Promise.all([1, 2, 3, 4].map((at) => recordRep(kennel, session, draft(at))));
    expect((await sessionEntries(kennel, session.id)).map((entry) => entry.seq)).toEqual([0, 1, 2, 3]);
  });

  it('says so when a rep could not be stored', async () => {
    const { kennel, session } = await begin();
    kennel.database.close({ disableAutoOpen: true });
    expect(await recordRep(kennel, session, draft(1))).toMatchObject({ ok: false, code: 'write' });
  });
});

describe('a session', () => {
  it('runs on its own day only, and is ended at its last entry when another begins', async () => {
    const { kennel, session } = await begin();
    must(await recordRep(kennel, session, draft(77)));
    expect([isRunning(session, '2026-06-01' as Day), isRunning(session, '2026-06-02' as Day)]).toEqual([true, false]);
    const next = await startSession(kennel, element, { now: 900, day: '2026-06-02' as Day, away: true, rung: 0 });
    expect(await kennel.database.sessions.get(session.id)).toMatchObject({ endedAt: 77 });
    expect(await lastSession(kennel, element.id)).toEqual(next);
  });
});

describe('opening', () => {
  it('refuses a database that a newer program wrote, and leaves it alone', async () => {
    const name = 'newer';
    const database = must(await openDatabase(name));
    await database.meta.put({ key: 'version', value: 99 });
    database.close();
    expect(await openDatabase(name)).toMatchObject({ ok: false, code: 'newer' });
    const plain = new KennelDatabase(name);
    expect((await plain.meta.get('version'))?.value).toBe(99);
    plain.close();
  });

  it('refuses one whose indexes are newer', async () => {
    await new Promise<void>((resolve) => {
      const request = indexedDB.open('newer-indexes', 70);
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
