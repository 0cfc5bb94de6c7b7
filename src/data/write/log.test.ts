import { describe, expect, it } from 'vitest';
import { buildLadder } from '@/core/breakdown';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { asEvidence, foldLog, plainRep, replay, type Said } from '@/core/log';
import { ownFault } from '@/core/rulebooks';
import { type AxisKey, asId, type Day, type ElementId, must } from '@/core/shared';
import { DOG, emptyKennel } from '@/data/kennel.test-helper';
import { kennelCounts } from '@/data/read';
import { boutLog, boutsOn, isRunning, lastBout, logged } from '@/data/read/bouts';
import { DEFAULT_POLICY, PLAIN_ELEMENT } from '@/data/records';
import {
  debriefBout,
  endBout,
  record,
  recordSet,
  recordUndo,
  redateOuting,
  startBout,
  takeBack,
  typeInBout,
} from '.';

const TIME = asId<AxisKey>('t');
const at = (seconds: number) => ({ [TIME]: seconds });
const element = {
  ...PLAIN_ELEMENT,
  id: asId<ElementId>('e'),
  dogId: DOG,
  title: 'Hold',
  policy: { ...DEFAULT_POLICY, rule: { kind: 'run' as const, advanceAfter: 2, dropAfter: 2 } },
  axes: [
    testAxis({
      key: 't',
      title: 'Time',
      quantity: 'duration',
      unit: 's',
      start: 1,
      demand: 8,
      step: 1,
      limit: 1,
    }),
  ],
};
const ladder = buildLadder(element);
const MONDAY = '2026-06-01' as Day;
const rep = (outcome: 'clean' | 'flawed' | 'miss' = 'clean', cause: 'dog' | 'handler' = 'dog'): Said => ({
  kind: 'rep',
  ...plainRep(at(2), { outcome, cause }),
});

async function begin(start = 2) {
  const kennel = await emptyKennel();
  const bout = must(await startBout(kennel, element, { day: MONDAY, away: false, start: at(start) })).made;
  const folded = async () => foldLog(bout.start, await boutLog(kennel, bout.id));
  return { kennel, bout, folded };
}

describe('the log', () => {
  it('keeps every entry, in order, and shows what stands', async () => {
    const { kennel, bout, folded } = await begin();
    const first = must(await record(kennel, bout, rep())).made;
    must(await record(kennel, bout, rep('miss')));
    must(await recordUndo(kennel, bout));
    const said = { outcome: 'flawed', faults: [ownFault('x')], cause: 'handler' } as const;
    must(await record(kennel, bout, { kind: 'amend', of: first.id, judged: said }));
    const entries = await boutLog(kennel, bout.id);
    expect(entries.map((entry) => [entry.seq, entry.kind, entry.by])).toEqual(
      ['rep', 'rep', 'undo', 'amend'].map((kind, seq) => [seq, kind, kennel.device]),
    );
    const { reps } = await folded();
    expect((await kennelCounts(kennel)).reps).toBe(1);
    expect(reps).toMatchObject([{ id: first.id, judged: said, corrected: true }]);
    expect(asEvidence({ ...bout, day: MONDAY }, reps)).toMatchObject([
      { faults: [ownFault('x')], day: MONDAY, criteria: at(2) },
    ]);
  });

  it('takes back step by step: amendment, then move, then rep, then nothing', async () => {
    const { kennel, bout, folded } = await begin();
    const made = must(await record(kennel, bout, rep())).made;
    must(await record(kennel, bout, { kind: 'move', to: at(4), because: 'advice' }));
    must(await record(kennel, bout, { kind: 'amend', of: made.id, judged: { outcome: 'miss' } }));
    must(await record(kennel, bout, { kind: 'rest' }));
    const states: unknown[] = [];
    for (let i = 0; i < 3; i++) {
      must(await recordUndo(kennel, bout));
      const { stands, reps } = await folded();
      states.push([stands[TIME], reps.map((one) => one.judged.outcome)]);
    }
    expect(states).toEqual([
      [4, ['clean']],
      [2, ['clean']],
      [2, []],
    ]);
    expect(await recordUndo(kennel, bout)).toMatchObject({ ok: false, code: 'nothing' });
  });

  it('two quick undos take back two things', async () => {
    const { kennel, bout, folded } = await begin();
    for (const outcome of ['clean', 'flawed', 'miss'] as const)
      must(await record(kennel, bout, rep(outcome)));
    await Promise.all([recordUndo(kennel, bout), recordUndo(kennel, bout)]);
    expect((await folded()).reps.map((one) => one.judged.outcome)).toEqual(['clean']);
  });

  it('writes four reps at once without losing one, and a set afterwards whole and without times', async () => {
    const { kennel, bout, folded } = await begin();
    await Promise.all([1, 2, 3, 4].map(() => record(kennel, bout, rep())));
    const asked = { criteria: at(2), chips: {}, noted: [], call: null };
    must(
      await recordSet(
        kennel,
        bout,
        asked,
        (['clean', 'miss', 'flawed'] as const).map((outcome) => ({ kind: 'rep', judged: { outcome } })),
      ),
    );
    expect((await boutLog(kennel, bout.id)).map((entry) => entry.seq)).toEqual([0, 1, 2, 3, 4, 5, 6]);
    expect((await folded()).reps.map((one) => one.timed)).toEqual([
      true,
      true,
      true,
      true,
      false,
      false,
      false,
    ]);
  });

  it('replays the coach from the log alone', async () => {
    const { kennel, bout } = await begin();
    must(await record(kennel, bout, rep()));
    must(
      await record(kennel, bout, { kind: 'rep', ...plainRep(at(2), { outcome: 'clean', aids: ['hand'] }) }),
    );
    must(await record(kennel, bout, rep()));
    const coached = { policy: element.policy, ladder, start: bout.start, facts: {} };
    expect(replay(coached, await boutLog(kennel, bout.id)).advice[0]).toMatchObject({
      kind: 'advance',
      to: 2,
    });
  });

  it('says so when something could not be stored, and never rejects', async () => {
    const { kennel, bout } = await begin();
    kennel.database.close({ disableAutoOpen: true });
    for (const written of [record(kennel, bout, rep()), recordUndo(kennel, bout), endBout(kennel, bout.id)])
      expect(await written).toMatchObject({
        ok: false,
        code: 'write',
        message: expect.saying('Nothing was stored: Database has been closed'),
      });
  });
});

