import type { ElementEvidence, Interval } from '@/core/evidence';
import type { Assumptions, ClassEvidence, TitleLeg, TitleRule } from '@/core/readiness';
import type { Day, DogId, ElementId, TrialId } from '@/core/shared';
import type { PlanFrame, PlannedBout } from './plan-frame';

/**
 * What a dog is trained for: a trial, with its weight in shares of a pass; or, of pieces that no trial asks,
 * their own demand by a day.
 */
export type PlanAim =
  | {
      readonly kind: 'trial';
      readonly trial: TrialId;
      readonly day: Day;
      readonly weight: number;
      readonly input: ClassEvidence;
      readonly assumptions: Assumptions;
      readonly seed: number;
      /** Where it is an entry for a title that is planned for: its weight is then what a pass is worth for that. */
      readonly title?: PlanTitle;
    }
  | {
      readonly kind: 'demand';
      readonly day: Day;
      /** What a clean go at the demand is worth, by element. */
      readonly weights: readonly (readonly [ElementId, number])[];
    };

/** A title that several entries are made for; `key` is the same for all of them. */
export type PlanTitle = {
  readonly key: string;
  readonly title: string;
  readonly rule: TitleRule;
  readonly legs: readonly TitleLeg[];
  readonly judges: readonly string[];
  readonly by: Day | null;
  /** Entries for it after the weeks that are planned, of the same class. */
  readonly later: readonly { readonly day: Day; readonly judges: readonly string[] }[];
};

/**
 * The pieces that a trial asks which is really aimed at: one that is only told as what to enter instead (its
 * weight is 0) asks none of them.
 */
export const trialPieces = (aims: readonly PlanAim[]): Set<ElementId> =>
  new Set(
    aims.flatMap((aim) =>
      aim.kind === 'trial' && aim.weight > 0 ? aim.input.elements.map(({ id }) => id) : [],
    ),
  );

/** All that a plan depends on. Same question, same plan. */
export type PlanQuestion = {
  readonly frame: PlanFrame;
  readonly dogs: readonly {
    readonly dog: DogId;
    readonly elements: readonly ElementEvidence[];
    readonly aims: readonly PlanAim[];
  }[];
  /** What somebody has set by hand: it stays. */
  readonly pinned: readonly PlannedBout[];
};

/** What is not ready on its day. */
export type Late = {
  readonly piece: ElementId;
  readonly dog: DogId;
  /** The chance of a clean go on that day, with the plan. */
  readonly chance: number;
  /** The first day on which it could be; null where nothing shows that it would be within a year. */
  readonly ready: Day | null;
  /** Its days are too few (muscle, odour), or what it learns a session is. */
  readonly because: 'days' | 'learning';
};

export type WeeksPlan = {
  readonly bouts: readonly PlannedBout[];
  /** Of each trial: the chance of passing without any more training, and with the plan. */
  readonly trials: readonly {
    readonly trial: TrialId;
    readonly without: Interval;
    readonly planned: Interval;
  }[];
  readonly late: readonly Late[];
  /** When each piece that was worked is due again, if it is left alone; null where it keeps for a year. */
  readonly due: readonly (readonly [ElementId, Day | null])[];
};
