import { beforeEach, describe, expect, it } from 'vitest';
import { familyOf, pastedLines, prepareRules, readSheet, rulesTotal, scoreSheet } from '@/core/rulebooks';
import { KEYED } from '@/core/rulebooks/written/judging-sheets.test-helper';
import { asId, must } from '@/core/shared';
import { wordsOf } from '@/words';
import { checkDraft } from '../editor/check';
import { put, textAt } from '../editor/draft';
import { keptStorage } from '../editor/kept-storage.test-helper';
import { draftFromSheet, familyOfSheet } from './draft-from-sheet';
import { usePaste } from './paste-store';
import { readingInWords } from './reading-words';

keptStorage();

const textOf = (name: string): string =>
  (KEYED.find((one) => one.name === name)?.lines ?? []).map(([text]) => text).join('\n');

/** A sheet as somebody settles it who leaves out every line that is not clear. */
function settledSheet(text: string) {
  const lines = pastedLines(text);
  const read = readSheet(lines);
  return readSheet(lines.map((line, i) => (read[i]?.doubt ? { ...line, as: 'nothing' } : line)));
}

function bookOf(text: string) {
  const read = settledSheet(text);
  const { draft, left } = draftFromSheet(read, familyOfSheet(read));
  // A sheet that does not say what it is called is asked for its name, and for nothing else.
  const named = textAt(draft, ['title']) === '' ? put(draft, ['title'], 'Sheet') : draft;
  const { book, problems } = checkDraft(named);
  return { book, problems, left };
}

describe('a sheet made a table of', () => {
  it.each(
    KEYED.map((sheet) => sheet.name),
  )('“%s” is a sound book, with every exercise and fault that was read', (name) => {
    const read = settledSheet(textOf(name));
    const count = (is: string): number =>
      read.reduce((sum, line) => sum + line.readings.filter((one) => one.is === is).length, 0);
    const { book, problems, left } = bookOf(textOf(name));
    expect([problems, left]).toEqual([[], []]);
    expect(book?.exercises).toHaveLength(count('exercise'));
    const misses = book?.rules.exercises.flatMap((one) => one.faults.filter((fault) => fault.miss)) ?? [];
    const faults = book?.rules.exercises.reduce((sum, one) => sum + one.faults.length, 0) ?? 0;
    const written = read.flatMap((line) =>
      line.readings.filter((one) => one.is === 'fault' && one.miss),
    ).length;
    expect(faults - misses.length).toBe(count('fault') - written);
    for (const line of read) for (const one of line.readings) expect(readingInWords(one)).not.toBe('');
  });

  it('scores as its judge would: a run worked by hand', () => {
    const { book } = bookOf(textOf('numbered, points last'));
    if (!book) throw new Error('a book');
    const rules = prepareRules(book);
    expect([rulesTotal(rules) * rules.pointsPerUnit, familyOf(book.rules).id]).toEqual([100, 'points-off']);
    const exercises = book.exercises.map((one) => one.id);
    const sheet = [
      // 2 crooked sits at 1, lagging at its usual 2: 40 − 4.
      {
        exercise: exercises[0] ?? asId('?'),
        marks: [
          { fault: asId<never>('crooked-sit'), amount: 2 },
          { fault: asId<never>('lagging'), amount: 1 },
        ],
      },
      // In front 31° off: 1.5 of 30.
      { exercise: exercises[1] ?? asId('?'), marks: [{ fault: asId<never>('front'), amount: 31 }] },
      // Seven times vocal at 1, at most 5 of 30.
      { exercise: exercises[2] ?? asId('?'), marks: [{ fault: asId<never>('vocal'), amount: 7 }] },
    ];
    const score = must(scoreSheet(rules, sheet));
    expect([score.units * rules.pointsPerUnit, score.passed, score.award]).toEqual([
      36 + 28.5 + 25,
      true,
      'Very good',
    ]);
    const passing = familyOf(book.rules).passing(book.rules, book.exercises).map(wordsOf);
    expect(passing).toEqual(['at least 70 of 100 points', 'at least 50 % of the points of each exercise']);
  });

  it('takes a share of all as points, when the exercises are known', () => {
    const { book } = bookOf(textOf('a table with tabs'));
    expect(book && familyOf(book.rules).passing(book.rules, book.exercises).map(wordsOf)).toEqual([
      'at least 48 of 80 points',
    ]);
  });

  it('lays demands and faults on the part that was named before them', () => {
    const { book } = bookOf(textOf('sentences and demands between'));
    const second = book?.exercises[1];
    expect(
      second?.parts.map((part) => [part.title, part.demands.map((one) => `${one.quantity} ${one.value}`)]),
    ).toEqual([
      ['Hold', ['duration 30']],
      ['Let go', []],
    ]);
    expect(book?.exercises[0]?.parts[0]?.demands.map((one) => `${one.quantity} ${one.value}`)).toEqual([
      'distance 25',
    ]);
  });

  it('names what a way of scoring has no place for', () => {
    const read = settledSheet(textOf('numbered, points last'));
    const { left } = draftFromSheet(read, 'checklist');
    expect(left).toEqual([
      'To pass: at least 70 points and half of the points of each exercise',
      'To pass: at least 70 points and half of the points of each exercise',
      'Excellent from 90',
      'Very good 80–89',
    ]);
  });
});

describe('the pasted sheet in hand', () => {
  beforeEach(() => {
    usePaste.setState({ kennel: null, lines: null, right: [], family: null, text: '' });
  });

  it('keeps what was mended through a reload and on the way back to the text; a line that is changed is asked again', () => {
    const { open, type, read, mend, isRight, again } = usePaste.getState();
    open('own');
    type('Class\n1. Recall 40\n- 2 steps wide 2');
    read();
    isRight(2, true);
    mend(2, '- 3 steps wide 2');
    expect(usePaste.getState().right).toEqual([]);
    usePaste.setState({ kennel: null, lines: null, text: '' });
    open('own');
    expect(usePaste.getState().lines?.map((line) => line.text)).toEqual([
      'Class',
      '1. Recall 40',
      '- 3 steps wide 2',
    ]);
    again();
    expect(usePaste.getState().text).toBe('Class\n1. Recall 40\n- 3 steps wide 2');
  });
});
