import type { Rules } from '@/core/rulebooks';
import { type Draft, type Json, textAt, typed } from './draft';
import { freshId } from './ids';
import {
  ACTS,
  check,
  choice,
  exercisesOf,
  type FieldSpec,
  number,
  optionsOf,
  perhapsNumber,
  text,
  unit,
} from './specs';
import { tell } from './words';

/** The line that passing asks, and the awards: what each family asks of a whole class. Paths are in the draft. */
const total: FieldSpec = number(tell('book-class.points-in-all'), 'atLeast');
const passFields = (item: Json): readonly FieldSpec[] => {
  switch (textAt(item, ['kind'])) {
    case 'total':
      return [total];
    case 'share-of-each':
      return [
        number(tell('book-class.percent-of-each'), 'percent'),
        perhapsNumber(tell('book-class.may-fail'), 'except'),
      ];
    default:
      return [
        number(tell('book-class.percent-of-some'), 'percent'),
        number(tell('book-class.in-so-many'), 'atLeast'),
        {
          kind: 'picks',
          path: ['of'],
          label: tell('book-class.of-these'),
          options: exercisesOf,
          optional: true,
        },
      ];
  }
};

const awards = (measure: string, label: string): FieldSpec => ({
  kind: 'rows',
  path: ['rules', 'awards'],
  label: tell('book-class.awards'),
  fields: () => [
    text(tell('book-class.award'), 'title'),
    number(label, measure),
    check(tell('book-class.also-below'), 'alsoBelow'),
  ],
  starts: [[tell('book-class.add-award'), () => ({ title: '', [measure]: typed('') })]],
});

const step = (label: string, key: string): FieldSpec => number(label, 'rules', key);

export const CLASS_FIELDS: Readonly<Record<Rules['family'], readonly FieldSpec[]>> = {
  'points-off': [
    {
      kind: 'rows',
      path: ['rules', 'pass'],
      label: tell('book-class.to-pass'),
      fields: passFields,
      starts: [
        [tell('book-class.add-total'), () => ({ kind: 'total', atLeast: typed('') })],
        [tell('book-class.add-share-of-each'), () => ({ kind: 'share-of-each', percent: typed('') })],
        [
          tell('book-class.add-share-of-some'),
          () => ({ kind: 'share-of-some', percent: typed(''), atLeast: typed('') }),
        ],
      ],
    },
    step(tell('book-class.step-of-points'), 'smallestPoint'),
    awards('atLeast', tell('book-class.from-points')),
  ],
  'weighted-marks': [
    number(tell('book-class.percent-of-all'), 'rules', 'pass', 'percent'),
    {
      ...number(tell('book-class.least-mark'), 'rules', 'pass', 'eachMark'),
      optional: true,
      nullable: true,
    } as FieldSpec,
    step(tell('book-class.step-of-a-mark'), 'smallestMark'),
    number(tell('book-class.judges'), 'rules', 'judges'),
    awards('percent', tell('book-class.from-percent')),
  ],
  abilities: [
    {
      kind: 'rows',
      path: ['rules', 'abilities'],
      label: tell('book-class.abilities'),
      fields: () => [
        text(tell('book-class.ability'), 'title'),
        number(tell('book-class.least-mean'), 'atLeast'),
      ],
      starts: [
        [tell('book-class.add-ability'), (draft) => ({ id: freshId(draft), title: '', atLeast: typed('') })],
      ],
    },
    number(tell('book-class.mean-over-all'), 'rules', 'overall'),
    step(tell('book-class.step-of-a-mark'), 'smallestMark'),
    awards('atLeast', tell('book-class.from-a-mean')),
  ],
  retrieves: [
    number(tell('book-class.faultless-retrieve'), 'rules', 'maximum'),
    number(tell('book-class.points-to-pass'), 'rules', 'pass', 'atLeast'),
    number(tell('book-class.major-leaves'), 'rules', 'majorLeaves'),
    number(tell('book-class.majors-allowed'), 'rules', 'majorsAllowed'),
    step(tell('book-class.step-of-points'), 'smallestPoint'),
    awards('atLeast', tell('book-class.from-points')),
  ],
  checklist: [
    {
      kind: 'rows',
      path: ['rules', 'groups'],
      label: tell('book-class.groups'),
      fields: () => [text(tell('book-class.group'), 'title')],
      starts: [[tell('book-class.add-group'), (draft) => ({ id: freshId(draft), title: '' })]],
    },
    {
      kind: 'rows',
      path: ['rules', 'levels'],
      label: tell('book-class.levels'),
      fields: () => [
        text(tell('book-class.level'), 'title'),
        {
          kind: 'rows',
          path: ['needs'],
          label: tell('book-class.needs'),
          fields: () => [
            number(tell('book-class.items-at-least'), 'atLeast'),
            choice(tell('book-class.of-group'), ['group'], optionsOf(['rules', 'groups'])),
          ],
          starts: [[tell('book-class.add-need'), need]],
        },
      ],
      starts: [[tell('book-class.add-level'), (draft) => ({ title: '', needs: [need(draft)] })]],
    },
  ],
  'time-and-faults': [
    number(tell('book-class.faults-at-most'), 'rules', 'pass', 'atMost'),
    step(tell('book-class.step-of-faults'), 'smallestFault'),
    awards('atMost', tell('book-class.up-to-faults')),
  ],
  measured: [
    choice(tell('book-class.measured-in'), ['rules', 'measure'], () => [
      ['metres', tell('book-class.metres')],
      ['zones', tell('book-class.zones')],
      ['seconds', tell('book-class.seconds')],
    ]),
    number(tell('book-class.line-to-pass'), 'rules', 'pass', 'line'),
    step(tell('book-class.smallest-step'), 'smallest'),
    awards('line', tell('book-class.from-line')),
  ],
};

