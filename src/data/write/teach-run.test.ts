import { beforeEach, describe, expect, it } from 'vitest';
import { type RuleBook, readRuleBook } from '@/core/rulebooks';
import { bookText } from '@/core/rulebooks/sample-books.test-helper';
import { asId, type ElementId, type ExerciseKey, type FaultKey, must, type PartKey } from '@/core/shared';
import type { ExerciseState, MarkSaid } from '@/core/trials';
import { breakDown, pieceId } from '@/data/broken-down.test-helper';
import { mergeTables } from '@/data/files/merge';
import type { Kennel } from '@/data/kennel';
import {
  DOG,
  emptyKennel,
  evidenceStored,
  exportTables,
  kennelWithDog,
  repsStored,
} from '@/data/kennel.test-helper';
import {
  changesOf,
  type LessonSaid,
  type Run,
  runTeaching,
  runWithMarks,
  standsAt,
  usualLesson,
} from '@/data/read';
import { checkReferences } from '@/data/records/references';
import { confirmRun, record, replaceTables, startBout, startRun, takeBack, writeMark } from '.';

const book: RuleBook = (() => {
  const read = readRuleBook(bookText('harrowmere-ring-grade-b'));
  if (!read.ok) throw new Error('a book');
  return read.value;
})();
const DAY = '2026-06-01' as Run['day'];
const NOON = Date.UTC(2026, 5, 1, 12);
const key = (id: string): ExerciseKey => asId<ExerciseKey>(id);
const fault = (exercise: string, name: string, amount = 1): MarkSaid => ({
  kind: 'fault',
  exercise: key(exercise),
  part: null,
  time: null,
  fault: asId<FaultKey>(name),
  amount,
});
const is = (exercise: string, state: ExerciseState): MarkSaid => ({
  kind: 'state',
  exercise: key(exercise),
  is: state,
});

let kennel: Kennel;
let run: Run;
beforeEach(async () => {
  kennel = await kennelWithDog();
  await breakDown(kennel, book, DOG);
  run = await started('mock');
});

const started = async (kind: Run['kind'], dogId: Run['dogId'] = DOG): Promise<Run> =>
  must(
    await startRun(
      kennel,
      {
        meeting: null,
        starter: null,
        trial: null,
        dogId,
        name: 'Wren',
        number: null,
        book: book.id,
        kind,
        turn: 0,
        size: null,
        day: DAY,
      },
      [],
    ),
  ).made;
const write = async (...list: MarkSaid[]) => {
  const ids = [];
  for (const said of list)
    ids.push(
      must(await writeMark(kennel, run, null, said, said.kind === 'reopen' ? { reason: 'seen again' } : {}))
        .made.id,
    );
  return ids;
};
const teaching = async (said: LessonSaid | null = null) =>
  runTeaching(kennel, run, (await runWithMarks(kennel, run.id))?.marks ?? [], book, said);
const confirm = async (said: Partial<LessonSaid> = {}) =>
  must(await confirmRun(kennel, run, { ...usualLesson(run), ...said }, () => NOON));
const repsOf = async (id: ElementId) =>
  ((await repsStored(kennel, DOG)).get(id) ?? []).map((rep) =>
    [
      rep.outcome,
      rep.cause,
      ...rep.faults.map((one) => one.key),
      rep.away ? 'away' : 'home',
      rep.pay ?? '',
    ].join(' '),
  );
const entries = () => kennel.database.of('entries').count();
const come = pieceId('recall-lane', 'come');
const front = pieceId('recall-lane', 'front');

