import { describe, expect, it } from 'vitest';
import { asId, type ExerciseKey, type FaultKey, must } from '@/core/shared';
import { pointsOf, prepareRules, scoreRuns, scoreSheet } from '.';
import { dog, each } from './small-book.test-helper';
import { read, sheetOf, two } from './worked-sheets.test-helper';

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
