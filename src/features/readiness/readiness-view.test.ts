import { describe, expect, it } from 'vitest';
import { assessClass } from '@/core/readiness';
import { prepareRules, type RuleBook, rulesTotal } from '@/core/rulebooks';
import { asId, type ElementId, type ExerciseKey, type FaultKey, must, type PartKey } from '@/core/shared';
import { finish } from '@/core/shared/steps';
import { classEvidence } from '@/data/read';
import { SAMPLE_RULE_BOOKS } from '@/demo/rule-books';
import { sampleState, TODAY } from '@/demo/sample-state.test-helper';
import { goingPaysFrom } from './go-from-view';
import { ledger } from './ledger-view';
import { neverTrained } from './not-rehearsed';
import {
  countsDown,
  failureReasons,
  floorInWords,
  headline,
  histogramBins,
  outlookInWords,
  proofInWords,
  saferClasses,
  scoreOf,
  shiftInWords,
  takenForGranted,
} from './readiness-view';

const state = sampleState();
const trial = state.trials[0];
const book = state.work.ruleBooks[0]?.book;
if (!trial || !book) throw new Error('the sample has a trial and a rule book');
const readiness = must(
  finish(
    assessClass(
      must(classEvidence(trial, state.work, state.evidence, TODAY)),
      trial.assumptions,
      trial.seed,
      {
        groups: 60,
        runs: 40,
      },
    ),
  ),
);
const { forecast } = readiness;
const plain = (text: string): string => text.replaceAll('\u00a0', ' ');

describe('the ledger', () => {
  const exercises = ledger(readiness, book);

  it('adds up to the expected score', () => {
    expect(exercises.reduce((sum, exercise) => sum + exercise.kept, 0)).toBeCloseTo(
      forecast.expectedUnits / 2,
      9,
    );
    expect(exercises.map((exercise) => exercise.rows.length)).toEqual([6, 7]);
  });

  it('opens every row to faults that add up to it, and to its grounds', () => {
    for (const row of exercises.flatMap((exercise) => exercise.rows)) {
      expect(row.faults.reduce((sum, fault) => sum + fault.lost, 0)).toBeCloseTo(row.lost, 9);
      expect(row.bar <= 1 && row.bar >= 0).toBe(true);
    }
    expect(exercises[0]?.rows[2]?.grounds).toMatch(/^\d+ reps in \d+ sessions, \d+ away$/);
  });
});

describe('the histogram', () => {
  const { bins, lineAfter, line } = histogramBins(forecast, prepareRules(book));

  it('holds every run once, and no bar straddles the pass line', () => {
    expect(bins.reduce((sum, bin) => sum + bin.share, 0)).toBeCloseTo(1, 9);
    expect(line).toBe(60);
    const first = bins.findIndex((bin) => bin.passes);
    expect(bins[first]?.label.startsWith('60')).toBe(true);
    expect(lineAfter).toBe(first - 0.5);
  });

  it('reads each bar’s own scores', () => {
    const reached = forecast.histogram.slice(120).reduce((sum, count) => sum + count, 0) / 2400;
    expect(bins.filter((bin) => bin.passes).reduce((sum, bin) => sum + bin.share, 0)).toBeCloseTo(reached, 9);
  });
});

