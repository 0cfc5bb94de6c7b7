import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { RuleBook } from '@/core/rulebooks';
import { bookNamed } from '@/core/rulebooks/sample-books.test-helper';
import {
  asId,
  type ExerciseKey,
  type FaultKey,
  type MarkId,
  must,
  type PartKey,
  type PersonId,
} from '@/core/shared';
import { foldSheet } from './fold-sheet';
import type { ExerciseState, MarkSaid } from './mark';
import { type Short, sheetMarks } from './marks.test-helper';
import { joinSheets } from './score-sheets';
import { type Taught, taughtBy } from './taught';

const key = (id: string): ExerciseKey => asId<ExerciseKey>(id);
const fault = (exercise: string, name: string, amount = 1, time: number | null = null): MarkSaid => ({
  kind: 'fault',
  exercise: key(exercise),
  part: null,
  time,
  fault: asId<FaultKey>(name),
  amount,
});
const is = (exercise: string, state: ExerciseState): MarkSaid => ({
  kind: 'state',
  exercise: key(exercise),
  is: state,
});
const gives = (exercise: string, slot: string, value: number): MarkSaid => ({
  kind: 'given',
  exercise: key(exercise),
  slot,
  value,
});

function taught(
  book: RuleBook,
  lists: readonly (readonly MarkSaid[])[],
  of: ReadonlyMap<MarkId, PartKey> = new Map(),
): Taught {
  const judges = lists.map((_, i) => (lists.length === 1 ? null : asId<PersonId>(`judge-${i}`)));
  const marks = lists.flatMap((list, i) =>
    sheetMarks(
      list.map((said): Short => [said]),
      judges[i] ?? null,
      i * 100,
    ),
  );
  const [first, ...more] = judges.map((judge) => foldSheet(marks, judge));
  if (!first) throw new Error('a judge');
  return taughtBy(book, must(joinSheets(book, null, [first, ...more])), [first, ...more], of);
}

/** “part/time outcome faults | handler | cues” of an exercise, and what is not told. */
const linesOf = (found: Taught, exercise: string): string[] => [
  ...found.parts
    .filter((one) => one.exercise === exercise)
    .map((one) =>
      [
        `${one.part}/${one.time} ${one.outcome}`,
        ...one.faults.map((ref) => `${ref.key}${ref.step ?? ''}`),
        ...one.handler.map((ref) => `(${ref.key})`),
        ...(one.cues.needed + one.cues.slip > 0 ? [`cues ${one.cues.needed}+${one.cues.slip}`] : []),
      ].join(' '),
    ),
  ...found.untold
    .filter((one) => one.exercise === exercise)
    .map((one) => `${one.part}/${one.time} ? ${one.why}`),
];

