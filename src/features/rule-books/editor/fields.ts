import type { Rules } from '@/core/rulebooks';
import { tell } from '../words';

export type FieldSpec = {
  readonly path: readonly (string | number)[];
  readonly label: string;
  readonly kind: 'number' | 'text' | 'list' | 'check';
  /** May be empty: then the book says nothing of it. */
  readonly optional?: boolean;
};

const number = (label: string, ...path: (string | number)[]): FieldSpec => ({ path, label, kind: 'number' });
const perhaps = (label: string, ...path: (string | number)[]): FieldSpec => ({
  ...number(label, ...path),
  optional: true,
});

/** What any part and any fault may say besides. */
export const PART_TIMES = perhaps(tell('fields.times'), 'times');
export const FAULT_WARNINGS = perhaps(tell('fields.warnings'), 'warnings');

/**
 * What each family asks of the whole class; paths are within `rules`. Lists of objects grow in
 * their own editors.
 */
export const RULE_FIELDS: Readonly<Record<Rules['family'], readonly FieldSpec[]>> = {
  'points-off': [number(tell('fields.smallest-step-of-points'), 'smallestPoint')],
  'weighted-marks': [
    number(tell('fields.smallest-step-of-a-mark'), 'smallestMark'),
    number(tell('fields.judges'), 'judges'),
    { path: ['dropExtremes'], label: tell('fields.highest-and-lowest-mark-do-not'), kind: 'check' },
    number(tell('fields.to-pass-percent-of-all'), 'pass', 'percent'),
    number(tell('fields.to-pass-least-mark'), 'pass', 'eachMark'),
  ],
  abilities: [
    number(tell('fields.smallest-step-of-a-mark'), 'smallestMark'),
    number(tell('fields.to-pass-mean-over-all'), 'overall'),
  ],
  retrieves: [
    number(tell('fields.smallest-step-of-points'), 'smallestPoint'),
    number(tell('fields.a-faultless-retrieve'), 'maximum'),
    number(tell('fields.a-major-fault-leaves'), 'majorLeaves'),
    number(tell('fields.major-faults-allowed'), 'majorsAllowed'),
    number(tell('fields.to-pass-points'), 'pass', 'atLeast'),
  ],
  checklist: [],
  'time-and-faults': [
    number(tell('fields.smallest-step-of-faults'), 'smallestFault'),
    number(tell('fields.to-pass-faults-at-most'), 'pass', 'atMost'),
  ],
  measured: [
    { path: ['measure'], label: tell('fields.measure'), kind: 'text' },
    number(tell('fields.smallest-step-of-points'), 'smallest'),
    number(tell('fields.to-pass-line'), 'pass', 'line'),
  ],
};

/** What each family asks of an exercise; paths are within its scoring. */
export const EXERCISE_FIELDS: Readonly<Record<Rules['family'], readonly FieldSpec[]>> = {
  'points-off': [number(tell('fields.maximum'), 'maximum'), perhaps(tell('fields.own-least'), 'atLeast')],
  'weighted-marks': [
    number(tell('fields.coefficient'), 'coefficient'),
    perhaps(tell('fields.own-least'), 'atLeast'),
  ],
  abilities: [{ path: ['judges'], label: tell('fields.judged-abilities-ids-with-commas'), kind: 'list' }],
  retrieves: [perhaps(tell('fields.own-least'), 'atLeast')],
  checklist: [
    { path: ['group'], label: tell('fields.group-id'), kind: 'text' },
    number(tell('fields.attempts'), 'attempts'),
    number(tell('fields.extra-cues-allowed'), 'extraCues'),
  ],
  'time-and-faults': [number(tell('fields.faults-at-most'), 'most')],
  measured: [number(tell('fields.tries'), 'tries'), number(tell('fields.most-of-a-try'), 'most')],
};

export type ListSpec = {
  readonly path: readonly (string | number)[];
  readonly label: string;
  readonly fields: readonly FieldSpec[];
  readonly item: { readonly [key: string]: string | number };
};

