import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Cost } from '../families/fault-schema';
import { readCost } from './read-cost';
import { writeCost } from './write-cost';

const reads = (written: string): unknown => {
  const read = readCost(written, 0.5);
  if (!read.ok) return read.code;
  const { assumed, ...rest } = read.value;
  return rest;
};
const each = (points: number, cap?: number) => ({ cost: { kind: 'each', points, ...(cap ? { cap } : {}) } });
const perSecond = (points: number, beyond: number, more: object = {}) => ({
  cost: { kind: 'per-second', points, beyond, usual: 1, ...more },
});

describe('a price as it is written', () => {
  it.each<readonly [string, unknown]>([
    ['2', each(2)],
    ['2,5', each(2.5)],
    ['1.05', each(1.05)],
    ['½', each(0.5)],
    ['1½ points', each(1.5)],
    ['half a point', each(0.5)],
    ['−2', each(2)],
    ['2 points off', each(2)],
    ['2 Punkte Abzug', each(2)],
    ['je 2 Punkte', each(2)],
    ['2 each, at most 6', each(2, 6)],
    ['2 each time up to 6 in all', each(2, 6)],
    ['je 1, höchstens 3', each(1, 3)],
    ['2, each further 2', each(2)],
    ['1–3', { cost: { kind: 'discretion', low: 1, usual: 2, high: 3 } }],
    ['1 to 3 points', { cost: { kind: 'discretion', low: 1, usual: 2, high: 3 } }],
    ['1 bis 4, meist 3', { cost: { kind: 'discretion', low: 1, usual: 3, high: 4 } }],
    ['up to 3', { cost: { kind: 'discretion', low: 0.5, usual: 1.5, high: 3 } }],
    ['bis zu 3 Punkte', { cost: { kind: 'discretion', low: 0.5, usual: 1.5, high: 3 } }],
    ['2 per extra cue', { cost: { kind: 'per-extra-cue', points: 2, usual: 1 } }],
    ['each further command 2, at most 6', { cost: { kind: 'per-extra-cue', points: 2, usual: 1, cap: 6 } }],
    ['je weiteres Kommando 2', { cost: { kind: 'per-extra-cue', points: 2, usual: 1 } }],
    ['1 per second over 3', perSecond(1, 3)],
    ['1 point per second over 3 s, at most 5', perSecond(1, 3, { cap: 5 })],
    ['per second over 3 s: 1', perSecond(1, 3)],
    ['for each started second 0.5', perSecond(0.5, 0)],
    ['1 per second over 3 s, over 10 s zero', perSecond(1, 3, { acts: { over: 10, does: 'zero' } })],
    ['0,5 je angefangene Sekunde über 3', perSecond(0.5, 3)],
    ['1 per metre over 2', { cost: { kind: 'per-metre', points: 1, beyond: 2, usual: 1 } }],
    [
      'over 10° 1, over 30° 2',
      {
        cost: {
          kind: 'band',
          quantity: 'angle',
          unit: '°',
          bands: [
            { over: 10, points: 1 },
            { over: 30, points: 2 },
          ],
        },
      },
    ],
    [
      'more than 5 cm: 1; more than 20 cm: 2; more than 50 cm: out',
      {
        cost: {
          kind: 'band',
          quantity: 'offset',
          unit: 'cm',
          bands: [
            { over: 5, points: 1 },
            { over: 20, points: 2 },
          ],
          acts: { over: 50, does: 'end-run' },
        },
      },
    ],
    ['0', { cost: { kind: 'zero' } }],
    ['no points', { cost: { kind: 'zero' } }],
    ['exercise zeroed', { cost: { kind: 'zero' } }],
    ['Übung null', { cost: { kind: 'zero' } }],
    ['eliminated', { cost: { kind: 'end-run' } }],
    ['Ausschluss', { cost: { kind: 'end-run' } }],
    ['+2', { cost: { kind: 'bonus', points: 2 } }],
    ['first time only a warning, then 2', { ...each(2), warnings: 1 }],
    ['2, third time out', { ...each(2), nth: { at: 3, does: 'end-run' } }],
    ['1 each, 3rd time zero', { ...each(1), nth: { at: 3, does: 'zero' } }],
    ['je 2, beim dritten Mal Ausschluss', { ...each(2), nth: { at: 3, does: 'end-run' } }],
  ])('%s', (written, expected) => {
    expect(reads(written)).toEqual(expected);
  });

  it.each<readonly [string, string]>([
    ['', 'price'],
    ['2 pears', 'price'],
    ['over the board 2', 'price'],
    ['3–1', 'price'],
    ['over 10° 1, over 5 cm 2', 'clash'],
    ['2, each further 3', 'clash'],
    ['zero, out', 'clash'],
    ['1, 2', 'clash'],
    ['over 10 1', 'price'],
  ])('%s is not understood, and says from where on', (written, code) => {
    expect(reads(written)).toBe(code);
  });

  it('says what it took where nothing was written', () => {
    const read = readCost('up to 3', 0.5);
    expect(read.ok && read.value.assumed.map((one) => one.say)).toEqual([
      'rulebooks.written.from-the-smallest-step',
      'rulebooks.written.usually',
    ]);
  });
});

