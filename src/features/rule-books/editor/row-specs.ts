import type { Rules } from '@/core/rulebooks';
import { at, type Draft, type Json, listAt, textAt, typed } from './draft';
import {
  check,
  choice,
  type FieldSpec,
  NTH,
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
    ...(family === 'checklist' ? [] : [perhapsNumber(tell('book-specs.warnings'), 'warnings'), NTH]),
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
