import { seeded } from '@/core/shared';
import { passOf } from './coverage';
import type { StudyPlan } from './known-dogs';

/** One look at a season: so many lessons are behind the dog. */
export type Look = { readonly lessons: number; readonly what: string };
export const LOOKS: readonly Look[] = [
  { lessons: 24, what: 'spring trial' },
  { lessons: 32, what: 'summer trial' },
  { lessons: 40, what: 'autumn trial' },
];

export type Calibration = {
  readonly forecasts: number;
  /** Means of what was said and of the truth. */
  readonly said: number;
  readonly truth: number;
  /** Share of the 80 % ranges that held the truth. */
  readonly covered: number;
  /** Brier scores against how the trials went: of what was said, of the truth itself, of the rate of passes. */
  readonly brier: { readonly said: number; readonly truth: number; readonly rate: number };
};

/**
 * Seasons of known dogs by the plan: a lesson every five days, after every thirteenth a gap of thirty days, the
 * usual rule for going up. At each trial the forecast is held against the chance that the dog truly had, and
 * against how the trial went. Same seed, same figures.
 */
export function seasonCalibration(
  plan: Omit<StudyPlan, 'sessions'>,
  looks: readonly Look[],
  seasons: number,
  seed: number,
): Calibration {
  const random = seeded(seed);
  const all = Array.from({ length: seasons }, (_, i) =>
    looks.map(({ lessons }) => {
      const { truth, said } = passOf({ ...plan, sessions: lessons }, i, seed);
      return { truth, ...said, passed: random.uniform() < truth ? 1 : 0 };
    }),
  ).flat();
  const mean = (of: (one: (typeof all)[number]) => number): number =>
    all.reduce((sum, one) => sum + of(one), 0) / all.length;
  const rate = mean(({ passed }) => passed);
  return {
    forecasts: all.length,
    said: mean(({ mid }) => mid),
    truth: mean(({ truth }) => truth),
    covered: mean(({ truth, low, high }) => (truth >= low && truth <= high ? 1 : 0)),
    brier: {
      said: mean(({ mid, passed }) => (mid - passed) ** 2),
      truth: mean(({ truth, passed }) => (truth - passed) ** 2),
      rate: mean(({ passed }) => (rate - passed) ** 2),
    },
  };
}
