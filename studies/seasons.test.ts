import { expect, it } from 'vitest';
import { testAxis } from '@/core/breakdown/axis.test-helper';
import { USUAL_PLAN } from './known-dogs';
import { LOOKS, seasonCalibration } from './seasons';

/** A small part of the study in docs/decisions/0029: twelve forecasts leave ± 12 % on a coverage of 80 %. */
it('forecasts of whole seasons are held against the dogs, and the same seed says the same', () => {
  const plan = { ...USUAL_PLAN, axes: [testAxis()], everyDays: 5, longGapEvery: 13 };
  const found = seasonCalibration(plan, LOOKS.slice(1), 6, 31);
  expect(found.forecasts).toBe(12);
  expect(found.covered).toBeGreaterThanOrEqual(0.58);
  expect(Math.abs(found.said - found.truth)).toBeLessThan(0.12);
  // Nobody forecasts better than who knows the dog, by more than luck.
  expect(found.brier.said).toBeGreaterThan(found.brier.truth - 0.08);
  expect(found.brier.said).toBeLessThan(0.25);
  expect(seasonCalibration(plan, LOOKS.slice(1), 1, 31)).toEqual(
    seasonCalibration(plan, LOOKS.slice(1), 1, 31),
  );
});
