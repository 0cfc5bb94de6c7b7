import type { Axis, Criteria } from '@/core/breakdown';
import { type Day, type ElementId, ok, type Result, seeded, seedFromText } from '@/core/shared';
import { type Estimate, estimateElement } from './estimate';
import { fitElement } from './fit';
import { type EvidenceRep, type Summary, summarise } from './summary';

export type ElementEvidence = { readonly id: ElementId; readonly axes: readonly Axis[]; readonly reps: readonly EvidenceRep[] };
export type Question = ElementEvidence & {
  /** Where the chance of a clean rep is asked for, and where the other axes stand for the reach. */
  readonly at: Criteria;
  readonly here: Criteria;
};
export type Assessed = { readonly id: ElementId; readonly summary: Summary; readonly estimate: Estimate };

/**
 * From reps to what they say, for one element. The draws are seeded by the element's id, so the same reps give the same figures.
 * Fails as `summarise`, `fitElement` and `estimateElement` do.
 */
export function assessElement(question: Question, today: Day): Result<Assessed> {
  const summary = summarise(question.reps, today);
  if (!summary.ok) return summary;
  const fit = fitElement(question.axes, summary.value, today);
  if (!fit.ok) return fit;
  const estimate = estimateElement(question.axes, fit.value, question.at, question.here, seeded(seedFromText(question.id)));
  return estimate.ok ? ok({ id: question.id, summary: summary.value, estimate: estimate.value }) : estimate;
}
