import { describe, expect, it } from 'vitest';
import { asId, must, type RunId } from '@/core/shared';
import { foldSheet } from '@/core/trials';
import { emptyKennel } from '@/data/kennel.test-helper';
import { type Kennel, listPractice, practiceOf, runWithMarks } from '@/data/read';
import { putRunAway, startPractice, writeMark } from '@/data/write';
import { PRACTICE } from '@/demo/practice';
import { handView, pointsWords, practiceLines, resultOf } from './practice-view';
import { sheetView } from './sheet-view';
import { type Tap, tapped } from './taps.test-helper';

const named = (id: string) => {
  const run = PRACTICE.runs.find((one) => one.id === id);
  const book = PRACTICE.books.find((one) => one.id === run?.book);
  if (!run || !book) throw new Error(id);
  return { run, book };
};
const DAY = '2026-06-01' as never;

/** Judges a written-out run by these taps, as the page does, and closes it. */
async function judge(kennel: Kennel, id: string, taps: readonly Tap[], close = true) {
  const { run, book } = named(id);
  const made = must(await startPractice(kennel, run, book, DAY)).made;
  const shown = [...new Set(run.events.map((one) => one.exercise))];
  await tapped(kennel, book, made, [
    ...taps,
    ...shown.map((one): Tap => ['is', one, 'done']),
    ...(close ? [['close'] as const] : []),
  ]);
  return made;
}
const lines = async (kennel: Kennel) => practiceLines(PRACTICE, await listPractice(kennel));

describe('practice in judging, taps in and words out', () => {
  it('what is not shown is done already, the book stands among none to train for, and a second start is a second sheet', async () => {
    const kennel = await emptyKennel();
    const { run, book } = named('half-a-course');
    const made = must(await startPractice(kennel, run, book, DAY)).made;
    const sheet = foldSheet((await runWithMarks(kennel, made.id))?.marks ?? [], null);
    expect(sheet.exercises.map((one) => [one.exercise, one.state])).toEqual([
      ['start-wait', 'done'],
      ['platform', 'done'],
      ['clock', 'done'],
    ]);
    expect(must(sheetView(book, sheet)).exercises).toHaveLength(book.exercises.length);
    expect((await kennel.database.of('ruleBooks').get(book.id))?.putAway).toBe(true);
    const second = must(await startPractice(kennel, run, book, DAY)).made;
    expect(second.id).not.toBe(made.id);
    expect(await practiceOf(kennel, second.id)).toBe(run.id);
    expect(await practiceOf(kennel, asId<RunId>('ghost'))).toBeNull();
  });

  it('says of each what it came to; one that is open says so, one put away is gone', async () => {
    const kennel = await emptyKennel();
    const open = await judge(kennel, 'five-tricks', [], false);
    await judge(kennel, 'five-tricks', [
      ['fault', 'spin-right', 'half'],
      ['fault', 'beg', 'touched'],
    ]);
    expect((await lines(kennel)).map((one) => one.said)).toEqual([
      '2 of 4 faults as the key has them; the points of the key',
      'not closed yet',
    ]);
    must(await writeMark(kennel, open, null, { kind: 'close' }));
    // Beg is gone by the key and was left standing; the rest cost nothing there.
    expect((await lines(kennel))[1]?.said).toBe(
      '0 of 4 faults as the key has them; 1 point more than the key',
    );
    must(await putRunAway(kennel, open.id, true));
    expect(await lines(kennel)).toHaveLength(1);
    const [one] = await listPractice(kennel);
    expect(one && resultOf(PRACTICE, 'nobody knows it', one.sheet)).toBeNull();
  });

  it('one’s own hand: nothing of a fault that came once; then which to look for first, and run by run', async () => {
    const kennel = await emptyKennel();
    expect(handView(await lines(kennel))).toEqual({ lines: [], so: null, trend: null });
    await judge(kennel, 'square-and-hurdle', []);
    expect(handView(await lines(kennel)).lines).toEqual([]);
    await judge(kennel, 'square-and-hurdle', []);
    const hand = handView(await lines(kennel));
    expect(hand.so).toBe('So: look for “Restless, rolls or sniffs” first in the next run.');
    expect(hand.lines[0]).toBe(
      'Restless, rolls or sniffs: you leave 2 points more standing than the key. Missed 2 of 2.',
    );
    expect(hand.trend).toBe('Points away from the key, run by run: +9; +9.');
  });

  it.each([
    [35.5, 35.5, 'the points of the key'],
    [40, 35.5, '4.5 points more than the key'],
    [30, 35.5, '5.5 points fewer than the key'],
  ])('%d beside %d: %s', (judged, key, words) => expect(pointsWords({ judged, key })).toBe(words));
});
