import type { Assessed, Question, Studied, StudyQuestion } from '@/core/evidence';
import type { PolicyOutcome, PolicyQuestion } from '@/core/learner';
import type { PlanQuestion, PlanTold, WeeksPlan } from '@/core/planning';
import type { Assumptions, ClassEvidence, Readiness, SimulationSize, Told, WhatIf } from '@/core/readiness';
import type { Day, ElementId, Result } from '@/core/shared';

/**
 * What the worker of the core can be asked; one tagged union, so that a forgotten case is a type error
 * on both sides.
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
      /** A coarse forecast is wanted before the fine one. */
      readonly first: boolean;
      /** All, or only the forecast, without what would help and what lies ahead. */
      readonly want: 'all' | 'forecast';
    }
  | {
      readonly kind: 'what-if';
      readonly input: ClassEvidence;
      readonly assumptions: Assumptions;
      readonly seed: number;
      readonly element: ElementId;
    }
  | {
      /** The chance of passing on each of these days, draw by draw. */
      readonly kind: 'entry-chances';
      readonly input: ClassEvidence;
      readonly assumptions: Assumptions;
      readonly seed: number;
      readonly days: readonly Day[];
    }
  | {
      readonly kind: 'plan-weeks';
      readonly question: PlanQuestion;
      /** A coarse plan is wanted before the fine one. */
      readonly first: boolean;
    };

/** What the reps say of one element, or why that could not be worked out: each answers for itself. */
export type Weighed = { readonly id: ElementId; readonly found: Result<Assessed> };

/** What each task gives back. */
export type Answers = {
  'assess-elements': readonly Weighed[];
  'assess-class': Readiness;
  'compare-policies': readonly PolicyOutcome[];
  'what-if': WhatIf;
  'study-element': Studied;
  'entry-chances': readonly (readonly number[])[];
  'plan-weeks': WeeksPlan;
};

/** What is told on the way to an answer. */
export type Said = Told | PlanTold;
