import type { Criteria } from '@/core/breakdown';
import type { Interval } from '@/core/evidence';
import type { Day, DogId, ElementId } from '@/core/shared';
import type { Limit, Load } from './loads';

/** What a planned bout is for. */
export const PURPOSES = ['build', 'keep', 'proof', 'join', 'rehearse'] as const;
export type PlanPurpose = (typeof PURPOSES)[number];

/** A day of the handler's: minutes for all dogs together; `strange` where the dogs are not usually trained. */
export type PlanDay = {
  readonly day: Day;
  readonly minutes: number;
  readonly strange: boolean;
  readonly helper: boolean;
  /** Too hot for what loads a body. */
  readonly hot: boolean;
};

/**
 * A piece of work that can be planned: an element, or an exercise that is run whole (`links` are its
 * elements then). Rungs from 0; `perGo` is what one go of a rung adds to each load.
 */
export type PlanPiece = {
  readonly id: ElementId;
  readonly dog: DogId;
  readonly rungs: readonly {
    readonly criteria: Criteria;
    readonly perGo: Readonly<Record<Load, number>>;
  }[];
  /** The rung on which the dog stands; what was met is never lowered where `neverLower`. */
  readonly stands: number;
  readonly neverLower: boolean;
  /** Minutes of a bout, its rests counted; goes of one, and goes in a set. */
  readonly minutes: number;
  readonly goes: number;
  readonly setSize: number;
  /** Its minutes are a guess: no bout of it was timed yet. */
  readonly guessed: boolean;
  /** A body has to be warm for it. */
  readonly bodily: boolean;
  /** It makes a dog lively: it comes in turn with quiet work. */
  readonly lively: boolean;
  readonly needsHelper: boolean;
  /** Days without this work between two with it. */
  readonly restDays: number;
  /** The first day on which all that is asked may be asked: muscle and odour take their days. */
  readonly notBefore: Day | null;
  /** What it waits for, as rungs of other pieces; met needs are not listed. */
  readonly needs: readonly { readonly piece: ElementId; readonly rung: number }[];
  readonly links: readonly ElementId[];
  /** Days of the last four weeks on which it was worked, oldest first. */
  readonly worked: readonly Day[];
};

export type PlanDog = {
  readonly id: DogId;
  readonly limits: readonly Limit[];
  /**
   * The most that the log shows in any seven days, by load: without a number of the person's own the plan
   * stays within it.
   */
  readonly heaviest: Readonly<Record<Load, number>>;
  /** What was done in the last seven days, by day. */
  readonly done: readonly { readonly day: Day; readonly loads: Readonly<Record<Load, number>> }[];
  /** From when on it works; null: off work, and nobody said until when. */
  readonly from: Day | null;
  /** Days with work in any seven, at most. */
  readonly daysAWeek: number;
  /** Minutes to warm up, where a lesson has work for which a body has to be warm. */
  readonly warmUp: number;
  /** Days of its trials: nothing is trained on them. */
  readonly trialDays: readonly Day[];
};

/** All that a plan has to keep to. Days are consecutive, from today on. */
export type PlanFrame = {
  readonly today: Day;
  readonly days: readonly PlanDay[];
  readonly dogs: readonly PlanDog[];
  readonly pieces: readonly PlanPiece[];
};

/** One bout of the plan. `slot` names the stored one that it was, where there was one. */
export type PlannedBout = {
  readonly slot: string | null;
  readonly day: Day;
  readonly dog: DogId;
  readonly piece: ElementId;
  readonly rung: number;
  readonly purpose: PlanPurpose;
  readonly goes: number;
  readonly sets: number;
  readonly minutes: number;
  readonly pinned: boolean;
  /** What it adds to the aim, with what is not known about the dog. */
  readonly why: Interval | null;
};
