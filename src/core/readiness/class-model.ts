import { EVIDENCE, fitElement } from '@/core/evidence';
import type { Result, Steps } from '@/core/shared';
import { ok } from '@/core/shared';
import type { Assumptions } from './assumptions';
import type { ClassEvidence } from './class-evidence';
import { drawn, type FitWith, fitClass } from './fit-class';
import type { TrialClass } from './trial-class';

/**
 * A class as it can be simulated, of so many draws of every element; of elements without a rep what is
 * assumed before any. `coarse` fits with the usual swing alone. Yields the share done; fails as the fits do,
 * and with `incomplete` where the breakdowns do not cover the class.
 */
export function* classModel(
  input: ClassEvidence,
  assumptions: Assumptions,
  draws: number,
  fit: FitWith = fitElement,
  coarse = false,
): Steps<Result<TrialClass>> {
  const fitted = yield* fitClass(input, assumptions, fit, coarse ? [EVIDENCE.swing.middle] : undefined);
  return fitted.ok ? ok(drawn(fitted.value, draws)) : fitted;
}
