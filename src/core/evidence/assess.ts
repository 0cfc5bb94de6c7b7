import type { Axis, Criteria } from '@/core/breakdown';
import { type Day, type ElementId, ok, type Result, seeded, seedFromText } from '@/core/shared';
import type { BoutEvidence } from './bout-evidence';
import { drawPosterior, type Posterior } from './draw';
import { type Estimate, estimateElement } from './estimate';
import { fitElement } from './fit';
import { type Beliefs, EVIDENCE } from './settings';
import { type Grounds, groundsOf, type Summary, summarise } from './summary';
import { type Wall, wallOf } from './wall';

export type ElementEvidence = {
  readonly id: ElementId;
  readonly axes: readonly Axis[];
  readonly bouts: readonly BoutEvidence[];
};
export type Question = ElementEvidence & {
  /** Where the chance of a clean rep is asked for, and where the other axes stand for the reach. */
  readonly at: Criteria;
  readonly here: Criteria;
};
export type Assessed = {
  readonly id: ElementId;
  readonly grounds: Grounds;
  readonly estimate: Estimate;
  readonly wall: Wall | null;
};

/**
 * Counts and posterior draws of one element. Seeded by its id, so that the same reps give the same
 * figures. Fails as `summarise` and `fitElement` do.
 */
export function weighElement(
  { id, axes, bouts }: ElementEvidence,
  today: Day,
  beliefs?: Beliefs,
  draws: number = EVIDENCE.draws,
  proposals: number = EVIDENCE.proposals,
): Result<{ readonly summary: Summary; readonly posterior: Posterior }> {
  const summary = summarise(bouts, today);
  if (!summary.ok) return summary;
  const fit = fitElement(axes, summary.value, today, beliefs);
  if (!fit.ok) return fit;
  return ok({
    summary: summary.value,
    posterior: drawPosterior(fit.value, seeded(seedFromText(id)), draws, proposals),
  });
}

/** How an element is weighed; a caller that keeps what it has weighed gives its own. */
export type Weigh = (
  evidence: ElementEvidence,
  today: Day,
) => Result<{ readonly summary: Summary; readonly posterior: Posterior }>;

/**
 * From reps to what they say, for one element. Fails as `weighElement` and `estimateElement` do.
 */
export function assessElement(question: Question, today: Day, weigh: Weigh = weighElement): Result<Assessed> {
  const weighed = weigh(question, today);
  if (!weighed.ok) return weighed;
  const { summary, posterior } = weighed.value;
  const estimate = estimateElement(question.axes, posterior, question.at, question.here);
  if (!estimate.ok) return estimate;
  return ok({
    id: question.id,
    grounds: groundsOf(summary),
    estimate: estimate.value,
    wall: wallOf(question.axes, summary, posterior, estimate.value),
  });
}
