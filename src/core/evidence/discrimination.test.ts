import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must, seeded } from '@/core/shared';
import { binomialTail } from '@/core/statistics';
import { evidenceAgainstLuck, luckOf, type PickRun, positionBias, SETTLED } from './discrimination';

/** 'rrw' among k. */
const runs = (text: string, choices = 2): PickRun[] =>
  [...text].map((one) => ({ choices, right: one === 'r' }));

describe('better than luck, with the number of runs fixed', () => {
  it.each([
    ['four of five between two is luck in 19 %', runs('rrrrw'), 6 / 32],
    ['no run proves nothing', [], 1],
    ['all wrong', runs('www', 5), 1],
    ['three of three among five', runs('rrr', 5), 1 / 125],
    ['different numbers of choices', [...runs('r', 2), ...runs('r', 4)], 1 / 8],
  ])('%s', (_, list, chance) => expect(must(luckOf(list))).toBeCloseTo(chance, 12));

  it('is the binomial tail where all runs are alike, and that of all outcomes one by one where they are not', () => {
    const choices = fc.array(fc.tuple(fc.integer({ min: 2, max: 6 }), fc.boolean()), { maxLength: 9 });
    fc.assert(
      fc.property(choices, (list) => {
        const series = list.map(([k, right]): PickRun => ({ choices: k, right }));
        const right = series.filter((run) => run.right).length;
        let tail = 0;
        for (let bits = 0; bits < 2 ** series.length; bits++) {
          const hits = series.filter((_, i) => (bits >> i) & 1).length;
          if (hits >= right)
            tail += series.reduce(
              (chance, run, i) => chance * ((bits >> i) & 1 ? 1 / run.choices : 1 - 1 / run.choices),
              1,
            );
        }
        expect(must(luckOf(series))).toBeCloseTo(tail, 9);
      }),
      { numRuns: 40 },
    );
    expect(must(luckOf(runs('rrrrrrww', 3)))).toBeCloseTo(binomialTail(8, 6, 1 / 3), 12);
  });

  it('refuses a run without a choice', () => {
    expect(luckOf(runs('r', 1))).toMatchObject({ ok: false, code: 'choices', path: 'runs[0]' });
    expect(evidenceAgainstLuck(runs('r', 1))).toMatchObject({ ok: false });
  });
});

describe('a running verdict', () => {
  it.each([
    ['nothing yet', '', 1],
    ['five of five between two: ∫(1 + d)⁵', 'rrrrr', 63 / 6],
    ['one wrong: ∫(1 − d)', 'w', 1 / 2],
    ['one of each: ∫(1 + d)(1 − d)', 'rw', 2 / 3],
  ])('%s', (_, text, expected) => expect(must(evidenceAgainstLuck(runs(text)))).toBeCloseTo(expected, 9));

  it('is settled by luck in fewer than 1 of 20 series, though looked at after every run', () => {
    const random = seeded(4);
    const settled = Array.from({ length: 1500 }, () => {
      const series: PickRun[] = [];
      for (let i = 0; i < 40; i++) {
        series.push({ choices: 3, right: random.uniform() < 1 / 3 });
        if (must(evidenceAgainstLuck(series)) >= SETTLED) return true;
      }
      return false;
    }).filter(Boolean).length;
    expect(settled / 1500).toBeLessThan(0.05);
  });
});

describe('position bias', () => {
  it.each([
    ['four of four on one of three', [1, 1, 1, 1], 3, 3 / 81],
    ['two and two of two', [0, 1, 0, 1], 2, 1],
    ['three of four on one of two', [0, 0, 0, 1], 2, 10 / 16],
    ['none wrong', [], 4, 1],
  ])('%s', (_, picks, places, chance) =>
    expect(must(positionBias(picks, places)).chance).toBeCloseTo(chance, 12));

  it('agrees with counting every way', () => {
    for (const [n, places, most] of [
      [5, 3, 4],
      [4, 4, 2],
      [6, 2, 5],
    ] as const) {
      let ways = 0;
      for (let code = 0; code < places ** n; code++) {
        const counts = new Array<number>(places).fill(0);
        for (let i = 0, rest = code; i < n; i++, rest = Math.floor(rest / places))
          counts[rest % places] = (counts[rest % places] as number) + 1;
        if (Math.max(...counts) >= most) ways += 1;
      }
      const picks = Array.from({ length: n }, (_, i) => (i < most ? 0 : 1 + ((i - most) % (places - 1))));
      expect(must(positionBias(picks, places)).chance).toBeCloseTo(ways / places ** n, 12);
    }
  });

  it('refuses a place that is not there', () =>
    expect(positionBias([3], 3)).toMatchObject({ ok: false, code: 'places' }));
});