function need(draft: Draft): Json {
  const first = optionsOf(['rules', 'groups'])(draft)[0];
  return { group: first?.[0] ?? '', atLeast: 1 };
}

/** What a class of one family has seldom. */
const FAMILY_MORE: Readonly<Partial<Record<Rules['family'], readonly FieldSpec[]>>> = {
  'weighted-marks': [
    check(tell('book-class.drop-extremes'), 'rules', 'dropExtremes'),
    perhapsNumber(tell('book-class.best-mark'), 'rules', 'top'),
    check(tell('book-class.zero-is-out'), 'rules', 'zeroIsOut'),
    {
      kind: 'rows',
      path: ['rules', 'categories'],
      label: tell('book-class.categories'),
      optional: true,
      fields: () => [
        text(tell('book-class.category'), 'title'),
        number(tell('book-class.coefficient'), 'coefficient'),
        number(tell('book-class.judges-of-it'), 'judges'),
        perhapsNumber(tell('book-class.least-of-it'), 'atLeast'),
      ],
      starts: [
        [
          tell('book-class.add-category'),
          (draft) => ({ id: freshId(draft), title: '', coefficient: 1, judges: 1 }),
        ],
      ],
    },
  ],
  retrieves: [
    {
      kind: 'rows',
      path: ['rules', 'letters'],
      label: tell('book-class.letters'),
      fields: () => [
        text(tell('book-class.letter'), 'letter'),
        number(tell('book-class.stands-for'), 'points'),
      ],
      starts: [[tell('book-class.add-letter'), () => ({ letter: '', points: typed('') })]],
    },
  ],
};

const nth = (label: string): FieldSpec => ({
  kind: 'perhaps',
  path: ['nth'],
  label,
  start: () => ({ at: 3, does: 'end-run' }),
  fields: [number(tell('book-specs.the-so-manieth'), 'at'), choice(tell('book-specs.does'), ['does'], ACTS)],
});

const height = (key: 'smallest' | 'tallest', label: string): FieldSpec => ({
  kind: 'perhaps',
  path: ['entry', key],
  label,
  start: () => ({ value: typed(''), unit: 'cm' }),
  fields: [number(tell('book-class.height'), 'value'), unit(tell('book-class.unit'), 'unit')],
});

