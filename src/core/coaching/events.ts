import type { Day, Sentence } from '@/core/shared';

export type Outcome = 'clean' | 'flawed' | 'miss';

/**
 * When the answer came, where a protocol has a new cue, a gap and an old prompt. Null where none
 * was kept.
 */
export type Timing = 'before-word' | 'in-gap' | 'unprompted' | 'prompted' | 'reminded' | 'none';

/**
 * Stages of a cue transfer. A: always paid; B: prompted answers paid by a fair coin; probe: the new
 * cue and silence.
 */
export const STAGES = ['A', 'B', 'probe'] as const;
export type Stage = (typeof STAGES)[number];

export const REFUSALS = ['too-far', 'did-not-mark', 'chewing', 'something-new', 'sore', 'unknown'] as const;
export type Refusal = (typeof REFUSALS)[number];

export const BODY_SIGNS = [
  'yawning',
  'lip-licking',
  'avoiding',
  'panting',
  'circling',
  'slowing',
  'sticky',
  'barking',
  'distracted',
  'tremor',
  'stiffness',
  'limping',
  'yelp',
  'fell',
  'struck',
  'growled',
  'froze',
] as const;
export type BodySign = (typeof BODY_SIGNS)[number];

/**
 * What a rep tells a policy. One that does not count (aided, another cause) is told too: it moves
 * the set, not the run.
 */
export type RepTold = {
  readonly id: string;
  readonly outcome: Outcome;
  readonly counts: boolean;
  readonly timing?: Timing | null;
  /** Place on the element's ordered response scale, from 0. */
  readonly grade?: number | null;
  /** Seconds that it held, where that was measured. */
  readonly held?: number | null;
  /** Drive by eye, 0 to 5 (full), where it was said. */
  readonly drive?: number | null;
  /** Called a warm-up: it fills its own cap and the set, never a run. */
  readonly warmUp?: boolean;
};

/**
 * Everything that can happen to a policy. Undo and corrections name an earlier event; one that is
 * not known changes nothing.
 */
export type CoachEvent =
  | ({ readonly kind: 'rep' } & RepTold)
  | ({ readonly kind: 'correction' } & RepTold)
  | { readonly kind: 'undo'; readonly id: string }
  /** A change of rung: advice taken, or the person's own choice. */
  | { readonly kind: 'moved'; readonly id: string; readonly rung: number }
  | { readonly kind: 'rested' }
  /** The one-tap answer to "why was it refused?". */
  | { readonly kind: 'answered'; readonly id: string; readonly why: Refusal }
  /** The silent wait of a probe has run out. */
  | { readonly kind: 'time-out'; readonly id: string }
  /** The stage of a protocol, set by hand. */
  | { readonly kind: 'staged'; readonly id: string; readonly stage: Stage }
  | { readonly kind: 'sign'; readonly id: string; readonly sign: BodySign }
  /** A sign that no longer holds, with somebody's reason. */
  | { readonly kind: 'sign-over'; readonly of: string }
  /** A note or sign said otherwise: the sign as it is now. */
  | { readonly kind: 'sign-again'; readonly of: string; readonly sign: BodySign }
  /** "About six more, not logged": they move the policy, never the evidence. */
  | { readonly kind: 'unlogged'; readonly id: string; readonly count: number };

/** The events that policies themselves see; undo and correction are done for them by replay. */
export type Happening = Exclude<CoachEvent, { kind: 'undo' | 'correction' }>;

/**
 * One quiet line with its grounds. Declining it needs nothing. A sign of the body, the rule and a rest
 * are lines of their own: none hides another.
 */
export type Advice = Line & {
  /** The sign of the body that it comes from, by its entry; it may be dismissed with a reason where it stands. */
  readonly sign?: { readonly id: string; readonly stands: boolean };
};
type Line =
  | { readonly kind: 'advance' | 'drop-back'; readonly to: number; readonly reason: Sentence }
  | {
      readonly kind: 'hold' | 'rest' | 'done' | 'probe' | 'help' | 'filler' | 'end' | 'stop';
      readonly reason: Sentence;
    }
  /** One question, in one tap. */
  | { readonly kind: 'ask'; readonly about: string; readonly reason: Sentence }
  /**
   * Whether the next prompted answer is paid: by rule, or by a fair coin that was tossed for it.
   */
  | { readonly kind: 'pay'; readonly paid: boolean; readonly reason: Sentence };

/**
 * What is known when a session begins. All of it comes from the log and the clock, none of it from
 * the policy.
 */
export type CoachStart = {
  readonly rung: number;
  readonly top: number;
  /** For coins. The same seed tosses the same. */
  readonly seed: number;
  /**
   * The value of the first axis on each rung in base units, for policies that cut by a share; null
   * where no axis is a length.
   */
  readonly values: readonly number[] | null;
  /** The unit in which those are shown: what was typed in yards stays in yards. */
  readonly unit: string;
  /** What each rung asks: place on the list of responses, and seconds of a hold; null where none is asked. */
  readonly grades: readonly number[] | null;
  readonly holds: readonly number[] | null;
  /** The first day of this element, the last before today, and today; null where there is none. */
  readonly since: Day | null;
  readonly lastDay: Day | null;
  readonly today: Day | null;
};

/** Where the dog stands in a running session, and on which rung before this event. */
export type Standing = CoachStart & { readonly before?: number };

export type PolicyStep<S> = { readonly state: S; readonly advice: readonly Advice[] };

/** Advice to stay on the rung, with its grounds. */
export const hold = (reason: Sentence): Advice => ({ kind: 'hold', reason });
