import type { Rules } from '@/core/rulebooks';
import { textAt, typed } from './draft';
import { freshId } from './ids';
import {
  check,
  choice,
  exercisesOf,
  type FieldSpec,
  NTH,
  number,
  optionsOf,
  perhapsNumber,
  text,
  unit,
} from './specs';
import { tell } from './words';

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
      NTH,
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
