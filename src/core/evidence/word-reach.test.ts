import { describe, expect, it } from 'vitest';
import { AXIS, boutsOf, many } from './evidence.test-helper';
import { wordReach } from './word-reach';

const said = (word: string, clean: number, missed: number, distance: number) => [
  ...many(clean, { conditions: { word } }, distance),
  ...many(missed, { conditions: { word }, outcome: 'miss' }, distance),
];

describe('the reach of each word', () => {
  it('is the farthest value with most of its reps clean: drop 8 m, sit 2 m', () => {
    const bouts = boutsOf([
      ...said('drop', 5, 1, 8),
      ...said('drop', 4, 0, 5),
      ...said('sit', 2, 0, 2),
      ...said('sit', 3, 3, 8),
      ...many(9, {}, 20),
    ]);
    expect(wordReach(bouts, AXIS)).toEqual([
      { word: 'drop', value: 8, reps: 6, clean: 5 },
      { word: 'sit', value: 2, reps: 2, clean: 2 },
    ]);
  });
  it('one clean rep is no reach, nor are three of four', () =>
    expect(wordReach(boutsOf([...said('stand', 1, 0, 8), ...said('down', 3, 1, 5)]), AXIS)).toEqual([]));
});
