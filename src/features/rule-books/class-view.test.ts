import { expect, it } from 'vitest';
import type { Day } from '@/core/shared';
import { sampleState } from '@/demo/sample-state.test-helper';
import { classView, mayNotEnter, passInWords, stakeLines } from './class-view';

const book = sampleState().work.ruleBooks[0]?.book;
if (!book) throw new Error('the sample has a rule book');

it('shows every fault of the file once, with its price in words', () => {
  const views = classView(book);
  const shown = views.flatMap((view) => [...view.parts.flatMap((part) => part.faults), ...view.anywhere]);
  expect(shown).toHaveLength(book.rules.exercises.reduce((sum, exercise) => sum + exercise.faults.length, 0));
  expect(views[0]?.parts[1]?.faults.map((fault) => fault.cost)).toEqual([
    'exercise zeroed',
    '1 point per started metre over 1.5 m, at most 6',
    '1.5 points each',
    'run ended',
  ]);
  expect(views[0]?.parts[3]?.faults[1]?.cost).toBe('2 points per started metre, at most 8');
  expect(views[1]?.parts[4]?.faults[1]?.cost).toBe('over 10°: 1; over 30°: 3');
  expect(views[0]?.anywhere.every((fault) => fault.handler)).toBe(true);
});

it('says what passing asks', () => {
  expect(passInWords(book)).toEqual([
    'at least 60 of 80 points',
    'at least 50 % of the points of each exercise',
  ]);
});

it('adds up what a part can cost over all exercises that it serves', () => {
  const retrieves = sampleState().work.ruleBooks.find(
    (record) => record.id === 'brackwater-working-test',
  )?.book;
  if (!retrieves) throw new Error('the sample has all books');
  // Refusing to go or not bringing it ends the run, so 20 are at stake in each of 8; a dog that
  // does not stop keeps 8 of 20 in 3 blinds.
  expect(stakeLines(retrieves).map((line) => [line.title, line.words])).toEqual([
    ['Go out', '160 points in 8 exercises'],
    ['Hunt and find', '160 points in 8 exercises'],
    ['Bring and give', '160 points in 8 exercises'],
    ['Stop and cast', '36 points in 3 exercises'],
  ]);
  expect(stakeLines(book)[0]).toMatchObject({ title: 'Run out straight', words: '40 points', bar: 1 });
});

it.each([
  ['too young', { born: '2025-10-09', height: null }, ['Otto is 8 months old; to enter it has to be 15.']],
  ['old enough, nothing said of its height', { born: '2024-10-09', height: null }, []],
  ['too high', { born: null, height: 0.61 }, ['Otto is higher than 50 cm: too high to enter.']],
  ['too low', { born: null, height: 0.19 }, ['Otto is lower than 20 cm: too low to enter.']],
] as const)('a dog that is %s', (_, dog, lines) => {
  const entry = { months: 15, smallest: { value: 20, unit: 'cm' }, tallest: { value: 50, unit: 'cm' } };
  const found = mayNotEnter(
    { ...book, entry },
    { name: 'Otto', ...dog, born: dog.born as Day | null },
    '2026-06-15' as Day,
  );
  expect(found).toEqual(lines);
});
