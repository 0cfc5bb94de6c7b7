import { describe, expect, it } from 'vitest';
import { asId, type Day, type ExerciseKey, must, type StarterId } from '@/core/shared';
import { foldSheet, usualScript } from '@/core/trials';
import type { Kennel } from '@/data/kennel';
import { CHANGED, DOG, exportTables, kennelWithDog } from '@/data/kennel.test-helper';
import { bearingOf, callingOf, listRuns, runWithMarks, scriptOf, trialSafety, triesOf } from '@/data/read';
import { checkReferences } from '@/data/records/references';
import { sampleState } from '@/demo/sample-state.test-helper';
import {
  addResult,
  addTrial,
  beginCalling,
  changeMeeting,
  changeScript,
  drawClass,
  emptyTry,
  noteCalled,
  putRuleBook,
  putRunAway,
  removeMeeting,
  saveMeeting,
  sayBearing,
  signSeenAtRun,
  startRun,
  takeBack,
  takeMarkBack,
  tryId,
  writeMark,
  writeTry,
} from '.';

const TODAY = '2026-06-01' as Day;
const book = sampleState().work.ruleBooks.find((one) => one.id === 'vellmoor-obedience-two')?.book;
if (!book) throw new Error('the sample has this book');
const [square] = book.exercises.map(({ id }) => id) as [ExerciseKey];
const done = { kind: 'state', exercise: square, is: 'done' } as const;

async function begin(): Promise<Kennel> {
  const kennel = await kennelWithDog();
  must(await putRuleBook(kennel, book as NonNullable<typeof book>, 0));
  return kennel;
}
const plain = {
  meeting: null,
  starter: null,
  trial: null,
  dogId: DOG,
  name: 'Wren',
  number: null,
  book: book.id,
  kind: 'mock' as const,
  turn: 0,
  size: null,
  day: TODAY,
};
const sheet = async (kennel: Kennel, id: string) =>
  foldSheet((await runWithMarks(kennel, asId(id)))?.marks ?? [], null);

describe('writing on a sheet', () => {
  it('appends, takes back by a mark, and never removes', async () => {
    const kennel = await begin();
    const run = must(await startRun(kennel, plain, [])).made;
    const first = must(await writeMark(kennel, run, null, done)).made;
    must(await writeMark(kennel, run, null, { kind: 'note', exercise: null, text: 'wind' }));
    must(await takeMarkBack(kennel, run, null));
    must(await takeMarkBack(kennel, run, null));
    expect(await takeMarkBack(kennel, run, null)).toMatchObject({ ok: false, code: 'nothing' });
    expect((await runWithMarks(kennel, run.id))?.marks.map(({ seq, kind }) => [seq, kind])).toEqual([
      [0, 'state'],
      [1, 'note'],
      [2, 'take-back'],
      [3, 'take-back'],
    ]);
    expect(await writeMark(kennel, run, null, done, { of: asId('nothing') })).toMatchObject({ code: 'gone' });
    expect(first.of).toBeNull();
    expect(checkReferences(await exportTables(kennel))).toBeNull();
  });

  it('a closed sheet is signed or reopened with a reason, and takes nothing else', async () => {
    const kennel = await begin();
    const run = must(await startRun(kennel, plain, [])).made;
    must(await writeMark(kennel, run, null, { kind: 'close' }));
    expect(await writeMark(kennel, run, null, done)).toMatchObject({ ok: false, code: 'closed' });
    expect(await takeMarkBack(kennel, run, null)).toMatchObject({ ok: false, code: 'nothing' });
    must(await writeMark(kennel, run, null, { kind: 'sign', name: 'Ada' }));
    expect(await writeMark(kennel, run, null, { kind: 'reopen' }, { reason: '  ' })).toMatchObject({
      code: 'reason',
    });
    must(await writeMark(kennel, run, null, { kind: 'reopen' }, { reason: 'a wrong dog' }));
    must(await writeMark(kennel, run, null, done));
    expect((await sheet(kennel, run.id)).is).toBe('open');
    expect(await writeMark(kennel, { id: asId('none') }, null, done)).toMatchObject({ code: 'gone' });
  });

  it('what costs are tried on is a sheet of this device, emptied and brought back', async () => {
    const kennel = await begin();
    const run = { ...plain, id: tryId(kennel, book.id, 0), kind: 'try' as const, judges: [] };
    must(await writeTry(kennel, run, done));
    const emptied = must(await emptyTry(kennel, run.id));
    expect(await triesOf(kennel, book.id)).toEqual([]);
    must(await takeBack(kennel, emptied));
    expect((await triesOf(kennel, book.id)).map(({ marks }) => marks.length)).toEqual([1]);
    expect(await listRuns(kennel)).toEqual([]);
    // What a judge wrote is never emptied.
    const judged = must(await startRun(kennel, plain, [])).made;
    must(await writeMark(kennel, judged, null, done));
    must(await emptyTry(kennel, judged.id));
    expect((await runWithMarks(kennel, judged.id))?.marks.length).toBe(1);
  });

  it('a run is put away with its sheet, a judge is one person however often, and a result names its sheet', async () => {
    const kennel = await begin();
    const one = must(await startRun(kennel, plain, ['Ada', 'ada ', '', 'Ben'])).made;
    const two = must(await startRun(kennel, plain, ['ADA'])).made;
    expect([one.judges.length, two.judges[0]]).toEqual([2, one.judges[0]]);
    must(await putRunAway(kennel, two.id, true));
    expect((await listRuns(kennel)).map(({ id }) => id)).toEqual([one.id]);
    const trial = must(
      await addTrial(kennel, {
        dogId: DOG,
        ruleBookId: book.id,
        title: 'Club',
        day: TODAY,
        entryCloses: null,
        seed: 1,
        assumptions: sampleState().trials[0]?.assumptions as never,
      }),
    ).made;
    const result = {
      dogId: DOG,
      trialId: trial.id,
      kind: 'mock' as const,
      day: TODAY,
      passed: true,
      points: 70,
      note: '',
    };
    expect(must(await addResult(kennel, result, TODAY, one.id)).made.run).toBe(one.id);
    expect(checkReferences(await exportTables(kennel))).toBeNull();
  });
});

