import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '@/core/shared';
import { logistic, mean } from '@/core/statistics';
import { learnDay, nervesAt, type RunDay, type RunGoes } from './learned-day';

const PRIOR = { place: { mean: -0.5, sd: 0.5 }, nerves: 0.4 };
const go = (change: Partial<RunGoes> = {}): RunGoes => ({
  element: 'e',
  mean: 1.4,
  variance: 0.1,
  swing: 0.4,
  clean: 1,
  notClean: 0,
  ...change,
});
const day = (clean: number, notClean: number, away = true): RunDay => ({
  away,
  goes: [go({ clean, notClean })],
});

describe('what runs teach of trial days', () => {
  it('without a run, and by runs without a go, is what is assumed', () => {
    const nothing = { ...PRIOR, besides: { mean: 0, sd: 0 }, runs: 0, goes: 0 };
    expect(learnDay([], PRIOR, 0.5)).toEqual(nothing);
    expect(learnDay([{ away: true, goes: [] }], PRIOR, 0.5)).toEqual(nothing);
  });

  it('the example of its description: a run that an 80 % dog half missed', () => {
    const { place, runs, goes } = learnDay([day(10, 10)], PRIOR, 0.5);
    expect([runs, goes]).toEqual([1, 20]);
    expect(place.mean).toBeCloseTo(-0.8, 1);
    expect(place.sd).toBeLessThan(0.5);
  });

  it.each([
    ['bad runs away: a strange place costs more', [day(5, 5), day(4, 6), day(5, 5)], 'place', -1],
    ['good runs away: it costs less', [day(10, 0), day(10, 0), day(9, 1)], 'place', 1],
    ['a very good and a very bad one: nerves', [day(20, 0), day(2, 18), day(20, 0), day(3, 17)], 'nerves', 1],
    [
      'one as the other: no nerves',
      [day(13, 7), day(13, 7), day(14, 6), day(13, 7), day(13, 7)],
      'nerves',
      -1,
    ],
  ] as const)('%s', (_, runs, what, sign) => {
    const found = learnDay(runs, PRIOR, 0.5);
    const moved = what === 'place' ? found.place.mean - PRIOR.place.mean : found.nerves - PRIOR.nerves;
    expect(Math.sign(moved)).toBe(sign);
  });

  it('what else a run asks and nobody knows takes its share, and is found where runs were at home', () => {
    const bad = [day(4, 16), day(5, 15), day(4, 16), day(6, 14)];
    const sure = learnDay(bad, PRIOR, 0.5);
    const open = learnDay(bad, PRIOR, 0.5, 0.5);
    // Half of it may be the missing pay: the place moves less, and less is known of it.
    expect(open.place.mean).toBeGreaterThan(sure.place.mean + 0.1);
    expect(open.place.sd).toBeGreaterThan(sure.place.sd);
    expect(open.besides.mean).toBeLessThan(-0.2);
    const home = learnDay([...bad, ...bad.map((one) => ({ ...one, away: false }))], PRIOR, 0.5, 0.5);
    // At home as bad as away: it is not the place.
    expect(home.place.mean).toBeGreaterThan(open.place.mean + 0.1);
    expect(home.besides.mean).toBeLessThan(open.besides.mean);
  });

  it('a hundred runs leave a spread by which a fit can be done, and no number that is none', () => {
    const runs = Array.from({ length: 100 }, (_, i) => day(15, 5, i % 2 === 0));
    const found = learnDay(runs, PRIOR, 0.5, 0.5);
    expect(found.place.sd).toBeGreaterThan(0.05);
    expect(found.besides.sd).toBeGreaterThan(0.05);
    expect([found.place.mean, found.besides.mean, found.nerves].every(Number.isFinite)).toBe(true);
    // As clean in a strange place as at home: that costs it next to nothing.
    expect(Math.abs(found.place.mean)).toBeLessThan(0.3);
  });

  it('a run at home says nothing of a strange place', () => {
    const { place } = learnDay([day(3, 17, false)], PRIOR, 0.5);
    expect(place.mean).toBeCloseTo(PRIOR.place.mean, 6);
  });

  it('ten goes of one bad day say less than ten goes of ten', () => {
    const one = learnDay([day(3, 7)], PRIOR, 0.5);
    const ten = learnDay(
      Array.from({ length: 10 }, (__, i) => day(i < 3 ? 1 : 0, i < 3 ? 0 : 1)),
      PRIOR,
      0.5,
    );
    expect(ten.place.mean).toBeLessThan(one.place.mean);
  });

  it('does not hang on the order of runs, nor on how goes are cut into cells', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(6), fc.nat(6)), { minLength: 1, maxLength: 6 }), (pairs) => {
        const runs = pairs.map(([a, b]) => day(a, b));
        const cut = pairs.map(
          ([a, b]): RunDay => ({
            away: true,
            goes: [go({ clean: a, notClean: 0 }), go({ clean: 0, notClean: b })],
          }),
        );
        const found = learnDay(runs, PRIOR, 0.5);
        for (const other of [learnDay(runs.toReversed(), PRIOR, 0.5), learnDay(cut, PRIOR, 0.5)]) {
          expect(other.place.mean).toBeCloseTo(found.place.mean, 9);
          expect(other.nerves).toBeCloseTo(found.nerves, 9);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('equals a plain sampler that weighs what is assumed by what was seen', () => {
    const runs = [day(6, 2), day(3, 5), { away: false, goes: [go({ clean: 4, notClean: 4, mean: 0.6 })] }];
    const found = learnDay(runs, PRIOR, 0.5);
    const random = seeded(5);
    let [weight, place, squares] = [0, 0, 0];
    for (let i = 0; i < 15_000; i++) {
      const d = PRIOR.place.mean + PRIOR.place.sd * random.normal();
      const s = nervesAt(PRIOR, random.normal());
      let w = 1;
      for (const run of runs) {
        let sum = 0;
        for (let k = 0; k < 4; k++) {
          const [one] = run.goes as [RunGoes];
          const b = random.normal() * Math.sqrt(s * s + 0.5 * one.swing ** 2);
          const shrink = 1 / Math.sqrt(1 + (Math.PI * (one.variance + 0.5 * one.swing ** 2)) / 8);
          const p = logistic((one.mean + (run.away ? d : 0) + b) * shrink);
          sum += p ** one.clean * (1 - p) ** one.notClean;
        }
        w *= sum / 4;
      }
      weight += w;
      place += w * d;
      squares += w * s * s;
    }
    expect(found.place.mean).toBeCloseTo(place / weight, 1);
    expect(found.nerves).toBeCloseTo(Math.sqrt(squares / weight), 1);
  });

  it('after eight runs it is nearer the truth of made-up dogs than what is assumed', () => {
    const random = seeded(11);
    const errors = { place: [] as number[], assumed: [] as number[] };
    for (let dog = 0; dog < 40; dog++) {
      const truth = -0.5 + 0.5 * random.normal();
      const nerves = nervesAt(PRIOR, random.normal());
      const runs = Array.from({ length: 8 }, (): RunDay => {
        const b = nerves * random.normal();
        return {
          away: true,
          goes: Array.from({ length: 14 }, (__, e) => {
            const clean = random.uniform() < logistic(1.4 + truth + b) ? 1 : 0;
            return go({ element: `${e}`, variance: 0, swing: 0, clean, notClean: 1 - clean });
          }),
        };
      });
      errors.place.push(Math.abs(learnDay(runs, PRIOR, 0.5).place.mean - truth));
      errors.assumed.push(Math.abs(PRIOR.place.mean - truth));
    }
    expect(mean(errors.place)).toBeLessThan(0.75 * mean(errors.assumed));
  });
});
