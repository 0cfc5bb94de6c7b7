import { beforeEach, describe, expect, it } from 'vitest';
import { asAtTrial, predictorOf } from '@/core/evidence';
import { plainRep } from '@/core/log';
import { type ClassEvidence, classModel, DEFAULT_ASSUMPTIONS, simulateTrials } from '@/core/readiness';
import { prepareRules, type RuleBook } from '@/core/rulebooks';
import { bookNamed } from '@/core/rulebooks/sample-books.test-helper';
import { must } from '@/core/shared';
import { finish } from '@/core/shared/steps';
import { foldSheet, joinSheets } from '@/core/trials';
import { breakDown } from '@/data/broken-down.test-helper';
import { DOG, evidenceStored, kennelWithDog } from '@/data/kennel.test-helper';
import {
  classBefore,
  classToday,
  type Kennel,
  type Run,
  type RunForecast,
  runTeaching,
  runWithMarks,
  usualLesson,
  workOf,
} from '@/data/read';
import { confirmRun, endBout, keepRunForecast, record, startBout } from '@/data/write';
import { afterView, lossView } from './after-view';
import { startedRun, type Tap, tapped } from './taps.test-helper';

const NOON = Date.UTC(2026, 5, 1, 12);

let kennel: Kennel;
let run: Run;

async function judged(book: RuleBook, taps: readonly Tap[]): Promise<string> {
  kennel = await kennelWithDog();
  await breakDown(kennel, book, DOG);
  run = await startedRun(kennel, book, [], null, DOG);
  return (await tapped(kennel, book, run, [...taps, ['close']])).said;
}
const teaching = async (book: RuleBook) =>
  runTeaching(kennel, run, (await runWithMarks(kennel, run.id))?.marks ?? [], book);
const confirm = async () => must(await confirmRun(kennel, run, usualLesson(run), () => NOON)).made;

const outlookOf = (when: 'before' | 'after') => {
  const of = { ...run, dogId: DOG };
  return when === 'before' ? classBefore(kennel, of, run.day) : classToday(kennel, of, run.day);
};

/** The logit of a clean go of each element at a trial, as the forecast has it. */
async function levels(when: 'before' | 'after'): Promise<Map<string, number>> {
  const outlook = await outlookOf(when);
  if (!outlook.ok) throw new Error('the class is broken down');
  const model = must(finish(classModel(outlook.value.input, DEFAULT_ASSUMPTIONS, 400)));
  return new Map(
    model.exercises
      .flatMap((one) => one.elements)
      .map(({ id, posterior, target }) => {
        const when = asAtTrial(posterior);
        let sum = 0;
        for (let i = 0; i < posterior.count; i++) sum += predictorOf(posterior, i, target, when);
        return [id as string, sum / posterior.count] as const;
      }),
  );
}

/** Family by family: taps in; what the page says of some goes; reps written; evidence of one element, worked by hand. */
type Worked = readonly [
  book: string,
  taps: readonly Tap[],
  words: readonly string[],
  reps: number,
  of: readonly [element: string, clean: number, notClean: number],
  /** The score, of what was judged and all that was not; what the run makes surer, and less sure. */
  score: string,
  moves: readonly [falls: string, rises: string],
];
const all = (name: string, but: readonly string[] = []): Tap[] =>
  bookNamed(name)
    .exercises.filter(({ id }) => !but.includes(id))
    .map(({ id }): Tap => ['is', id, 'done']);
const WORKED: readonly Worked[] = [
  [
    'vellmoor-obedience-two',
    [['fault', 'square', 'slow-out'], ...all('vellmoor-obedience-two')],
    ['flawed: Slow on the way out'],
    11,
    ['square-run-out', 0, 1],
    '78.5 points',
    ['square-run-out', 'square-wait'],
  ],
  [
    'harrowmere-ring-grade-b',
    [
      ['measure', 'recall-lane', 'crooked', '40'],
      ['is', 'recall-lane', 'done'],
      ['is', 'heel', 'done'],
    ],
    ['clean', 'flawed: Crooked'],
    5,
    ['heel-follow', 3, 0],
    '242 points',
    ['recall-lane-front', 'heel-follow'],
  ],
  [
    'saltfen-field-assessment',
    [
      ['fault', 'double-mark', 'forgot'],
      ['is', 'double-mark', 'done'],
      ['give', 'hunt', '7', 'control'],
      ['is', 'hunt', 'done'],
    ],
    ['clean', 'missed: Forgets the second fall'],
    2,
    ['double-mark-memory', 0, 1],
    '131 marks in all',
    ['double-mark-memory', 'double-mark-first'],
  ],
  [
    'brackwater-working-test',
    [
      ['fault', 'memory', 'not-found'],
      ['is', 'memory', 'done'],
    ],
    ['clean', 'missed: ', 'not reached'],
    2,
    ['memory-find', 0, 1],
    '140 points',
    ['memory-find', 'memory-go'],
  ],
  [
    'thistlemere-trick-title',
    [
      ['fault', 'beg', 'failed'],
      ['is', 'beg', 'done'],
    ],
    ['missed', 'clean'],
    2,
    ['beg-do', 1, 1],
    '12 items',
    ['', ''],
  ],
  [
    'ravenholt-course',
    [
      ['fault', 'hurdles', 'refusal'],
      ['fault', 'hurdles', 'fault'],
      ['is', 'hurdles', 'done'],
    ],
    ['missed: Refusal', 'flawed', 'clean'],
    5,
    ['hurdles-jump', 3, 2],
    '10 faults',
    ['', ''],
  ],
];

