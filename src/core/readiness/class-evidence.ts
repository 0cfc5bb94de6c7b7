import type { Criteria } from '@/core/breakdown';
import type { ElementEvidence } from '@/core/evidence';
import type { ScoredBook } from '@/core/rulebooks';
import type { BoutId, Day, ElementId, ExerciseKey, PartKey } from '@/core/shared';

/**
 * A class, who trains each link of it, and the reps: all that a forecast depends on, besides
 * assumptions and seed.
 */
export type ClassEvidence = {
  /** The rule book as it is for a dog of this size. */
  readonly book: ScoredBook;
  readonly exercises: readonly {
    readonly exercise: ExerciseKey;
    readonly parts: readonly {
      readonly part: PartKey;
      readonly element: ElementId;
      readonly demands: Criteria;
    }[];
  }[];
  readonly elements: readonly ElementEvidence[];
  readonly today: Day;
  /**
   * When the trial is, and when entries close; null where there is none, and then there is no
   * outlook.
   */
  readonly trialDay: Day | null;
  readonly closes: Day | null;
  /** The bouts of each run, mock or real, that was judged: what is learned of its trial days comes from them. */
  readonly runs?: readonly (readonly BoutId[])[];
  /** Minutes of a usual session on each element, where the log shows them. */
  readonly minutes: readonly (readonly [ElementId, number])[];
};
