import type { Rules } from '@/core/rulebooks';

export type FieldSpec = {
  readonly path: readonly (string | number)[];
  readonly label: string;
  readonly kind: 'number' | 'text' | 'list' | 'check';
};

const number = (label: string, ...path: (string | number)[]): FieldSpec => ({ path, label, kind: 'number' });

/**
 * What each family asks of the whole class; paths are within `rules`. Lists of objects grow in
 * their own editors.
 */
export const RULE_FIELDS: Readonly<Record<Rules['family'], readonly FieldSpec[]>> = {
  'points-off': [number('Smallest step of points', 'smallestPoint')],
  'weighted-marks': [
    number('Smallest step of a mark', 'smallestMark'),
    number('Judges', 'judges'),
    { path: ['dropExtremes'], label: 'Highest and lowest mark do not count', kind: 'check' },
    number('To pass: percent of all', 'pass', 'percent'),
    number('To pass: least mark', 'pass', 'eachMark'),
  ],
  abilities: [number('Smallest step of a mark', 'smallestMark'), number('To pass: mean over all', 'overall')],
  retrieves: [
    number('Smallest step of points', 'smallestPoint'),
    number('A faultless retrieve', 'maximum'),
    number('A major fault leaves', 'majorLeaves'),
    number('Major faults allowed', 'majorsAllowed'),
    number('To pass: points', 'pass', 'atLeast'),
  ],
  checklist: [],
  'time-and-faults': [
    number('Smallest step of faults', 'smallestFault'),
    number('To pass: faults at most', 'pass', 'atMost'),
  ],
};

/** What each family asks of an exercise; paths are within its scoring. */
export const EXERCISE_FIELDS: Readonly<Record<Rules['family'], readonly FieldSpec[]>> = {
  'points-off': [number('Maximum', 'maximum')],
  'weighted-marks': [number('Coefficient', 'coefficient')],
  abilities: [{ path: ['judges'], label: 'Judged abilities (ids, with commas)', kind: 'list' }],
  retrieves: [],
  checklist: [
    { path: ['group'], label: 'Group (id)', kind: 'text' },
    number('Attempts', 'attempts'),
    number('Extra cues allowed', 'extraCues'),
  ],
  'time-and-faults': [number('Faults at most', 'most')],
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
  label: 'Awards',
  fields: [text('Award', 'title'), number(label, measure)],
  item: { title: 'Award', [measure]: 0 },
});

/**
 * Short lists that the whole class has; each is a row of fields that can be added to and taken
 * from.
 */
export const RULE_LISTS: Readonly<Record<Rules['family'], readonly ListSpec[]>> = {
  'points-off': [awards('atLeast', 'From points')],
  'weighted-marks': [awards('percent', 'From percent')],
  abilities: [
    {
      path: ['abilities'],
      label: 'Abilities',
      fields: [text('Id', 'id'), text('Name', 'title'), number('Least mean', 'atLeast')],
      item: { id: 'ability', title: 'Ability', atLeast: 5 },
    },
    awards('atLeast', 'From a mean of'),
  ],
  retrieves: [
    {
      path: ['letters'],
      label: 'Letters',
      fields: [text('Letter', 'letter'), number('Points', 'points')],
      item: { letter: 'A', points: 20 },
    },
    awards('atLeast', 'From points'),
  ],
  checklist: [
    {
      path: ['groups'],
      label: 'Groups',
      fields: [text('Id', 'id'), text('Name', 'title')],
      item: { id: 'group', title: 'Group' },
    },
  ],
  'time-and-faults': [awards('atMost', 'Faults at most')],
};

/** The numbers of each kind of cost. */
export const COST_FIELDS: Readonly<Record<string, readonly FieldSpec[]>> = {
  each: [number('Points', 'points'), number('At most', 'cap')],
  'per-extra-cue': [number('Points', 'points'), number('Usual number', 'usual'), number('At most', 'cap')],
  'per-second': [
    number('Points a second', 'points'),
    number('Over (s)', 'beyond'),
    number('Usual (s)', 'usual'),
    number('At most', 'cap'),
  ],
  'per-metre': [
    number('Points a metre', 'points'),
    number('Over (m)', 'beyond'),
    number('Usual (m)', 'usual'),
    number('At most', 'cap'),
  ],
  band: [
    number('Over', 'bands', 0, 'over'),
    number('Points', 'bands', 0, 'points'),
    number('Over', 'bands', 1, 'over'),
    number('Points', 'bands', 1, 'points'),
  ],
  discretion: [number('Low', 'low'), number('Usual', 'usual'), number('High', 'high')],
};

export const COST_WORDS: Readonly<Record<string, string>> = {
  each: 'each time',
  'per-extra-cue': 'per extra cue',
  'per-second': 'per second',
  'per-metre': 'per metre',
  band: 'by bands of degrees',
  discretion: 'left to the judge',
  zero: 'zeroes the exercise',
  'end-run': 'ends the run',
  major: 'major fault',
  attempt: 'uses up an attempt',
  cue: 'uses up a cue',
};
