import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '@/core/shared';
import {
  cholesky,
  drawBeta,
  drawDirichlet,
  drawGamma,
  gridMean,
  gridPosterior,
  gridQuantiles,
  halfNormal,
  inverseFromCholesky,
  logistic,
  logit,
  mean,
  meanLogistic,
  normalBelow,
  quantile,
  softplus,
  solveCholesky,
  variance,
} from '.';

describe('logistic functions', () => {
  it('are inverse to each other', () => {
    fc.assert(
      fc.property(fc.double({ min: -20, max: 20, noNaN: true }), (x) => {
        expect(logit(logistic(x))).toBeCloseTo(x, 5);
      }),
    );
  });

  it('survive the far ends', () => {
    expect([logistic(-800), logistic(800), softplus(-800), softplus(800)]).toEqual([0, 1, 0, 800]);
    expect(() => logit(1)).toThrow('0 < p < 1');
  });

  it.each([
    [2, 0],
    [1.5, 0.25],
    [-1, 1],
  ])('mean over a normal effect at η = %d, variance %d is near brute force', (eta, spread) => {
    const grid = Array.from({ length: 2001 }, (_, i) => -6 + i * 0.006);
    const weights = grid.map((z) => Math.exp(-z * z * 0.5));
    const brute =
      grid.reduce((sum, z, i) => sum + (weights[i] ?? 0) * logistic(eta + z * Math.sqrt(spread)), 0) /
      weights.reduce((a, b) => a + b);
    expect(Math.abs(meanLogistic(eta, spread) - brute)).toBeLessThan(0.015);
  });
});

describe('small matrices', () => {
  it('solve what they factor', () => {
    const numbers = fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 12, maxLength: 12 });
    fc.assert(
      fc.property(numbers, (list) => {
        const b = [0, 1, 2].map((i) => list.slice(i * 3, i * 3 + 3));
        const a = b.map((row, i) =>
          b.map((other, j) => row.reduce((sum, x, k) => sum + x * (other[k] ?? 0), i === j ? 1 : 0)),
        );
        const factor = cholesky(a) ?? [];
        const x = solveCholesky(factor, list.slice(9));
        const back = a.map((row) => row.reduce((sum, value, j) => sum + value * (x[j] ?? 0), 0));
        expect(back.every((value, i) => Math.abs(value - (list[9 + i] ?? 0)) < 1e-6)).toBe(true);
        const product = inverseFromCholesky(factor)[0]?.reduce(
          (sum, value, j) => sum + value * (a[j]?.[0] ?? 0),
          0,
        );
        expect(product).toBeCloseTo(1, 6);
      }),
    );
  });

  it('tells an indefinite matrix', () =>
    expect(
      cholesky([
        [1, 2],
        [2, 1],
      ]),
    ).toBeNull());
});

describe('draws', () => {
  it.each([0.3, 1, 4])('gamma with shape %d has that mean and variance', (shape) => {
    const random = seeded(5);
    const draws = Array.from({ length: 40_000 }, () => drawGamma(random, shape));
    expect(Math.abs(mean(draws) / shape - 1)).toBeLessThan(0.03);
    expect(Math.abs(variance(draws) / shape - 1)).toBeLessThan(0.06);
  });

  it('beta and Dirichlet are shares', () => {
    const random = seeded(6);
    expect(mean(Array.from({ length: 20_000 }, () => drawBeta(random, 2, 6)))).toBeCloseTo(0.25, 2);
    expect(drawDirichlet(random, [1, 2, 3]).reduce((a, b) => a + b)).toBeCloseTo(1, 12);
  });
});

it('quantiles interpolate', () => {
  expect([0, 0.5, 0.9, 1].map((p) => quantile([4, 1, 3, 2], p))).toEqual([1, 2.5, 3.7, 4]);
  expect(() => quantile([], 0.5)).toThrow();
});

describe('a posterior on a grid', () => {
  const wide = [
    [-100, 100],
    [-6, 6],
    [-3, 3],
  ] as const;
  // A hundredth as wide as its range: an even grid would fall beside it.
  const normal = gridPosterior(
    (a, b, c) => -0.5 * ((a - 2.3) / 0.05) ** 2 - 0.5 * b ** 2 - 0.5 * (c / 0.5) ** 2,
    wide,
  );

  it('has the means and quantiles of the normal that it is, however narrow', () => {
    expect(normal.share.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9);
    expect(gridMean(normal, (a) => a)).toBeCloseTo(2.3, 4);
    expect(gridMean(normal, (a) => (a - 2.3) ** 2)).toBeCloseTo(0.0025, 4);
    const [low = 0, mid = 0, high = 0] = gridQuantiles(normal, (a) => a, [0.1, 0.5, 0.9]);
    for (const [found, wanted] of [
      [low, 2.3 - 1.2816 * 0.05],
      [mid, 2.3],
      [high, 2.3 + 1.2816 * 0.05],
    ] as const)
      expect(Math.abs(found - wanted)).toBeLessThan(0.004);
  });

  it('throws where nothing is possible', () => {
    expect(() => gridPosterior(() => -Infinity, wide)).toThrow('nowhere finite');
  });
});

describe('a half-normal value by its normal coordinate', () => {
  it.each([-6, -2, -0.5, 0, 0.7, 2, 5])('lies as far up at %d, and turns as small steps show', (z) => {
    const { value, slope, turn } = halfNormal(z);
    expect(2 * normalBelow(value) - 1).toBeCloseTo(normalBelow(z), 9);
    const h = 1e-4;
    const [up, down] = [halfNormal(z + h).value, halfNormal(z - h).value];
    expect(slope).toBeCloseTo((up - down) / (2 * h), 6);
    expect(turn).toBeCloseTo((up - 2 * value + down) / h ** 2, 3);
  });
});

it('the normal distribution function is symmetric, rises, and meets its series where the two methods join', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -8, max: 8, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (x, step) => {
        expect(normalBelow(x) + normalBelow(-x)).toBeCloseTo(1, 12);
        expect(normalBelow(x + step)).toBeGreaterThanOrEqual(normalBelow(x) - 1e-15);
      },
    ),
  );
  const join = 2.5 * Math.SQRT2;
  expect(Math.abs(normalBelow(join - 1e-9) - normalBelow(join + 1e-9))).toBeLessThan(1e-11);
});
