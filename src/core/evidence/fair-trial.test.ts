import { describe, expect, it } from 'vitest';
import { tossed } from '@/core/coaching';
import type { EvidenceRep } from '@/core/log';
import { seeded } from '@/core/shared';
import { rep } from './evidence.test-helper';
import { fairVerdicts, pairsOf } from './fair-trial';

const one = (option: string, outcome: EvidenceRep['outcome'] = 'clean', change: Partial<EvidenceRep> = {}) =>
  rep({ tosses: { Reward: option }, conditions: { Reward: option }, outcome, ...change });

describe('blocks of a fair trial', () => {
  it('are two tossed reps, one of each, at like criteria, both counted', () => {
    expect(pairsOf([one('ball'), one('food', 'miss'), one('food'), one('ball')])).toEqual([
      { trial: 'Reward', options: ['ball', 'food'], first: 1, second: 0, alike: 1 },
    ]);
    expect(pairsOf([one('ball'), one('ball'), one('food', 'miss')])).toMatchObject([{ first: 1 }]);
    const away = { criteria: { ...rep({}, 20).criteria } };
    expect(pairsOf([one('ball'), one('food', 'miss', away)])).toEqual([]);
    expect(pairsOf([one('ball'), one('food', 'flawed', { cause: 'handler' })])).toEqual([]);
    expect(pairsOf([rep(), rep()])).toEqual([]);
  });

  it('come in either order, each once in two', () => {
    const firsts = Array.from({ length: 400 }, (_, block) => {
      const pair = [0, 1].map((i) => tossed(['a', 'b'], 7, 2 * block + i));
      expect(new Set(pair).size).toBe(2);
      return pair[0];
    });
    const share = firsts.filter((first) => first === 'a').length / 400;
    expect(Math.abs(share - 0.5)).toBeLessThan(0.08);
  });
});

describe('the verdict', () => {
  const pairs = (first: number, second: number) => [
    { pairs: [{ trial: 'Reward', options: ['ball', 'food'] as const, first, second, alike: 3 }] },
  ];
  it.each([
    [8, 0, 256 / 9, 'ball'],
    [0, 8, 256 / 9, 'food'],
    [4, 0, 16 / 5, null],
    [5, 4, 512 / (10 * 126), null],
    [0, 0, 1, null],
  ])('%d to %d is %d times as likely, as worked by hand', (a, b, evidence, better) => {
    const [found] = fairVerdicts(pairs(a, b));
    expect(found?.evidence).toBeCloseTo(evidence, 9);
    expect(found?.better).toBe(better);
  });

  it('adds bouts up', () => {
    expect(fairVerdicts([...pairs(4, 0), ...pairs(4, 0)])[0]).toMatchObject({ first: 8, better: 'ball' });
  });

  it('is wrong at most one time in twenty, though looked at after every pair; and finds what differs', () => {
    const random = seeded(5);
    const settles = (share: number): number =>
      Array.from({ length: 1000 }, () => {
        let [a, b] = [0, 0];
        for (let pair = 0; pair < 60; pair++) {
          if (random.uniform() < 0.5) continue;
          if (random.uniform() < share) a += 1;
          else b += 1;
          if (fairVerdicts(pairs(a, b))[0]?.better !== null) return true;
        }
        return false;
      }).filter(Boolean).length / 1000;
    expect(settles(0.5)).toBeLessThanOrEqual(0.05);
    expect(settles(0.85)).toBeGreaterThan(0.8);
  });
});
