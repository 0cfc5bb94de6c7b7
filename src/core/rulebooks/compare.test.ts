import { describe, expect, it } from 'vitest';
import { wordsOf } from '@/words';
import { compareBooks, type RuleBook } from '.';
import { BOOK_NAMES, bookNamed } from './sample-books.test-helper';

const [one, two] = [bookNamed('vellmoor-obedience-two'), bookNamed('vellmoor-obedience-two-e2')];
const words = (before: RuleBook, after: RuleBook): string[] =>
  compareBooks(before, after).map((change) => `${change.kind} ${change.area}: ${wordsOf(change.words)}`);

describe('comparing editions', () => {
  it.each(BOOK_NAMES)('%s has not changed from itself', (name) =>
    expect(compareBooks(bookNamed(name), bookNamed(name))).toEqual([]));

  it('says every change in words and numbers', () => {
    expect(words(one, two)).toEqual([
      'added pass: to pass: at least 64 of 80 points',
      'removed pass: to pass: at least 60 of 80 points',
      'added award: award: Passed from 64',
      'removed award: award: Passed from 60',
      expect.stringContaining('changed text: Send-away to the square, description:'),
      'changed demand: Send-away to the square, run out straight: distance to the square 25 m → 30 m',
      'changed demand: Send-away to the square, stop and lie down in the square: distance from you 25 m → 30 m',
      'changed demand: Send-away to the square, wait for the steward: distance from you 25 m → 30 m',
      'changed demand: Send-away to the square, come back to heel: distance from you 25 m → 30 m',
      'changed fault: Send-away to the square: “Does not stop in the square”: 22 points each, stops the exercise → 18 points each, stops the exercise',
      'changed fault: Send-away to the square: “Gets up before the steward speaks”: 10 points each → 12 points each',
      'removed fault: Send-away to the square: “Lies over the tape”, 3 points each',
      'added fault: Retrieve over the hurdle: “Knocks the bar off”, 5 points each',
    ]);
  });

  it('read backwards, turns every addition into a removal and keeps the rest', () => {
    const kinds = (before: RuleBook, after: RuleBook, kind: string) =>
      compareBooks(before, after).filter((change) => change.kind === kind).length;
    expect([kinds(two, one, 'added'), kinds(two, one, 'removed'), kinds(two, one, 'changed')]).toEqual([
      kinds(one, two, 'removed'),
      kinds(one, two, 'added'),
      kinds(one, two, 'changed'),
    ]);
  });

  it('sees exercises come, go, change their maximum and their order', () => {
    const turned: RuleBook = { ...one, exercises: one.exercises.toReversed() };
    expect(words(one, turned)).toEqual([
      'changed exercise: running order: Retrieve over the hurdle, Send-away to the square',
    ]);
    const single: RuleBook = { ...one, exercises: one.exercises.slice(0, 1) };
    expect(words(one, single)).toContain('removed exercise: exercise “Retrieve over the hurdle”');
    expect(words(single, one)).toContain('added exercise: exercise “Retrieve over the hurdle”');
    const rules = {
      ...one.rules,
      exercises: one.rules.exercises.map((exercise) => ({ ...exercise, maximum: 50 })),
    } as RuleBook['rules'];
    expect(words(one, { ...one, rules })).toContain(
      'changed exercise: Send-away to the square: maximum 40 → 50',
    );
    expect(words(one, bookNamed('ravenholt-course'))[0]).toBe(
      'changed pass: scored by “Points off” → “Time and faults”',
    );
  });
});
