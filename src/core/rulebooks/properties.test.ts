import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must, seeded } from '@/core/shared';
import { wordsOf } from '@/words';
import {
  cellTotal,
  checkRuleBook,
  compileRules,
  type FaultStep,
  familyOf,
  prepareRules,
  type RuleBook,
  readRuleBook,
  type ScoreSheet,
  scoreSheet,
} from '.';
import { BOOK_NAMES, bookNamed, bookText, preparedNamed } from './sample-books.test-helper';
import { STRUCTURED_BOOKS } from './structured-books.test-helper';

/** As many as the bounds ask for belong to the studies; the test draws a tenth. */
const SHEETS = Number(process.env.SHEETS ?? 10_000);

/** A fault that can be written several times at once: it has no steps and nothing is measured. */
const isOften = (step: FaultStep): boolean => step.ref.step === null && step.measured === null;

/** So many files are spoiled; a study asks for more. */
const SPOILED = Number(process.env.SPOILED ?? 10_000);

/** Runs as picked steps: for each exercise the indices of what was marked. */
type Picked = readonly (readonly number[])[];

/** The sample books, and one of each family with all the structures that it can have. */
const BOOKS: readonly (readonly [string, RuleBook])[] = [
  ...BOOK_NAMES.map((name) => [name, bookNamed(name)] as const),
  ...Object.entries(STRUCTURED_BOOKS).map(([name, value]) => [name, soundBook(value)] as const),
];
function soundBook(value: unknown): RuleBook {
  const read = checkRuleBook(value);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}

describe.each(BOOKS)('%s, whatever the sheet', (_, book) => {
  const rules = prepareRules(book);
  const compiled = compileRules(rules);
  const picks = fc.tuple(
    ...compiled.steps.map((steps) => fc.array(fc.nat({ max: steps.length - 1 }), { maxLength: 5 })),
  );
  const sheet = (picked: Picked): ScoreSheet =>
    rules.exercises.map(({ exercise }, e) => ({
      exercise,
      marks: (picked[e] ?? []).flatMap((o) => {
        const step = compiled.steps[e]?.[o];
        return step ? [{ fault: step.ref.key, amount: step.amount }] : [];
      }),
    }));
  const score = (picked: Picked) => must(scoreSheet(rules, sheet(picked)));

  it('has parts that add up, stays at 0 or above, and keeps its caps', () => {
    fc.assert(
      fc.property(picks, (picked) => {
        const found = score(picked);
        const lost = found.exercises
          .flatMap((exercise) => exercise.deductions)
          .reduce((sum, deduction) => sum + deduction.units, 0);
        expect(found.units).toBe(found.maximum - lost);
        expect(
          found.exercises.every(
            (exercise) => Number.isInteger(exercise.units) && exercise.kept.every((kept) => kept >= 0),
          ),
        ).toBe(true);
        for (const [e, exercise] of found.exercises.entries()) {
          for (const fault of rules.exercises[e]?.faults ?? []) {
            const charged = exercise.deductions
              .filter((deduction) => deduction.fault === fault.fault.id)
              .reduce((sum, deduction) => sum + deduction.units, 0);
            if (exercise.state === 'scored' && fault.ceiling === null)
              expect(charged).toBeLessThanOrEqual(fault.cap);
          }
        }
      }),
      { numRuns: 60 },
    );
  });

  it('does not depend on the order of faults within an exercise', () => {
    fc.assert(
      fc.property(picks, (picked) => {
        const [one, other] = [score(picked), score(picked.map((marks) => marks.toReversed()))];
        expect([other.units, other.passed, other.exercises.map((exercise) => exercise.kept)]).toEqual([
          one.units,
          one.passed,
          one.exercises.map((exercise) => exercise.kept),
        ]);
      }),
      { numRuns: 60 },
    );
  });

  it('never scores more, nor passes, for a further fault', () => {
    fc.assert(
      fc.property(picks, fc.nat(), fc.nat(), (picked, exercise, step) => {
        const at = exercise % picked.length;
        const more = picked.map((marks, e) =>
          e === at ? [...marks, step % (compiled.steps[e]?.length ?? 1)] : marks,
        );
        const [before, after] = [score(picked), score(more)];
        // What gives points is no fault: with one more nobody ever has less.
        const added = compiled.steps[at]?.[step % (compiled.steps[at]?.length ?? 1)];
        if (added?.gives) {
          expect(after.units).toBeGreaterThanOrEqual(before.units);
          return;
        }
        expect(after.units).toBeLessThanOrEqual(before.units);
        expect(after.passed && !before.passed).toBe(false);
      }),
      { numRuns: 100 },
    );
  });

  it(`scores the same by tables on ${SHEETS.toLocaleString('en')} random sheets`, () => {
    const random = seeded(17);
    const tally = compiled.tally();
    let different = 0;
    for (let i = 0; i < SHEETS; i++) {
      // Mostly one or two faults in an exercise, so that runs end, pass and fail in every way; often
      // several times over, or measured.
      const picked = compiled.steps.map((steps) =>
        Array.from({ length: random.integer(10) < 6 ? 0 : 1 + random.integer(3) }, () => {
          const place = random.integer(steps.length);
          const step = steps[place];
          if (!step || random.integer(2) === 0) return { place, amount: step?.amount ?? 1 };
          if (step.measured?.begun) return { place, amount: random.integer(600) / 10 };
          return { place, amount: isOften(step) ? 1 + random.integer(4) : step.amount };
        }),
      );
      tally.start();
      for (let e = 0; e < picked.length && !tally.ended(); e++) {
        tally.open(e);
        for (const { place, amount } of picked[e] ?? []) tally.charge(place, amount);
      }
      const slow = must(
        scoreSheet(
          rules,
          rules.exercises.map(({ exercise }, e) => ({
            exercise,
            marks: (picked[e] ?? []).flatMap(({ place, amount }) => {
              const step = compiled.steps[e]?.[place];
              return step ? [{ fault: step.ref.key, amount }] : [];
            }),
          })),
        ),
      );
      const failed = slow.reasons.map((reason) => rules.conditions.indexOf(reason));
      if (tally.finish() !== slow.units || tally.failures().join() !== failed.join()) different++;
    }
    expect(different).toBe(0);
  }, 60_000);

  it('passes faultless and knows what is still open', () => {
    const [first] = rules.exercises;
    const begun = must(scoreSheet(rules, first ? [{ exercise: first.exercise, marks: [] }] : []));
    expect(begun.passed).toBe(true);
    expect(begun.open).toBe(begun.maximum - (first ? cellTotal(first) : 0));
    expect(familyOf(book.rules).passing(book.rules, book.exercises).length).toBeGreaterThan(0);
  });
});

