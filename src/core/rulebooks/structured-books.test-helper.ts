import { dog, each, exercise, handler, missed, part, smallBook } from './small-book.test-helper';

/** One invented class of each family, with the structures that it can have. */

/** Six positions, a long down, heeling; several faults in one go, extra cues, a barking that is first warned of. */
export const pointsOffBook = smallBook(
  [
    exercise('positions', [part('position', { times: 6 })]),
    exercise('heel', [part('legs', { times: 3 }), part('sit')]),
    exercise('down', [part('wait')], { day: 2 }),
  ],
  {
    family: 'points-off',
    smallestPoint: 0.5,
    pass: [
      { kind: 'total', atLeast: 22 },
      { kind: 'share-of-each', percent: 50, except: 1 },
    ],
    awards: [],
    exercises: [
      {
        exercise: 'positions',
        maximum: 12,
        faults: [
          missed('none', 'position', each(2)),
          dog('slow', 'position', { kind: 'per-second', points: 0.5, beyond: 2, usual: 1, cap: 4 }),
          dog('creeps', 'position', each(1), { nth: { at: 3, does: 'zero' } }),
          handler('again', { kind: 'per-extra-cue', points: 1, usual: 1 }),
        ],
      },
      {
        exercise: 'heel',
        maximum: 10,
        faults: [
          missed('leaves', 'legs', { kind: 'zero' }),
          dog('wide', 'legs', each(0.5)),
          dog('lags', 'legs', each(1)),
          dog('barks', 'legs', each(2), { across: 'voice' }),
          missed('no-sit', 'sit', each(2)),
          dog('crooked', 'sit', {
            kind: 'band',
            quantity: 'angle',
            unit: '°',
            bands: [
              { over: 10, points: 0.5 },
              { over: 20, points: 1.5 },
            ],
          }),
        ],
      },
      {
        exercise: 'down',
        maximum: 10,
        faults: [
          missed('gets-up', 'wait', { kind: 'zero' }),
          dog('whines', 'wait', each(2), { across: 'voice' }),
          handler('helps', each(3)),
        ],
      },
    ],
  },
  { across: [{ id: 'voice', title: 'Voice', warnings: 1, cap: 3 }] },
);

/** Two panels, weights by halves, a floor for one, and out for a zero by all. */
export const weightedBook = smallBook(
  [exercise('opening', [part('turns', { times: 2 })]), exercise('middle', [part('weave'), part('back')])],
  {
    family: 'weighted-marks',
    smallestMark: 0.5,
    judges: 1,
    dropExtremes: false,
    categories: [
      { id: 'work', title: 'Work', coefficient: 1.5, judges: 2, atLeast: 6 },
      { id: 'look', title: 'Look', coefficient: 1, judges: 1 },
    ],
    zeroIsOut: true,
    pass: { percent: 85, eachMark: null },
    awards: [],
    exercises: [
      {
        exercise: 'opening',
        coefficient: 2,
        faults: [
          missed('no-turn', 'turns', each(3), { category: 'work' }),
          dog('slow-turn', 'turns', each(1), { category: 'look' }),
        ],
      },
      {
        exercise: 'middle',
        coefficient: 1,
        atLeast: 4,
        faults: [
          missed('no-weave', 'weave', each(4), { category: 'work' }),
          dog('touches', 'weave', each(1, 2), { category: 'work' }),
          missed('no-back', 'back', each(5), { category: 'work' }),
          dog('crooked', 'back', { kind: 'discretion', low: 0.5, usual: 1, high: 2 }, { category: 'look' }),
          handler('cue', { kind: 'per-extra-cue', points: 0.5, usual: 1 }),
        ].map((fault) => ({ category: 'look', ...fault })),
      },
    ],
  },
);

/** Three series judged by abilities; an automatic fail. */
export const abilitiesBook = smallBook(
  ['one', 'two', 'three'].map((id) => exercise(id, [part('work')])),
  {
    family: 'abilities',
    smallestMark: 0.5,
    abilities: [
      { id: 'nose', title: 'Nose', atLeast: 6 },
      { id: 'control', title: 'Control', atLeast: 5 },
    ],
    overall: 7,
    awards: [],
    exercises: ['one', 'two', 'three'].map((id) => ({
      exercise: id,
      judges: ['nose', 'control'],
      faults: [
        { ...missed('blinks', 'work', each(6)), ability: 'nose' },
        { ...dog('runs-in', 'work', { kind: 'end-run' }), ability: 'control' },
        { ...dog('hard', 'work', each(3)), ability: 'control' },
      ],
    })),
  },
);

