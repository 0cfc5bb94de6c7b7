import { describe, expect, it } from 'vitest';
import { pointsOf, type RuleBook } from '@/core/rulebooks';
import { must, type PersonId } from '@/core/shared';
import { foldSheet, joinSheets } from '@/core/trials';
import { type RunFile, readRunFile, runText } from '@/data/files';
import { emptyKennel } from '@/data/kennel.test-helper';
import { type Kennel, listPeople, type Run, runWithMarks } from '@/data/read';
import { putRuleBook, takeRun } from '@/data/write';
import { sampleState } from '@/demo/sample-state.test-helper';
import { sheetsOf } from './run-state';
import { startedRun, type Tap, tapped } from './taps.test-helper';

const books = sampleState().work.ruleBooks.map((record) => record.book);
const named = (id: string): RuleBook => {
  const found = books.find((one) => one.id === id);
  if (!found) throw new Error(`the sample has no ${id}`);
  return found;
};

async function kennelWith(book: RuleBook): Promise<Kennel> {
  const kennel = await emptyKennel();
  must(await putRuleBook(kennel, book, 0));
  return kennel;
}

const allDone = (book: RuleBook, but: readonly string[] = []): Tap[] =>
  book.exercises.filter(({ id }) => !but.includes(id)).map(({ id }): Tap => ['is', id, 'done']);

/** Run by run: what is pressed, what the sheet says then, and how it was worked out by hand. */
type Worked = readonly [
  book: string,
  size: string | null,
  steps: readonly { readonly taps: readonly Tap[]; readonly said: string; readonly verdict: string }[],
];
const RUNS: readonly Worked[] = [
  // 40 + 40; a metre is begun eight times past 1.5 m, at most 6 are charged.
  [
    'vellmoor-obedience-two',
    null,
    [
      {
        taps: [
          ['moment', 'square'],
          ['fault', 'square', 'slow-out'],
          ['measure', 'square', 'off-line', '9 m'],
        ],
        said: '72.5 points',
        verdict: 'Can still pass',
      },
      { taps: [['fault', 'square', 'leaves-ring']], said: '0 points', verdict: 'Does not pass' },
      {
        taps: [['undo'], ['name', 'square', 'no-position'], ['is', 'square', 'done']],
        said: '69.5 points',
        verdict: 'Can still pass',
      },
      {
        taps: [
          ['fault', 'hurdle', 'mouths'],
          ['fault', 'hurdle', 'mouths'],
          ['off', 'hurdle', 'mouths'],
          ['is', 'hurdle', 'done'],
        ],
        said: '66.5 points',
        verdict: 'Passes: Passed',
      },
    ],
  ],
  // Fourteen marks of ten. 25.5 + 24 + 9 + 0 + 20 + 20; perseverance 23 in four, delivery 17 in three.
  [
    'saltfen-field-assessment',
    null,
    [
      {
        taps: [
          ['fault', 'single-mark', 'fidgets', 1],
          ['fault', 'single-mark', 'regrips'],
          ['fault', 'single-mark', 'regrips'],
          ['fault', 'double-mark', 'forgot'],
          ['fault', 'blind', 'refuses'],
          ['give', 'blind', '6', 'control'],
          ['is', 'water', 'not-attempted'],
          ['is', 'hunt', 'done'],
          ['is', 'walk-up', 'done'],
        ],
        said: '98.5 marks in all',
        verdict: 'Passes: Third grade',
      },
      {
        taps: [['give', 'blind', '2,5', 'control']],
        said: '95 marks in all',
        verdict: 'Passes: Third grade',
      },
    ],
  ],
  // B is 16; one not found; two sends are struck by the re-run, dropped once is 3: 16 + 0 + 17 + 5 × 20.
  [
    'brackwater-working-test',
    null,
    [
      {
        taps: [
          ['give', 'short-mark', 'b'],
          ['fault', 'long-mark', 'not-found'],
          ['fault', 'memory', 'second-send'],
          ['re-run', 'memory', 'a gun of the other line'],
          ['fault', 'memory', 'drops'],
          ...allDone(named('brackwater-working-test'), ['short-mark', 'long-mark', 'memory']),
        ],
        said: '133 points',
        verdict: 'Passes: Commended',
      },
      { taps: [['is', 'diversion', 'stopped']], said: '113 points', verdict: 'Does not pass' },
      { taps: [['undo']], said: '133 points', verdict: 'Passes: Commended' },
    ],
  ],
  // Twelve items; a second attempt is free, a third is not; one further cue is free at the legs.
  [
    'thistlemere-trick-title',
    null,
    [
      {
        taps: [
          ...allDone(named('thistlemere-trick-title')),
          ['fault', 'spin-left', 'failed'],
          ['fault', 'weave-legs', 'cue-again'],
        ],
        said: '12 items',
        verdict: 'Passes: Master title',
      },
      {
        taps: [
          ['fault', 'spin-left', 'failed'],
          ['fault', 'four-in-tub', 'touched'],
          ['give', 'hoop', '0'],
          ['is', 'tidy', 'failed'],
        ],
        said: '8 items',
        verdict: 'Passes: First title',
      },
    ],
  ],
  // 65 s is within a low dog’s 66; 5 + 10 + 5; then 5 less; then the third refusal ends it.
  [
    'ravenholt-course',
    'low',
    [
      {
        taps: [
          ...allDone(named('ravenholt-course')),
          ['measure', 'clock', 'over-time', '65'],
          ['fault', 'lane', 'refusal'],
          ['fault', 'hurdles', 'fault'],
          ['fault', 'hurdles', 'fault'],
          ['give', 'table', '5'],
        ],
        said: '20 faults',
        verdict: 'Does not pass',
      },
      { taps: [['off', 'hurdles', 'fault']], said: '15 faults', verdict: 'Passes: Passed' },
      {
        taps: [['fault', 'posts', 'refusal'], ['fault', 'posts', 'refusal'], ['undo']],
        said: '20 faults',
        verdict: 'Does not pass',
      },
    ],
  ],
  // Throws by their zones: 5 + 4 + 0 + 5 + 2; tries that are still to come count nothing.
  [
    'fennside-throws',
    null,
    [
      {
        taps: [
          ['give', 'round', '5', 'try-1'],
          ['give', 'round', '4', 'try-2'],
        ],
        said: '9 points',
        verdict: 'Does not pass',
      },
      {
        taps: [
          ['give', 'round', '0', 'try-3'],
          ['give', 'round', '5', 'try-4'],
          ['give', 'round', '3', 'try-5'],
          ['give', 'round', '2', 'try-5'],
        ],
        said: '16 points',
        verdict: 'Passes: Bronze',
      },
    ],
  ],
];

