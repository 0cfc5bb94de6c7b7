import type { Rules } from '@/core/rulebooks';
import { type Draft, type Json, textAt, typed } from './draft';
import { freshId } from './ids';
import { check, choice, exercisesOf, type FieldSpec, number, optionsOf, perhapsNumber, text } from './specs';
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