describe('a meeting', () => {
  it('is drawn until a dog has run, changed by hand, and removed while nobody has', async () => {
    const kennel = await begin();
    const said = {
      title: 'Evening',
      kind: 'mock' as const,
      day: TODAY,
      closes: null,
      place: '',
      starts: 540,
      minutesEach: 8,
      classes: [{ book: book.id, judges: ['Ada'] }],
      starters: ['a', 'b', 'c'].map((id, i) => ({
        id: asId<StarterId>(id),
        book: book.id,
        dogId: null,
        name: id,
        handler: '',
        number: i + 1,
        size: null,
        inSeason: id === 'a',
        withdrawn: false,
      })),
    };
    const { id } = must(await saveMeeting(kennel, null, said)).made;
    const drawn = must(await drawClass(kennel, id, book.id, 3)).made;
    expect(drawn.classes[0]?.order.at(-1)).toBe('a');
    // Saved again, the order stays as it was drawn.
    const again = must(await saveMeeting(kennel, id, { ...said, title: 'Late evening' })).made;
    expect([again.classes[0]?.order, again.classes[0]?.seed]).toEqual([drawn.classes[0]?.order, 3]);
    const moved = must(await changeMeeting(kennel, id, (stored) => ({ starters: stored.starters.slice(1) })));
    expect(moved.made.starters.length).toBe(2);
    must(await takeBack(kennel, moved));
    const starter = asId<StarterId>('b');
    const run = must(await startRun(kennel, { ...plain, meeting: id, starter, dogId: null }, ['Ada'])).made;
    expect(must(await startRun(kennel, { ...plain, meeting: id, starter, dogId: null }, [])).made.id).toBe(
      run.id,
    );
    expect(await drawClass(kennel, id, book.id, 4)).toMatchObject({ ok: false, code: 'running' });
    expect(await removeMeeting(kennel, id)).toMatchObject({ ok: false, code: 'running' });
    expect(await drawClass(kennel, asId('none'), book.id, 4)).toMatchObject({ code: 'gone' });
    expect(checkReferences(await exportTables(kennel))).toBeNull();
  });
});

