import type { Rules } from '@/core/rulebooks';
import { type Json, typed } from './draft';
import { ACTS, choice, type FieldSpec, number, type Option, perhapsNumber, unit } from './specs';
import { QUANTITY_WORDS } from './typed-values';
import { tell } from './words';

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

/** The prices that a way of scoring has. */
function costKinds(family: Rules['family']): readonly string[] {
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
