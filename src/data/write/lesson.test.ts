import { beforeEach, describe, expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { plainRep, type Said } from '@/core/log';
import { addDays, asId, type Day, type DogId, type ElementId, must } from '@/core/shared';
import type { Kennel } from '@/data/kennel';
import { CHANGED, DOG, evidenceStored, kennelWithDog, testElement } from '@/data/kennel.test-helper';
import {
  addressOf,
  isOuting,
  isWhole,
  kennelCounts,
  keptOfBouts,
  keptOfDog,
  keptSince,
  lastLesson,
  lessonNow,
  loadsOf,
  openBouts,
  stillWork,
  waitingOf,
  wholeId,
  workOf,
} from '@/data/read';
import { wholeOf } from '@/data/read/whole';
import { type ElementRecord, UNKNOWN_DOG } from '@/data/records';
import { wordsOf } from '@/words';
import {
  changeDog,
  endBout,
  endOuting,
  makeExercise,
  putExerciseAway,
  record,
  recordUndo,
  startBout,
  takeBack,
} from '.';

const MONDAY = '1970-01-01' as Day;
const OTHER = asId<DogId>('other');
const DISTANCE = testAxis().key;
const [out, jump, give] = [testElement('out'), testElement('jump', { work: ['jump'] }), testElement('give')];
const start = { day: MONDAY, away: false, start: { [DISTANCE]: 5 } };
const clean: Said = { kind: 'rep', ...plainRep(start.start, { outcome: 'clean' }) };
const ran = (brokeAt: number | null): Said => {
  const plain = plainRep({}, { outcome: brokeAt === null ? 'clean' : 'miss' });
  const links = [out, jump, give].map(({ id }) => ({ element: id, criteria: { [DISTANCE]: 7 } }));
  return { kind: 'rep', ...plain, seen: { ...plain.seen, run: { kind: 'chain', links, brokeAt } } };
};

let kennel: Kennel;
const begin = async (one: Parameters<typeof startBout>[1]) => must(await startBout(kennel, one, start)).made;
/** The exercise of the three links, as its pad is given it. */
const whole = async () => {
  const work = await workOf(kennel, DOG);
  const [breakdown] = work.breakdowns;
  if (!breakdown) throw new Error('an exercise');
  return wholeOf(breakdown, work);
};
const links = async () => (await keptOfDog(kennel, DOG)).filter((row) => row.link);

beforeEach(async () => {
  kennel = await kennelWithDog();
  await kennel.database.of('dogs').add({ ...UNKNOWN_DOG, id: OTHER, name: 'Abel', changed: CHANGED });
  must(
    await makeExercise(kennel, {
      dogId: DOG,
      source: { title: 'Fetch', goal: '' },
      links: [out, jump, give].map((one) => ({ part: null, element: one })),
    }),
  );
  await kennel.database.of('elements').add({ ...out, id: asId('his'), dogId: OTHER, changed: CHANGED });
});

describe('a lesson is one outing', () => {
  it('has its elements and dogs in the order in which they began, each with what it comes to', async () => {
    expect(await lessonNow(kennel, MONDAY)).toBeNull();
    const first = await begin(out);
    must(await record(kennel, first, clean));
    await begin({ ...out, id: asId('his'), dogId: OTHER });
    await begin(await whole());
    const lesson = await lessonNow(kennel, MONDAY);
    expect(lesson?.bouts.map((one) => [one.dog.name, one.element.title, one.running])).toEqual([
      ['Wren', 'out', true],
      ['Abel', 'out', true],
      ['Wren', 'Fetch', true],
    ]);
    const kept = await keptOfBouts(kennel, lesson?.bouts.map((one) => one.bout.id) ?? []);
    expect([...kept.values()].map((one) => one.reps)).toEqual([1, 0, 0]);
    expect(lesson?.outing.dogs).toEqual([DOG, OTHER]);
    expect(kept.get(first.id)?.last).toBeGreaterThan(first.startedAt);
  });

  it('coming back to one goes on with its bout; what was ended is part of it until the last is', async () => {
    const first = await begin(out);
    await begin(give);
    must(await endBout(kennel, first.id));
    expect((await openBouts(kennel, MONDAY)).map((one) => one.element.title)).toEqual(['give']);
    expect((await begin(out)).id).toBe(first.id);
    expect(await kennel.database.of('outings').count()).toBe(1);
  });

  it('is ended together, and that is taken back together', async () => {
    const first = await begin(out);
    await begin(give);
    const ended = must(await endOuting(kennel, first.outingId));
    expect([ended.made, await isOuting(kennel, MONDAY), await lessonNow(kennel, MONDAY)]).toEqual([
      2,
      false,
      null,
    ]);
    expect((await lastLesson(kennel, MONDAY))?.bouts.map((one) => one.running)).toEqual([false, false]);
    must(await takeBack(kennel, ended));
    expect((await lessonNow(kennel, MONDAY))?.bouts.map((one) => one.running)).toEqual([true, true]);
    expect(must(await endOuting(kennel, asId('ghost'))).made).toBe(0);
  });

  it('of yesterday is no lesson of today, and one past midnight still is', async () => {
    await begin(out);
    const tomorrow = addDays(MONDAY, 1);
    expect((await lessonNow(kennel, tomorrow))?.bouts).toHaveLength(1);
    expect(await lessonNow(kennel, addDays(MONDAY, 2))).toBeNull();
  });
});

describe('an exercise run whole, as it is stored', () => {
  it('is found by its exercise, and is evidence for every link that was reached', async () => {
    const bout = await begin(await whole());
    expect([bout.on.kind, addressOf(bout)]).toEqual([
      'exercise',
      wholeId(asId(bout.on.kind === 'exercise' ? bout.on.breakdown : '')),
    ]);
    must(await record(kennel, bout, ran(1)));
    must(await record(kennel, bout, ran(null)));
    const evidence = await evidenceStored(kennel, DOG);
    const cells = (id: ElementId) =>
      (evidence.get(id) ?? []).flatMap((one) => one.cells).map((cell) => [cell.clean, cell.notClean]);
    expect([out, jump, give].map(({ id }) => cells(id))).toEqual([[[2, 0]], [[1, 1]], [[1, 0]]]);
    expect((await kennelCounts(kennel)).reps).toBe(2);
  });

  it('a run that is taken back leaves nothing with any link', async () => {
    const bout = await begin(await whole());
    must(await record(kennel, bout, ran(null)));
    expect(await links()).toHaveLength(3);
    must(await recordUndo(kennel, bout));
    expect(await links()).toEqual([]);
  });

  it('an exercise is not put away while it is run', async () => {
    const bout = await begin(await whole());
    const away = async () => {
      const [exercise] = (await workOf(kennel, DOG)).breakdowns;
      if (!exercise) throw new Error('an exercise');
      return putExerciseAway(kennel, exercise.id, true);
    };
    expect(await away()).toMatchObject({ ok: false, code: 'running' });
    must(await record(kennel, bout, ran(null)));
    must(await endBout(kennel, bout.id));
    must(await away());
  });

  it('moves no element from where it stands, and goes on in the same outing', async () => {
    const bout = await begin(await whole());
    must(await record(kennel, bout, ran(null)));
    expect((await begin(await whole())).id).toBe(bout.id);
    expect((await begin(out)).outingId).toBe(bout.outingId);
  });
});

describe('what adds up over elements and runs', () => {
  const jumps = async (of: Pick<ElementRecord, 'id' | 'axes'> = jump) => {
    const { elements } = await workOf(kennel, DOG);
    const kept = await keptSince(kennel, elements, MONDAY);
    const dog = await kennel.database.of('dogs').get(DOG);
    const one = isWhole(of) ? await whole() : elements.find((each) => each.id === of.id);
    return dog && one ? loadsOf(one, dog, kept, elements, MONDAY) : [];
  };

  it('counts jumps of the element and of whole runs, whatever came of them, and those that nobody tallied', async () => {
    must(await changeDog(kennel, DOG, { limits: [{ of: 'jumps', per: 'day', most: 8, source: 'the vet' }] }));
    const bout = await begin(jump);
    must(await record(kennel, bout, clean));
    must(await record(kennel, bout, { kind: 'rep', ...plainRep(start.start, { outcome: 'miss' }) }));
    must(await record(kennel, bout, { kind: 'unlogged', count: 3 }));
    const run = await begin(await whole());
    must(await record(kennel, run, ran(0)));
    must(await record(kennel, run, ran(2)));
    expect(await jumps()).toMatchObject([{ of: 'jumps', done: 6, left: 2, limit: { source: 'the vet' } }]);
    // A whole run with a jump in it is held against the same number.
    expect(await jumps(await whole())).toEqual(await jumps());
    expect(await jumps(out)).toEqual([]);
    must(await record(kennel, bout, { kind: 'unlogged', count: 5 }));
    expect((await jumps())[0]?.left).toBe(0);
    expect(stillWork(await workOf(kennel, DOG), ['jumps']).map((one) => one.title)).toEqual(
      ['out', 'give'].sort(),
    );
  });
});

describe('what waits for another piece', () => {
  const waiting = async () => {
    const work = await workOf(kennel, DOG);
    const needing = work.elements.map((one) =>
      one.id === give.id ? { ...one, needs: [{ element: out.id, at: { [DISTANCE]: 10 } }] } : one,
    );
    return (
      (await waitingOf(kennel, { ...work, elements: needing }, needing)).get(give.id)?.map(wordsOf) ?? []
    );
  };

  it('is said until a clean rep shows as much: not by hand, not by a miss, also by a whole run', async () => {
    expect(await waiting()).toEqual([expect.stringMatching(/^first “out”: distance 10\sm/)]);
    const bout = await begin(out);
    must(await record(kennel, bout, { kind: 'move', to: { [DISTANCE]: 10 }, because: 'hand' }));
    expect(await waiting()).toEqual([expect.stringContaining('none shows it yet')]);
    must(await record(kennel, bout, { kind: 'rep', ...plainRep({ [DISTANCE]: 10 }, { outcome: 'miss' }) }));
    expect(await waiting()).toHaveLength(1);
    must(await record(kennel, bout, { kind: 'rep', ...plainRep({ [DISTANCE]: 12 }, { outcome: 'clean' }) }));
    expect(await waiting()).toEqual([]);
    must(await recordUndo(kennel, bout));
    expect(await waiting()).toHaveLength(1);
  });
});
