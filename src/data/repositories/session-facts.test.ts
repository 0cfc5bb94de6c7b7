import { describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { DEFAULT_PACE, USUAL_RULES } from '@/core/coaching';
import { asId, type Day, type DogId, type ElementId, type KitId, must } from '@/core/shared';
import { openDatabase } from '@/data/database';
import { type ElementRecord, PLAIN_ELEMENT, type Session, UNKNOWN_DOG } from '@/data/records';
import {
  articleEvents,
  articlesBefore,
  beforeSession,
  cautionsOf,
  changeDog,
  coachFacts,
  debriefSession,
  endSession,
  evidenceReps,
  type Kennel,
  lyingOut,
  type RepDraft,
  recordAnswer,
  recordDetail,
  recordLaid,
  recordNote,
  recordRep,
  recordSign,
  recordTimeOut,
  recordUndo,
  recordUnlogged,
  recordWashed,
  replay,
  sessionEntries,
  standingReps,
  startSession,
  twinsOf,
} from '.';
import { addKit, removeKit, restoreKit } from './kit';

const DOG = asId<DogId>('d');
const element: ElementRecord = {
  ...PLAIN_ELEMENT,
  id: asId<ElementId>('e'),
  dogId: DOG,
  title: 'Send',
  axes: [testAxis({ step: 1, limit: 1 })],
  articles: { count: 6, shape: 'line', laid: 'hidden', nearer: false },
};
let count = 0;
async function open(): Promise<Kennel> {
  const kennel: Kennel = { name: 'own', database: must(await openDatabase(`facts-${count++}`)) };
  await kennel.database.dogs.add({ ...UNKNOWN_DOG, id: DOG, name: 'Wren' });
  await kennel.database.elements.add(element);
  return kennel;
}
const begin = (kennel: Kennel, day: string, rung = 0, now = Number(day.slice(-2))): Promise<Session> =>
  startSession(kennel, element, { now, day: day as Day, away: false, rung });
const draft = (at: number, change: Partial<RepDraft> = {}): RepDraft => ({
  outcome: 'clean',
  option: null,
  cause: 'dog',
  aided: false,
  at,
  rung: 0,
  criteria: { distance: 5 } as never,
  latency: null,
  ...change,
});
const policy = { rule: USUAL_RULES.run, pace: DEFAULT_PACE };

describe('what is tapped besides the outcome', () => {
  it('is laid on the rep it belongs to, the last said standing, and can be taken back', async () => {
    const kennel = await open();
    const session = await begin(kennel, '2026-06-01');
    const rep = must(await recordRep(kennel, session, draft(1, { details: { drive: 3 } })));
    must(await recordDetail(kennel, session, rep.id, { pay: 'small', extraCues: 1 }, 2));
    must(await recordDetail(kennel, session, rep.id, { extraCues: 2 }, 3));
    const details = async () => standingReps(await sessionEntries(kennel, session.id))[0]?.details;
    expect(await details()).toEqual({ drive: 3, pay: 'small', extraCues: 2 });
    must(await recordUndo(kennel, session, 4));
    expect(await details()).toEqual({ drive: 3, pay: 'small', extraCues: 1 });
  });

  it.each([
    ['warm-up', { purpose: 'warm-up' }, false],
    ['a filler', { purpose: 'filler' }, false],
    ['a probe', { purpose: 'probe' }, false],
    ['void', { isVoid: true }, false],
    ['a rehearsal', { purpose: 'rehearsal' }, true],
    ['plain training', {}, true],
  ] as const)('%s counts: %s', async (_, details, counts) => {
    const kennel = await open();
    const session = await begin(kennel, '2026-06-01');
    must(await recordRep(kennel, session, draft(1, { details })));
    const entries = await sessionEntries(kennel, session.id);
    expect(replay(policy, session, { top: 2 }, entries).advice[0]?.reason).toContain(counts ? '1 clean in a row' : '0 clean in a row');
    expect(evidenceReps(session, entries)[0]).toMatchObject({
      purpose: 'purpose' in details ? details.purpose : 'training',
      isVoid: 'isVoid' in details,
    });
  });

  it('signs, answers, silence, notes and unlogged reps reach the coach as they should, and only the last is taken back', async () => {
    const kennel = await open();
    const session = await begin(kennel, '2026-06-01');
    must(await recordRep(kennel, session, draft(1, { outcome: 'miss' })));
    must(await recordAnswer(kennel, session, 'sore', 2));
    const advice = async (rule: typeof USUAL_RULES.stretch | typeof USUAL_RULES.run) =>
      replay({ rule, pace: DEFAULT_PACE }, session, { top: 2, values: [5, 10, 20] }, await sessionEntries(kennel, session.id)).advice.map(
        (one) => one.kind,
      );
    expect(await advice(USUAL_RULES.stretch)).toEqual(['stop']);
    must(await recordUnlogged(kennel, session, 6, 3));
    expect(await advice(USUAL_RULES.run)).toEqual(['hold', 'rest']);
    must(await recordNote(kennel, session, 'Wet.', 4));
    must(await recordTimeOut(kennel, session, 5));
    must(await recordSign(kennel, session, 'panting', 6));
    expect(await advice(USUAL_RULES.run)).toEqual(['rest']);
    must(await recordUndo(kennel, session, 7));
    expect(await advice(USUAL_RULES.run)).toEqual(['hold', 'rest']);
    expect((await sessionEntries(kennel, session.id)).map((entry) => entry.kind)).toEqual([
      'rep',
      'answer',
      'unlogged',
      'note',
      'time-out',
      'sign',
      'undo',
    ]);
  });

  it('keeps count of what lies out', async () => {
    const kennel = await open();
    const session = await begin(kennel, '2026-06-01');
    const lying = async () => lyingOut(await sessionEntries(kennel, session.id));
    for (const at of [1, 2]) must(await recordLaid(kennel, session, at));
    must(await recordRep(kennel, session, draft(3)));
    must(await recordRep(kennel, session, draft(4, { outcome: 'miss' })));
    must(await recordRep(kennel, session, draft(5, { details: { isVoid: true } })));
    expect(await lying()).toBe(1);
    must(await recordLaid(kennel, session, 6));
    must(await recordUndo(kennel, session, 7));
    expect(await lying()).toBe(1);
  });
});

describe('what a session begins with', () => {
  it('knows since when this rung is worked, and the lengths to cut by', async () => {
    const kennel = await open();
    for (const [day, rung] of [
      ['2026-06-01', 1],
      ['2026-06-05', 2],
      ['2026-06-09', 2],
    ] as const)
      await endSession(kennel, (await begin(kennel, day, rung)).id, 99);
    const today = await begin(kennel, '2026-06-20', 2);
    expect(await coachFacts(kennel, element, today)).toMatchObject({ top: 2, values: [5, 10, 20], rungSince: '2026-06-05', today: '2026-06-20' });
    expect((await coachFacts(kennel, element, today)).seed).toBe((await coachFacts(kennel, element, today)).seed);
  });

  it('knows this rung’s reps and the articles’ touches from before, not from itself', async () => {
    const kennel = await open();
    const first = await begin(kennel, '2026-06-01');
    const run = { laid: [3, 1], target: 1, firstTouch: 0, pick: 1, known: false, shape: 'line' as const, seen: false, nearer: null };
    must(await recordRep(kennel, first, draft(1, { details: { articles: run } })));
    must(await recordRep(kennel, first, draft(2, { outcome: 'miss' })));
    must(await recordRep(kennel, first, draft(3, { criteria: { distance: 10 } as never })));
    must(await recordRep(kennel, first, draft(4, { aided: true })));
    must(await recordWashed(kennel, first, 5));
    const second = await begin(kennel, '2026-06-02');
    must(await recordRep(kennel, second, draft(6)));
    expect(await beforeSession(kennel, second, { distance: 5 } as never)).toEqual({ clean: 1, total: 2 });
    expect(await articlesBefore(kennel, second)).toEqual([{ kind: 'run', ...run, aided: false }, { kind: 'washed' }]);
    expect(articleEvents(await sessionEntries(kennel, second.id))).toEqual([]);
  });

  it('keeps two lines afterwards', async () => {
    const kennel = await open();
    const session = await begin(kennel, '2026-06-01');
    await debriefSession(kennel, session.id, { what: 'Good.', next: 'Further.' });
    expect((await kennel.database.sessions.get(session.id))?.debrief?.next).toBe('Further.');
  });
});

describe('the kennel around it', () => {
  it('finds the same piece with other dogs, by method or by name', async () => {
    const kennel = await open();
    const other = asId<DogId>('o');
    await kennel.database.dogs.add({ ...UNKNOWN_DOG, id: other, name: 'Abel' });
    expect((await twinsOf(kennel, element)).map((twin) => [twin.dog.name, twin.element?.id ?? null])).toEqual([
      ['Wren', 'e'],
      ['Abel', null],
    ]);
    await kennel.database.elements.bulkAdd([
      { ...element, id: asId<ElementId>('split'), dogId: other, retired: { how: 'split', into: [element.id] } },
      { ...element, id: asId<ElementId>('theirs'), dogId: other, title: 'SEND' },
    ]);
    expect((await twinsOf(kennel, element)).map((twin) => twin.element?.id)).toEqual(['e', 'theirs']);
  });

  it('lists kit without doubles, and puts back what was taken off', async () => {
    const kennel = await open();
    const dummies = must(await addKit(kennel, ' dummies '));
    expect(await addKit(kennel, 'Dummies')).toMatchObject({ ok: false, code: 'twice' });
    expect(await addKit(kennel, '  ')).toMatchObject({ ok: false, code: 'empty' });
    await removeKit(kennel, dummies.id);
    await restoreKit(kennel, dummies);
    expect(await kennel.database.kit.toArray()).toEqual([{ id: dummies.id as KitId, title: 'dummies' }]);
  });

  it('counts the day’s jumps over all elements, and hears the vet', async () => {
    const kennel = await open();
    const dog = { ...UNKNOWN_DOG, id: DOG, name: 'Wren' };
    const jump: ElementRecord = { ...element, id: asId<ElementId>('j'), work: ['jump'] };
    const session = await begin(kennel, '2026-06-01');
    for (const at of [1, 2]) must(await recordRep(kennel, session, draft(at)));
    const reps = new Map([[jump.id, evidenceReps(session, await sessionEntries(kennel, session.id))]]);
    const why = (id: string, today: string) =>
      cautionsOf(jump, dog, reps, { elements: [element, jump] }, today as Day).find((caution) => caution.id === id)?.why;
    expect([why('jumps', '2026-06-01'), why('jumps', '2026-06-02')]).toEqual(['2 jumps logged today.', '0 jumps logged today.']);
    expect(await changeDog(kennel, { ...dog, vet: [{ about: 'jumps', said: 'ten' }] })).toEqual(dog);
    expect(await changeDog(kennel, { ...dog, id: asId<DogId>('ghost') })).toBeNull();
  });
});