describe('spoiled rule-book files', () => {
  const TEXTS = [
    ...BOOK_NAMES.map(bookText),
    ...Object.values(STRUCTURED_BOOKS).map((one) => JSON.stringify(one)),
  ];
  const strange = fc.constantFrom<unknown>(null, -1, 0, 0.3, Number.POSITIVE_INFINITY, '', 'x', [], {}, true);
  type Tree = Record<string, unknown>;
  const places = (node: unknown): [Tree, string][] =>
    typeof node !== 'object' || node === null
      ? []
      : Object.keys(node).flatMap((key): [Tree, string][] => [
          [node as Tree, key],
          ...places((node as Tree)[key]),
        ]);

  it('never crash, hang or half read: each is refused with words, or is sound enough to score', () => {
    fc.assert(
      fc.property(fc.constantFrom(...TEXTS), fc.nat(), strange, fc.boolean(), (text, pick, value, remove) => {
        const book = JSON.parse(text) as Tree;
        const all = places(book);
        const [holder, key] = all[pick % all.length] ?? [book, 'id'];
        if (remove && !Array.isArray(holder)) delete holder[key];
        else holder[key] = value;
        const read = readRuleBook(JSON.stringify(book));
        if (!read.ok) {
          expect(read.problems.every((problem) => wordsOf(problem.message).length > 5)).toBe(true);
          return;
        }
        const rules = prepareRules(read.value);
        expect(must(scoreSheet(rules, [])).passed).toBe(true);
      }),
      { numRuns: SPOILED },
    );
  });

  it.each<[string, string, (book: Tree) => void, string, string]>([
    [
      'no such thing as a weight of 0',
      'harrowmere-ring-grade-b',
      (book) => set(book, 'rules.exercises.0.coefficient', 0),
      'shape',
      'rules.exercises[0].coefficient',
    ],
    [
      'dropping two of two judges',
      'harrowmere-ring-grade-b',
      (book) => set(book, 'rules.dropExtremes', true),
      'judges',
      'rules.dropExtremes',
    ],
    [
      'an ability that nobody judges',
      'saltfen-field-assessment',
      (book) => set(book, 'rules.abilities.0.id', 'speed'),
      'unjudged',
      'rules.abilities',
    ],
    [
      'a fault of an ability that is not judged',
      'saltfen-field-assessment',
      (book) => set(book, 'rules.exercises.0.faults.0.ability', 'control'),
      'unknown-ability',
      'rules.exercises[0].faults[0].ability',
    ],
    [
      'a line above all retrieves',
      'brackwater-working-test',
      (book) => set(book, 'rules.pass.atLeast', 161),
      'impossible-pass',
      'rules.pass.atLeast',
    ],
    [
      'letters out of order',
      'brackwater-working-test',
      (book) => set(book, 'rules.letters.1.points', 20),
      'letter',
      'rules.letters[1].points',
    ],
    [
      'more items than there are',
      'thistlemere-trick-title',
      (book) => set(book, 'rules.levels.0.needs.0.atLeast', 4),
      'impossible-pass',
      'rules.levels[0].needs[0].atLeast',
    ],
    [
      'a group that is not there',
      'thistlemere-trick-title',
      (book) => set(book, 'rules.exercises.0.group', 'nose'),
      'unknown-group',
      'rules.exercises[0].group',
    ],
    [
      'an award easier than passing',
      'ravenholt-course',
      (book) => set(book, 'rules.awards.0.atMost', 20),
      'award',
      'rules.awards[0].atMost',
    ],
    [
      'a judge’s range upside down',
      'vellmoor-obedience-three',
      (book) => set(book, 'rules.exercises.0.faults.1.cost.low', 2),
      'discretion',
      'rules.exercises[0].faults[1].cost',
    ],
    [
      'a fault of no part',
      'vellmoor-obedience-two',
      (book) => set(book, 'rules.exercises.0.faults.0.part', 'tunnel'),
      'unknown-part',
      'rules.exercises[0].faults[0].part',
    ],
    [
      'two faults of one name',
      'vellmoor-obedience-two',
      (book) => set(book, 'rules.exercises.0.faults.1.id', 'no-position'),
      'duplicate',
      'rules.exercises[0].faults',
    ],
    [
      'bands that overlap',
      'vellmoor-obedience-two',
      (book) => set(book, 'rules.exercises.0.faults.1.cost.bands.1.over', 5),
      'bands',
      'rules.exercises[0].faults[1].cost.bands[1]',
    ],
    [
      'a unit of another quantity',
      'vellmoor-obedience-two',
      (book) => set(book, 'rules.exercises.0.faults.1.cost.unit', 'm'),
      'unit',
      'rules.exercises[0].faults[1].cost.unit',
    ],
    [
      'a price that is no multiple',
      'vellmoor-obedience-two',
      (book) => set(book, 'rules.exercises.0.faults.4.cost.points', 0.7),
      'multiple',
      'rules.exercises[0].faults[4].cost.points',
    ],
    [
      'a part that nobody can miss',
      'vellmoor-obedience-two',
      (book) => set(book, 'rules.exercises.0.faults.0.miss', false),
      'no-miss',
      'rules.exercises[0].faults',
    ],
    ['a misspelt key', 'vellmoor-obedience-two', (book) => set(book, 'tilte', 'x'), 'shape', 'tilte'],
    [
      'another program’s file',
      'vellmoor-obedience-two',
      (book) => set(book, 'format', 'other'),
      'foreign',
      'format',
    ],
    ['a newer file', 'vellmoor-obedience-two', (book) => set(book, 'version', 4), 'newer', 'version'],
  ])('%s', (_, name, change, code, path) => {
    const book = JSON.parse(bookText(name)) as Tree;
    change(book);
    const read = checkRuleBook(book);
    expect(read.ok ? [] : read.problems.map((problem) => [problem.code, problem.path])).toContainEqual([
      code,
      path,
    ]);
  });

  it('reports everything at once, and says when a file is cut', () => {
    const book = JSON.parse(bookText('vellmoor-obedience-two')) as Tree;
    set(book, 'rules.pass.0.atLeast', 90.25);
    set(book, 'rules.exercises.0.faults.0.part', 'tunnel');
    const read = checkRuleBook(book);
    expect(read.ok ? 0 : read.problems.length).toBe(4);
    expect(readRuleBook(bookText('vellmoor-obedience-two').slice(0, 900))).toMatchObject({
      ok: false,
      problems: [{ code: 'json' }],
    });
  });
});