describe('calling', () => {
  it('there is no draw before it begins; begun twice it goes on as it was drawn; each step once', async () => {
    const kennel = await begin();
    const run = must(await startRun(kennel, plain, [])).made;
    const step = { key: 's', exercise: square, kind: 'word' as const, words: 'Go', delay: 3, at: null };
    const calling = {
      id: run.id,
      title: 'x',
      by: 'alone' as const,
      seed: 7,
      startedAt: 1,
      endedAt: null,
      order: [],
      drawn: [],
      steps: [step],
    };
    expect(await callingOf(kennel, run.id)).toBeNull();
    must(await beginCalling(kennel, calling));
    expect(must(await beginCalling(kennel, { ...calling, seed: 8 })).made.seed).toBe(7);
    const at = must(await noteCalled(kennel, run.id, { step: 's' })).made.steps[0]?.at;
    expect(must(await noteCalled(kennel, run.id, { step: 's' })).made.steps[0]?.at).toBe(at);
    expect(must(await noteCalled(kennel, run.id, { ended: true })).made.endedAt).not.toBeNull();
    expect(await noteCalled(kennel, asId('none'), { ended: true })).toMatchObject({ code: 'gone' });
  });

  it('two quick changes of a script both stay; a range upside down is refused', async () => {
    const kennel = await begin();
    const usual = usualScript(book);
    const words = (to: string) => (stored: typeof usual) => ({
      ...stored,
      steps: [...stored.steps, { ...(stored.steps[0] as (typeof usual.steps)[number]), key: to, words: to }],
    });
    await Promise.all([
      changeScript(kennel, book.id, usual, words('one')),
      changeScript(kennel, book.id, usual, words('two')),
    ]);
    expect((await scriptOf(kennel, book.id))?.steps.slice(-2).map((step) => step.words)).toEqual([
      'one',
      'two',
    ]);
    const bad = await changeScript(kennel, book.id, usual, (stored) => ({
      ...stored,
      steps: stored.steps.map((step) => ({ ...step, delay: { from: 9, to: 2 } })),
    }));
    expect(bad).toMatchObject({ ok: false, code: 'delay' });
  });
});

describe('what speaks against a run', () => {
  it('a tremor seen in a run stands in the dog’s log; off work and jumps past the vet’s number are said', async () => {
    const kennel = await begin();
    const run = must(await startRun(kennel, plain, [])).made;
    // Nothing is broken down yet: it is on the sheet alone, and says so.
    expect(must(await signSeenAtRun(kennel, run, square, 'tremor', TODAY))).toEqual({ inLog: false });
    await kennel.database.of('breakdowns').add({
      id: asId('b'),
      dogId: DOG,
      ruleBookId: book.id,
      exercise: square,
      own: null,
      links: [],
      putAway: false,
      changed: CHANGED,
    });
    expect(must(await signSeenAtRun(kennel, run, square, 'tremor', TODAY))).toEqual({ inLog: true });
    // A sheet that is closed keeps no sign out of the log.
    must(await writeMark(kennel, run, null, { kind: 'close' }));
    expect(must(await signSeenAtRun(kennel, run, square, 'growled', TODAY))).toEqual({ inLog: true });
    expect((await sheet(kennel, run.id)).exercises[0]?.signs.length).toBe(3);
    const safety = await trialSafety(kennel, DOG, book, TODAY);
    expect(safety?.signs.map(({ sign }) => sign).toSorted()).toEqual(['growled', 'tremor']);
    expect((await exportTables(kennel)).outings.map(({ kind }) => kind)).toEqual(['mock', 'mock']);
    const dog = await kennel.database.of('dogs').get(DOG);
    const limit = { of: 'jumps' as const, per: 'day' as const, most: 1, source: 'the vet' };
    await kennel.database.of('dogs').put({
      ...(dog as NonNullable<typeof dog>),
      limits: [limit],
      offWork: { since: TODAY, until: null, why: 'in season', vet: '' },
    });
    const now = await trialSafety(kennel, DOG, book, TODAY);
    expect([now?.offWork, now?.beyond]).toEqual([
      true,
      [{ of: 'jumps', most: 1, asked: 2, source: 'the vet' }],
    ]);
    expect(await trialSafety(kennel, asId('none'), book, TODAY)).toBeNull();
  });

  it('what was said of a dog stays, one answer at a time', async () => {
    const kennel = await begin();
    must(await sayBearing(kennel, DOG, { calmAtShots: true }));
    must(await sayBearing(kennel, DOG, { mayBite: false }));
    expect(await bearingOf(kennel, DOG)).toMatchObject({ calmAtShots: true, mayBite: false });
    must(await sayBearing(kennel, DOG, { calmAtShots: null }));
    expect(await bearingOf(kennel, DOG)).toMatchObject({ calmAtShots: null, mayBite: false });
  });
});
