import type { Criteria } from '@/core/breakdown';
import type { Outcome, Timing } from '@/core/coaching';
import type { FaultRef } from '@/core/rulebooks';
import type { BoutId, Day, EntryId } from '@/core/shared';
import type { Calm, Cause, Crooked, Cues, Handled, Landed, Paid, Purpose } from './entry';

/** One rep as evidence sees it: only what says something about the dog, flat. */
export type EvidenceRep = {
  readonly id: EntryId;
  readonly bout: BoutId;
  readonly day: Day;
  /** Order within the day, for telling the cold rep; any increasing number, e.g. milliseconds. */
  readonly at: number;
  /** False where `at` only keeps the order and says nothing about minutes. */
  readonly timed?: boolean | undefined;
  readonly away: boolean;
  readonly outcome: Outcome;
  /** What was named, first things first; empty where nothing was. */
  readonly faults: readonly FaultRef[];
  /** Faults that were only noted on its rung: a clean rep says nothing about them. */
  readonly noted?: readonly FaultRef[] | undefined;
  readonly cause: Cause;
  readonly aided: boolean;
  /** A rest was taken between the rep before and this one. */
  readonly rested?: boolean | undefined;
  /** The response that was shown, by its id in the list of the graded axis. */
  readonly grade?: number | undefined;
  /** What the rep was for; training where nothing else was said. */
  readonly purpose?: Purpose | undefined;
  /** Nothing lay there, or it was touched: shown, never counted. */
  readonly isVoid?: boolean | undefined;
  readonly criteria: Criteria;
  /** Surface, place, handler …, by the element's own names. */
  readonly conditions?: Readonly<Record<string, string>> | undefined;
  /** Of fair trials, what the toss said and was done, by the trial's name. */
  readonly tosses?: Readonly<Record<string, string>> | undefined;
  /** Seconds from cue to response. */
  readonly latency?: number | null | undefined;
  readonly timing?: Timing | null | undefined;
  /** Cues beyond the first, where it was said. */
  readonly cues?: Cues | undefined;
  /** Seconds a hold lasted. */
  readonly held?: number | undefined;
  /** Who ended it, where that was said. */
  readonly endedBy?: 'dog' | 'handler' | null | undefined;
  /** By eye, or in degrees where measured; + is to the dog's right. */
  readonly crooked?: Crooked | undefined;
  readonly measured?: number | undefined;
  /** Metres off its place or line, where measured. */
  readonly offset?: number | undefined;
  readonly pay?: Paid['size'] | undefined;
  readonly landed?: Landed | undefined;
  /** What it was paid with, and whether nobody had asked for it. */
  readonly what?: string | undefined;
  readonly unasked?: boolean | undefined;
  /** What the handler did meanwhile, and what about it when it had gone wrong. */
  readonly did?: string | undefined;
  readonly handled?: Handled | undefined;
  /** The word that was called, and what it did instead. */
  readonly word?: string | undefined;
  readonly instead?: string | undefined;
  readonly drive?: number | undefined;
  readonly calm?: Calm | undefined;
  /** It was gone back to: evidence for its wait (after so many seconds, where they were said), not for this. */
  readonly returned?: { readonly delay: number | null } | undefined;
};

/**
 * Warm-up and filler are made easy, and a probe looks for failure on purpose: averaged with
 * training they would mean nothing.
 */
const COUNTED: ReadonlySet<Purpose> = new Set(['training', 'rehearsal'] as const);

/**
 * Whether a rep says anything about the dog: void ones, other purposes and other causes than the dog
 * are shown, not counted, and so is one with a cue that slipped from the handler, and a dog that was
 * gone back to. Help discounts a success only: an aided miss is a miss.
 */
export function countsAsEvidence(
  rep: Pick<EvidenceRep, 'outcome' | 'aided' | 'cause' | 'purpose' | 'isVoid' | 'cues' | 'returned'>,
): boolean {
  return (
    !(rep.aided && rep.outcome === 'clean') &&
    rep.cause === 'dog' &&
    rep.isVoid !== true &&
    (rep.cues?.slip ?? 0) === 0 &&
    rep.returned === undefined &&
    COUNTED.has(rep.purpose ?? 'training')
  );
}
