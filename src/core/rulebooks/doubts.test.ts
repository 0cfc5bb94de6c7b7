import { describe, expect, it } from 'vitest';
import { wordsOf } from '@/words';
import { checkRuleBook, doubtsOf } from '.';
import { BOOK_NAMES, bookNamed } from './sample-books.test-helper';
import { dog, each, exercise, missed, part, smallBook } from './small-book.test-helper';

const book = (faults: readonly object[], awards: readonly object[] = [], text = 'It lies down and waits.') =>
  smallBook([{ ...exercise('down', [part('wait')]), title: 'Long down', text }], {
    family: 'points-off',
    smallestPoint: 0.5,
    pass: [{ kind: 'total', atLeast: 6 }],
    awards,
    exercises: [
      { exercise: 'down', maximum: 10, faults: [missed('up', 'wait', { kind: 'zero' }), ...faults] },
    ],
  });
const doubts = (value: unknown): string[] => {
  const read = checkRuleBook(value);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return doubtsOf(read.value).map((one) => `${one.path}: ${wordsOf(one.message)}`);
};

describe('what a secretary would ask about', () => {
  it.each<[string, unknown, string]>([
    [
      '12 points off a maximum of 10',
      book([dog('creeps', 'wait', each(12))]),
      'rules.exercises[0].faults[1].cost: “creeps” takes 12 points off “Long down”, which has 10: nobody can lose more than there is. Lower it, or let it zero the exercise.',
    ],
    [
      'an award below the line',
      book([], [{ title: 'Good', atLeast: 5 }]),
      'rules.awards[0]: “Good” asks 5 and passing asks 6: everybody who passes has it. Say that it is given below the line too, or raise it.',
    ],
    [
      'one that nobody can reach',
      book([], [{ title: 'Perfect', atLeast: 11 }]),
      'rules.awards[0]: “Perfect” asks 11, and no run can reach more than 10: nobody will ever earn it.',
    ],
    [
      'a text that only says the title again',
      book([], [], 'Long down.'),
      'exercises[0].text: “Long down” says how it runs in its own title again. Write how it begins, what the dog does and when it ends.',
    ],
  ])('%s', (_, value, words) => expect(doubts(value)).toEqual([words]));

  it('has none where a rating is meant below the line, or a bonus reaches beyond the maximum', () => {
    expect(doubts(book([], [{ title: 'Poor', atLeast: 0, alsoBelow: true }]))).toEqual([]);
    const bonus = dog('style', 'wait', { kind: 'bonus', points: 1 });
    expect(doubts(book([bonus], [{ title: 'Perfect', atLeast: 11 }]))).toEqual([]);
  });

  it.each(BOOK_NAMES)('%s leaves none', (name) =>
    expect(doubtsOf(bookNamed(name)).map((one) => wordsOf(one.message))).toEqual([]));
});
