import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '@/core/shared';
import { told } from '../../../studies/hindsight';
import { HINDSIGHT, hindsightOf, type LookedBack } from './hindsight';
import { periodOf } from './period';
import { workAndRest } from './seconds';

const known = { clean: 24, reps: 30 };
const bout = (marks: string, of = known): LookedBack[] =>
  [...marks].map((one) => ({ clean: one === '1', known: of }));

/** The same posterior by plain sums on a fine even grid, rep by rep, every point by itself. */
function byBruteForce(reps: readonly LookedBack[]): { factor: number; shares: number[] } {
  const usual = reps.map(({ known: { clean, reps: n } }) => {
    const share = n > 40 ? 40 / n : 1;
    const [a, b] = [clean * share + 4, (n - clean) * share + 1];
    return { eta: Math.log(a / b), variance: 1 / a + 1 / b };
  });
  const sd = Math.sqrt(0.64 + usual.reduce((sum, one) => sum + one.variance, 0) / reps.length);
  const likely = (falls: number): number => {
    let sum = 0;
    for (let at = -7; at <= 7; at += 0.01) {
      let product = Math.exp((-at * at) / 2);
      reps.forEach((rep, i) => {
        const eta = (usual[i]?.eta ?? 0) + sd * at - (i >= falls ? Math.log(3) : 0);
        const p = 1 / (1 + Math.exp(-eta));
        product *= rep.clean ? p : 1 - p;
      });
      sum += product;
    }
    return sum;
  };
  const points: number[] = [];
  for (let c = 2; c <= reps.length - 3; c++) points.push(likely(c));
  const all = points.reduce((a, b) => a + b, 0);
  return { factor: all / points.length / likely(reps.length), shares: points.map((one) => one / all) };
}

describe('where it could have ended', () => {
  it('is the exact posterior: equal to brute force, whatever the bout', () => {
    const reps = fc.array(
      fc.record({
        clean: fc.boolean(),
        known: fc
          .integer({ min: 0, max: 60 })
          .chain((n) => fc.record({ reps: fc.constant(n), clean: fc.integer({ min: 0, max: n }) })),
      }),
      { minLength: HINDSIGHT.least, maxLength: 25 },
    );
    fc.assert(
      fc.property(reps, (list) => {
        const [found, brute] = [hindsightOf(list), byBruteForce(list)];
        if (found.kind === 'few') throw new Error('there are enough');
        expect(found.factor / brute.factor).toBeCloseTo(1, 6);
        expect(found.kind).toBe(brute.factor > 3 ? 'point' : 'nothing');
        if (found.kind !== 'point') return;
        const best = brute.shares.indexOf(Math.max(...brute.shares));
        expect(found.share).toBeCloseTo(brute.shares[best] ?? 0, 6);
        expect(found.share).toBeCloseTo(brute.shares[found.after - 2] ?? 0, 6);
      }),
      { numRuns: 40 },
    );
  });

  it('is told of a bout that falls off, with its point and how sure that is', () => {
    const found = hindsightOf(bout('11111111000100'));
    expect(found).toMatchObject({ kind: 'point', after: 8 });
    if (found.kind !== 'point') throw new Error('a point');
    expect(found.factor).toBeGreaterThan(3);
    expect(found.from).toBeLessThanOrEqual(8);
    expect(found.to).toBeGreaterThanOrEqual(8);
  });

  it.each([
    ['an even bout', '11011110111101', 'nothing'],
    ['a bad day from the first rep on', '01000100100010', 'nothing'],
    ['two misses at the end: three reps must follow', '111111111100', 'nothing'],
    ['seven reps', '1111000', 'few'],
    ['no rep', '', 'few'],
  ])('%s tells nothing', (_, marks, kind) => expect(hindsightOf(bout(marks)).kind).toBe(kind));

  it('is not told where harder steps came: what the dog did there before is what counts', () => {
    const hard = { clean: 8, reps: 24 };
    const reps = [...bout('11111111'), ...bout('010010', hard)];
    expect(hindsightOf(reps).kind).toBe('nothing');
  });

  it('is given to at most 8 of 100 steady bouts, and finds most of large falls', () => {
    for (const usual of [0.7, 0.8, 0.9])
      for (const reps of [10, 20, 35]) {
        const steady = { usual, sway: 0.6, reps, known: 30, falls: null };
        expect(told(steady, 1500, seeded(reps)).share).toBeLessThan(0.08);
      }
    const fell = { usual: 0.85, sway: 0.6, reps: 25, known: 30, falls: { from: 15, odds: 12 } };
    const { share, near } = told(fell, 600, seeded(4));
    expect(share).toBeGreaterThan(0.7);
    expect(near).toBeGreaterThan(0.6);
  });
});

describe('a period', () => {
  const loads = { jumps: 2, 'sharp-turns': 0, 'upright-holds': 0, 'run-metres': 5 };
  const one = (piece: string, from: number | null, to: number | null, minutes: number | null = 6) => ({
    piece: piece as never,
    minutes,
    reps: 10,
    clean: 8,
    counted: 9,
    from,
    to,
    loads,
  });

  it('adds up, says what rose and fell from its first bout to its last, and what was never worked', () => {
    const period = periodOf([one('a', 3, 4), one('b', 5, 2), one('a', 4, 6), one('run', null, null, null)], [
      'a',
      'b',
      'c',
    ] as never[]);
    expect(period).toMatchObject({ bouts: 4, reps: 40, minutes: 18, untimed: 1, never: ['c'] });
    expect(period.loads).toMatchObject({ jumps: 8, 'run-metres': 20 });
    expect([period.rose, period.fell]).toEqual([
      [{ piece: 'a', from: 3, to: 6 }],
      [{ piece: 'b', from: 5, to: 2 }],
    ]);
  });

  it('of nothing is nothing', () => {
    expect(periodOf([], ['a'] as never[])).toMatchObject({ bouts: 0, rose: [], never: ['a'] });
  });
});

describe('work and rest', () => {
  const rep = (at: number, rested = false, timed = true) => ({ at: at * 1000, timed, rested });
  it('are told apart by the rests; reps that only keep an order tell neither', () => {
    expect(workAndRest([rep(0), rep(20), rep(110, true), rep(130)])).toEqual({ work: 40, rest: 90 });
    expect(workAndRest([rep(0), rep(20, false, false)])).toBeNull();
    expect(workAndRest([rep(0)])).toBeNull();
  });
});