/** What classes of any family have seldom: sizes, phases, what is counted over the run, titles and the like. */
const ANY_MORE: readonly FieldSpec[] = [
  {
    kind: 'rows',
    path: ['sizes'],
    label: tell('book-class.sizes'),
    optional: true,
    fields: () => [
      text(tell('book-class.size'), 'title'),
      {
        kind: 'perhaps',
        path: ['under'],
        nullable: true,
        label: tell('book-class.up-to-a-height'),
        start: () => ({ value: typed(''), unit: 'cm' }),
        fields: [number(tell('book-class.lower-than'), 'value'), unit(tell('book-class.unit'), 'unit')],
      },
    ],
    starts: [[tell('book-class.add-size'), (draft) => ({ id: freshId(draft), title: '', under: null })]],
  },
  {
    kind: 'rows',
    path: ['phases'],
    label: tell('book-class.phases'),
    optional: true,
    fields: () => [
      text(tell('book-class.phase'), 'title'),
      number(tell('book-class.phase-at-least'), 'atLeast'),
      { kind: 'picks', path: ['exercises'], label: tell('book-class.its-exercises'), options: exercisesOf },
    ],
    starts: [[tell('book-class.add-phase'), () => ({ title: '', exercises: [], atLeast: typed('') })]],
  },
  {
    kind: 'rows',
    path: ['across'],
    label: tell('book-class.across'),
    optional: true,
    fields: () => [
      text(tell('book-class.across-name'), 'title'),
      perhapsNumber(tell('book-class.across-cap'), 'cap'),
      perhapsNumber(tell('book-specs.warnings'), 'warnings'),
      nth(tell('book-specs.nth-acts')),
    ],
    starts: [[tell('book-class.add-across'), (draft) => ({ id: freshId(draft), title: '' })]],
  },
  {
    kind: 'perhaps',
    path: ['runs'],
    label: tell('book-class.runs'),
    start: () => ({ count: 2, counts: 'best' }),
    fields: [
      number(tell('book-class.so-many-runs'), 'count'),
      choice(tell('book-class.which-counts'), ['counts'], () => [
        ['best', tell('book-class.best-run')],
        ['every', tell('book-class.every-run')],
      ]),
    ],
  },
  {
    kind: 'picks',
    path: ['drawn'],
    label: tell('book-class.drawn'),
    optional: true,
    options: () => [
      ['order', tell('book-class.drawn-order')],
      ['sides', tell('book-class.drawn-sides')],
      ['variants', tell('book-class.drawn-variants')],
    ],
  },
  {
    kind: 'rows',
    path: ['ties'],
    label: tell('book-class.ties'),
    optional: true,
    fields: (item) => {
      const by = textAt(item, ['by']);
      if (by === 'exercise') return [choice(tell('book-class.tie-exercise'), ['exercise'], exercisesOf)];
      if (by === 'phase')
        return [
          choice(tell('book-class.tie-phase'), ['phase'], (draft) =>
            optionsOf(['phases'])(draft).map(([, title]) => [title, title] as const),
          ),
        ];
      return [choice(tell('book-class.tie'), ['by'], TIES)];
    },
    starts: [
      [tell('book-class.add-tie'), () => ({ by: 'faults' })],
      [
        tell('book-class.add-tie-exercise'),
        (draft) => ({ by: 'exercise', exercise: exercisesOf(draft)[0]?.[0] ?? '' }),
      ],
      [
        tell('book-class.add-tie-phase'),
        (draft) => ({ by: 'phase', phase: optionsOf(['phases'])(draft)[0]?.[1] ?? '' }),
      ],
    ],
  },
  {
    kind: 'perhaps',
    path: ['entry'],
    label: tell('book-class.entry'),
    start: () => ({}),
    fields: [
      perhapsNumber(tell('book-class.months'), 'months'),
      { kind: 'words', path: ['before'], label: tell('book-class.before'), optional: true },
    ],
  },
  height('smallest', tell('book-class.smallest')),
  height('tallest', tell('book-class.tallest')),
  {
    kind: 'perhaps',
    path: ['series'],
    label: tell('book-class.series'),
    start: () => ({ of: '', place: 1 }),
    fields: [text(tell('book-class.series-name'), 'of'), number(tell('book-class.series-place'), 'place')],
  },
  {
    kind: 'perhaps',
    path: ['earns'],
    label: tell('book-class.earns'),
    start: () => ({ title: '', passes: 1, judges: 1 }),
    fields: [
      text(tell('book-class.earns-title'), 'title'),
      number(tell('book-class.earns-passes'), 'passes'),
      number(tell('book-class.earns-judges'), 'judges'),
      perhapsNumber(tell('book-class.earns-months'), 'months'),
      { kind: 'words', path: ['before'], label: tell('book-class.earns-before'), optional: true },
    ],
  },
];

const TIES = () =>
  [
    ['faults', tell('book-class.tie-faults')],
    ['time', tell('book-class.tie-time')],
    ['run-off', tell('book-class.tie-run-off')],
    ['draw', tell('book-class.tie-draw')],
  ] as const;

export const classMore = (family: Rules['family']): readonly FieldSpec[] => [
  ...(FAMILY_MORE[family] ?? []),
  ...ANY_MORE,
];