/** Retrieves with a major fault, an eliminating one, an own least and a phase. */
export const retrievesBook = smallBook(
  ['mark', 'blind', 'water'].map((id) => exercise(id, [part('go'), part('give')])),
  {
    family: 'retrieves',
    smallestPoint: 1,
    maximum: 20,
    majorLeaves: 8,
    majorsAllowed: 1,
    letters: [],
    pass: { atLeast: 38 },
    awards: [],
    exercises: ['mark', 'blind', 'water'].map((id) => ({
      exercise: id,
      ...(id === 'water' ? { atLeast: 5 } : {}),
      faults: [
        missed('not-found', 'go', { kind: 'zero' }, { across: 'lost' }),
        dog('wide', 'go', {
          kind: 'per-metre',
          points: 1,
          beyond: 2,
          usual: 2,
          cap: 6,
          acts: { over: 9, does: 'zero' },
        }),
        dog('ran-in', 'go', { kind: 'major' }),
        missed('keeps', 'give', { kind: 'end-run' }),
        dog('drops', 'give', each(3)),
      ],
    })),
  },
  {
    across: [{ id: 'lost', title: 'Not found', nth: { at: 2, does: 'end-run' } }],
    phases: [{ title: 'Land', exercises: ['mark', 'blind'], atLeast: 22 }],
    drawn: ['order'],
  },
);

/** Items with three tries, and cues that are used up. */
export const checklistBook = smallBook(
  ['spin', 'beg', 'tub', 'hoop'].map((id) => exercise(id, [part('do')])),
  {
    family: 'checklist',
    groups: [{ id: 'all', title: 'All' }],
    exercises: ['spin', 'beg', 'tub', 'hoop'].map((id) => ({
      exercise: id,
      group: 'all',
      attempts: 3,
      extraCues: 1,
      faults: [
        missed('failed', 'do', { kind: 'attempt' }),
        dog('half', 'do', { kind: 'attempt' }),
        handler('cue', { kind: 'cue' }),
      ],
    })),
    levels: [{ title: 'Title', needs: [{ group: 'all', atLeast: 3 }] }],
  },
);

/** Refusals are tried again, the third ends the run; the clock is measured; the better of two runs counts. */
export const courseBook = smallBook(
  [
    exercise('hurdles', [part('jump', { times: 4 })]),
    exercise('tunnel', [part('through')]),
    exercise('clock', [part('time')]),
  ],
  {
    family: 'time-and-faults',
    smallestFault: 1,
    pass: { atMost: 10 },
    awards: [],
    exercises: [
      {
        exercise: 'hurdles',
        most: 40,
        faults: [
          missed('refuses', 'jump', each(5), { again: true, across: 'refusals' }),
          dog('knocks', 'jump', each(5)),
        ],
      },
      {
        exercise: 'tunnel',
        most: 20,
        faults: [missed('refuses', 'through', each(5), { again: true, across: 'refusals' })],
      },
      {
        exercise: 'clock',
        most: 30,
        faults: [
          missed('stands', 'time', { kind: 'end-run' }),
          dog('over', 'time', {
            kind: 'per-second',
            points: 1,
            beyond: 40,
            usual: 2,
            acts: { over: 50, does: 'end-run' },
          }),
        ],
      },
    ],
  },
  {
    across: [{ id: 'refusals', title: 'Refusals', nth: { at: 3, does: 'end-run' } }],
    runs: { count: 2, counts: 'best' },
  },
);

/** Catches by zone of five throws: what is thrown is one go each. */
export const catchesBook = smallBook([exercise('throws', [part('catch', { times: 5 })])], {
  family: 'measured',
  measure: 'zones',
  smallest: 1,
  pass: { line: 14 },
  awards: [],
  exercises: [
    {
      exercise: 'throws',
      tries: 5,
      counts: 'all',
      most: 5,
      zones: [
        { title: 'Far', points: 5 },
        { title: 'Near', points: 2 },
      ],
      faults: [missed('dropped', 'catch', each(5)), dog('near', 'catch', each(3))],
    },
  ],
});

export const STRUCTURED_BOOKS: Readonly<Record<string, unknown>> = {
  pointsOffBook,
  weightedBook,
  abilitiesBook,
  retrievesBook,
  checklistBook,
  courseBook,
  catchesBook,
};