type Case = readonly [
  why: string,
  book: string,
  exercise: string,
  marks: readonly MarkSaid[],
  lines: readonly string[],
];
const CASES: readonly Case[] = [
  [
    'nothing written and done: every part was clean',
    'brackwater-working-test',
    'memory',
    [is('memory', 'done')],
    ['go/0 clean', 'find/0 clean', 'give/0 clean'],
  ],
  [
    'a fault of a part, and a price of the judge',
    'brackwater-working-test',
    'memory',
    [fault('memory', 'bad-line', 2), fault('memory', 'drops', 2), is('memory', 'done')],
    ['go/0 flawed bad-line2', 'find/0 clean', 'give/0 flawed drops drops'],
  ],
  [
    'not found: it was missed, and nothing came after',
    'brackwater-working-test',
    'memory',
    [fault('memory', 'not-found'), is('memory', 'done')],
    ['go/0 clean', 'find/0 miss not-found', 'give/0 ? not-reached'],
  ],
  [
    'a measure is a fault of its own band',
    'harrowmere-ring-grade-b',
    'recall-lane',
    [fault('recall-lane', 'crooked', 40), is('recall-lane', 'done')],
    ['come/0 clean', 'front/0 flawed crooked2'],
  ],
  [
    'failed without a fault, of two parts: which one, nobody said',
    'harrowmere-ring-grade-b',
    'recall-lane',
    [is('recall-lane', 'failed')],
    ['come/0 ? which-part', 'front/0 ? which-part'],
  ],
  [
    'failed with a fault: what came before was clean',
    'harrowmere-ring-grade-b',
    'recall-lane',
    [fault('recall-lane', 'no-front'), is('recall-lane', 'failed')],
    ['come/0 clean', 'front/0 miss no-front'],
  ],
  [
    'stopped at a fault: nothing is known of what would have come',
    'harrowmere-ring-grade-b',
    'recall-lane',
    [fault('recall-lane', 'trot', 1), is('recall-lane', 'stopped')],
    ['come/0 flawed trot1', 'front/0 ? not-reached'],
  ],
  [
    'a plain number below the full one, of two parts',
    'harrowmere-ring-grade-b',
    'recall-lane',
    [gives('recall-lane', 'whole', 8), is('recall-lane', 'done')],
    ['come/0 ? number-only', 'front/0 ? number-only'],
  ],
  [
    'the full number',
    'harrowmere-ring-grade-b',
    'recall-lane',
    [gives('recall-lane', 'whole', 10), is('recall-lane', 'done')],
    ['come/0 clean', 'front/0 clean'],
  ],
  [
    'a plain number of one part, asked once',
    'harrowmere-ring-grade-b',
    'group-sit',
    [gives('group-sit', 'whole', 8), is('group-sit', 'done')],
    ['sit/0 flawed'],
  ],
  [
    'nothing at all for it',
    'harrowmere-ring-grade-b',
    'group-sit',
    [gives('group-sit', 'whole', 0), is('group-sit', 'done')],
    ['sit/0 miss'],
  ],
  [
    'two refusals of four hurdles are misses, and each hurdle was jumped',
    'ravenholt-course',
    'hurdles',
    [fault('hurdles', 'refusal'), fault('hurdles', 'refusal'), is('hurdles', 'done')],
    [
      'jump/4 miss refusal',
      'jump/0 clean',
      'jump/68 miss refusal',
      'jump/1 clean',
      'jump/2 clean',
      'jump/3 clean',
    ],
  ],
  [
    'two poles of four, one by its number',
    'ravenholt-course',
    'hurdles',
    [fault('hurdles', 'fault'), fault('hurdles', 'fault', 1, 3), is('hurdles', 'done')],
    ['jump/0 flawed fault', 'jump/1 clean', 'jump/2 clean', 'jump/3 flawed fault'],
  ],
  [
    'three poles in one mark',
    'ravenholt-course',
    'hurdles',
    [fault('hurdles', 'fault', 3), is('hurdles', 'done')],
    ['jump/0 flawed fault', 'jump/1 flawed fault', 'jump/2 flawed fault', 'jump/3 clean'],
  ],
  [
    'left out: it ends there',
    'ravenholt-course',
    'hurdles',
    [fault('hurdles', 'left-out', 1, 1)],
    ['jump/0 clean', 'jump/1 flawed left-out', 'jump/2 ? not-reached', 'jump/3 ? not-reached'],
  ],
  [
    'one failed try and then done; the handler’s second cue slipped',
    'thistlemere-trick-title',
    'beg',
    [fault('beg', 'failed'), fault('beg', 'cue-again'), is('beg', 'done')],
    ['do/1 miss failed', 'do/0 clean cues 0+1'],
  ],
  [
    'all tries failed: there was no other',
    'thistlemere-trick-title',
    'beg',
    [
      fault('beg', 'failed'),
      fault('beg', 'failed'),
      fault('beg', 'failed'),
      fault('beg', 'failed'),
      is('beg', 'failed'),
    ],
    ['do/1 miss failed', 'do/2 miss failed', 'do/3 miss failed', 'do/4 miss failed'],
  ],
  ['not attempted', 'thistlemere-trick-title', 'beg', [is('beg', 'not-attempted')], ['do/0 ? not-attempted']],
  ['nothing written', 'thistlemere-trick-title', 'beg', [is('tidy', 'done')], ['do/0 ? not-run']],
  [
    'throws by their numbers',
    'fennside-throws',
    'round',
    [gives('round', 'try-1', 5), gives('round', 'try-2', 0), gives('round', 'try-3', 2), is('round', 'done')],
    ['catch/0 clean', 'catch/1 miss', 'catch/2 flawed', 'catch/3 ? number-only', 'catch/4 ? number-only'],
  ],
  [
    'abilities below the full mark say nothing of the parts',
    'saltfen-field-assessment',
    'walk-up',
    [gives('walk-up', 'control', 7), is('walk-up', 'done')],
    ['heel/0 ? number-only', 'honour/0 ? number-only'],
  ],
];

