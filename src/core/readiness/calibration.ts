import { fail, ok, type Result, type Sentence, say } from '@/core/shared';

/** A forecast chance and what came of it. */
export type Outcome = { readonly said: number; readonly passed: boolean };

/** Below this many results a score of forecasts says nothing; below the other it is no verdict. */
const ENOUGH_RESULTS = 10;
const VERDICT = 50;

export type Calibration = {
  readonly results: number;
  /** Mean of what was said, and share that passed. */
  readonly said: number;
  readonly passed: number;
  /** Brier score: mean of (said − happened)²; 0 is perfect, .25 is what "50 %" each time scores. */
  readonly brier: number;
  /** What the share that passed, said each time, would have scored. */
  readonly base: number;
};

/**
 * Forecasts against results (Brier 1950). Fails with `few` below ten results and with `share` for a
 * chance outside 0 … 1. Ten at .8 of which eight passed → .16, base .16.
 */
export function calibrate(outcomes: readonly Outcome[]): Result<Calibration> {
  const bad = outcomes.findIndex(({ said }) => !(said >= 0 && said <= 1));
  if (bad >= 0)
    return fail('share', `[${bad}].said`, say('readiness.calibration.a-chance-lies-between-0-and-1'));
  if (outcomes.length < ENOUGH_RESULTS)
    return fail(
      'few',
      '',
      say('readiness.calibration.of-results-too-few-to-say-how-good', {
        outcomesCount: outcomes.length,
        ENOUGHRESULTS: ENOUGH_RESULTS,
      }),
    );
  const mean = (of: (one: Outcome) => number): number =>
    outcomes.reduce((sum, one) => sum + of(one), 0) / outcomes.length;
  const passed = mean((one) => (one.passed ? 1 : 0));
  return ok({
    results: outcomes.length,
    said: mean((one) => one.said),
    passed,
    brier: mean((one) => (one.said - (one.passed ? 1 : 0)) ** 2),
    base: passed * (1 - passed),
  });
}

/**
 * The calibration in a plain sentence. Whether forecasts are better than the pass rate is said from fifty
 * results on: of ten, perfect forecasts would be called no better four times in ten.
 */
export function calibrationInWords({ results, said, passed, brier, base }: Calibration): Sentence {
  const percent = (share: number): number => Math.round(share * 100);
  const verdict =
    results < VERDICT
      ? say('readiness.calibration.no-verdict-yet', { verdict: VERDICT })
      : brier < base
        ? say('readiness.calibration.better-than-saying-the-pass-rate')
        : say('readiness.calibration.no-better-than-saying-the-pass');
  return say('readiness.calibration.results-the-forecasts-said-on', {
    results,
    percent: percent(said),
    percent2: percent(passed),
    verdict,
  });
}