describe('a run as it is judged', () => {
  it.each(RUNS)('%s', async (id, size, steps) => {
    const book = named(id);
    const kennel = await kennelWith(book);
    const run = await startedRun(kennel, book, [], size);
    for (const { taps, said, verdict } of steps) {
      const view = await tapped(kennel, book, run, taps);
      expect([view.said, view.verdict]).toEqual([said, verdict]);
    }
  });
});

describe('two judges on two devices', () => {
  const book = named('harrowmere-ring-grade-b');
  const ADA: Tap[] = [
    ['give', 'heel', '8'],
    ['fault', 'group-sit', 'up'],
    ...allDone(book, ['heel', 'group-sit']),
    ['close'],
  ];
  const BEN: Tap[] = [['fault', 'heel', 'gap', 1], ...allDone(book, ['heel']), ['close']];

  /** The run on the first device, and the same taken in on the second. */
  async function both(): Promise<{ here: Kennel; there: Kennel; run: Run; ada: PersonId; ben: PersonId }> {
    const [here, there] = [await kennelWith(book), await emptyKennel()];
    const run = await startedRun(here, book, ['Ada Fenn', ' Ben Marl ']);
    const [ada, ben] = run.judges;
    if (!ada || !ben) throw new Error('two judges were named');
    must(await takeRun(there, await fileOf(here, run, { book, marks: [] })));
    return { here, there, run, ada, ben };
  }

  async function fileOf(kennel: Kennel, run: Run, said: Pick<RunFile, 'book' | 'marks'>): Promise<RunFile> {
    const people = await listPeople(kennel);
    return must(readRunFile(runText({ run, people, ...said, script: null, calling: null })));
  }

  async function sheetFile(kennel: Kennel, run: Run, judge: PersonId): Promise<RunFile> {
    const marks = ((await runWithMarks(kennel, run.id))?.marks ?? []).filter((mark) => mark.judge === judge);
    return fileOf(kennel, run, { book: null, marks: [...marks] });
  }

  async function joinedOn(kennel: Kennel, run: Run) {
    const found = await runWithMarks(kennel, run.id);
    const judges = run.judges.map((id) => ({ id, name: null }));
    const { sheets, allClosed } = sheetsOf({ judges, marks: found?.marks ?? [] });
    const joined = must(joinSheets(book, null, sheets));
    return { allClosed, points: pointsOf(joined.rules, joined.score.units), joined };
  }

  it('one result, whoever’s sheet comes to whom, and twice', async () => {
    const { here, there, run, ada, ben } = await both();
    await tapped(here, book, run, ADA, ada);
    await tapped(there, book, run, BEN, ben);
    expect((await joinedOn(here, run)).allClosed).toBe(false);
    must(await takeRun(here, await sheetFile(there, run, ben)));
    must(await takeRun(there, await sheetFile(here, run, ada)));
    const again = must(await takeRun(here, await sheetFile(there, run, ben)));
    expect(again.made).toMatchObject({ news: 0, isNew: false });
    const [mine, theirs] = [await joinedOn(here, run), await joinedOn(there, run)];
    // 250 less (40 − 4 × 8.5) and less (20 − 2 × 5).
    expect([mine.allClosed, mine.points, mine.joined.score.award]).toEqual([true, 234, 'Excellent']);
    expect(theirs.points).toBe(234);
    expect(theirs.joined.score).toEqual(mine.joined.score);
    expect(mine.joined.differences.map(({ exercise, points }) => [exercise, points])).toEqual([
      ['group-sit', [0, 20]],
      ['heel', [32, 36]],
    ]);
  });

  it('a mark of one judge touches no sheet of the other; a closed sheet takes none', async () => {
    const { here, run, ada, ben } = await both();
    await tapped(here, book, run, ADA, ada);
    await tapped(here, book, run, [['fault', 'heel', 'leaves']], ben);
    const marks = (await runWithMarks(here, run.id))?.marks ?? [];
    expect(foldSheet(marks, ada).exercises.flatMap((one) => one.faults.map((mark) => mark.fault))).toEqual([
      'up',
    ]);
    await expect(tapped(here, book, run, [['fault', 'heel', 'leaves']], ada)).rejects.toThrow('closed');
  });

  it('a sheet that comes to a device without its rule book is refused in words', async () => {
    const { here, run, ada } = await both();
    await tapped(here, book, run, ADA, ada);
    const third = await emptyKennel();
    expect(await takeRun(third, await sheetFile(here, run, ada))).toMatchObject({ ok: false, code: 'book' });
  });

  it('stopped by one judge is stopped; a book with one judge takes the first one’s sheet', async () => {
    const { here, run, ada, ben } = await both();
    await tapped(here, book, run, ADA, ada);
    await tapped(here, book, run, [...allDone(book, ['jump']), ['is', 'jump', 'stopped'], ['close']], ben);
    const { joined } = await joinedOn(here, run);
    expect([joined.score.passed, joined.by]).toEqual([false, 'mean']);
    const two = named('vellmoor-obedience-two');
    const kennel = await kennelWith(two);
    const other = await startedRun(kennel, two, ['Ada', 'Ben']);
    const [first, second] = other.judges;
    await tapped(kennel, two, other, [['fault', 'square', 'slow-out'], ...allDone(two)], first);
    await tapped(kennel, two, other, [['fault', 'square', 'no-position'], ...allDone(two)], second);
    const marks = (await runWithMarks(kennel, other.id))?.marks ?? [];
    const together = must(
      joinSheets(two, null, [foldSheet(marks, first ?? null), foldSheet(marks, second ?? null)]),
    );
    expect([together.by, pointsOf(together.rules, together.score.units)]).toEqual(['first', 78.5]);
    expect(together.differences[0]?.points).toEqual([38.5, 37]);
  });
});
