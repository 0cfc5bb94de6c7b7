import { describe, expect, it } from 'vitest';
import { wordsOf } from '@/words';
import { checkRuleBook, structuresInWords } from '.';
import { dog, each, exercise, missed, part, smallBook } from './small-book.test-helper';
import { LINE, off, read, two } from './worked-sheets.test-helper';

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