const text = (label: string, path: string): FieldSpec => ({ path: [path], label, kind: 'text' });
const awards = (measure: string, label: string): ListSpec => ({
  path: ['awards'],
  label: tell('fields.awards'),
  fields: [text(tell('fields.award'), 'title'), number(label, measure)],
  item: { title: tell('fields.award'), [measure]: 0 },
});

/**
 * Short lists that the whole class has; each is a row of fields that can be added to and taken
 * from.
 */
export const RULE_LISTS: Readonly<Record<Rules['family'], readonly ListSpec[]>> = {
  'points-off': [awards('atLeast', tell('fields.from-points'))],
  'weighted-marks': [awards('percent', tell('fields.from-percent'))],
  abilities: [
    {
      path: ['abilities'],
      label: tell('fields.abilities'),
      fields: [
        text(tell('fields.id'), 'id'),
        text(tell('fields.name'), 'title'),
        number(tell('fields.least-mean'), 'atLeast'),
      ],
      item: { id: 'ability', title: tell('fields.ability'), atLeast: 5 },
    },
    awards('atLeast', tell('fields.from-a-mean-of')),
  ],
  retrieves: [
    {
      path: ['letters'],
      label: tell('fields.letters'),
      fields: [text(tell('fields.letter'), 'letter'), number(tell('fields.points'), 'points')],
      item: { letter: 'A', points: 20 },
    },
    awards('atLeast', tell('fields.from-points')),
  ],
  checklist: [
    {
      path: ['groups'],
      label: tell('fields.groups'),
      fields: [text(tell('fields.id'), 'id'), text(tell('fields.name'), 'title')],
      item: { id: 'group', title: tell('fields.group') },
    },
  ],
  'time-and-faults': [awards('atMost', tell('fields.faults-at-most'))],
  measured: [awards('line', tell('fields.from'))],
};

/** The numbers of each kind of cost. */
export const COST_FIELDS: Readonly<Record<string, readonly FieldSpec[]>> = {
  each: [number(tell('fields.points'), 'points'), perhaps(tell('fields.at-most'), 'cap')],
  'per-extra-cue': [
    number(tell('fields.points'), 'points'),
    number(tell('fields.usual-number'), 'usual'),
    perhaps(tell('fields.at-most'), 'cap'),
  ],
  'per-second': [
    number(tell('fields.points-a-second'), 'points'),
    number(tell('fields.over-s'), 'beyond'),
    number(tell('fields.usual-s'), 'usual'),
    perhaps(tell('fields.at-most'), 'cap'),
  ],
  'per-metre': [
    number(tell('fields.points-a-metre'), 'points'),
    number(tell('fields.over-m'), 'beyond'),
    number(tell('fields.usual-m'), 'usual'),
    perhaps(tell('fields.at-most'), 'cap'),
  ],
  band: [
    number(tell('fields.over'), 'bands', 0, 'over'),
    number(tell('fields.points'), 'bands', 0, 'points'),
    number(tell('fields.over'), 'bands', 1, 'over'),
    number(tell('fields.points'), 'bands', 1, 'points'),
  ],
  bonus: [number(tell('fields.points'), 'points'), perhaps(tell('fields.at-most'), 'cap')],
  discretion: [
    number(tell('fields.low'), 'low'),
    number(tell('fields.usual'), 'usual'),
    number(tell('fields.high'), 'high'),
  ],
};

export const COST_WORDS: Readonly<Record<string, string>> = {
  each: tell('fields.each-time'),
  'per-extra-cue': tell('fields.per-extra-cue'),
  'per-second': tell('fields.per-second'),
  'per-metre': tell('fields.per-metre'),
  band: tell('fields.by-bands-of-degrees'),
  discretion: tell('fields.left-to-the-judge'),
  zero: tell('fields.zeroes-the-exercise'),
  'end-run': tell('fields.ends-the-run'),
  major: tell('fields.major-fault'),
  attempt: tell('fields.uses-up-an-attempt'),
  cue: tell('fields.uses-up-a-cue'),
  bonus: tell('fields.bonus'),
};
