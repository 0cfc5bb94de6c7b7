import { describe, expect, it } from 'vitest';
import { bookNamed } from '@/core/rulebooks/sample-books.test-helper';
import { asId, type Day, must, type RuleBookId, type SizeKey, type StarterId } from '@/core/shared';
import { emptyKennel } from '@/data/kennel.test-helper';
import { type Kennel, type Meeting, meetingOf, runsOfMeeting } from '@/data/read';
import { putRuleBook, saveMeeting, startRun } from '@/data/write';
import { classView } from './meeting-view';
import { resultRows, resultsView } from './results-view';
import { type Tap, tapped } from './taps.test-helper';

const DAY = '2026-06-01' as Day;
const course = bookNamed('ravenholt-course');
const throws = bookNamed('fennside-throws');

/** A meeting of one class, its dogs by name and size. */
async function meetingOfDogs(book: typeof course, dogs: readonly (readonly [string, string | null])[]) {
  const kennel = await emptyKennel();
  must(await putRuleBook(kennel, book, 0));
  const starters = dogs.map(([name, size], i) => ({
    id: asId<StarterId>(name),
    book: book.id,
    dogId: null,
    name,
    handler: `Handler of ${name}`,
    number: i + 1,
    size: size as SizeKey | null,
    inSeason: false,
    withdrawn: name === 'Withdrawn',
  }));
  const meeting = must(
    await saveMeeting(kennel, null, {
      title: 'Evening',
      kind: 'trial',
      day: DAY,
      closes: null,
      place: '',
      starts: 540,
      minutesEach: 10,
      classes: [{ book: book.id, judges: [] }],
      starters,
    }),
  ).made;
  return { kennel, meeting };
}
async function judge(
  kennel: Kennel,
  meeting: Meeting,
  book: typeof course,
  name: string,
  taps: readonly Tap[],
  turn = 0,
) {
  const starter = meeting.starters.find((one) => one.name === name);
  if (!starter) throw new Error(name);
  const run = must(
    await startRun(
      kennel,
      {
        meeting: meeting.id,
        starter: starter.id,
        trial: null,
        dogId: null,
        name,
        number: 1,
        book: book.id as RuleBookId,
        kind: 'trial',
        turn,
        size: starter.size,
        day: DAY,
      },
      [],
    ),
  ).made;
  await tapped(kennel, book, run, taps);
}
const done = (book: typeof course): Tap[] => book.exercises.map(({ id }): Tap => ['is', id, 'done']);
async function results(kennel: Kennel, meeting: Meeting, book: typeof course) {
  const stored = await meetingOf(kennel, meeting.id);
  const runs = await runsOfMeeting(kennel, meeting.id);
  if (!stored) throw new Error('a meeting');
  return resultsView(
    classView(stored, book, runs, () => ''),
    runs,
  );
}

describe('the results of a class', () => {
  it('stand there when sheets are closed: sizes apart, ties named, who did not run named as to come', async () => {
    const { kennel, meeting } = await meetingOfDogs(course, [
      ['Wren', 'low'],
      ['Moss', 'low'],
      ['Tansy', 'high'],
      ['Late', 'low'],
      ['Withdrawn', 'low'],
    ]);
    expect(await results(kennel, meeting, course)).toBeNull();
    await judge(kennel, meeting, course, 'Wren', [['fault', 'hurdles', 'fault'], ...done(course), ['close']]);
    await judge(kennel, meeting, course, 'Moss', [['fault', 'hoop', 'fault'], ...done(course), ['close']]);
    await judge(kennel, meeting, course, 'Tansy', [['fault', 'hurdles', 'left-out'], ['close']]);
    await judge(kennel, meeting, course, 'Late', done(course));
    const view = await results(kennel, meeting, course);
    expect(view?.open).toBe(1);
    expect(view?.lines.map((one) => [one.name, one.size, one.place, one.passed, one.why])).toEqual([
      ['Moss', 'Low', 1, true, 'equal: the place is shared'],
      ['Wren', 'Low', 1, true, 'equal: the place is shared'],
      ['Tansy', 'High', null, false, null],
    ]);
    expect(view?.ties).toContain('fewer faults, the shorter time');
    const [head, first] = view ? resultRows(course.title, view) : [];
    expect(head?.slice(0, 5)).toEqual(['class', 'size', 'place', 'number', 'dog']);
    expect(first?.slice(1, 5)).toEqual(['Low', 1, 2, 'Moss']);
  });

  it('of a class that is run twice the better run counts', async () => {
    const { kennel, meeting } = await meetingOfDogs(throws, [['Wren', null]]);
    const run = (points: string): Tap[] => [
      ...['try-1', 'try-2', 'try-3', 'try-4', 'try-5'].map((slot): Tap => ['give', 'round', points, slot]),
      ['is', 'round', 'done'],
      ['close'],
    ];
    await judge(kennel, meeting, throws, 'Wren', run('3'));
    await judge(kennel, meeting, throws, 'Wren', run('5'), 1);
    expect((await results(kennel, meeting, throws))?.lines[0]?.points).toBe(25);
  });
});