describe('six runs, one a family: taps in, what is said, written and known out', () => {
  it.each(WORKED)('%s', async (name, taps, words, reps, [element, clean, notClean], score, [
    falls,
    rises,
  ]) => {
    const book = bookNamed(name);
    expect(await judged(book, taps)).toBe(score);
    const known = await levels('before');
    const before = await teaching(book);
    if (!before) throw new Error('it teaches');
    const view = afterView(before);
    const said = view.exercises.flatMap((one) => one.goes.map((go) => go.words));
    for (const one of words)
      expect(
        said.some((each) => each.startsWith(one)),
        `${one} in ${said}`,
      ).toBe(true);
    expect([view.fresh, view.standing, view.changes.length]).toEqual([true, 0, reps]);
    expect(await confirm()).toEqual({ written: reps, amended: 0, takenBack: 0 });
    const cells = [...(await evidenceStored(kennel, DOG))]
      .filter(([id]) => id === element)
      .flatMap(([, rows]) => rows.flatMap((row) => row.cells));
    expect([
      cells.reduce((sum, cell) => sum + cell.clean, 0),
      cells.reduce((sum, cell) => sum + cell.notClean, 0),
    ]).toEqual([clean, notClean]);
    expect(cells.every((cell) => cell.unpaid)).toBe(true);
    const after = await teaching(book);
    expect(after && afterView(after)).toMatchObject({ fresh: false, standing: reps, changes: [] });
    // The forecast goes by it: what failed is less sure at the next trial, what went well is surer.
    const now = await levels('after');
    if (falls !== '') expect(now.get(falls)).toBeLessThan(known.get(falls) as number);
    if (rises !== '') expect(now.get(rises)).toBeGreaterThan(known.get(rises) as number);
  });
});

describe('what is thought of a run', () => {
  const book = bookNamed('vellmoor-obedience-two');
  const passes = (input: ClassEvidence): number => {
    const model = must(finish(classModel(input, DEFAULT_ASSUMPTIONS, 100)));
    const found = simulateTrials(model, DEFAULT_ASSUMPTIONS, 1, { groups: 100, runs: 20 });
    return found.passesByGroup.reduce((sum, one) => sum + one, 0) / 2000;
  };
  beforeEach(async () => {
    await judged(book, [
      ['is', 'square', 'failed'],
      ['is', 'hurdle', 'done'],
    ]);
    // Sure of everything at home, three days before.
    for (const element of (await workOf(kennel, DOG)).elements) {
      const start = { day: '2026-05-29' as Run['day'], away: false, start: {} };
      const bout = must(await startBout(kennel, element, start)).made;
      const criteria = Object.fromEntries(element.axes.map((axis) => [axis.key, axis.demand]));
      for (let i = 0; i < 12; i++)
        must(await record(kennel, bout, { kind: 'rep', ...plainRep(criteria, { outcome: 'clean' }) }));
      must(await endBout(kennel, bout.id));
    }
  });

  it('rests on what was logged before it; afterwards a bad run is among the reps, and lowers it', async () => {
    const before = must(await outlookOf('before'));
    const found = await teaching(book);
    const said = found?.taught.untold.map((one) => ({ ...one, outcome: 'miss' as const })) ?? [];
    must(
      await confirmRun(
        kennel,
        run,
        {
          ...usualLesson(run),
          away: true,
          said: said.map(({ exercise, part, time, outcome }) => ({ exercise, part, time, outcome })),
        },
        () => NOON,
      ),
    );
    const again = must(await outlookOf('before'));
    expect(again.input).toEqual(before.input);
    const after = must(await outlookOf('after'));
    expect(after.input.runs).toHaveLength(1);
    expect(passes(after.input)).toBeLessThan(passes(before.input));
    // What is thought of a strange place now comes from this run.
    const model = must(finish(classModel(after.input, DEFAULT_ASSUMPTIONS, 50)));
    expect(model.nerves).toBeGreaterThan(0);
  });

  it('is kept once and never changed, and not worked out afterwards; expected stands beside lost', async () => {
    const forecast = {
      id: run.id,
      dogId: DOG,
      at: 1,
      pass: { low: 0.4, mid: 0.6, high: 0.8 },
      points: 70,
      lost: [
        { exercise: book.exercises[0]?.id, points: 4 },
        { exercise: book.exercises[1]?.id, points: 3 },
      ],
      reps: 72,
      lastDay: null,
      edition: 'x',
      seed: 1,
      assumptions: DEFAULT_ASSUMPTIONS,
    } as unknown as RunForecast;
    must(await keepRunForecast(kennel, forecast));
    must(await keepRunForecast(kennel, { ...forecast, points: 1 }));
    expect((await kennel.database.of('runForecasts').toArray()).map((one) => one.points)).toEqual([70]);
    const joined = must(
      joinSheets(book, null, [foldSheet((await runWithMarks(kennel, run.id))?.marks ?? [], null)]),
    );
    const view = lossView(book, forecast, prepareRules(book), joined.score);
    // Failed: all forty are gone, where four were expected.
    expect(view.lines.map(({ expected, lost }) => [expected, lost])).toEqual([
      [4, 40],
      [3, 0],
    ]);
    expect([view.worst?.lost, view.expected, view.lost]).toEqual([40, 7, 40]);
    await kennel.database.of('runForecasts').clear();
    await confirm();
    must(await keepRunForecast(kennel, forecast));
    expect(await kennel.database.of('runForecasts').count()).toBe(0);
  });
});