describe('what a judged run says of each part', () => {
  it.each(CASES)('%s', (why, name, exercise, marks, lines) => {
    expect(linesOf(taught(bookNamed(name), [marks]), exercise), why).toEqual(lines);
  });

  it('a fault of the whole exercise spoils no part until somebody says which; of one part it is that one’s', () => {
    const book = bookNamed('brackwater-working-test');
    const list = [
      fault('memory', 'over-handling', 1),
      fault('memory', 'second-send', 2),
      is('memory', 'done'),
    ];
    const open = taught(book, [list]);
    expect(linesOf(open, 'memory')).toEqual(['go/0 clean', 'find/0 clean', 'give/0 clean']);
    expect(open.loose.map((one) => [one.mark, one.of])).toEqual([
      ['k0', null],
      ['k1', null],
    ]);
    const of = new Map([
      [asId<MarkId>('k0'), asId<PartKey>('find')],
      [asId<MarkId>('k1'), asId<PartKey>('go')],
    ]);
    expect(linesOf(taught(book, [list], of), 'memory')).toEqual([
      'go/0 clean cues 0+2',
      'find/0 clean (over-handling)',
      'give/0 clean',
    ]);
    expect(
      linesOf(taught(bookNamed('ravenholt-course'), [[fault('hoop', 'hand'), is('hoop', 'done')]]), 'hoop'),
    ).toEqual(['jump/0 clean (hand)']);
  });

  it('of several judges a fault counts that at least half of them wrote', () => {
    const book = bookNamed('harrowmere-ring-grade-b');
    const plain = [is('recall-lane', 'done')];
    const saw = [fault('recall-lane', 'outside'), is('recall-lane', 'done')];
    const come = (lists: readonly (readonly MarkSaid[])[]) => linesOf(taught(book, lists), 'recall-lane')[0];
    expect(come([saw, plain, plain])).toBe('come/0 clean');
    expect(come([saw, plain])).toBe('come/0 miss outside');
    expect(come([saw, saw, plain])).toBe('come/0 miss outside');
  });

  it('a run of nothing but faultless exercises is one clean rep for each time that a part is asked', () => {
    for (const name of [
      'ravenholt-course',
      'vellmoor-obedience-two',
      'brackwater-working-test',
      'thistlemere-trick-title',
    ]) {
      const book = bookNamed(name);
      const found = taught(book, [book.exercises.map(({ id }) => is(id, 'done'))]);
      const asked = book.exercises
        .flatMap((one) => one.parts)
        .reduce((sum, part) => sum + (part.times ?? 1), 0);
      expect([found.parts.length, found.untold.length]).toEqual([asked, 0]);
      expect(found.parts.every((one) => one.outcome === 'clean')).toBe(true);
    }
  });

  it('says of every go either how it was or why that is not known, whatever is written', () => {
    const books = [
      'ravenholt-course',
      'brackwater-working-test',
      'harrowmere-ring-grade-b',
      'thistlemere-trick-title',
      'saltfen-field-assessment',
    ].map(bookNamed);
    fc.assert(
      fc.property(
        fc.constantFrom(...books),
        fc.array(fc.tuple(fc.nat(), fc.nat(), fc.integer({ min: 1, max: 2 })), { maxLength: 6 }),
        fc.array(
          fc.tuple(
            fc.nat(),
            fc.constantFrom<ExerciseState>('done', 'failed', 'stopped', 'excused', 'not-attempted'),
          ),
          { maxLength: 4 },
        ),
        (book, faults, states) => {
          const marks: MarkSaid[] = [
            ...faults.map(([e, f, amount]) => {
              const scored = book.rules.exercises[e % book.rules.exercises.length] as {
                exercise: string;
                faults: { id: string }[];
              };
              return fault(scored.exercise, scored.faults[f % scored.faults.length]?.id ?? '', amount);
            }),
            ...states.map(([e, state]) => is(book.exercises[e % book.exercises.length]?.id ?? '', state)),
          ];
          const found = taught(book, [marks]);
          for (const exercise of book.exercises)
            for (const part of exercise.parts)
              for (let time = 0; time < (part.times ?? 1); time++) {
                const at = (one: { exercise: string; part: string; time: number }): boolean =>
                  one.exercise === exercise.id && one.part === part.id && one.time === time;
                const lastTried = found.parts.some(
                  (one) =>
                    one.exercise === exercise.id && one.part === part.id && one.time >= (part.times ?? 1),
                );
                const said = found.parts.filter(at).length + found.untold.filter(at).length;
                expect(said === 1 || (said === 0 && lastTried)).toBe(true);
              }
          // No go stands twice: a second confirmation must find the first one’s rep.
          const keys = found.parts.map((one) => `${one.exercise} ${one.part} ${one.time}`);
          expect(new Set(keys).size).toBe(keys.length);
        },
      ),
      { numRuns: 300 },
    );
  });
});