describe('words', () => {
  it('say the interval with the figure, and only the interval when it is wide', () => {
    const id = asId<ElementId>('a');
    const told = (
      low: number,
      mid: number,
      high: number,
      missing: Parameters<typeof headline>[2] = [],
    ): string => plain(headline('Quill', { pass: { low, mid, high } }, missing, 3));
    expect(told(0.4, 0.58, 0.76)).toBe(
      'About 58 % that Quill would pass: between 40 % and 76 %, as far as the reps can tell.',
    );
    expect(told(0.2, 0.5, 0.9)).toBe(
      'Anything from 20 % to 90 %: too little is known of Quill for one figure, so train and log first what is missing here.',
    );
    expect(told(0.9995, 0.9999, 1)).toContain('> 99.9 %');
    const missing = [
      { condition: 'cold' as const, elements: [id, id, id] },
      { condition: 'unpaid' as const, elements: [id] },
    ];
    expect(told(0.4, 0.58, 0.76, missing)).toBe(
      'Somewhere from 40 % to 76 % that Quill would pass; no nearer without first tries of a day and reps without pay with 1 of its 3 pieces.',
    );
  });

  it('rank the reasons and name what was never rehearsed', () => {
    const shares = failureReasons(forecast).map((reason) => Number.parseFloat(reason.share));
    expect(shares).toEqual([...shares].sort((a, b) => b - a));
    expect(failureReasons(forecast)[0]?.words).toBe('fewer than 60 points in all');
    const first = readiness.grounds[0]?.element ?? asId<ElementId>('');
    expect(floorInWords({ untouched: [first], counted: 4 }, state)).toEqual([
      'Set up at heel: no rep at all, so begin with it',
      '4 reps in the whole class: from 10 on there is something to go by',
    ]);
    expect(floorInWords({ untouched: [first], counted: 40 }, state)).toHaveLength(1);
    const noting = state.work.elements.map((element) =>
      element.id === 'sample-stop-down'
        ? { ...element, conditions: [{ title: 'Surface', options: ['grass', 'sand'] }] }
        : element,
    );
    const unproven = {
      exercise: asId<ExerciseKey>('square'),
      part: asId<PartKey>('stop-down'),
      element: asId<ElementId>('sample-stop-down'),
      faults: [
        {
          fault: { exercise: asId<ExerciseKey>('square'), key: asId<FaultKey>('slow-down'), step: null },
          label: 'Slow to lie down',
          noted: 3,
        },
      ],
      clean: 41,
    };
    expect(
      neverTrained(
        { ...readiness, unproven: [unproven] },
        { ...state, work: { ...state.work, elements: noting } },
      ),
    ).toEqual(
      expect.arrayContaining([
        'Stop and lie down in the square: slow to lie down was only noted in all of its 41 clean reps, so it is unproven. Let it count on the next rung',
        'Stop and lie down in the square: never with surface grass, surface sand',
      ]),
    );
    const bare = {
      ...readiness,
      rehearsals: [{ element: first, away: 3, cold: 3, unpaid: 0, rehearsed: 0 }],
    };
    expect(neverTrained(bare, state)).toEqual(
      expect.arrayContaining([
        'Never without pay, where pay was noted: Set up at heel',
        expect.stringContaining('steward'),
      ]),
    );
  });

  it('a proof rep is named where it tells, and whether it could decide', () => {
    const proof = (ifClean: number, ifMissed: number, value: number) => [
      { element: asId<ElementId>('a'), ifClean, ifMissed, value },
    ];
    const title = () => 'Stop';
    expect(plain(proofInWords(proof(0.76, 0.61, 0.02), title))).toBe(
      'One rehearsal rep would tell most on Stop: clean, it would be 76 %; missed, 61 %. It could decide whether to go.',
    );
    expect(plain(proofInWords(proof(0.76, 0.61, 0), title))).not.toContain('decide');
    expect(proofInWords(proof(0.7, 0.699, 0), title)).toBe('');
    expect(proofInWords([], title)).toBe('');
  });

  it.each([
    [30, 120, 0.25],
    [50, 50, 1],
    [60, 50, null],
    [0, 50, null],
    [null, 50, null],
    [-3, 50, null],
  ])('going that costs %d and a pass worth %d pay from %d', (cost, worth, from) =>
    expect(goingPaysFrom(cost, worth)).toBe(from));

  it('name the safer of two classes, where they can be told apart', () => {
    const row = (dog: string, title: string, low: number, mid: number, high: number) => ({
      dog,
      title,
      pass: { low, mid, high },
    });
    expect(
      saferClasses([
        row('Quill', 'Two', 0.5, 0.7, 0.8),
        row('Quill', 'Three', 0.05, 0.1, 0.2),
        row('Juniper', 'Open', 0.1, 0.2, 0.4),
      ]).map(plain),
    ).toEqual(['Quill: Two is the safer one, 70 % against 10 %.']);
    expect(
      saferClasses([row('Quill', 'Two', 0.4, 0.6, 0.8), row('Quill', 'Three', 0.3, 0.5, 0.7)]).map(plain),
    ).toEqual(['Quill: the classes cannot be told apart yet, 60 % against 50 %.']);
  });

  it('say what lies ahead, and what a shift means', () => {
    const at = (day: string, mid: number) => ({
      day: day as typeof TODAY,
      pass: { low: mid - 0.1, mid, high: mid + 0.1 },
      go: 0.5,
    });
    expect(plain(outlookInWords([at('2026-07-01', 0.5), at('2026-07-20', 0.62)]))).toBe(
      'From 50 % today to 62 % on 20 Jul 2026, where it lies between 52 % and 72 %.',
    );
    expect(plain(shiftInWords(-0.5))).toBe('85 %');
  });

  it('say what a forecast takes for granted where the rule book leaves it open', () => {
    const named = (id: string) => {
      const found = SAMPLE_RULE_BOOKS.find((one) => one.id === id);
      if (!found) throw new Error(id);
      return found;
    };
    const unknown = { name: 'Quill', height: null };
    expect(takenForGranted(named('ravenholt-course'), unknown).map(plain)).toEqual([
      'How high Quill is stands nowhere yet, so values that follow the size are the book’s own: write the height down in the Kennel.',
    ]);
    expect(takenForGranted(named('ravenholt-course'), { name: 'Quill', height: 0.5 })).toEqual([]);
    expect(takenForGranted(named('fennside-throws'), unknown).map(plain)).toEqual([
      'It is run 2 times and the best run counts: so it is here.',
      'Points on top are not counted on.',
    ]);
    expect(takenForGranted(named('vellmoor-obedience-two'), unknown)).toEqual([]);
  });

  it('give faults and seconds as they are counted, points as they are kept', () => {
    const rulesOf = (id: string) => prepareRules(SAMPLE_RULE_BOOKS.find((one) => one.id === id) as RuleBook);
    const course = rulesOf('ravenholt-course');
    expect([scoreOf(course, rulesTotal(course) - 4 * 7), countsDown(course)]).toEqual([7, true]);
    const points = rulesOf('vellmoor-obedience-two');
    expect([scoreOf(points, 120), countsDown(points)]).toEqual([60, false]);
  });
});
