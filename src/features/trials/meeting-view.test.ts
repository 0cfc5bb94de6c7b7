import { describe, expect, it } from 'vitest';
import { asId, type Day, must, type StarterId } from '@/core/shared';
import { emptyKennel } from '@/data/kennel.test-helper';
import { type Meeting, meetingOf, runsOfMeeting } from '@/data/read';
import { changeMeeting, drawClass, putRuleBook, saveMeeting, startRun } from '@/data/write';
import { sampleState } from '@/demo/sample-state.test-helper';
import { classView, runSheetRows } from './meeting-view';
import { tapped } from './taps.test-helper';

const found = sampleState().work.ruleBooks.find((one) => one.id === 'ravenholt-course');
if (!found) throw new Error('the sample has this book');
const { book } = found;
const DAY = '2026-06-01' as Day;
/** Half past nine on the day of the meeting, and a second later at each look. */
const AT = new Date(2026, 5, 1, 9, 30).getTime();

async function begin(at: number) {
  const kennel = await emptyKennel(at);
  must(await putRuleBook(kennel, book, 0));
  const starters = [
    ['s1', 'Wren', 'Kim'],
    ['s2', 'Tansy', 'Lee'],
    ['s3', 'Moss', 'Kim'],
  ].map(([id = '', name = '', handler = ''], i) => ({
    id: asId<StarterId>(id),
    book: book.id,
    dogId: null,
    name,
    handler,
    number: i + 1,
    size: null,
    inSeason: false,
    withdrawn: id === 's2',
  }));
  const said = {
    title: 'Evening',
    kind: 'mock' as const,
    day: DAY,
    closes: null,
    place: '',
    starts: 9 * 60,
    minutesEach: 10,
    classes: [{ book: book.id, judges: [] }],
    starters,
  };
  const meeting = must(await saveMeeting(kennel, null, said)).made;
  must(await drawClass(kennel, meeting.id, book.id, 1));
  const order = ['s3', 's1'].map((id) => asId<StarterId>(id));
  must(
    await changeMeeting(kennel, meeting.id, (stored) => ({
      classes: stored.classes.map((one) => ({ ...one, order })),
    })),
  );
  const run = must(
    await startRun(
      kennel,
      {
        meeting: meeting.id,
        starter: asId<StarterId>('s3'),
        trial: null,
        dogId: null,
        name: 'Moss',
        number: 3,
        book: book.id,
        kind: 'mock',
        turn: 0,
        size: null,
        day: DAY,
      },
      [],
    ),
  ).made;
  const view = async () =>
    classView(
      (await meetingOf(kennel, meeting.id)) as Meeting,
      book,
      await runsOfMeeting(kennel, meeting.id),
      () => '',
    );
  return { kennel, run, view };
}

describe('the run sheet', () => {
  it('has the running order with times, who is withdrawn last, and numbers as numbers', async () => {
    const { kennel, run, view } = await begin(AT);
    const before = await view();
    expect(before.lines.map(({ starter, place, at, said }) => [starter.name, place, at, said])).toEqual([
      ['Moss', 1, '09:00', ''],
      ['Wren', 2, '09:10', ''],
      ['Tansy', null, null, 'withdrawn'],
    ]);
    expect(before.about).toBe('Two dogs of one handler run one after the other.');
    await tapped(kennel, book, run, [['fault', 'lane', 'refusal']]);
    const judged = await view();
    // It really began at half past nine: the next one is expected ten minutes later.
    expect(judged.lines.map(({ at, real, said }) => [at, real, said])).toEqual([
      ['09:30', true, 'one sheet is open'],
      ['09:40', false, ''],
      [null, false, 'withdrawn'],
    ]);
    const exercises = book.exercises;
    await tapped(kennel, book, run, [...exercises.map(({ id }) => ['is', id, 'done'] as const), ['close']]);
    const closed = await view();
    expect(closed.lines[0]?.said).toBe('5 faults, Good');
    expect(runSheetRows(closed)[1]).toEqual([
      'Ravenholt Course, Second Class',
      1,
      3,
      'Moss',
      'Kim',
      '09:30',
      0,
      0,
      5,
      1,
      'Good',
    ]);
    expect(runSheetRows(closed)[3]?.slice(1, 4)).toEqual(['', 2, 'Tansy']);
  });

  it('a sheet that is typed in on another day says nothing of when the dog ran', async () => {
    const { kennel, run, view } = await begin(AT + 5 * 86_400_000);
    await tapped(kennel, book, run, [['fault', 'lane', 'refusal']]);
    expect((await view()).lines[0]).toMatchObject({ at: '09:00', real: false });
  });
});
