import { describe, expect, it } from 'vitest';
import { must } from '@/core/shared';
import { wordsOf } from '@/words';
import { familyOf, prepareRules, type RuleBook, scoreSheet } from '.';
import { dog, each, exercise, missed, part, smallBook } from './small-book.test-helper';
import { read, type Short, sheetOf, two, works } from './worked-sheets.test-helper';

describe('a number that a judge gave', () => {
  works(two([dog('slow', 'do', each(2))], [missed('gone', 'do', { kind: 'end-run' })]), [
    ['7.5 for the first', { a: { given: [7.5] } }, 17.5, []],
    ['faults beside it explain and take nothing', { a: { given: [7.5], marks: ['slow', 'slow'] } }, 17.5, []],
    [
      'one that ends the run ends it still',
      { a: { given: [7.5] }, b: { given: [9], marks: ['gone'] } },
      7.5,
      ['ended', 'total'],
    ],
  ]);
});

describe('marks of any height, halves of weights, panels', () => {
  const marks = (more: object, faults: readonly object[] = []) =>
    smallBook([exercise('a', [part('do')]), exercise('b', [part('do')])], {
      family: 'weighted-marks',
      smallestMark: 0.5,
      judges: 2,
      dropExtremes: false,
      pass: { percent: 50, eachMark: null },
      awards: [],
      exercises: [
        { exercise: 'a', coefficient: 1.5, faults: [missed('not', 'do', { kind: 'zero' }), ...faults] },
        { exercise: 'b', coefficient: 2, faults: [missed('not', 'do', { kind: 'zero' })] },
      ],
      ...more,
    });
  describe('0 to 20 at weights of 1.5 and 2', () =>
    works(marks({ top: 20 }), [
      ['faultless: 20 · 3.5', {}, 70, []],
      ['15 and 16: 15.5 · 1.5 + 40', { a: { given: [15, 16] } }, 63.25, []],
      ['9.5 and 10 in the second: 9.75 · 2 + 30', { b: { given: [9.5, 10] } }, 49.5, []],
      ['both poor: 30 under 35', { a: { given: [8, 8] }, b: { given: [9, 9] } }, 30, ['total']],
    ]));

  const categories = [
    { id: 'work', title: 'Work', coefficient: 1, judges: 2, atLeast: 6 },
    { id: 'look', title: 'Look', coefficient: 0.5, judges: 1 },
  ];
  const panels = marks({ categories, zeroIsOut: true });
  const given = (book: unknown): unknown => {
    const copy = structuredClone(book) as { rules: { exercises: { faults: object[] }[] } };
    for (const one of copy.rules.exercises)
      one.faults = one.faults.map((fault) => ({ ...fault, category: 'work' }));
    return copy;
  };
  describe('two judges for the work, one for the look at half its weight', () =>
    works(given(panels), [
      ['faultless: 10 · 1.5 · 3.5', {}, 52.5, []],
      ['8 and 7, look 6: (7.5 + 3) · 1.5 + 30', { a: { given: [8, 7, 6] } }, 45.75, []],
      [
        'a mean of 5.5 of the work is under 6',
        { a: { given: [5, 4, 10] }, b: { given: [6, 7, 10] } },
        37.25,
        ['category'],
      ],
      ['a 0 by the only judge of the look is out', { a: { given: [10, 10, 0] } }, 45, ['zero']],
      ['a 0 by one of two is not', { a: { given: [10, 0, 10] }, b: { given: [10, 10, 10] } }, 45, []],
    ]));
});

describe('measured scores', () => {
  const scores = (measure: string, more: object, rest: object) =>
    smallBook([exercise('a', [part('do')])], {
      family: 'measured',
      measure,
      awards: [],
      exercises: [{ exercise: 'a', faults: [missed('not', 'do', { kind: 'zero' })], ...more }],
      ...rest,
    });
  const zones = [
    { title: 'Far', points: 5 },
    { title: 'Middle', points: 3 },
  ];
  describe('catches by zone, three throws added', () =>
    works(scores('zones', { tries: 3, counts: 'all', most: 5, zones }, { smallest: 1, pass: { line: 8 } }), [
      ['5 + 3 + 0', { a: { given: [5, 3, 0] } }, 8, []],
      ['3 + 3 + 0', { a: { given: [3, 3, 0] } }, 6, ['total']],
      ['5 + 5 + 5', { a: { given: [5, 5, 5] } }, 15, []],
    ]));
  describe('metres, the best of two jumps', () =>
    works(scores('metres', { tries: 2, counts: 'best', most: 12 }, { smallest: 0.01, pass: { line: 4 } }), [
      ['4.12 and 3.98: 4.12', { a: { given: [4.12, 3.98] } }, 4.12, []],
      ['3.99 and 3.98 is not 4', { a: { given: [3.99, 3.98] } }, 3.99, ['total']],
      ['one that was not measured is 0', { a: { given: [0, 4] } }, 4, []],
    ]));
  it.each([
    ['seconds to a hundredth: 23.45', [23.45], '23.45 s', true],
    ['at the line', [25], '25 s', true],
    ['a hundredth over it', [25.01], '25.01 s', false],
  ])('%s', (_, times, said, passed) => {
    const book = read(
      scores('seconds', { tries: 1, counts: 'all', most: 60 }, { smallest: 0.01, pass: { line: 25 } }),
    );
    const rules = prepareRules(book);
    const score = must(scoreSheet(rules, sheetOf(book, { a: { given: times } })));
    expect([wordsOf(saidOf(book, score.units)), score.passed]).toEqual([said, passed]);
  });
});
const saidOf = (book: RuleBook, units: number) => familyOf(book.rules).say(prepareRules(book), units);

describe('ratings below the line', () => {
  const awards = [
    { title: 'Excellent', atLeast: 18 },
    { title: 'Good', atLeast: 12 },
    { title: 'Insufficient', atLeast: 0, alsoBelow: true },
  ];
  const book = (): RuleBook => {
    const value = two([dog('slow', 'do', each(3))], []) as { rules: object };
    return read({ ...value, rules: { ...value.rules, awards } });
  };
  it.each([
    ['20', 0, 'Excellent'],
    ['14', 2, 'Good'],
    ['10: it does not pass', 4, 'Insufficient'],
  ])('%s', (_, faults, award) => {
    const found = book();
    const marks: Short = faults === 0 ? {} : { a: [['slow', faults]] };
    expect(must(scoreSheet(prepareRules(found), sheetOf(found, marks))).award).toBe(award);
  });
});
