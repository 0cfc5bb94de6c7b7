import { describe } from 'vitest';
import { dog, each, exercise, missed, part, smallBook } from './small-book.test-helper';
import { off, two, works } from './worked-sheets.test-helper';

describe('the n-th time', () => {
  const refuses = dog('refuses', 'do', each(2), { nth: { at: 3, does: 'end-run' } });
  const whines = dog('whines', 'do', each(1), { nth: { at: 2, does: 'zero' } });
  works(two([refuses, whines], [refuses]), [
    ['two refusals cost 2 each: 20 − 4', { a: ['refuses', 'refuses'] }, 16, []],
    ['the third ends it: nothing', { a: ['refuses', 'refuses', 'refuses'] }, 0, ['ended', 'total']],
    ['three written as one mark', { a: [['refuses', 3]] }, 0, ['ended', 'total']],
    ['it begins anew in the next exercise: 20 − 4 − 4', { a: [['refuses', 2]], b: [['refuses', 2]] }, 12, []],
    ['the second whine zeroes the exercise: 10', { a: ['whines', 'whines'] }, 10, ['total']],
  ]);
});

describe('counted over the whole run', () => {
  const refuses = dog('refuses', 'do', each(1), { across: 'refusals' });
  const across = [{ id: 'refusals', title: 'Refusals', nth: { at: 3, does: 'end-run' } }];
  works(two([refuses], [refuses], { across }), [
    ['one here, one there: 20 − 2', { a: ['refuses'], b: ['refuses'] }, 18, []],
    [
      'two and one: the third ends it in the second: 8',
      { a: [['refuses', 2]], b: ['refuses'] },
      8,
      ['ended', 'total'],
    ],
    ['three at once: nothing', { a: [['refuses', 3]] }, 0, ['ended', 'total']],
  ]);

  const barks = dog('barks', 'do', each(2), { across: 'voice' });
  const sings = dog('sings', 'do', each(3), { across: 'voice' });
  const capped = [{ id: 'voice', title: 'Voice', cap: 6 }];
  works(two([barks, sings], [barks], { across: capped }), [
    ['2 + 3: under the cap', { a: ['barks', 'sings'] }, 15, []],
    ['2 + 3 + 2 is capped at 6, over both exercises', { a: ['barks', 'sings'], b: ['barks'] }, 14, []],
    ['five barks in the second after one: 2 + 4', { a: ['barks'], b: [['barks', 5]] }, 14, []],
  ]);

  const warned = [{ id: 'voice', title: 'Voice', warnings: 1 }];
  works(two([barks, sings], [barks], { across: warned }), [
    ['the first is a warning', { a: ['barks'] }, 20, []],
    ['so the second costs, wherever it is', { a: ['barks'], b: ['barks'] }, 18, []],
    ['three at once: one is the warning, 2 · 2', { a: [['barks', 3]] }, 16, []],
  ]);
});

describe('a warning first', () => {
  const touch = dog('touches', 'do', each(2), { warnings: 2 });
  const leaves = dog('leaves', 'do', { kind: 'zero' }, { warnings: 1 });
  works(two([touch, leaves], [touch]), [
    ['two warnings', { a: ['touches', 'touches'] }, 20, []],
    ['then 2 each', { a: [['touches', 4]] }, 16, []],
    ['it zeroes only the second time', { a: ['leaves'] }, 20, []],
    ['and then it does', { a: ['leaves', 'leaves'] }, 10, ['total']],
  ]);
});

describe('a limit that acts', () => {
  const slow = dog('slow', 'do', {
    kind: 'per-second',
    points: 1,
    beyond: 2,
    usual: 1,
    acts: { over: 5, does: 'zero' },
  });
  const wide = dog('wide', 'do', {
    kind: 'band',
    quantity: 'distance',
    unit: 'm',
    bands: [{ over: 1, points: 2 }],
    acts: { over: 4, does: 'end-run' },
  });
  works(two([slow, wide], [slow]), [
    ['4.5 s: three started seconds', { a: [['slow', 4.5]] }, 17, []],
    ['5 s: still three', { a: [['slow', 5]] }, 17, []],
    ['5.1 s: zeroed', { a: [['slow', 5.1]] }, 10, ['total']],
    ['3 m off: 2', { a: [['wide', 3]] }, 18, []],
    ['4.5 m off: out', { a: [['wide', 4.5]] }, 0, ['ended', 'total']],
  ]);
});