function set(book: Record<string, unknown>, path: string, value: unknown): void {
  const keys = path.split('.');
  const last = keys.pop() ?? '';
  const holder = keys.reduce<Record<string, unknown>>(
    (node, key) => node[key] as Record<string, unknown>,
    book,
  );
  holder[last] = value;
}

it.each<[string, ScoreSheet, string]>([
  ['a foreign exercise', [{ exercise: 'tunnel' as never, marks: [] }], 'unknown-exercise'],
  [
    'a foreign fault',
    [{ exercise: 'square' as never, marks: [{ fault: 'barks' as never, amount: 1 }] }],
    'unknown-fault',
  ],
  [
    'a count of none',
    [{ exercise: 'square' as never, marks: [{ fault: 'restless' as never, amount: 0 }] }],
    'amount',
  ],
  [
    'no number',
    [{ exercise: 'square' as never, marks: [{ fault: 'off-line' as never, amount: Number.NaN }] }],
    'amount',
  ],
  [
    'the wrong order',
    [
      { exercise: 'hurdle' as never, marks: [] },
      { exercise: 'square' as never, marks: [] },
    ],
    'sheet-order',
  ],
  ['a number between the steps', [{ exercise: 'square' as never, marks: [], given: [7.25] }], 'given'],
])('a sheet with %s is refused', (_, sheet, code) => {
  expect(scoreSheet(preparedNamed('vellmoor-obedience-two'), sheet)).toMatchObject({ ok: false, code });
});
