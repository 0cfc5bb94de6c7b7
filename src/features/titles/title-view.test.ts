import { describe, expect, it } from 'vitest';
import { DEFAULT_ASSUMPTIONS, titleStanding } from '@/core/readiness';
import { bookNamed } from '@/core/rulebooks/sample-books.test-helper';
import { addDays, asId, type Day, must, type PersonId, type TrialId } from '@/core/shared';
import { CHANGED, DOG } from '@/data/kennel.test-helper';
import type { DogTitle, TitlePass, TitleTrial } from '@/data/read';
import { PLAIN_TRIAL } from '@/data/records';
import { ageWords, chanceView, readAmount, standingWords } from './title-view';

const book = bookNamed('brackwater-working-test');
const TODAY = '2026-06-01' as Day;
const judge = (name: string): PersonId => asId<PersonId>(name);
const pass = (days: number, name: string | null = null): TitlePass => ({
  book: book.id,
  day: addDays(TODAY, days),
  judges: name === null ? [] : [judge(name)],
  result: null,
  leg: null,
  judged: false,
});
const entry = (
  title: string,
  days: number,
  names: readonly string[],
  cost: number | null = null,
  entered = false,
): TitleTrial => ({
  trial: {
    ...PLAIN_TRIAL,
    id: asId<TrialId>(title),
    dogId: DOG,
    ruleBookId: book.id,
    title,
    day: addDays(TODAY, days),
    entryCloses: null,
    seed: 1,
    assumptions: DEFAULT_ASSUMPTIONS,
    changed: CHANGED,
    cost,
    status: entered ? 'entered' : 'thinking',
  },
  judges: names.map(judge),
});
function title(
  passes: readonly TitlePass[],
  trials: readonly TitleTrial[] = [],
  aim: Partial<NonNullable<DogTitle['aim']>> | null = null,
): DogTitle {
  const rule = { passes: 3, judges: 2, months: 36 };
  return {
    book,
    title: 'Brackwater open dog',
    rule,
    passes,
    standing: titleStanding(rule, passes, TODAY),
    before: [],
    fromAge: 18,
    trials,
    aim: aim && {
      id: asId('aim'),
      dogId: DOG,
      book: book.id,
      by: null,
      worth: null,
      plans: false,
      judges: [],
      changed: CHANGED,
      ...aim,
    },
  };
}

describe('where a title stands, in words', () => {
  it.each([
    ['nothing', [], 'No leg yet: 3 passes are missing.'],
    [
      'two under one judge',
      [pass(-400, 'a'), pass(-300, 'a')],
      /^Leg 2 of 3 is there; 1 pass is missing, under another judge\. The first leg runs out on .*2028\.$/,
    ],
    [
      'two under two judges',
      [pass(-400, 'a'), pass(-300, 'b')],
      /^Leg 2 of 3 is there; 1 pass is missing\. The first/,
    ],
    [
      'three under one judge',
      [pass(-400, 'a'), pass(-300, 'a'), pass(-200, 'a')],
      /^3 of 3 passes are there, and one more under another judge is needed\./,
    ],
    [
      'three of which nobody said under whom two were',
      [pass(-400, 'a'), pass(-300), pass(-200)],
      /^3 of 3 passes are there\. Say below under whom the 2 passes without a judge were run: the title asks for 2 judges\. The/,
    ],
    [
      'one of which nobody said under whom it was',
      [pass(-400)],
      /^Leg 1 of 3 is there; 2 passes are missing, one of them under another judge\. Say below under whom the pass without a judge was run: the title asks for 2 judges\./,
    ],
    [
      'one of three, two judges asked',
      [pass(-400, 'a')],
      /^Leg 1 of 3 is there; 2 passes are missing, one of them under another judge\./,
    ],
    ['complete', [pass(-400, 'a'), pass(-300, 'a'), pass(-200, 'b')], /^Complete since .*2025\.$/],
  ] as const)('%s', (_, passes, words) => {
    const said = standingWords(title(passes));
    if (typeof words === 'string') expect(said).toBe(words);
    else expect(said).toMatch(words);
  });

  it('says from when a dog is old enough', () => {
    const at = (born: Day | null) => ageWords(title([]), { born, name: 'Wren' }, TODAY);
    expect(at('2024-01-15' as Day)).toMatchObject({ stops: false });
    expect(at('2025-01-31' as Day)).toMatchObject({
      stops: true,
      words: expect.stringMatching(/31 Jul 2026/),
    });
    expect(at(null)?.words).toContain('when Wren was born');
  });
});

describe('the chance of a title, and which entries to make', () => {
  const legs = [pass(-400, 'a'), pass(-300, 'a')];
  const trials = [
    entry('Same judge', 10, ['a'], 10),
    entry('Other judge', 30, ['b'], 40),
    entry('Unknown', 60, [], 60),
  ];
  // A good dog in one draw of two: .8 there, .2 else.
  const chances = [
    [0.8, 0.2],
    [0.8, 0.2],
    [0.8, 0.2],
  ];

  it('with nothing entered there is none; for what it is worth the cheapest one that helps', () => {
    const view = must(chanceView(title(legs, trials, { worth: 200 }), chances));
    expect(view.now).toBe('With no entry made it cannot be complete.');
    expect(view.ever).toBeNull();
    expect(must(chanceView(title(legs, [entry('Same judge', 10, ['a'])]), [[0.9, 0.9]])).ever).toContain(
      'Nor with all',
    );
    // 200 × .5 − 40 = 60; with the unknown one too 200 × (1 − .34) − 100 = 32; the same judge adds nothing.
    expect(view.best).toMatch(/enter Other judge, .*: 50\s%.* for 40\./);
    expect(view.lines.map((one) => one.entries)).toEqual([['Other judge']]);
  });

  it('without a worth: the best one, the best two, as long as one more adds something', () => {
    const view = must(chanceView(title(legs, trials), chances));
    expect(view.lines.map((one) => one.entries)).toEqual([['Other judge'], ['Other judge', 'Unknown']]);
    expect(view.lines[1]?.words).toMatch(/^With 2 entries: .*66\s%, costs 100$/);
    expect(view.best).toBeNull();
  });

  it('what is entered already is counted, and said to be best where it is', () => {
    const made = [entry('Other judge', 30, ['b'], 40, true)];
    const view = must(chanceView(title(legs, made, { worth: 200, by: addDays(TODAY, 40) }), [[0.8, 0.2]]));
    expect(view.now).toMatch(/^With the one entry that is made: 50\s%.* by .*2026\.$/);
    expect(view.best).toBe('What is entered is already the best for what it is worth.');
    const late = must(chanceView(title(legs, made, { worth: 200, by: addDays(TODAY, 20) }), [[0.8, 0.2]]));
    expect([late.best, late.ever === null]).toEqual([null, false]);
  });

  it.each([
    ['', null],
    ['25', 25],
    ['12,50', 12.5],
    ['-3', undefined],
    ['a lot', undefined],
  ])('reads the amount “%s”', (text, value) => expect(readAmount(text)).toBe(value));
});
