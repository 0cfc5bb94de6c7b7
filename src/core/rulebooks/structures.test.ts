import { describe, expect, it } from 'vitest';
import { asId, type ExerciseKey, type FaultKey, must, type SizeKey } from '@/core/shared';
import { wordsOf } from '@/words';
import {
  checkRuleBook,
  familyOf,
  pointsOf,
  prepareRules,
  type RuleBook,
  type ScoreSheet,
  scoreRuns,
  scoreSheet,
  structuresInWords,
} from '.';
import { dog, each, exercise, missed, part, smallBook } from './small-book.test-helper';

/** What stands on a sheet in short: marks by exercise, or the numbers that judges gave. */
type Short = Readonly<
  Record<
    string,
    readonly (string | readonly [string, number])[] | { given: readonly number[]; marks?: readonly string[] }
  >
>;
type Worked = readonly [work: string, sheet: Short, points: number, why: readonly string[]];

function read(value: unknown): RuleBook {
  const found = checkRuleBook(value);
  if (!found.ok) throw new Error(JSON.stringify(found.problems, null, 1));
  return found.value;
}

function sheetOf(book: RuleBook, short: Short): ScoreSheet {
  const mark = (one: string | readonly [string, number]) => ({
    fault: asId<FaultKey>(typeof one === 'string' ? one : one[0]),
    amount: typeof one === 'string' ? 1 : one[1],
  });
  return book.exercises.map(({ id }) => {
    const line = short[id] ?? [];
    return 'given' in line
      ? { exercise: id, marks: (line.marks ?? []).map(mark), given: line.given }
      : { exercise: id, marks: line.map(mark) };
  });
}

function works(value: unknown, table: readonly Worked[], size: string | null = null): void {
  it.each(table)('%s', (_, short, points, why) => {
    const book = read(value);
    const rules = prepareRules(book, size as SizeKey | null);
    const score = must(scoreSheet(rules, sheetOf(book, short)));
    expect([pointsOf(rules, score.units), score.reasons.map((one) => one.code)]).toEqual([points, why]);
  });
}

const off = (exercises: readonly object[], pass: readonly object[], awards: readonly object[] = []) => ({
  family: 'points-off',
  smallestPoint: 0.5,
  pass,
  awards,
  exercises,
});
const LINE = [{ kind: 'total', atLeast: 12 }];
const two = (a: readonly object[], b: readonly object[], more: object = {}, pass: readonly object[] = LINE) =>
  smallBook(
    [exercise('a', [part('do')]), exercise('b', [part('do')])],
    off(
      [
        { exercise: 'a', maximum: 10, faults: [missed('not', 'do', { kind: 'zero' }), ...a] },
        { exercise: 'b', maximum: 10, faults: [missed('not', 'do', { kind: 'zero' }), ...b] },
      ],
      pass,
    ),
    more,
  );

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

describe('several runs', () => {
  const slow = dog('slow', 'do', each(2));
  const book = (counts: string) => read(two([slow], [slow], { runs: { count: 2, counts } }));
  it.each([
    [
      'the better of 16 and 18',
      'best',
      [
        ['slow', 2],
        ['slow', 1],
      ],
      18,
      true,
    ],
    [
      'the weaker of 16 and 18',
      'every',
      [
        ['slow', 2],
        ['slow', 1],
      ],
      16,
      true,
    ],
    [
      'one that passes before one that does not',
      'best',
      [
        ['slow', 5],
        ['slow', 4],
      ],
      12,
      true,
    ],
    [
      'every one has to pass',
      'every',
      [
        ['slow', 5],
        ['slow', 1],
      ],
      10,
      false,
    ],
  ] as const)('%s', (_, counts, runs, points, passed) => {
    const found = book(counts);
    const rules = prepareRules(found);
    const score = must(
      scoreRuns(
        rules,
        runs.map((mark) => sheetOf(found, { a: [mark] })),
      ),
    );
    expect([pointsOf(rules, score.units), score.passed]).toEqual([points, passed]);
  });

  it('says in which run something is wrong, and that there is none', () => {
    const found = book('best');
    const rules = prepareRules(found);
    const bad = [{ exercise: asId<ExerciseKey>('x'), marks: [] }];
    expect(scoreRuns(rules, [sheetOf(found, {}), bad])).toMatchObject({ ok: false, path: '[1].[0]' });
    expect(scoreRuns(rules, [])).toMatchObject({ ok: false, code: 'runs' });
  });
});