const HOUR = 3_600_000;

describe('what stops one thing only', () => {
  it('two taps on Begin make one outing and one bout', async () => {
    const kennel = await emptyKennel();
    const start = { day: MONDAY, away: false, start: at(1) };
    const [one, two] = await Promise.all([
      startBout(kennel, element, start),
      startBout(kennel, element, start),
    ]);
    expect(must(one).made.id).toBe(must(two).made.id);
    expect(await kennel.database.of('outings').count()).toBe(1);
    expect(await kennel.database.of('bouts').count()).toBe(1);
  });

  it('an entry is refused where its bout is not there any more', async () => {
    const { kennel, bout } = await begin();
    await kennel.database.of('bouts').delete(bout.id);
    expect(await record(kennel, bout, rep())).toMatchObject({ ok: false, code: 'gone' });
    expect(await kennel.database.of('entries').count()).toBe(0);
  });

  it('what could not be read back is refused when it is written, in words', async () => {
    const kennel = await emptyKennel();
    const hot = { day: MONDAY, away: false, start: at(1), temperature: 99 };
    const refused = await startBout(kennel, element, hot);
    expect(refused).toMatchObject({
      ok: false,
      code: 'record',
      path: 'outings.weather.temperature',
      message: 'weather.temperature is 99; a number of 60 at most is wanted. Nothing was stored.',
    });
    expect(await kennel.database.of('outings').count()).toBe(0);
    const { kennel: other, bout } = await begin();
    const held = { value: Number.POSITIVE_INFINITY, how: 'typed' as const };
    const endless = { ...plainRep(at(1), { outcome: 'clean' }), seen: { timing: null, measured: { held } } };
    expect(await record(other, bout, { ...endless, kind: 'rep' } as never)).toMatchObject({ code: 'record' });
  });

  it('the day of an outing is put right, and its evidence with it', async () => {
    const { kennel, bout } = await begin();
    must(await record(kennel, bout, rep()));
    const sunday = '2026-05-31' as Day;
    const moved = must(await redateOuting(kennel, bout.outingId, sunday, MONDAY));
    expect((await kennel.database.kept.get(bout.id))?.day).toBe(sunday);
    expect(await redateOuting(kennel, bout.outingId, '2026-06-02' as Day, MONDAY)).toMatchObject({
      code: 'ahead',
    });
    must(await takeBack(kennel, moved));
    expect((await kennel.database.kept.get(bout.id))?.day).toBe(MONDAY);
  });
});

