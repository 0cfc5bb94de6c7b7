import type { Assessed, Question, Studied, StudyQuestion } from '@/core/evidence';
import type { PolicyOutcome, PolicyQuestion } from '@/core/learner';
import type {
  Assumptions,
  ClassEvidence,
  Forecast,
  Readiness,
  SimulationSize,
  WhatIf,
} from '@/core/readiness';
import type { Day, ElementId, Failure } from '@/core/shared';

/**
 * What a worker can be asked; one tagged union, so that a forgotten case is a type error on both
 * sides.
 */
export type Task =
  | { readonly kind: 'assess-elements'; readonly questions: readonly Question[]; readonly today: Day }
  | { readonly kind: 'study-element'; readonly question: StudyQuestion; readonly today: Day }
  | { readonly kind: 'compare-policies'; readonly question: PolicyQuestion }
  | {
      readonly kind: 'assess-class';
      readonly input: ClassEvidence;
      readonly assumptions: Assumptions;
      readonly seed: number;
      readonly size: SimulationSize;
    }
  | {
      readonly kind: 'what-if';
      readonly input: ClassEvidence;
      readonly assumptions: Assumptions;
      readonly seed: number;
      readonly element: ElementId;
    };

/** What each task gives back. */
export type Answers = {
  'assess-elements': readonly Assessed[];
  'assess-class': Readiness;
  'compare-policies': readonly PolicyOutcome[];
  'what-if': WhatIf;
  'study-element': Studied;
};

export type FromWorker<K extends Task['kind'] = Task['kind']> =
  | { readonly kind: 'progress'; readonly share: number }
  /** A coarse forecast, before the fine one. */
  | { readonly kind: 'first'; readonly forecast: Forecast }
  | { readonly kind: 'done'; readonly answer: Answers[K] }
  | { readonly kind: 'failed'; readonly failure: Failure };