describe('an order that is drawn', () => {
  const lost = dog('lost', 'do', each(2), { across: 'lost' });
  const more = { across: [{ id: 'lost', title: 'Lost', nth: { at: 2, does: 'end-run' } }] };
  const found = read(two([lost], [lost], { ...more, drawn: ['order'] }));
  const rules = prepareRules(found);
  const line = (exercise: string, ...faults: string[]) => ({
    exercise: asId<ExerciseKey>(exercise),
    marks: faults.map((one) => ({ fault: asId<FaultKey>(one), amount: 1 })),
  });
  it.each([
    ['the second first: both run, 20 − 2', [line('b'), line('a', 'lost')], 18],
    ['ended in the first that was run: the other is not', [line('b', 'lost', 'lost')], 0],
    ['ended in the second that was run: the first stays', [line('b', 'lost'), line('a', 'lost')], 8],
    ['and one that is not run yet is still open', [line('b', 'lost')], 18],
  ])('%s', (_, sheet, points) => {
    expect(pointsOf(rules, must(scoreSheet(rules, sheet)).units)).toBe(points);
  });

  it('is the sheet’s, where it is drawn; else another order is refused', () => {
    const fixed = prepareRules(read(two([lost], [lost], more)));
    expect(scoreSheet(fixed, [line('b'), line('a')])).toMatchObject({ ok: false, code: 'sheet-order' });
    expect(scoreSheet(rules, [line('b'), line('b')])).toMatchObject({ ok: false, code: 'sheet-order' });
  });
});

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

describe('what a family cannot do is said where it is written', () => {
  const checklist = {
    family: 'checklist',
    groups: [{ id: 'all', title: 'All' }],
    levels: [{ title: 'Title', needs: [{ group: 'all', atLeast: 1 }] }],
    exercises: [
      {
        exercise: 'a',
        group: 'all',
        attempts: 2,
        extraCues: 0,
        faults: [missed('failed', 'do', { kind: 'attempt' }, { warnings: 1 })],
      },
    ],
  };
  const a = [exercise('a', [part('do')])];
  const faulty = (more: object, fault: object = {}) => two([dog('slow', 'do', each(2), fault)], [], more);
  it.each<[string, unknown, string, string]>([
    ['a warning in a checklist', smallBook(a, checklist), 'family', 'rules.exercises[0].faults[0].warnings'],
    [
      'a phase of a course',
      smallBook(
        a,
        {
          family: 'time-and-faults',
          smallestFault: 1,
          pass: { atMost: 5 },
          awards: [],
          exercises: [{ exercise: 'a', most: 10, faults: [missed('not', 'do', { kind: 'zero' })] }],
        },
        { phases: [{ title: 'First', exercises: ['a'], atLeast: 5 }] },
      ),
      'family',
      'phases',
    ],
    [
      'a size that is not there',
      two([dog('s', 'do', { kind: 'per-second', points: 1, beyond: 1, usual: 1, bySize: { low: 2 } })], []),
      'unknown-size',
      'rules.exercises[0].faults[1].cost.bySize.low',
    ],
    [
      'sizes that fall',
      faulty({
        sizes: [
          { id: 'a', title: 'A', under: { value: 45, unit: 'cm' } },
          { id: 'b', title: 'B', under: { value: 35, unit: 'cm' } },
          { id: 'c', title: 'C', under: null },
        ],
      }),
      'sizes',
      'sizes[1].under',
    ],
    [
      'a last size with an end',
      faulty({ sizes: [{ id: 'a', title: 'A', under: { value: 45, unit: 'cm' } }] }),
      'sizes',
      'sizes[0].under',
    ],
    [
      'a count that nothing uses',
      faulty({ across: [{ id: 'x', title: 'X', cap: 2 }] }),
      'across',
      'across[0].id',
    ],
    [
      'a count that does nothing',
      faulty({ across: [{ id: 'x', title: 'X' }] }, { across: 'x' }),
      'across',
      'across[0]',
    ],
    [
      'a count that is not there',
      faulty({}, { across: 'x' }),
      'unknown-across',
      'rules.exercises[0].faults[1].across',
    ],
    [
      'warned of twice',
      faulty({ across: [{ id: 'x', title: 'X', warnings: 1 }] }, { across: 'x', warnings: 1 }),
      'warnings',
      'rules.exercises[0].faults[1].warnings',
    ],
    [
      'an n-th time that is still a warning',
      faulty({}, { warnings: 3, nth: { at: 2, does: 'zero' } }),
      'nth',
      'rules.exercises[0].faults[1].nth.at',
    ],
    [
      'a warning of a measured price',
      two([dog('s', 'do', { kind: 'per-second', points: 1, beyond: 1, usual: 1 }, { warnings: 1 })], []),
      'warnings',
      'rules.exercises[0].faults[1].warnings',
    ],
    [
      'a bonus that stops',
      two([dog('s', 'do', { kind: 'bonus', points: 1 }, { stops: true })], []),
      'bonus',
      'rules.exercises[0].faults[1]',
    ],
    [
      'a phase of an exercise that is not there',
      faulty({ phases: [{ title: 'P', exercises: ['z'], atLeast: 5 }] }),
      'unknown-exercise',
      'phases[0].exercises[0]',
    ],
    [
      'a tie by a phase that is not there',
      faulty({ ties: [{ by: 'phase', phase: 'P' }] }),
      'unknown-phase',
      'ties[0].phase',
    ],
    ['variants drawn of none', faulty({ drawn: ['variants'] }), 'variants', 'drawn'],
    [
      'more judges than passes',
      faulty({ earns: { title: 'T', passes: 2, judges: 3 } }),
      'earns',
      'earns.judges',
    ],
    [
      'a limit that acts before it costs',
      two(
        [
          dog('s', 'do', {
            kind: 'per-second',
            points: 1,
            beyond: 5,
            usual: 1,
            acts: { over: 3, does: 'zero' },
          }),
        ],
        [],
      ),
      'acts',
      'rules.exercises[0].faults[1].cost.acts.over',
    ],
    [
      'more of some than there are',
      two([], [], {}, [{ kind: 'share-of-some', percent: 50, atLeast: 3, of: ['a', 'b'] }]),
      'impossible-pass',
      'rules.pass[0].atLeast',
    ],
  ])('%s', (_, value, code, path) => {
    const found = checkRuleBook(value);
    expect(found.ok ? [] : found.problems.map((one) => [one.code, one.path])).toContainEqual([code, path]);
    if (!found.ok) for (const one of found.problems) expect(wordsOf(one.message)).toMatch(/\w.*[.)]$/);
  });
});