const points = fc.integer({ min: 1, max: 400 }).map((n) => n / 20);
const limit = fc.integer({ min: 0, max: 400 }).map((n) => n / 10);
const cap = fc.option(points, { nil: undefined }).map((one) => (one === undefined ? {} : { cap: one }));
const acts = fc
  .option(fc.record({ over: limit, does: fc.constantFrom('zero' as const, 'end-run' as const) }), {
    nil: undefined,
  })
  .map((one) => (one === undefined ? {} : { acts: one }));
const UNITS = { angle: '°', offset: 'cm', distance: 'm', latency: 's' } as const;
const anyCost: fc.Arbitrary<Cost> = fc.oneof(
  fc.tuple(points, cap).map(([p, c]): Cost => ({ kind: 'each', points: p, ...c })),
  fc.tuple(points, cap).map(([p, c]): Cost => ({ kind: 'bonus', points: p, ...c })),
  fc
    .tuple(points, points, cap)
    .map(([p, usual, c]): Cost => ({ kind: 'per-extra-cue', points: p, usual, ...c })),
  fc
    .tuple(fc.constantFrom('per-second' as const, 'per-metre' as const), points, limit, points, cap, acts)
    .map(([kind, p, beyond, usual, c, a]): Cost => ({ kind, points: p, beyond, usual, ...c, ...a })),
  fc
    .tuple(
      fc.constantFrom(...(Object.keys(UNITS) as (keyof typeof UNITS)[])),
      fc.uniqueArray(fc.record({ over: limit, points }), {
        minLength: 1,
        maxLength: 6,
        selector: (one) => one.over,
      }),
      acts,
    )
    .map(
      ([quantity, bands, a]): Cost => ({
        kind: 'band',
        quantity,
        unit: UNITS[quantity],
        bands: bands.sort((x, y) => x.over - y.over),
        ...a,
      }),
    ),
  fc
    .uniqueArray(points, { minLength: 3, maxLength: 3 })
    .map((three) => three.sort((a, b) => a - b))
    .map(([low = 0, usual = 0, high = 0]): Cost => ({ kind: 'discretion', low, usual, high })),
  fc.constantFrom<Cost>(
    { kind: 'zero' },
    { kind: 'end-run' },
    { kind: 'major' },
    { kind: 'attempt' },
    { kind: 'cue' },
  ),
);

describe('a price that is written down', () => {
  it('is read back as the same price, with a point and with a comma', () => {
    const nth = fc.option(
      fc.record({
        at: fc.integer({ min: 2, max: 25 }),
        does: fc.constantFrom('zero' as const, 'end-run' as const),
      }),
      { nil: undefined },
    );
    const warnings = fc.option(fc.integer({ min: 1, max: 9 }), { nil: undefined });
    fc.assert(
      fc.property(anyCost, nth, warnings, fc.boolean(), (cost, n, w, comma) => {
        const number = (value: number): string => (comma ? String(value).replace('.', ',') : String(value));
        const written = writeCost(cost, { warnings: w, nth: n }, number);
        expect([written, reads(written)]).toEqual([
          written,
          { cost, ...(w === undefined ? {} : { warnings: w }), ...(n === undefined ? {} : { nth: n }) },
        ]);
      }),
      { numRuns: 2000 },
    );
  });
});