describe('a bout and its outing', () => {
  it('runs on its own day and past midnight, and a forgotten one is ended when another begins', async () => {
    const { kennel, bout } = await begin();
    const last = must(await record(kennel, bout, rep())).made;
    const [dated] = await boutsOn(kennel, element.id);
    const tuesday = '2026-06-02' as Day;
    const at13 = bout.startedAt + 13 * HOUR;
    expect(
      dated && [
        isRunning(dated, MONDAY, at13),
        isRunning(dated, tuesday, bout.startedAt + 3 * HOUR),
        isRunning(dated, tuesday, at13),
        isRunning({ ...dated, endedAt: at13 }, MONDAY, at13),
      ],
    ).toEqual([true, true, false, false]);
    const start = { day: tuesday, away: true, start: at(1) };
    const goesOn = must(await startBout(kennel, element, start)).made;
    expect(goesOn).toMatchObject({ id: bout.id, outingId: bout.outingId });
    const later = { ...kennel, now: () => at13 };
    const next = must(await startBout(later, element, start)).made;
    expect((await kennel.database.of('bouts').get(bout.id))?.endedAt).toBeGreaterThanOrEqual(last.at);
    expect((await kennel.database.of('outings').get(bout.outingId))?.endedAt).toBeLessThan(at13);
    expect(await lastBout(kennel, element.id)).toMatchObject({ ...next, day: '2026-06-02' });
  });

  it('several elements of a day are one outing; coming back goes on with the same bout', async () => {
    const { kennel, bout, folded } = await begin();
    const other = { ...element, id: asId<ElementId>('other') };
    const second = must(
      await startBout(kennel, other, { day: MONDAY, away: false, start: at(1), helpers: 'a friend' }),
    ).made;
    expect([second.outingId, second.id === bout.id]).toEqual([bout.outingId, false]);
    must(await endBout(kennel, bout.id));
    expect((await kennel.database.of('outings').get(bout.outingId))?.endedAt).toBeNull();
    const again = must(await startBout(kennel, element, { day: MONDAY, away: false, start: at(4) })).made;
    expect([again.id, again.endedAt, (await folded()).stands]).toEqual([bout.id, null, at(4)]);
    for (const one of [again, second]) must(await endBout(kennel, one.id));
    expect(await kennel.database.of('outings').toArray()).toMatchObject([
      { helpers: 'a friend', endedAt: expect.any(Number) },
    ]);
  });

  it('an end is taken back, and beginning by mistake leaves nothing behind', async () => {
    const { kennel, bout } = await begin();
    const ended = must(await endBout(kennel, bout.id));
    must(await takeBack(kennel, ended));
    expect(await lastBout(kennel, element.id)).toMatchObject({ id: bout.id, endedAt: null });
    const other = { ...element, id: asId<ElementId>('other') };
    const begun = must(
      await startBout(kennel, other, { day: '2026-06-05' as Day, away: false, start: at(1) }),
    );
    must(await takeBack(kennel, begun));
    expect(await kennel.database.of('bouts').count()).toBe(1);
    expect(await kennel.database.of('outings').count()).toBe(1);
  });

  it('typed from paper keeps its day and order and no minutes, and not while one is open', async () => {
    const { kennel, bout } = await begin();
    const paper = { day: '2026-05-20' as Day, away: false, start: at(1), noon: 500 };
    expect(await typeInBout(kennel, element, paper, ['clean'])).toMatchObject({ ok: false, code: 'running' });
    must(await endBout(kennel, bout.id));
    must(await typeInBout(kennel, element, paper, ['clean', 'miss']));
    const [first] = await boutsOn(kennel, element.id);
    const { folded } = await logged(kennel, first ?? (bout as never));
    expect(first).toMatchObject({ day: '2026-05-20', startedAt: 500, endedAt: 500 });
    expect(folded.reps.map((one) => [one.judged.outcome, one.timed])).toEqual([
      ['clean', false],
      ['miss', false],
    ]);
  });

  it('keeps two lines afterwards', async () => {
    const { kennel, bout } = await begin();
    must(await debriefBout(kennel, bout.id, { what: 'Good.', next: 'Further.' }));
    expect((await kennel.database.of('bouts').get(bout.id))?.debrief?.next).toBe('Further.');
  });
});