describe('a bonus above the maximum', () => {
  const style = dog('style', 'do', { kind: 'bonus', points: 1.5, cap: 3 });
  works(two([style, dog('slow', 'do', each(2))], [style]), [
    ['10 + 1.5', { a: ['style'] }, 21.5, []],
    ['at most 3 in one exercise', { a: [['style', 3]] }, 23, []],
    ['after a fault: 10 − 2 + 1.5', { a: ['slow', 'style'] }, 19.5, []],
    ['none for an exercise that is zeroed', { a: ['style', 'not'] }, 10, ['total']],
  ]);
});

describe('k of n, and one that may fail', () => {
  const three = (pass: readonly object[]) =>
    smallBook(
      ['a', 'b', 'c'].map((id) => exercise(id, [part('do')])),
      off(
        ['a', 'b', 'c'].map((id) => ({
          exercise: id,
          maximum: 10,
          faults: [missed('not', 'do', { kind: 'zero' }), dog('bad', 'do', each(6))],
        })),
        pass,
      ),
    );
  works(three([{ kind: 'share-of-each', percent: 50, except: 1 }]), [
    ['one under half may be', { a: ['bad'] }, 24, []],
    ['two may not', { a: ['bad'], c: ['bad'] }, 18, ['shares']],
    ['one at nothing may be too', { b: ['not'] }, 20, []],
  ]);
  works(three([{ kind: 'share-of-some', percent: 50, atLeast: 1, of: ['a', 'b'] }]), [
    ['one of the two is enough', { a: ['bad'], c: ['not'] }, 14, []],
    ['none is not', { a: ['bad'], b: ['not'] }, 14, ['shares']],
    ['the third does not count', { c: ['not'] }, 20, []],
  ]);
});

describe('phases, and an own minimum', () => {
  const lot = smallBook(
    ['a', 'b', 'c'].map((id) => exercise(id, [part('do')])),
    off(
      ['a', 'b', 'c'].map((id) => ({
        exercise: id,
        maximum: 10,
        ...(id === 'c' ? { atLeast: 5 } : {}),
        faults: [missed('not', 'do', { kind: 'zero' }), dog('bad', 'do', each(4.5))],
      })),
      [{ kind: 'total', atLeast: 10 }],
    ),
    { phases: [{ title: 'Obedience', exercises: ['a', 'b'], atLeast: 14 }] },
  );
  works(lot, [
    ['5.5 + 10 is over 14', { a: ['bad'] }, 25.5, []],
    ['5.5 + 5.5 is under', { a: ['bad'], b: ['bad'] }, 21, ['phase']],
    ['the third has 5.5 of its 5', { c: ['bad'] }, 25.5, []],
    ['and 1 is too little', { c: ['bad', 'bad'] }, 21, ['minimum']],
  ]);
});

describe('sizes', () => {
  const sizes = [
    { id: 'low', title: 'Low', under: { value: 35, unit: 'cm' } },
    { id: 'high', title: 'High', under: null },
  ];
  const clock = dog('over', 'do', {
    kind: 'per-second',
    points: 1,
    beyond: 40,
    bySize: { low: 44 },
    usual: 1,
  });
  const book = two([clock], [], { sizes });
  describe('a low dog', () =>
    works(
      book,
      [
        ['43 s is in its time', { a: [['over', 43]] }, 20, []],
        ['44.5 s is one second over', { a: [['over', 44.5]] }, 19, []],
        ['50 s is six', { a: [['over', 50]] }, 14, []],
      ],
      'low',
    ));
  describe('a high one, and one whose size nobody said', () => {
    works(book, [['43 s is three over', { a: [['over', 43]] }, 17, []]], 'high');
    works(book, [['43 s is three over', { a: [['over', 43]] }, 17, []]]);
  });
});
