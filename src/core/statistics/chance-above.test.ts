import { describe, expect, it } from 'vitest';
import { seeded } from '@/core/shared';
import { chanceAbove, drawBeta } from '.';

describe('chanceAbove', () => {
  it.each([
    [2, 2, 1, 3, 0.886],
    [3, 4, 2, 3, 0.595],
    [2, 2, 1, 2, 0.8],
    [0, 0, 0, 0, 0.5],
  ])('%i of %i above %i of %i: %f', (a, b, c, d, chance) =>
    expect(chanceAbove({ clean: a, of: b }, { clean: c, of: d })).toBeCloseTo(chance, 3));

  it('agrees with draws, and what is not above is below', () => {
    const random = seeded(7);
    for (const [a, b, c, d] of [
      [5, 5, 3, 5],
      [1, 7, 4, 6],
    ] as const) {
      const [one, other] = [
        { clean: a, of: b },
        { clean: c, of: d },
      ];
      const draws = Array.from(
        { length: 20_000 },
        () => drawBeta(random, a + 1, b - a + 1) > drawBeta(random, c + 1, d - c + 1),
      );
      expect(chanceAbove(one, other)).toBeCloseTo(draws.filter(Boolean).length / draws.length, 1);
      expect(chanceAbove(one, other) + chanceAbove(other, one)).toBeCloseTo(1, 10);
    }
  });
});
