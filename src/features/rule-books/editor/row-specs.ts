import type { Rules } from '@/core/rulebooks';
import { at, type Draft, type Json, listAt, textAt, typed } from './draft';
import {
  ACTS,
  check,
  choice,
  type FieldSpec,
  number,
  type Option,
  optionsOf,
  perhapsNumber,
  text,
  unit,
} from './specs';
import { QUANTITIES, QUANTITY_WORDS } from './typed-values';
import { tell } from './words';

/** The number that an exercise's row has, by family; null where the class says it for all. */
export const MAIN_NUMBER: Readonly<Record<Rules['family'], FieldSpec | null>> = {
  'points-off': number(tell('book-row.points'), 'maximum'),
  'weighted-marks': number(tell('book-row.coefficient'), 'coefficient'),
  abilities: null,
  retrieves: null,
  checklist: number(tell('book-row.attempts'), 'attempts'),
  'time-and-faults': number(tell('book-row.faults-at-most'), 'most'),
  measured: number(tell('book-row.most'), 'most'),
};

const least = perhapsNumber(tell('book-row.own-least'), 'atLeast');

/** What an exercise's scoring says besides; paths are within its scoring. */
export const SCORED_FIELDS: Readonly<Record<Rules['family'], readonly FieldSpec[]>> = {
  'points-off': [least],
  'weighted-marks': [least],
  abilities: [
    {
      kind: 'picks',
      path: ['judges'],
      label: tell('book-row.judged'),
      options: optionsOf(['rules', 'abilities']),
    },
  ],
  retrieves: [least],
  checklist: [
    choice(tell('book-row.group'), ['group'], optionsOf(['rules', 'groups'])),
    number(tell('book-row.extra-cues'), 'extraCues'),
  ],
  'time-and-faults': [],
  measured: [
    number(tell('book-row.tries'), 'tries'),
    choice(tell('book-row.counts'), ['counts'], () => [
      ['all', tell('book-row.added')],
      ['best', tell('book-row.best')],
    ]),
    {
      kind: 'rows',
      path: ['zones'],
      label: tell('book-row.zones'),
      optional: true,
      fields: () => [text(tell('book-row.zone'), 'title'), number(tell('book-row.points'), 'points')],
      starts: [[tell('book-row.add-zone'), () => ({ title: '', points: typed('') })]],
    },
  ],
};

/** What an exercise says of how it is run; paths are within its outline. */
export const OUTLINE_FIELDS: readonly FieldSpec[] = [
  { kind: 'text', path: ['text'], label: tell('book-row.what-it-asks'), wide: true },
  perhapsNumber(tell('book-row.day'), 'day'),
  {
    kind: 'rows',
    path: ['variants'],
    label: tell('book-row.variants'),
    optional: true,
    fields: () => [text(tell('book-row.variant'), 'title'), text(tell('book-row.variant-text'), 'text')],
    starts: [[tell('book-row.add-variant'), () => ({ title: '', text: '' })]],
  },
];

/** A part’s fields behind "more"; paths are within the part. */
export const PART_FIELDS: readonly FieldSpec[] = [
  { kind: 'text', path: ['text'], label: tell('book-row.what-is-judged'), wide: true },
  perhapsNumber(tell('book-row.times'), 'times'),
  {
    kind: 'rows',
    path: ['demands'],
    label: tell('book-row.asked'),
    fields: () => [
      text(tell('book-row.asked-name'), 'title'),
      choice(tell('book-row.quantity'), ['quantity'], () =>
        QUANTITIES.map((one): Option => [one, QUANTITY_WORDS[one]]),
      ),
      choice(tell('book-row.harder'), ['harder'], () => [
        ['more', tell('book-row.at-least')],
        ['less', tell('book-row.at-most')],
      ]),
      number(tell('book-row.value'), 'value'),
      unit(tell('book-row.unit'), 'unit'),
      { kind: 'by-size', path: ['bySize'], label: tell('book-row.by-size') },
    ],
    starts: [],
  },
];

/** What a new price of each kind begins with; every number is there to be changed. */
export const COST_STARTS: Readonly<Record<string, Json>> = {
  each: { kind: 'each', points: 1 },
  'per-extra-cue': { kind: 'per-extra-cue', points: 1, usual: 1 },
  'per-second': { kind: 'per-second', points: 1, beyond: 2, usual: 1 },
  'per-metre': { kind: 'per-metre', points: 1, beyond: 1, usual: 1 },
  band: { kind: 'band', quantity: 'angle', unit: '°', bands: [{ over: 10, points: 1 }] },
  discretion: { kind: 'discretion', low: 1, usual: 2, high: 3 },
  zero: { kind: 'zero' },
  'end-run': { kind: 'end-run' },
  major: { kind: 'major' },
  attempt: { kind: 'attempt' },
  cue: { kind: 'cue' },
  bonus: { kind: 'bonus', points: 1 },
};
const COST_WORDS: Readonly<Record<string, string>> = {
  each: tell('book-cost.each'),
  'per-extra-cue': tell('book-cost.per-extra-cue'),
  'per-second': tell('book-cost.per-second'),
  'per-metre': tell('book-cost.per-metre'),
  band: tell('book-cost.band'),
  discretion: tell('book-cost.discretion'),
  zero: tell('book-cost.zero'),
  'end-run': tell('book-cost.end-run'),
  major: tell('book-cost.major'),
  attempt: tell('book-cost.attempt'),
  cue: tell('book-cost.cue'),
  bonus: tell('book-cost.bonus'),
};