describe('a run becomes rehearsal reps', () => {
  it('after one confirmation: each judged part, unpaid, at what is demanded, where the dog stands stays', async () => {
    const bout = must(
      await startBout(
        kennel,
        { id: come, dogId: DOG, axes: [] },
        { day: '2026-05-20' as Run['day'], away: false, start: {} },
      ),
    ).made;
    must(
      await record(kennel, bout, { kind: 'move', to: { [asId<never>('x')]: 3 } as never, because: 'hand' }),
    );
    const before = await standsAt(kennel, come);
    await write(fault('recall-lane', 'crooked', 40), is('recall-lane', 'done'), is('jump', 'not-attempted'), {
      kind: 'close',
    });
    const made = await confirm();
    expect(made.made).toEqual({ written: 2, amended: 0, takenBack: 0 });
    expect(await repsOf(come)).toEqual(['clean dog home none']);
    expect(await repsOf(front)).toEqual(['flawed dog crooked home none']);
    expect(await repsOf(pieceId('jump', 'over'))).toEqual([]);
    expect(await standsAt(kennel, come)).toEqual(before);
    const cells = (await evidenceStored(kennel, DOG)).get(front)?.flatMap((one) => one.cells);
    const demanded = book.exercises.find(({ id }) => id === 'recall-lane')?.parts[1]?.demands.length;
    expect(cells).toMatchObject([{ clean: 0, notClean: 1, unpaid: true, away: false }]);
    expect(Object.keys(cells?.[0]?.criteria ?? {})).toHaveLength(demanded ?? -1);
    const outing = await kennel.database.of('outings').get(`run-${run.id}`);
    expect(outing).toMatchObject({ kind: 'mock', day: DAY, dogs: [DOG] });
    // The log before it stays: taken back, nothing of the run is left.
    must(await takeBack(kennel, made));
    expect(await repsOf(front)).toEqual([]);
    // And what is left is a kennel that can be saved and read again.
    const saved = await exportTables(kennel);
    expect([checkReferences(saved), saved.runLessons]).toEqual([null, []]);
    expect((await confirm()).made.written).toBe(2);
    expect(await repsOf(front)).toEqual(['flawed dog crooked home none']);
  });

  it('confirming twice writes nothing; the facts and a mark mended amend the same rep', async () => {
    await write(fault('recall-lane', 'crooked', 40), is('recall-lane', 'done'), { kind: 'close' });
    await confirm();
    const first = await entries();
    expect((await confirm()).made).toEqual({ written: 0, amended: 0, takenBack: 0 });
    expect(await entries()).toBe(first);
    expect((await confirm({ away: true })).made.amended).toBe(2);
    expect(await repsOf(front)).toEqual(['flawed dog crooked away none']);
    await write({ kind: 'reopen' });
    expect(await teaching()).toBeNull();
    const [mark] = (await runWithMarks(kennel, run.id))?.marks ?? [];
    must(await writeMark(kennel, run, null, { kind: 'take-back' }, { of: mark?.id as never }));
    await write({ kind: 'close' });
    // What was confirmed of the day holds on: only the sheet has changed.
    const found = await teaching();
    expect(found && changesOf(found)).toMatchObject([{ kind: 'other' }]);
    expect((await confirm(found?.lesson ?? {})).made).toEqual({ written: 0, amended: 1, takenBack: 0 });
    expect(await repsOf(front)).toEqual(['clean dog away none']);
  });

  it('what is not judged any more is taken back, and comes again as another rep', async () => {
    await write(is('recall-lane', 'done'), { kind: 'close' });
    await confirm();
    await write({ kind: 'reopen' }, is('recall-lane', 'not-attempted'), { kind: 'close' });
    expect((await confirm()).made.takenBack).toBe(2);
    expect(await repsOf(come)).toEqual([]);
    await write({ kind: 'reopen' }, is('recall-lane', 'done'), { kind: 'close' });
    expect((await confirm()).made.written).toBe(2);
    expect(await repsOf(come)).toEqual(['clean dog home none']);
  });

  it('a fault of the whole exercise goes to the part that somebody names; a cue that slipped is the handler’s', async () => {
    const [cue, help] = await write(
      fault('recall-lane', 'second-word'),
      fault('recall-lane', 'hand-help', 1),
      is('recall-lane', 'done'),
      { kind: 'close' },
    );
    await confirm();
    expect(await repsOf(come)).toEqual(['clean dog home none']);
    const of = [
      { mark: cue as never, part: asId<PartKey>('come') },
      { mark: help as never, part: asId<PartKey>('front') },
    ];
    expect((await confirm({ of })).made.amended).toBe(2);
    expect(await repsOf(front)).toEqual(['flawed handler hand-help home none']);
    const [rep] = (await repsStored(kennel, DOG)).get(come) ?? [];
    expect([rep?.outcome, rep?.cues]).toEqual(['clean', { needed: 0, slip: 1 }]);
    expect((await evidenceStored(kennel, DOG)).get(front)?.[0]?.handlerFaults).toMatchObject([{ count: 1 }]);
  });

  it('where the sheet does not say how a part was, somebody may; repeated goes are repeated reps', async () => {
    await write(is('recall-lane', 'failed'), is('heel', 'done'), { kind: 'close' });
    const open = await teaching();
    expect(
      open?.untold.filter((one) => one.exercise === 'recall-lane').map((one) => [one.part, one.why]),
    ).toEqual([
      ['come', 'which-part'],
      ['front', 'which-part'],
    ]);
    const said = [
      { exercise: key('recall-lane'), part: asId<PartKey>('come'), time: 0, outcome: 'miss' as const },
    ];
    expect((await confirm({ said })).made.written).toBe(1 + 3);
    expect(await repsOf(come)).toEqual(['miss dog home none']);
    expect(await repsOf(front)).toEqual([]);
    expect(await repsOf(pieceId('heel', 'follow'))).toHaveLength(3);
  });

  it('teaches nothing of a stranger’s dog, of a run to practise, of an open sheet; nothing is stored then', async () => {
    await write(is('recall-lane', 'done'));
    expect(await confirmRun(kennel, run, usualLesson(run), () => NOON)).toMatchObject({
      ok: false,
      code: 'open',
    });
    for (const other of [await started('mock', null), await started('practice')]) {
      must(await writeMark(kennel, other, null, { kind: 'close' }));
      expect(await confirmRun(kennel, other, usualLesson(other), () => NOON)).toMatchObject({ ok: false });
    }
    expect(await kennel.database.of('outings').count()).toBe(0);
    expect(await confirmRun(kennel, { id: asId('ghost') }, usualLesson(run), () => NOON)).toMatchObject({
      code: 'gone',
    });
  });

  it('parts that nothing trains are named, and the rest is written', async () => {
    await kennel.database
      .of('breakdowns')
      .where('dogId')
      .equals(DOG)
      .filter((one) => one.exercise === 'jump')
      .delete();
    await write(is('jump', 'done'), is('recall-lane', 'done'), { kind: 'close' });
    expect((await teaching())?.untrained.map((one) => one.part)).toEqual(['over', 'stand']);
    expect((await confirm()).made.written).toBe(2);
  });

  it('the same run confirmed on two devices is the same reps, and nothing waits to be decided', async () => {
    await write(is('recall-lane', 'done'), { kind: 'close' });
    const before = await exportTables(kennel);
    await confirm();
    const one = await exportTables(kennel);
    const ids = one.entries.map((entry) => entry.id).sort();
    expect(ids).toEqual(
      ['come', 'front'].map((part) => `run-${run.id}-recall-lane-${part}/recall-lane/${part}/0`).sort(),
    );
    // Another device that had the run, and confirms it by itself.
    const other = await emptyKennel(5_000_000);
    must(await replaceTables(other, before));
    must(await confirmRun(other, run, usualLesson(run), () => NOON));
    const merged = must(mergeTables(one, await exportTables(other)));
    expect([merged.apart, merged.tables.entries.length, merged.tables.bouts.length]).toEqual([[], 2, 2]);
    // Otherwise confirmed, it is for somebody to decide.
    const third = await emptyKennel(9_000_000);
    must(await replaceTables(third, before));
    must(await confirmRun(third, run, { ...usualLesson(run), another: true }, () => NOON));
    expect(must(mergeTables(one, await exportTables(third))).apart).toEqual([`runLessons/${run.id}`]);
  });
});