describe('older files', () => {
  it('are read for ever, and two demands of one name are told apart', () => {
    const demand = (axis: string) => ({
      axis,
      title: axis,
      quantity: 'distance',
      harder: 'more',
      value: 5,
      unit: 'm',
    });
    const value = two([], []) as unknown as { exercises: { parts: { demands: object[] }[] }[] };
    value.exercises[0]?.parts[0]?.demands.push(demand('axis-2'), demand('axis-2'));
    expect(checkRuleBook(value)).toMatchObject({ ok: false, problems: [{ code: 'duplicate' }] });
    const old = read({ ...value, version: 2 });
    expect(old.version).toBe(3);
    expect(old.exercises[0]?.parts[0]?.demands.map((one) => one.axis)).toEqual(['axis-2', 'axis-2-2']);
  });
});

it('everything that a class has besides its exercises is said in words', () => {
  const book = read(
    smallBook(
      [
        exercise('a', [part('do')]),
        exercise('b', [part('do')], { day: 2, variants: [{ title: 'Left', text: 'Left.' }] }),
      ],
      off(
        ['a', 'b'].map((id) => ({
          exercise: id,
          maximum: 10,
          faults: [missed('not', 'do', { kind: 'zero' }), dog('barks', 'do', each(1), { across: 'voice' })],
        })),
        LINE,
      ),
      {
        sizes: [
          { id: 'low', title: 'Low', under: { value: 35, unit: 'cm' } },
          { id: 'high', title: 'High', under: null },
        ],
        phases: [{ title: 'Obedience', exercises: ['a', 'b'], atLeast: 14 }],
        across: [{ id: 'voice', title: 'Voice', warnings: 1, cap: 3, nth: { at: 4, does: 'end-run' } }],
        runs: { count: 2, counts: 'every' },
        drawn: ['order', 'sides', 'variants'],
        ties: [
          { by: 'exercise', exercise: 'b' },
          { by: 'phase', phase: 'Obedience' },
          { by: 'faults' },
          { by: 'time' },
          { by: 'run-off' },
          { by: 'draw' },
        ],
        entry: {
          months: 15,
          smallest: { value: 20, unit: 'cm' },
          tallest: { value: 60, unit: 'cm' },
          before: ['class one'],
        },
        earns: { title: 'Dog of Harrow', passes: 3, judges: 2, months: 24, before: ['Pup of Harrow'] },
      },
    ),
  );
  expect(structuresInWords(book).map(wordsOf)).toEqual([
    'Sizes of dog: Low under 35 cm, High from there',
    'At least 14 in “Obedience” (a, b)',
    'Voice, counted over the whole run: the first is a warning, together at most 3, the 4th ends the run',
    'Run 2 times; every run has to pass',
    'The order of the exercises is drawn on the day',
    'Sides are drawn on the day',
    'Variants are drawn on the day',
    'Equal scores: more in “b”, more in “Obedience”, fewer faults, less time, a run-off, a draw',
    'To enter: 15 months old or more',
    'To enter: 20 cm high or more',
    'To enter: 60 cm high or less',
    'To enter: class one',
    'Dog of Harrow: 3 passes under 2 judges within 24 months, held before: Pup of Harrow',
  ]);
});