export function costKinds(family: Rules['family']): readonly string[] {
  if (family === 'checklist') return ['attempt', 'cue', 'zero', 'end-run'];
  const usual = ['each', 'per-extra-cue', 'per-second', 'per-metre', 'band', 'discretion', 'zero', 'end-run'];
  if (family === 'retrieves') return [...usual, 'bonus', 'major'];
  return family === 'points-off' || family === 'measured' ? [...usual, 'bonus'] : usual;
}
export const costOptions = (family: Rules['family']): readonly Option[] =>
  costKinds(family).map((kind) => [kind, COST_WORDS[kind] ?? '']);

const cap = perhapsNumber(tell('book-cost.cap'), 'cap');
const acts = (label: string): FieldSpec => ({
  kind: 'perhaps',
  path: ['acts'],
  label: tell('book-cost.acts'),
  start: () => ({ over: typed(''), does: 'zero' }),
  fields: [number(label, 'over'), choice(tell('book-specs.does'), ['does'], ACTS)],
});
const past = (unit: 's' | 'm'): readonly FieldSpec[] => [
  number(tell('book-cost.points-each'), 'points'),
  number(tell('book-cost.past', { unit }), 'beyond'),
  number(tell('book-cost.usually-past', { unit }), 'usual'),
  cap,
  acts(tell('book-cost.acts-past', { unit })),
  { kind: 'by-size', path: ['bySize'], label: tell('book-cost.free-by-size', { unit }) },
];

/** The numbers of each kind of price; paths are within the price. */
export const COST_FIELDS: Readonly<Record<string, readonly FieldSpec[]>> = {
  each: [number(tell('book-cost.points'), 'points'), cap],
  'per-extra-cue': [
    number(tell('book-cost.points'), 'points'),
    number(tell('book-cost.usual-cues'), 'usual'),
    cap,
  ],
  'per-second': past('s'),
  'per-metre': past('m'),
  band: [
    choice(tell('book-cost.measured'), ['quantity'], () =>
      (['angle', 'offset', 'distance', 'latency', 'duration'] as const).map(
        (one): Option => [one, QUANTITY_WORDS[one]],
      ),
    ),
    unit(tell('book-cost.unit'), 'unit'),
    {
      kind: 'rows',
      path: ['bands'],
      label: tell('book-cost.bands'),
      fields: () => [number(tell('book-cost.over'), 'over'), number(tell('book-cost.points'), 'points')],
      starts: [[tell('book-cost.add-band'), () => ({ over: typed(''), points: typed('') })]],
    },
    acts(tell('book-cost.acts-over')),
  ],
  discretion: [
    number(tell('book-cost.low'), 'low'),
    number(tell('book-cost.usual'), 'usual'),
    number(tell('book-cost.high'), 'high'),
  ],
  bonus: [number(tell('book-cost.points'), 'points'), cap],
};

/** What a fault says besides its name and its price; paths are within the fault. */
export function faultFields(draft: Draft, exercise: number): readonly FieldSpec[] {
  const family = textAt(draft, ['rules', 'family']) as Rules['family'];
  const parts = optionsOf(['exercises', exercise, 'parts']);
  const judged = listAt(draft, ['rules', 'exercises', exercise, 'judges']);
  const has = (path: string): boolean => listAt(draft, [path]).length > 0;
  return [
    {
      kind: 'choice',
      path: ['part'],
      label: tell('book-row.belongs-to'),
      options: parts,
      none: tell('book-row.anywhere'),
      nullable: true,
    },
    choice(tell('book-row.whose'), ['by'], () => [
      ['dog', tell('book-row.dog')],
      ['handler', tell('book-row.handler')],
    ]),
    ...(family === 'abilities'
      ? [
          choice(tell('book-row.ability'), ['ability'], (now) =>
            optionsOf(['rules', 'abilities'])(now).filter(([id]) => judged.includes(id)),
          ),
        ]
      : []),
    ...(listAt(draft, ['rules', 'categories']).length > 0
      ? [choice(tell('book-row.category'), ['category'], optionsOf(['rules', 'categories']))]
      : []),
    check(tell('book-row.stops'), 'stops'),
    check(tell('book-row.again'), 'again'),
    ...(family === 'checklist'
      ? []
      : [
          perhapsNumber(tell('book-specs.warnings'), 'warnings'),
          {
            kind: 'perhaps',
            path: ['nth'],
            label: tell('book-specs.nth-acts'),
            start: () => ({ at: 3, does: 'end-run' }),
            fields: [
              number(tell('book-specs.the-so-manieth'), 'at'),
              choice(tell('book-specs.does'), ['does'], ACTS),
            ],
          } satisfies FieldSpec,
        ]),
    ...(has('across')
      ? [
          {
            kind: 'choice',
            path: ['across'],
            label: tell('book-row.across'),
            options: optionsOf(['across']),
            none: tell('book-row.across-none'),
          } satisfies FieldSpec,
        ]
      : []),
  ];
}

/** Whether a fault is what is charged when its part is not done. */
export const isMiss = (fault: Json): boolean =>
  at(fault, ['miss']) === true && textAt(fault, ['by']) === 'dog';
